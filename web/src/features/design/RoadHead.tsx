import { msg, worded } from '@idle-marker/words';
import { DraftField } from '../../field/DraftField.tsx';
import { Choice, Field } from '../../ui/Field.tsx';

import type { EditRoadModel } from './useEditRoad.ts';
import { type AlignmentFactBody } from '@idle-marker/records';
import { alignmentKindWords } from '@idle-marker/words';

const kindChoices = worded(() => Object.entries(alignmentKindWords()) as [AlignmentFactBody['kind'], string][]);

export function RoadHead({ model }: { readonly model: EditRoadModel }) {
  const {
    units,
    name,
    setName,
    kind,
    setKind,
    start,
    setStart,
    corridor,
    setCorridor,
    shift,
    setShift,
    shiftSide,
    setShiftSide,
    reason,
    setReason,
    shiftRead,
    errors,
    shown,
  } = model;
  return (
    <div className="grid gap-3 sm:grid-cols-4">
      <Field
        label={msg('common.name')}
        value={name}
        maxLength={80}
        onChange={(event) => setName(event.target.value)}
        error={shown(errors.name, name)}
        autoFocus
      />
      <Choice label={msg('common.kind')} value={kind} options={kindChoices()} onChange={setKind} />
      <DraftField
        label={msg('design.stationOfItsStart')}
        inputMode="text"
        draft={start}
        onDraft={setStart}
        error={errors.start}
      />
      <DraftField
        label={msg('design.belongsToItEachSide')}
        unit={units.unit}
        draft={corridor}
        onDraft={setCorridor}
        error={errors.corridor}
        help={msg('design.fartherOffItIsAskedWhetherThis')}
      />
      <DraftField
        label={msg('design.everythingShiftedBy')}
        unit={units.unit}
        draft={shift}
        placeholder="0"
        onDraft={setShift}
        error={errors.shift}
      />
      <Choice
        label={msg('design.shiftSide')}
        value={shiftSide}
        options={[
          ['right', 'right'],
          ['left', 'left'],
        ]}
        onChange={setShiftSide}
      />
      {shiftRead !== 0 && (
        <Field
          className="sm:col-span-2"
          label={msg('design.reasonForShift')}
          value={reason}
          maxLength={300}
          onChange={(event) => setReason(event.target.value)}
          error={shown(errors.reason, reason)}
        />
      )}
    </div>
  );
}
