import { expectedReading, RADIANS_PER_DEGREE, wrapHalfTurn, wrapTurn } from '@idle-marker/core';
import type { FactBody } from '@idle-marker/contract';
import { reductionFrom, setupOf, stationOfSolution, type AcceptedSolution } from '@idle-marker/records';
import { msg } from '@idle-marker/words';
import { currentLink, useLinkState } from '../link/linkStore.ts';
import { useSite } from '../site/SiteContext.tsx';
import { useUnits } from '../field/useUnits.ts';
import { Button } from '../ui/Button.tsx';
import { usePaceLength } from './ways.ts';

/** What to set on the circle and to read as distance for the mark: enough to stake by angle and distance alone. */
export function TurnLine({
  solution,
  plan,
}: {
  solution: AcceptedSolution;
  plan: FactBody<'package'>['plans'][number];
}) {
  const { state, who } = useSite();
  const [pace] = usePaceLength(who);
  const units = useUnits();
  const link = useLinkState();
  const station = stationOfSolution(solution.fact.body.result);
  const target = { ...plan.place, z: plan.designZ };
  const expected = expectedReading(
    station,
    setupOf(solution.occupation.body),
    reductionFrom(state, solution),
    target,
    link?.pole.targetHeight ?? 0,
  );
  const circle = wrapTurn(expected.azimuth - station.orientation);
  const turn =
    link?.kind === 'simulator' && link.setUp ? wrapHalfTurn(circle - link.circleDeg * RADIANS_PER_DEGREE) : null;
  return (
    <p className="mt-2 flex flex-wrap items-center gap-x-4 text-[14px]">
      <span>
        {msg('pole.circle')} <strong className="figures">{units.angle(circle)}</strong>
      </span>
      <span>
        {msg('common.levelDistance')}{' '}
        <strong className="figures">
          {units.length(expected.horizontal)} {units.unit}
        </strong>
      </span>
      {pace !== null && <span>{msg('pole.paces2', { horizontal: Math.round(expected.horizontal / pace) })}</span>}
      {turn !== null && (
        <span>
          {Math.abs(turn) < 1e-5 ? (
            msg('pole.onTheLine')
          ) : (
            <>
              {msg('pole.turn')} <strong className="figures">{units.angle(Math.abs(turn))}</strong>{' '}
              {turn > 0 ? 'right' : 'left'}
            </>
          )}
        </span>
      )}
      {turn !== null && (
        <Button
          look="quiet"
          onClick={() => currentLink()?.turn(circle / RADIANS_PER_DEGREE, expected.zenith / RADIANS_PER_DEGREE)}
        >
          {msg('pole.turnThere')}
        </Button>
      )}
    </p>
  );
}
