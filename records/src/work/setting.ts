/** From a shot at the pole to where it is against a planned mark. */
import {
  RADIANS_PER_DEGREE,
  rakedAt,
  stake,
  type PlanPoint,
  type Reading,
  type Result,
  type StakeResult,
  type StationError,
} from '@idle-marker/core';
import type { FactBody } from '@idle-marker/contract';
import { precisionOf, reductionFrom, setupOf, stationOfSolution } from '../station/observations.ts';
import type { AcceptedSolution, SiteState } from '../site/state.ts';

type Plan = FactBody<'package'>['plans'][number];

/** Where a leaning pile comes through the ground at a height; its planned place holds at the working level only. */
export const placeAtGround = ({ place, rake, designZ }: Plan, groundZ: number | null): PlanPoint =>
  rake && designZ !== null && groundZ !== null
    ? rakedAt(place, designZ, { azimuth: rake.azimuthDeg * RADIANS_PER_DEGREE, ratio: rake.ratio }, groundZ)
    : place;

/**
 * @param groundZ of the ground where it matters and was shot before, as under a driven hub; the shot's own otherwise
 */
export function stakeAt(
  state: SiteState,
  solution: AcceptedSolution,
  plan: Plan,
  reading: Reading,
  groundZ: number | null = null,
): Result<StakeResult, StationError> {
  const at = (place: PlanPoint) =>
    stake({
      instrument: precisionOf(solution.occupation.body),
      station: stationOfSolution(solution.fact.body.result),
      setup: setupOf(solution.occupation.body),
      reduction: reductionFrom(state, solution),
      target: { e: place.e, n: place.n, z: plan.designZ },
      reading,
    });
  const first = at(plan.place);
  // The ground under the pole says where the axis comes through.
  return first.ok && plan.rake ? at(placeAtGround(plan, groundZ ?? first.value.measured.z)) : first;
}
