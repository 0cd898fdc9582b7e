import { useState } from 'react';
import { freeName, type ControlMark } from '@idle-marker/records';
import { msg, worded, signedSmall, conditionWords } from '@idle-marker/words';
import { DraftField } from '../field/DraftField.tsx';
import { Button } from '../ui/Button.tsx';
import { Dialog } from '../ui/Dialog.tsx';
import { Choice, Field, Tick } from '../ui/Field.tsx';
import { dayAndTime } from '../ui/time.ts';
import { NameTaken, type GivenPlace } from './NameTaken.tsx';
import { useControlForm, type Body, type ControlFormProps } from './useControlForm.ts';
import { ControlDetails } from './ControlDetails.tsx';
import { SmallField } from '../field/SmallField.tsx';

const kindChoices = worded((): readonly (readonly [Body['kind'], string])[] => [
  ['pin', msg('common.pinInConcrete')],
  ['plate', msg('evidence.castPlate')],
  ['nail', msg('evidence.nail')],
  ['screw', msg('common.screw')],
  ['cross', msg('common.crossCutOrPainted')],
  ['stake', msg('common.stakeWithNail')],
  ['target', msg('common.targetOnAWall')],
  ['tag', msg('evidence.tagReusable')],
  ['benchmark', msg('common.benchmark')],
  ['other', msg('evidence.other')],
]);

const conditionChoices = worded((): readonly (readonly [Body['condition'], string])[] => [
  ['secure', msg('evidence.secure')],
  ['usable', msg('evidence.usable')],
  ['doubtful', msg('evidence.doubtful')],
  ['lost', msg('evidence.lost')],
]);

/** Adds a mark, or writes a new revision of one; the older ones stay readable. */
export function EditControl({ mark, onClose }: { mark: ControlMark | null; onClose(): void }) {
  const [meant, setMeant] = useState<{ readonly mark: ControlMark | null; readonly place: GivenPlace | null }>({
    mark,
    place: null,
  });
  return (
    <ControlForm
      key={meant.mark?.id ?? ''}
      {...meant}
      onMeant={(known, place) => setMeant({ mark: known, place })}
      onClose={onClose}
    />
  );
}

function ControlForm({ mark, place: typed, onMeant, onClose }: ControlFormProps) {
  const model = useControlForm({ mark, place: typed, onClose });
  const {
    units,
    before,
    name,
    setName,
    places,
    setPlaces,
    sdH,
    setSdH,
    sdZ,
    setSdZ,
    kind,
    setKind,
    condition,
    setCondition,
    usePlan,
    setUsePlan,
    useHeight,
    setUseHeight,
    forProof,
    setForProof,
    source,
    setSource,
    place,
    others,
    twin,
    known,
    errors,
    shown,
    save,
    axis,
  } = model;
  return (
    <Dialog
      open
      onClose={onClose}
      wide
      title={mark ? msg('common.newRevision', { name: mark.revision.body.name }) : msg('evidence.newControlMark')}
      foot={
        <>
          <Button onClick={onClose}>{msg('common.cancel')}</Button>
          <Button look="primary" type="submit" form="control-mark">
            {mark ? msg('common.keepAsNewRevision') : msg('evidence.addMark')}
          </Button>
        </>
      }
    >
      <form
        id="control-mark"
        className="grid gap-3 sm:grid-cols-3"
        onSubmit={(event) => {
          event.preventDefault();
          void save();
        }}
      >
        <Field
          label={msg('common.name')}
          value={name}
          maxLength={80}
          onChange={(event) => setName(event.target.value)}
          error={shown(errors.name, false)}
          autoFocus
        />
        <Choice label={msg('common.kind')} value={kind} options={kindChoices()} onChange={setKind} />
        <Choice
          label={msg('common.condition')}
          value={condition}
          options={conditionChoices()}
          onChange={setCondition}
        />
        {units.axes.map((which) => (
          <DraftField
            key={which}
            label={axis[which]}
            unit={units.unit}
            draft={places[which]}
            onDraft={(next) => setPlaces({ ...places, [which]: next })}
            error={shown(errors[which], places[which].text !== '')}
          />
        ))}
        <DraftField
          label={msg('common.height')}
          unit={units.unit}
          draft={places.z}
          onDraft={(z) => setPlaces({ ...places, z })}
          error={shown(errors.z, places.z.text !== '')}
          help={
            before && before.z !== null && place.z !== null && Math.abs(place.z - before.z) > 5e-5
              ? msg('evidence.mmAgainstTheRevisionBefore', {
                  signed: signedSmall((place.z - before.z) * 1000, units.lengthUnit),
                })
              : undefined
          }
        />
        <SmallField
          label={msg('evidence.standardDeviationInPlanPerAxis')}
          term="standardDeviation"
          draft={sdH}
          onDraft={setSdH}
          error={errors.sdH}
        />
        <SmallField label={msg('evidence.standardDeviationInHeight')} draft={sdZ} onDraft={setSdZ} error={errors.sdZ} />
        <Field
          label={mark ? msg('evidence.sourceOrWhatWasChangedNeeded') : msg('evidence.source')}
          value={source}
          maxLength={200}
          onChange={(event) => setSource(event.target.value)}
          error={shown(errors.source, false)}
        />
        <Tick label={msg('evidence.usableInPlan')} checked={usePlan} onChange={setUsePlan} />
        <Tick label={msg('evidence.usableInHeight')} checked={useHeight} onChange={setUseHeight} />
        <Tick label={msg('common.keptForProofs')} checked={forProof} onChange={setForProof} />
        <ControlDetails model={model} mark={mark} />
      </form>
      {known && (
        <NameTaken
          known={known}
          place={place}
          free={freeName(
            known.revision.body.name,
            others.map((each) => each.revision.body.name),
          )}
          onRevise={(next) => onMeant(known, next)}
          onRename={setName}
        />
      )}
      {twin && twin !== known && (
        <p className="mt-3 border-l-4 border-ochre pl-3">
          {msg('evidence.lessThan1MFromProbablyOne', { name: twin.revision.body.name })}
        </p>
      )}
      {mark && mark.revisions.length > 0 && (
        <section className="mt-4">
          <h3 className="text-[15px]">{msg('common.revisions')}</h3>
          <ul className="figures text-[14px] text-ink2">
            {mark.revisions.map((revision, i) => (
              <li key={revision.id}>
                r{mark.revisions.length - i}, {dayAndTime(revision.at)}:{' '}
                {units.axes.map((which) => units.length(revision.body[which])).join(', ')},{' '}
                {units.length(revision.body.z)} · {conditionWords()[revision.body.condition]} · {revision.body.source}
              </li>
            ))}
          </ul>
        </section>
      )}
    </Dialog>
  );
}
