/** From a shot at the pole to where it is against a planned mark. */
import { stake, type Reading, type Result, type StakeResult, type StationError } from '@idle-marker/core';
import type { FactBody } from '@idle-marker/contract';
import { precisionOf, reductionFrom, setupOf, stationOfSolution } from './observations.ts';
import type { AcceptedSolution, SiteState } from './state.ts';

export const stakeAt = (
  state: SiteState,
  solution: AcceptedSolution,
  plan: FactBody<'package'>['plans'][number],
  reading: Reading,
): Result<StakeResult, StationError> =>
  stake({
    instrument: precisionOf(solution.occupation.body),
    station: stationOfSolution(solution.fact.body.result),
    setup: setupOf(solution.occupation.body),
    reduction: reductionFrom(state, solution),
    target: { ...plan.place, z: plan.designZ },
    reading,
  });
