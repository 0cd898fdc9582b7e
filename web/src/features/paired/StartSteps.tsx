import { useMemo, useState } from 'react';
import { Link } from 'react-router';
import { fitsByChance, partsLeft } from '@idle-marker/core';
import { heightDraft, pairedBodies } from '@idle-marker/records';
import { smallLength } from '@idle-marker/words';
import { newId } from '../../data/uuid.ts';
import { useSite } from '../../site/SiteContext.tsx';
import { useUnits } from '../../field/useUnits.ts';
import { Button } from '../../ui/Button.tsx';
import { Choice } from '../../ui/Field.tsx';
import { Card } from '../../ui/Slip.tsx';
import { LINK } from '../../ui/link.ts';
import { planPromise, type PairedNow, type PairedSet } from '../../pole/usePaired.ts';

interface StartStepsProps {
  readonly set: PairedSet;
  readonly now: PairedNow | null;
  onPair(): void;
}

/** How to begin: the receiver leads, then the instrument joins. In the other order neither knows of the other. */
export function StartSteps({ set, now, onPair }: StartStepsProps) {
  const { id, state, say } = useSite();
  const units = useUnits();
  const [out, setOut] = useState<ReadonlySet<string>>(new Set());
  const draft = useMemo(() => heightDraft(state, set.occupation, out), [state, set.occupation, out]);
  const result = draft.outcome?.ok ? draft.outcome.value : null;
  const poor = result !== null && (result.points.some(({ leaveOneOutHeight }) => leaveOneOutHeight?.exceeds) || !fitsByChance(result.height.fit));
  const faults = now?.faults ?? [];
  const has = (...codes: readonly string[]) => faults.some(({ code }) => codes.includes(code));
  const on = now !== null && !has('NO_RECEIVER');
  const [chosen, choose] = useState<string | null>(null);
  const promised = now ? planPromise(now.place) : null;
  // The finest that the receiver can promise; the widest while that is not known.
  const byPlan = [...state.classes].sort((a, b) => a.plan - b.plan);
  const classId = chosen ?? (byPlan.find(({ plan }) => promised !== null && promised <= plan) ?? byPlan.at(-1)!).id;
  const steps = [
    { done: on && !has('NOT_FIXED', 'CORRECTIONS_OLD'), what: 'Begin with the receiver: on, corrections coming in, fixed' },
    { done: on && !has('COMPENSATING'), what: 'Its tilt compensation is off' },
    { done: set.pairing !== null && !has('POLE_CHANGED'), what: 'Receiver and prism are one pair: offset and both heights agree' },
    { done: result !== null, what: 'The instrument has sighted a benchmark' },
    { done: draft.benchmarks > 1 && !poor, what: 'And a second one, which checks the first' },
  ];
  const ready = set.pairing !== null && result !== null && !poor;
  const begin = async () => {
    const bodies = set.pairing && pairedBodies(state, set.occupation, set.pairing, draft, classId);
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
      {draft.groups.length > 0 && (
        <ul className="mt-3" aria-label="Benchmarks">
          {[...new Set(draft.groups.map((group) => group.mark))].map((mark) => {
            const point = result?.points.find((each) => each.name === mark);
            const name = state.control.find(({ id: each }) => each === mark)?.revision.body.name ?? '?';
            const off = point?.dZ ?? null;
            return (
              <li key={mark} className={`flex items-center justify-between border-b border-rule ${point?.leaveOneOutHeight?.exceeds ? 'text-brick' : ''}`}>
                <span>
                  <strong>{name}</strong> {off !== null && `off ${smallLength(off, units.lengthUnit)}`}
                </span>
                <Button
                  look="quiet"
                  aria-pressed={!out.has(mark)}
                  aria-label={`${name} is ${out.has(mark) ? 'left out' : 'used'}`}
                  onClick={() => setOut((before) => new Set(before.has(mark) ? [...before].filter((each) => each !== mark) : [...before, mark]))}
                >
                  {out.has(mark) ? 'left out' : 'used'}
                </Button>
              </li>
            );
          })}
        </ul>
      )}
      {poor && (
        <Card tone="brick" title="The benchmarks do not agree">
          Is it the right spot, and the height that is written there? Sight them again, then leave one out.
        </Card>
      )}
      <Choice
        className="mt-3"
        label="It is proved for work of class"
        value={classId}
        options={state.classes.map(
          (each) => [each.id, `${each.name}: ${smallLength(each.plan, units.lengthUnit)} plan, ${smallLength(each.height, units.lengthUnit)} height`] as const,
        )}
        onChange={choose}
        help={promised === null ? undefined : `The receiver promises ${smallLength(promised, units.lengthUnit)} in plan (95 %).`}
      />
      <Button look="primary" className="mt-3" disabled={!ready} onClick={() => void begin()}>
        Begin with {draft.benchmarks === 1 ? 'one benchmark' : `${draft.benchmarks} benchmarks`}
      </Button>
      <p className="mt-1 text-[13px] text-ink2">
        {draft.benchmarks === 1
          ? 'With one benchmark the heights are provisional until a second one is proved with the pole.'
          : height
            ? 'Then put the pole on a mark that is known in plan, before the first mark is set.'
            : 'Heights come once the instrument follows the prism.'}
      </p>
    </section>
  );
}
