import { useState } from 'react';
import { severalRevised, type ControlMark, type SeveralChange } from '@idle-marker/records';
import { msg, controlChangeWords, worded, smallUnit } from '@idle-marker/words';
import { useSite } from '../../site/SiteContext.tsx';
import { useUnits } from '../../field/useUnits.ts';
import { Button } from '../../ui/Button.tsx';
import { Dialog } from '../../ui/Dialog.tsx';
import { Choice, Field } from '../../ui/Field.tsx';
import { SmallField } from '../../field/SmallField.tsx';
import { typed, smallOf, type Draft } from '../../field/draft.ts';

/** So many are looked at; the others change alike. */
const SHOWN = 8;

type Kept = 'keep';
type Condition = NonNullable<SeveralChange['condition']>;
type YesNo = Kept | 'yes' | 'no';

const yesNoChoices = worded((): readonly (readonly [YesNo, string])[] => [
  ['keep', msg('control.asItIs')],
  ['yes', 'yes'],
  ['no', 'no'],
]);

interface EditSeveralProps {
  readonly marks: readonly ControlMark[];
  onClose(): void;
  /** The marks as they were, so that it can be undone. */
  onRevised(before: readonly ControlMark[]): void;
}

/** The same change for several marks, each in a revision of its own with one source. */
export function EditSeveral({ marks, onClose, onRevised }: EditSeveralProps) {
  const { say } = useSite();
  const units = useUnits();
  const [condition, setCondition] = useState<Kept | Condition>('keep');
  const [uses, setUses] = useState<Readonly<Record<'usePlan' | 'useHeight' | 'forProof', YesNo>>>({
    usePlan: 'keep',
    useHeight: 'keep',
    forProof: 'keep',
  });
  const [move, setMove] = useState({ e: '', n: '', z: '' });
  const [sd, setSd] = useState<Readonly<Record<'plan' | 'height', Draft<number>>>>({
    plan: typed(''),
    height: typed(''),
  });
  const [source, setSource] = useState('');
  const [tried, setTried] = useState(false);
  const length = (text: string) => (text.trim() === '' ? 0 : units.readLength(text));
  const moves = { e: length(move.e), n: length(move.n), z: length(move.z) };
  const millimetres = (draft: Draft<number>) =>
    draft.text.trim() === '' ? undefined : smallOf(draft, units.lengthUnit);
  const sds = { plan: millimetres(sd.plan), height: millimetres(sd.height) };
  const isSd = (value: number | undefined) => value === undefined || (value >= 0 && value <= 10_000);
  const flag = (value: YesNo) => (value === 'keep' ? undefined : value === 'yes');
  const change: SeveralChange = {
    condition: condition === 'keep' ? undefined : condition,
    usePlan: flag(uses.usePlan),
    useHeight: flag(uses.useHeight),
    forProof: flag(uses.forProof),
    move: { e: moves.e ?? 0, n: moves.n ?? 0, z: moves.z ?? 0 },
    sdHMm: sds.plan,
    sdZMm: sds.height,
    source: source.trim(),
  };
  const bodies = severalRevised(marks, change);
  const errors = {
    source: source.trim() === '' ? msg('control.sayWhatWasFoundOrWhereThe') : null,
    move: Object.values(moves).includes(null)
      ? msg('control.giveLengthsInOrLeaveThemEmpty', { unit: units.unit })
      : null,
    sd:
      isSd(sds.plan) && isSd(sds.height)
        ? null
        : msg('common.giveMillimetres0OrMore', { unit: smallUnit(units.lengthUnit).name }),
  };
  const faulty = Object.values(errors).some((error) => error !== null) || bodies.length === 0;
  const keep = async () => {
    setTried(true);
    if (faulty) return;
    await say(...bodies.map((body) => ({ type: 'control' as const, body })));
    onRevised(marks.filter((mark) => bodies.some((body) => body.mark === mark.id)));
  };
  const axis = { e: msg('common.east'), n: msg('common.north'), z: msg('common.height') } as const;
  return (
    <Dialog
      open
      onClose={onClose}
      title={msg('control.marksAtOnce', { marks: marks.length })}
      foot={
        <>
          <Button onClick={onClose}>{msg('common.cancel')}</Button>
          <Button look="primary" onClick={() => void keep()}>
            {bodies.length === 0 ? msg('control.nothingChanges') : msg('control.revise', { bodies: bodies.length })}
          </Button>
        </>
      }
    >
      <p className="mb-3 font-medium">{marks.map((mark) => mark.revision.body.name).join(', ')}</p>
      <div className="grid grid-cols-2 gap-3">
        <Choice
          label={msg('common.condition')}
          value={condition}
          options={[
            ['keep', msg('control.asItIs')],
            ['secure', 'secure'],
            ['usable', 'usable'],
            ['doubtful', 'doubtful'],
            ['lost', 'lost'],
          ]}
          onChange={setCondition}
        />
        <Choice
          label={msg('common.keptForProofs')}
          value={uses.forProof}
          options={yesNoChoices()}
          onChange={(forProof) => setUses({ ...uses, forProof })}
        />
        <Choice
          label={msg('control.usedInPlan')}
          value={uses.usePlan}
          options={yesNoChoices()}
          onChange={(usePlan) => setUses({ ...uses, usePlan })}
        />
        <Choice
          label={msg('control.usedInHeight')}
          value={uses.useHeight}
          options={yesNoChoices()}
          onChange={(useHeight) => setUses({ ...uses, useHeight })}
        />
      </div>
      <div className="mt-3 grid grid-cols-3 gap-3">
        {([...units.axes, 'z'] as const).map((which) => (
          <Field
            key={which}
            label={msg('control.moveBy', { axis: axis[which] })}
            unit={units.unit}
            value={move[which]}
            inputMode="decimal"
            onChange={(event) => setMove({ ...move, [which]: event.target.value })}
          />
        ))}
      </div>
      <div className="mt-3 grid grid-cols-2 gap-3">
        <SmallField label={msg('control.sdInPlanMm')} draft={sd.plan} onDraft={(plan) => setSd({ ...sd, plan })} />
        <SmallField
          label={msg('control.sdInHeightMm')}
          draft={sd.height}
          onDraft={(height) => setSd({ ...sd, height })}
        />
      </div>
      {tried && (errors.move ?? errors.sd) && <p className="mt-2 font-medium text-brick">{errors.move ?? errors.sd}</p>}
      <Field
        className="mt-3"
        label={msg('control.whatWasFoundOrWhereItComes')}
        value={source}
        maxLength={200}
        placeholder={msg('control.walkedRoundAfterTheStorm')}
        onChange={(event) => setSource(event.target.value)}
        error={tried ? errors.source : null}
      />
      {bodies.length > 0 && (
        <ul className="mt-3 text-[14px]" aria-label={msg('control.whatBecomesOfThem')}>
          {bodies.slice(0, SHOWN).map((body) => (
            <li key={body.mark} className="figures border-b border-rule py-0.5">
              <strong>{body.name}</strong>{' '}
              {controlChangeWords(marks.find((mark) => mark.id === body.mark)!.revision.body, body, units.lengthUnit)}
            </li>
          ))}
          {bodies.length > SHOWN && (
            <li className="text-ink2">{msg('control.andMoreAlike', { bodies: bodies.length - SHOWN })}</li>
          )}
        </ul>
      )}
      {tried && bodies.length === 0 && errors.source === null && (
        <p className="mt-2 font-medium text-brick">{msg('control.nothingIsChangedYetChooseWhatIs')}</p>
      )}
    </Dialog>
  );
}
