import { isUnsteady, type AcceptedSolution, figuresOf } from '@idle-marker/records';
import { msg, checkabilityWords, smallLength, thenWords, unnoticedSubject, unnoticedWords } from '@idle-marker/words';

import type { AcceptedStationModel } from './useAcceptedStation.ts';
import type { FactBody } from '@idle-marker/contract';

const METHOD_SAID: Readonly<Record<FactBody<'solution'>['method'], (over: string, marks: number) => string>> = {
  resection: (_, marks) => msg('station.freeStationMarksInPlan', { marks }),
  overMark: (over, marks) => msg('station.over', { over, backsights: marks - 1 }),
  carried: (over) => msg('station.overCarriedForwardFromTheStationBefore', { over }),
  assumed: (over) => msg('station.overDirectionAssumedNothingTestsIt', { over }),
  onLines: () => msg('station.freeStationFromPointsOnDrawnLines'),
  heightOnly: () => msg('station.heightsAlone'),
  paired: () => msg('station.heightsWithThePlanFromAReceiver'),
};

export function StationFacts({
  model,
  solution,
}: { readonly model: AcceptedStationModel } & Pick<
  {
    solution: AcceptedSolution;
    onSightMore(): void;
    onNew(over: string | null): void;
  },
  'solution'
>) {
  const { units, naming, out, check, fallen, stoodOver, heightFrom, marks } = model;
  return (
    <dl className="mt-2 grid grid-cols-[auto_1fr] gap-x-4 gap-y-1.5">
      <dt className="text-ink2">{msg('common.station')}</dt>
      <dd>{METHOD_SAID[solution.fact.body.method](stoodOver ?? '?', marks)}</dd>
      <dt className="text-ink2">{msg('station.orientation')}</dt>
      <dd className="figures">
        {msg('station.atCircleZero', { angle: units.angle(figuresOf(solution.fact).orientation) })}
      </dd>
      <dt className="text-ink2">{msg('common.height')}</dt>
      <dd>
        {figuresOf(solution.fact).sdAxis === null
          ? msg('station.nonePlanOnly')
          : msg('station.tiltingAxisGoodTo95', {
              smallLength: smallLength(1.96 * (figuresOf(solution.fact).sdAxis ?? 0), units.lengthUnit),
              heightFrom,
            })}
      </dd>
      {check && (
        <>
          <dt className="text-ink2">{msg('common.checked')}</dt>
          <dd>
            {checkabilityWords()[check.now].title}. {checkabilityWords()[check.now].text}{' '}
            {check.byRulesOfThen && !fallen && thenWords(check.then, check.now)}
            {check.worst && !fallen && (
              <span className="block text-[13px] text-ink2">
                {unnoticedSubject(check.worst, naming)}: {unnoticedWords(check.worst, naming)}
              </span>
            )}
          </dd>
        </>
      )}
      <dt className="text-ink2">{msg('common.leftOut2')}</dt>
      <dd>{out.length === 0 ? 'nothing' : out.join(', ')}</dd>
      <dt className="text-ink2">{msg('station.ground')}</dt>
      <dd>
        {solution.occupation.body.ground}
        {isUnsteady(solution.occupation.body) && msg('station.aProofLasts30MinutesAtMost')}
      </dd>
    </dl>
  );
}
