/**
 * The smallest mistake at each mark that a station would notice: precision says how tight, this says how checkable.
 * Source: Baarda, "A Testing Procedure for Use in Geodetic Networks" (1968); Caspary, "Concepts of Network and Deformation
 * Analysis" (one point, two dimensions).
 */
import { chiSquareProbability } from '../adjust/chiSquare.ts';
import { CRITICAL_T, DETECTABLE_NONCENTRALITY } from '../adjust/criticalValues.ts';
import { ellipseOf } from '../adjust/ellipse.ts';
import type { Metres } from '../quantity/unit.ts';
import type { ResectionResult } from './resection.ts';

const POWER = 0.8;

/** P(X > critical) of the non-central chi-square with two degrees of freedom, as a Poisson mixture of central ones. */
function power(noncentrality: number): number {
  let weight = Math.exp(-noncentrality / 2);
  let below = 0;
  for (let j = 0; j < 200; j++) {
    below += weight * chiSquareProbability(CRITICAL_T, 2 + 2 * j);
    weight *= noncentrality / 2 / (j + 1);
  }
  return 1 - below;
}

/** Non-centrality at which a shift in two dimensions is found with a power of 0.80 at a level of 0.001. */
function planNoncentrality(): number {
  let low = 1;
  let high = 60;
  for (let i = 0; i < 60; i++) {
    const middle = (low + high) / 2;
    if (power(middle) < POWER) low = middle;
    else high = middle;
  }
  return (low + high) / 2;
}
const PLAN_NONCENTRALITY = planNoncentrality();

export interface SmallestNoticed {
  readonly name: string;
  /** Shift in its least noticed direction; null when nothing checks the mark. */
  readonly plan: Metres | null;
  readonly height: Metres | null;
}

export function smallestNoticed(result: ResectionResult): SmallestNoticed[] {
  const inPlan = new Set(result.observations.filter((each) => each.direction || each.distance).map((each) => each.reduced.point));
  const inHeight = new Set(result.observations.filter((each) => each.height).map((each) => each.reduced.point));
  return result.points
    .filter((point) => inPlan.has(point.name) || inHeight.has(point.name))
    .map((point) => ({
      name: point.name,
      plan:
        point.leaveOneOut &&
        Math.sqrt(PLAN_NONCENTRALITY) * ellipseOf(point.leaveOneOut.covariance.ee, point.leaveOneOut.covariance.nn, point.leaveOneOut.covariance.en).a,
      height: point.leaveOneOutHeight && DETECTABLE_NONCENTRALITY * point.leaveOneOutHeight.sd,
    }));
}
