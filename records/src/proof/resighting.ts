/** A set mark sighted again: is it still where it was measured when it was set? */
import type { Result, StationError } from '@idle-marker/core';
import type { Fact } from '@idle-marker/contract';
import { compareSight, type ProofJudgement } from './proving.ts';
import type { AcceptedSolution, SiteState } from '../site/state.ts';
import { classOf } from '../site/toleranceClass.ts';

/**
 * Judges a sight to a set mark by the class of the mark. The comparison is with where it was measured, not with where
 * it was planned; a hub whose top was never shot has no height to compare.
 */
export function judgeResight(
  state: SiteState,
  solution: AcceptedSolution,
  mark: Fact<'mark'>,
  sight: Fact<'sight'>,
): Result<ProofJudgement, StationError> {
  const asked = classOf(state, mark.body.class);
  const { e, n } = mark.body.place;
  const point = { name: mark.body.name, e, n, z: mark.body.hubZ, sdPlan: null, sdHeight: null };
  return compareSight(state, solution, sight, point, {
    plan: asked.plan,
    height: mark.body.hubZ === null ? null : asked.height,
  });
}
