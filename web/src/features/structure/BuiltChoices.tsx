import { msg, numberedWords } from '@idle-marker/words';
import { CodeField } from '../../pole/CodeField.tsx';
import { Choice, Field } from '../../ui/Field.tsx';
import { ShotsChoice } from '../../pole/ShotsChoice.tsx';
import { FREE } from './useAsBuiltPlace.ts';
import type { AsBuiltPlaceModel } from './useAsBuiltPlace.ts';

export function BuiltChoices({ model }: { readonly model: AsBuiltPlaceModel }) {
  const {
    state,
    setWork,
    work,
    surfaces,
    surface,
    plans,
    setKey,
    measured,
    plan,
    name,
    setName,
    code,
    setCode,
    note,
    setNote,
    shots,
    setShots,
    codes,
    reserved,
    isTaken,
  } = model;
  return (
    <div className="grid grid-cols-2 gap-3">
      <Choice
        label={msg('structure.comparedWith')}
        value={work?.id ?? surface?.id ?? FREE}
        options={[
          [FREE, msg('structure.nothingAnyPoint')],
          ...state.packages.map((each) => [each.id, each.body.name] as const),
          ...surfaces.map((each) => [each.id, `surface ${each.label}`] as const),
        ]}
        onChange={(next) => {
          setWork(next);
          setKey(null);
        }}
      />
      {work && plan ? (
        <Choice
          label={msg('structure.which')}
          value={plan.key}
          options={plans.map((each) => [each.key, `${each.corner}${measured(each.key) ? ' ✓' : ''}`] as const)}
          onChange={setKey}
        />
      ) : (
        <Field
          label={msg('common.name')}
          value={name}
          maxLength={80}
          onChange={(event) => setName(event.target.value)}
          error={isTaken ? msg('structure.thisNameIsMeasuredAlreadyBothWould') : null}
          help={
            reserved !== null && reserved !== 'asBuilt'
              ? msg('structure.numbersFromThereAreFor', { numberedName: numberedWords()[reserved] })
              : undefined
          }
        />
      )}
      <CodeField value={code} codes={codes} onChange={setCode} />
      <ShotsChoice shots={shots} onShots={setShots} />
      <Field
        className="col-span-2"
        label={msg('structure.whatTheInstrumentCantTakeTapedFigures')}
        value={note}
        maxLength={500}
        placeholder={msg('structure.coverToInvert142Fence0')}
        onChange={(event) => setNote(event.target.value)}
      />
    </div>
  );
}
