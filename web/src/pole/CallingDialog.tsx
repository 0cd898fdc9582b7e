import { useState } from 'react';
import { useSite } from '../site/SiteContext.tsx';
import { useUnits } from '../field/useUnits.ts';
import { Button } from '../ui/Button.tsx';
import { Dialog } from '../ui/Dialog.tsx';
import { Field } from '../ui/Field.tsx';
import { usePaceLength } from './ways.ts';

/** Each figure's arms as drawn, seen by the person at the pole. */
const SIGNS = [
  { name: 'Look here', text: 'One arm straight up, until the other answers with the same.', arms: 'M34 32L22 60M34 32L50 2' },
  { name: 'Go that way', text: 'One arm straight out to the side on which to go. Wide swings: far. Small ones: little.', arms: 'M34 32L22 60M34 32H66' },
  { name: 'Hold', text: 'Both arms straight out. Stop, look at the bubble, keep the pole plumb.', arms: 'M2 32H66' },
  { name: 'Good', text: 'Both arms up. The shot is taken: drive the hub.', arms: 'M34 32L14 2M34 32L54 2' },
  { name: 'Come', text: 'Hands on the head. Leave the pole and come.', arms: 'M34 32L12 24L28 8M34 32L56 24L40 8' },
] as const;

/** Calling to somebody who does not hear: arms, lights, and what the figures mean. */
export function CallingDialog({ open, onClose }: { open: boolean; onClose(): void }) {
  return (
    <Dialog
      toRead
      open={open}
      onClose={onClose}
      title="Signs and lights"
      foot={
        <Button look="primary" onClick={onClose}>
          Done
        </Button>
      }
    >
      <h3 className="text-[17px]">Arm signs, when it is too loud or too far</h3>
      <p className="text-ink2">Agree on them before the first mark. Left and right are those of the person at the pole, always.</p>
      <ul className="my-2 grid gap-x-5 sm:grid-cols-2">
        {SIGNS.map(({ name, text, arms }) => (
          <li key={name} className="flex items-center gap-3 py-1">
            <svg
              viewBox="0 0 68 100"
              className="h-[72px] w-12 shrink-0"
              aria-hidden="true"
              fill="none"
              stroke="var(--ink)"
              strokeWidth="4"
              strokeLinecap="round"
            >
              <circle cx="34" cy="16" r="8" fill="var(--ink)" />
              <path d="M34 26v36M34 62l-10 34M34 62l10 34" />
              <path d={arms} />
            </svg>
            <span>
              <strong>{name}.</strong> {text}
            </span>
          </li>
        ))}
      </ul>
      <h3 className="mt-3 text-[17px]">Guide lights on the instrument</h3>
      <p>
        Two colours, one for each side of the line of sight. Only one colour: walk toward the other until both are seen. Both by turns: the pole is on the line.
        Which colour is which side differs between instruments: walk across once and look. On most, a quick flash says that the prism is locked and a slow one
        that it is lost; without lock the figures here stand still and are called old.
      </p>
      <h3 className="mt-3 text-[17px]">With somebody at the telescope</h3>
      <p>
        The vertical hair keeps the direction; the horizontal one is for heights alone. Whoever looks through calls the pole’s left and right, not his own:
        facing each other, one’s right is the other’s left.
      </p>
      <PaceCount />
      <h3 className="mt-3 text-[17px]">What the figures mean</h3>
      <p>
        Each figure is the move still to make, with its direction in words; there are no plus or minus signs to interpret. Circle readings grow clockwise, so
        “turn right” makes them bigger. Grey last digits are finer than the reading is good: a single careful shot decides, not they.
      </p>
    </Dialog>
  );
}

/** So many paces to a mark, by one's own: the nearer the first shot, the fewer are needed. */
function PaceCount() {
  const { who } = useSite();
  const units = useUnits();
  const [pace, setPace] = usePaceLength(who);
  const [distance, setDistance] = useState('');
  const [steps, setSteps] = useState('');
  const [length, count] = [units.readLength(distance), Number(steps)];
  const counted = length !== null && length > 0 && count >= 5 ? length / count : null;
  return (
    <section className="mt-3">
      <h3 className="text-[17px]">Pacing</h3>
      <p className="text-ink2">
        {pace === null
          ? 'Walk a taped distance at your usual step and count.'
          : `Your pace is ${units.length(pace, 2)} ${units.unit}: the way to each mark is told in paces too.`}
      </p>
      <div className="mt-1 flex flex-wrap items-end gap-3">
        <Field label="Taped" unit={units.unit} value={distance} inputMode="decimal" className="w-28" onChange={(event) => setDistance(event.target.value)} />
        <Field label="Paces" value={steps} inputMode="numeric" className="w-24" onChange={(event) => setSteps(event.target.value)} />
        <Button disabled={counted === null} onClick={() => setPace(counted)}>
          That is my pace
        </Button>
      </div>
    </section>
  );
}
