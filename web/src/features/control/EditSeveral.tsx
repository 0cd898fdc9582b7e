import { useState } from 'react';
import { severalRevised, type ControlMark, type SeveralChange } from '@idle-marker/records';
import { controlChangeWords } from '@idle-marker/words';
import { useSite } from '../../site/SiteContext.tsx';
import { useUnits } from '../../field/useUnits.ts';
import { Button } from '../../ui/Button.tsx';
import { Dialog } from '../../ui/Dialog.tsx';
import { Choice, Field } from '../../ui/Field.tsx';

/** So many are looked at; the others change alike. */
const SHOWN = 8;

type Kept = 'keep';
type Condition = NonNullable<SeveralChange['condition']>;
type YesNo = Kept | 'yes' | 'no';

const YES_NO: readonly (readonly [YesNo, string])[] = [
  ['keep', 'as it is'],
  ['yes', 'yes'],
  ['no', 'no'],
];

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
  const [uses, setUses] = useState<Readonly<Record<'usePlan' | 'useHeight' | 'forProof', YesNo>>>({ usePlan: 'keep', useHeight: 'keep', forProof: 'keep' });
  const [move, setMove] = useState({ e: '', n: '', z: '' });
  const [sd, setSd] = useState({ plan: '', height: '' });
  const [source, setSource] = useState('');
  const [tried, setTried] = useState(false);
  const length = (text: string) => (text.trim() === '' ? 0 : units.readLength(text));
  const moves = { e: length(move.e), n: length(move.n), z: length(move.z) };
  const millimetres = (text: string) => (text.trim() === '' ? undefined : Number(text.replace(',', '.')));
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
    source: source.trim() === '' ? 'Say what was found, or where the new figures come from.' : null,
    move: Object.values(moves).includes(null) ? `Give lengths in ${units.unit}, or leave them empty.` : null,
    sd: isSd(sds.plan) && isSd(sds.height) ? null : 'Give millimetres, 0 or more.',
  };
  const faulty = Object.values(errors).some((error) => error !== null) || bodies.length === 0;
  const keep = async () => {
    setTried(true);
    if (faulty) return;
    await say(...bodies.map((body) => ({ type: 'control' as const, body })));
    onRevised(marks.filter((mark) => bodies.some((body) => body.mark === mark.id)));
  };
  const axis = { e: 'East', n: 'North', z: 'Height' } as const;
  return (
    <Dialog
      open
      onClose={onClose}
      title={`${marks.length} marks at once`}
      foot={
        <>
          <Button onClick={onClose}>Cancel</Button>
          <Button look="primary" onClick={() => void keep()}>
            {bodies.length === 0 ? 'Nothing changes' : `Revise ${bodies.length} ${bodies.length === 1 ? 'mark' : 'marks'}`}
          </Button>
        </>
      }
    >
      <p className="mb-3 font-medium">{marks.map((mark) => mark.revision.body.name).join(', ')}</p>
      <div className="grid grid-cols-2 gap-3">
        <Choice
          label="Condition"
          value={condition}
          options={[
            ['keep', 'as it is'],
            ['secure', 'secure'],
            ['usable', 'usable'],
            ['doubtful', 'doubtful'],
            ['lost', 'lost'],
          ]}
          onChange={setCondition}
        />
        <Choice label="Kept for proofs" value={uses.forProof} options={YES_NO} onChange={(forProof) => setUses({ ...uses, forProof })} />
        <Choice label="Used in plan" value={uses.usePlan} options={YES_NO} onChange={(usePlan) => setUses({ ...uses, usePlan })} />
        <Choice label="Used in height" value={uses.useHeight} options={YES_NO} onChange={(useHeight) => setUses({ ...uses, useHeight })} />
      </div>
      <div className="mt-3 grid grid-cols-3 gap-3">
        {([...units.axes, 'z'] as const).map((which) => (
          <Field
            key={which}
            label={`Move ${axis[which]} by`}
            unit={units.unit}
            value={move[which]}
            inputMode="decimal"
            onChange={(event) => setMove({ ...move, [which]: event.target.value })}
          />
        ))}
      </div>
      <div className="mt-3 grid grid-cols-2 gap-3">
        <Field label="sd in plan, mm" value={sd.plan} inputMode="decimal" onChange={(event) => setSd({ ...sd, plan: event.target.value })} />
        <Field label="sd in height, mm" value={sd.height} inputMode="decimal" onChange={(event) => setSd({ ...sd, height: event.target.value })} />
      </div>
      {tried && (errors.move ?? errors.sd) && <p className="mt-2 font-medium text-brick">{errors.move ?? errors.sd}</p>}
      <Field
        className="mt-3"
        label="What was found, or where it comes from"
        value={source}
        maxLength={200}
        placeholder="walked round after the storm"
        onChange={(event) => setSource(event.target.value)}
        error={tried ? errors.source : null}
      />
      {bodies.length > 0 && (
        <ul className="mt-3 text-[14px]" aria-label="What becomes of them">
          {bodies.slice(0, SHOWN).map((body) => (
            <li key={body.mark} className="figures border-b border-rule py-0.5">
              <strong>{body.name}</strong> {controlChangeWords(marks.find((mark) => mark.id === body.mark)!.revision.body, body, units.lengthUnit)}
            </li>
          ))}
          {bodies.length > SHOWN && <li className="text-ink2">And {bodies.length - SHOWN} more alike.</li>}
        </ul>
      )}
      {tried && bodies.length === 0 && errors.source === null && (
        <p className="mt-2 font-medium text-brick">Nothing is changed yet: choose what is to be another way.</p>
      )}
    </Dialog>
  );
}
