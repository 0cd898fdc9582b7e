import { useState } from 'react';
import { Link } from 'react-router';
import { partsLeft } from '@idle-marker/core';
import { pairedBodies } from '@idle-marker/records';
import { smallLength } from '@idle-marker/words';
import { newId } from '../../ledger/uuid.ts';
import { useSite } from '../../site/SiteContext.tsx';
import { useUnits } from '../../site/useUnits.ts';
import { Button } from '../../ui/Button.tsx';
import { Choice } from '../../ui/Field.tsx';
import { LINK } from '../../ui/link.ts';
import { planPromise, type PairedNow, type PairedSet } from './usePaired.ts';

interface StartStepsProps {
  readonly set: PairedSet;
  readonly now: PairedNow | null;
  onPair(): void;
}

/** How to begin: the receiver leads, then the instrument joins. In the other order neither knows of the other. */
export function StartSteps({ set, now, onPair }: StartStepsProps) {
  const { id, state, say } = useSite();
  const units = useUnits();
  const faults = now?.faults ?? [];
  const has = (...codes: readonly string[]) => faults.some(({ code }) => codes.includes(code));
  const on = now !== null && !has('NO_RECEIVER');
  const [chosen, choose] = useState<string | null>(null);
  const promised = now ? planPromise(now.place) : null;
  // The finest that the receiver can promise; the widest while that is not known.
  const byPlan = [...state.settings.classes].sort((a, b) => a.planMm - b.planMm);
  const classId = chosen ?? (byPlan.find(({ planMm }) => promised !== null && promised <= planMm / 1000) ?? byPlan.at(-1)!).id;
  const steps = [
    { done: on && !has('NOT_FIXED', 'CORRECTIONS_OLD'), what: 'Begin with the receiver: on, corrections coming in, fixed' },
    { done: on && !has('COMPENSATING'), what: 'Its tilt compensation is off' },
    { done: set.pairing !== null && !has('POLE_CHANGED'), what: 'Receiver and prism are one pair: offset and both heights agree' },
    { done: set.axis !== null, what: 'The instrument has sighted a benchmark' },
    { done: set.draft.benchmarks > 1, what: 'And a second one, which checks the first' },
  ];
  const ready = set.pairing !== null && set.axis !== null;
  const begin = async () => {
    const bodies = set.pairing && pairedBodies(state, set.occupation, set.pairing, set.draft, classId);
    if (!bodies) return;
    const solution = newId();
    await say({ type: 'solution', id: solution, body: bodies.solution }, { type: 'decision', body: { solution, ...bodies.decision } });
  };
  const height = partsLeft(faults).height;
  return (
    <section aria-label="To begin">
      <h2 className="text-[15px]">To begin</h2>
      <ol>
        {steps.map(({ done, what }, i) => (
          <li key={what} className="flex gap-2 border-b border-rule py-1.5">
            <span className={`figures w-6 flex-none font-semibold ${done ? 'text-good' : 'text-ink2'}`} aria-hidden="true">
              {done ? '✓' : `${i + 1}.`}
            </span>
            <span className={done ? 'text-ink2' : ''}>
              {what}
              {done && <span className="sr-only">, done</span>}
            </span>
          </li>
        ))}
      </ol>
      <div className="mt-3 flex flex-wrap items-center gap-3">
        <Button onClick={onPair}>{set.pairing ? 'Change the pair…' : 'Pair receiver and prism…'}</Button>
        <Link className={LINK} to={`/sites/${id}/station`}>
          {set.axis ? 'Sight another benchmark' : 'Sight a benchmark'}
        </Link>
      </div>
      <Choice
        className="mt-3"
        label="It is proved for work of class"
        value={classId}
        options={state.settings.classes.map(
          (each) =>
            [
              each.id,
              `${each.name}: ${smallLength(each.planMm / 1000, units.lengthUnit)} plan, ${smallLength(each.heightMm / 1000, units.lengthUnit)} height`,
            ] as const,
        )}
        onChange={choose}
        help={promised === null ? undefined : `The receiver promises ${smallLength(promised, units.lengthUnit)} in plan (95 %).`}
      />
      <Button look="primary" className="mt-3" disabled={!ready} onClick={() => void begin()}>
        Begin with {set.draft.benchmarks === 1 ? 'one benchmark' : `${set.draft.benchmarks} benchmarks`}
      </Button>
      <p className="mt-1 text-[13px] text-ink2">
        {set.draft.benchmarks === 1
          ? 'With one benchmark the heights are provisional until a second one is proved with the pole.'
          : height
            ? 'Then put the pole on a mark that is known in plan, before the first mark is set.'
            : 'Heights come once the instrument follows the prism.'}
      </p>
    </section>
  );
}
