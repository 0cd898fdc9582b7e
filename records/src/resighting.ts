/** A set mark sighted again: is it still where it was measured when it was set? */
import { checkPoint, type Result, type StationError } from '@idle-marker/core';
import type { Fact } from '@idle-marker/contract';
import { precisionOf, readingOf, reductionOf, setupOf, stationOfSolution } from './observations.ts';
import { proofOutcome, type ProofJudgement } from './proving.ts';
import type { AcceptedSolution, SiteState } from './state.ts';

/**
 * Judges a sight to a set mark by the class of the mark. The comparison is with where it was measured, not with where it was
 * planned; a hub whose top was never shot has no height to compare.
 */
export function judgeResight(state: SiteState, solution: AcceptedSolution, mark: Fact<'mark'>, sight: Fact<'sight'>): Result<ProofJudgement, StationError> {
  const asked = state.settings.classes.find((each) => each.id === mark.body.class) ?? state.settings.classes[0]!;
  const { e, n } = mark.body.place;
  const result = checkPoint({
    instrument: precisionOf(solution.occupation.body),
    station: stationOfSolution(solution.fact.body.result),
    setup: setupOf(solution.occupation.body),
    reduction: reductionOf(state.settings),
    point: { name: mark.body.name, e, n, z: mark.body.hubZ, sdPlan: null, sdHeight: null },
    reading: readingOf(sight.body),
    limits: { plan: asked.planMm / 1000, height: mark.body.hubZ === null ? null : asked.heightMm / 1000 },
  });
  if (!result.ok) return result;
  const check = result.value;
  return {
    ok: true,
    value: {
      check,
      plan: proofOutcome(check.plan !== null, check.withinPlan, check.plan?.significant ?? false),
      height: proofOutcome(check.height !== null, check.withinHeight, check.height?.significant ?? false),
    },
  };
}
