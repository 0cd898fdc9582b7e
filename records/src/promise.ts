/** What an accepted station can promise at the marks of a package, pole included. */
import { NORMAL_95_FACTOR, predictAt, type Metres, type PoleSet } from '@idle-marker/core';
import type { Fact } from '@idle-marker/contract';
import { precisionOf, reductionOf, setupOf, stationOfSolution } from './observations.ts';
import type { AcceptedSolution, SiteState } from './state.ts';

export interface Promised {
  /** Largest semi-major axis of the 95 % ellipses at its marks. */
  readonly worst: Metres;
  /** Marks at which plan and height meet the package's class, of how many. */
  readonly good: number;
  readonly marks: number;
}

export function promiseFor(state: SiteState, solution: AcceptedSolution, work: Fact<'package'>, pole: PoleSet): Promised {
  const { body } = solution.occupation;
  const station = stationOfSolution(solution.fact.body.result);
  const asked = state.settings.classes.find((each) => each.id === work.body.class);
  const predictions = work.body.plans.map((plan) =>
    predictAt(station, setupOf(body), precisionOf(body), reductionOf(state.settings), { ...plan.place, z: plan.designZ }, pole),
  );
  const meets = ({ radius95, sdZ }: (typeof predictions)[number]) =>
    !asked || (radius95 * 1000 <= asked.planMm && (sdZ === null || sdZ * 1000 * NORMAL_95_FACTOR <= asked.heightMm));
  return {
    worst: Math.max(0, ...predictions.map((each) => each.radius95)),
    good: predictions.filter(meets).length,
    marks: predictions.length,
  };
}
