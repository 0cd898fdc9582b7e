import { useMemo, useState } from 'react';
import { Link } from 'react-router';
import { fitsByChance, partsLeft } from '@idle-marker/core';
import { heightDraft, pairedBodies } from '@idle-marker/records';
import { msg, smallLength } from '@idle-marker/words';
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
  const poor =
    result !== null &&
    (result.points.some(({ leaveOneOutHeight }) => leaveOneOutHeight?.exceeds) || !fitsByChance(result.height.fit));
  const faults = now?.faults ?? [];
  const has = (...codes: readonly string[]) => faults.some(({ code }) => codes.includes(code));
  const on = now !== null && !has('NO_RECEIVER');
  const [chosen, choose] = useState<string | null>(null);
  const promised = now ? planPromise(now.place) : null;
  // The finest that the receiver can promise; the widest while that is not known.
  const byPlan = [...state.classes].sort((a, b) => a.plan - b.plan);
  const classId = chosen ?? (byPlan.find(({ plan }) => promised !== null && promised <= plan) ?? byPlan.at(-1)!).id;
  const steps = [
    { done: on && !has('NOT_FIXED', 'CORRECTIONS_OLD'), what: msg('paired.beginWithTheReceiverOnCorrections') },
    { done: on && !has('COMPENSATING'), what: msg('paired.itsTiltCompensationIsOff') },
    { done: set.pairing !== null && !has('POLE_CHANGED'), what: msg('paired.receiverAndPrismAreOnePairOffset') },
    { done: result !== null, what: msg('paired.theInstrumentHasSightedABenchmark') },
    { done: draft.benchmarks > 1 && !poor, what: msg('paired.andASecondOneWhichChecksThe') },
  ];
  const ready = set.pairing !== null && result !== null && !poor;
  const begin = async () => {
    const bodies = set.pairing && pairedBodies(state, set.occupation, set.pairing, draft, classId);
    if (!bodies) return;
    const solution = newId();
    await say(
      { type: 'solution', id: solution, body: bodies.solution },
      { type: 'decision', body: { solution, ...bodies.decision } },
    );
  };
  const height = partsLeft(faults).height;
  return (
    <section aria-label={msg('paired.toBegin')}>
      <h2 className="text-[15px]">{msg('paired.toBegin')}</h2>
      <ol>
        {steps.map(({ done, what }, i) => (
          <li key={what} className="flex gap-2 border-b border-rule py-1.5">
            <span
              className={`figures w-6 flex-none font-semibold ${done ? 'text-good' : 'text-ink2'}`}
              aria-hidden="true"
            >
              {done ? '✓' : `${i + 1}.`}
            </span>
            <span className={done ? 'text-ink2' : ''}>
              {what}
              {done && <span className="sr-only">{msg('paired.done')}</span>}
            </span>
          </li>
        ))}
      </ol>
      <div className="mt-3 flex flex-wrap items-center gap-3">
        <Button onClick={onPair}>
          {set.pairing ? msg('paired.changeThePair') : msg('paired.pairReceiverAndPrism')}
        </Button>
        <Link className={LINK} to={`/sites/${id}/station`}>
          {set.axis ? msg('common.sightAnotherBenchmark') : msg('paired.sightABenchmark')}
        </Link>
      </div>
      {draft.groups.length > 0 && (
        <ul className="mt-3" aria-label={msg('common.benchmarks')}>
          {[...new Set(draft.groups.map((group) => group.mark))].map((mark) => {
            const point = result?.points.find((each) => each.name === mark);
            const name = state.control.find(({ id: each }) => each === mark)?.revision.body.name ?? '?';
            const off = point?.dZ ?? null;
            return (
              <li
                key={mark}
                className={`flex items-center justify-between border-b border-rule ${point?.leaveOneOutHeight?.exceeds ? 'text-brick' : ''}`}
              >
                <span>
                  <strong>{name}</strong>{' '}
                  {off !== null && msg('paired.off', { smallLength: smallLength(off, units.lengthUnit) })}
                </span>
                <Button
                  look="quiet"
                  aria-pressed={!out.has(mark)}
                  aria-label={msg('paired.is', { name, has: out.has(mark) ? msg('common.leftOut') : 'used' })}
                  onClick={() =>
                    setOut(
                      (before) =>
                        new Set(before.has(mark) ? [...before].filter((each) => each !== mark) : [...before, mark]),
                    )
                  }
                >
                  {out.has(mark) ? msg('common.leftOut') : 'used'}
                </Button>
              </li>
            );
          })}
        </ul>
      )}
      {poor && (
        <Card tone="brick" title={msg('common.theBenchmarksDoNotAgree')}>
          {msg('paired.isItTheRightSpotAndThe')}
        </Card>
      )}
      <Choice
        className="mt-3"
        label={msg('paired.itIsProvedForWorkOfClass')}
        value={classId}
        options={state.classes.map(
          (each) =>
            [
              each.id,
              msg('paired.planHeight', {
                name: each.name,
                smallLength: smallLength(each.plan, units.lengthUnit),
                smallLength2: smallLength(each.height, units.lengthUnit),
              }),
            ] as const,
        )}
        onChange={choose}
        help={
          promised === null
            ? undefined
            : msg('paired.theReceiverPromisesInPlan95', { smallLength: smallLength(promised, units.lengthUnit) })
        }
      />
      <Button look="primary" className="mt-3" disabled={!ready} onClick={() => void begin()}>
        {msg('paired.beginWith', {
          benchmarks:
            draft.benchmarks === 1
              ? msg('paired.oneBenchmark')
              : msg('paired.benchmarks', { benchmarks: draft.benchmarks }),
        })}
      </Button>
      <p className="mt-1 text-[13px] text-ink2">
        {draft.benchmarks === 1
          ? msg('paired.withOneBenchmarkTheHeightsAre')
          : height
            ? msg('paired.thenPutThePoleOnAMark')
            : msg('paired.heightsComeOnceTheInstrumentFollowsThe')}
      </p>
    </section>
  );
}
