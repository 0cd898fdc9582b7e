/** A far, fixed direction aimed at again: has the instrument turned, and would that matter at the work? */
import { planDistance, RADIANS_PER_SECOND, type Metres, type ProofOutcome, type Radians } from '@idle-marker/core';
import type { AcceptedSolution, SiteState } from '../site/state.ts';
import { classOf } from '../site/toleranceClass.ts';

/** Two careful aims differ by more than this many standard deviations once in a thousand. */
const CRITICAL_FACTOR = 3.29 * Math.SQRT2;
/** Where nothing is planned yet, work is thought to reach so far. */
const USUAL_REACH: Metres = 100;

export interface TurnJudgement {
  readonly outcome: ProofOutcome;
  /** How far the turn moves a mark at the far end of the work. */
  readonly shift: Metres;
  readonly reach: Metres;
}

/** Inside the class at the farthest mark it is good, and said when it is more than chance; like any other proof. */
export function judgeTurn(state: SiteState, solution: AcceptedSolution, turn: Radians): TurnJudgement {
  const station = solution.fact.body.result;
  const plans = state.packages.flatMap((work) => work.body.plans.map((plan) => planDistance(station, plan.place)));
  const reach = plans.length === 0 ? USUAL_REACH : Math.max(...plans);
  const shift = Math.abs(turn) * reach;
  const asked = classOf(state, solution.fact.body.class);
  const chance = CRITICAL_FACTOR * solution.occupation.body.instrument.angleSdSec * RADIANS_PER_SECOND;
  const outcome = shift > asked.plan ? 'outside' : Math.abs(turn) > chance ? 'moreThanChance' : 'good';
  return { outcome, shift, reach };
}
