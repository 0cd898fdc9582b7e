/** A resection in numbers: its sights as the adjustment sees them, and what it would measure at a point. */
import type { Metres } from '../quantity/unit.ts';
import type { ControlPoint } from '../sight/observation.ts';
import type { ReducedObservation } from '../sight/reduce.ts';
import type { PlanSight, PlanSolution } from './planAdjustment.ts';

export interface PlanProblem {
  readonly byName: ReadonlyMap<string, ControlPoint>;
  /** Local origin: keeps the adjustment's numbers small. */
  readonly originE: Metres;
  readonly originN: Metres;
}

export function sightOf(problem: PlanProblem, observation: ReducedObservation): PlanSight {
  const point = problem.byName.get(observation.point)!;
  return {
    e: point.e! - problem.originE,
    n: point.n! - problem.originN,
    hz: observation.useDirection ? observation.hz : NaN,
    distance: observation.gridDistance ?? NaN,
    horizontal: observation.horizontal ?? NaN,
    varDirection: observation.varDirection,
    varRadial: observation.varRadial,
    varPlace: observation.targetCentringSd ** 2 + (point.sdPlan ?? 0) ** 2,
  };
}

/**
 * a (A'PA)⁻¹ a' for one row of the design matrix; `a3` counts with a free scale only. Written out: it runs for every
 * observation.
 */
export function quadratic({ inverse: c, size }: PlanSolution, a0: number, a1: number, a2: number, a3: number): number {
  const plan =
    a0 * a0 * c[0]! +
    a1 * a1 * c[size + 1]! +
    a2 * a2 * c[2 * size + 2]! +
    2 * (a0 * a1 * c[1]! + a0 * a2 * c[2]! + a1 * a2 * c[size + 2]!);
  return size === 3 ? plan : plan + a3 * a3 * c[15]! + 2 * a3 * (a0 * c[3]! + a1 * c[7]! + a2 * c[11]!);
}

/** Mean difference measured - listed of a point over its observations with slope, from a solution. */
export function differenceAt(
  problem: PlanProblem,
  observations: readonly ReducedObservation[],
  name: string,
  solution: PlanSolution,
) {
  const point = problem.byName.get(name)!;
  if (point.e === null || point.n === null) return null;
  let count = 0;
  let dE = 0;
  let dN = 0;
  for (const observation of observations) {
    if (observation.point !== name || observation.gridDistance === null) continue;
    count++;
    const t = solution.orientation + observation.hz;
    const distance = solution.scale * observation.gridDistance;
    dE += solution.e + distance * Math.sin(t) - (point.e - problem.originE);
    dN += solution.n + distance * Math.cos(t) - (point.n - problem.originN);
  }
  return count === 0 ? null : { dE: dE / count, dN: dN / count };
}

/** Covariance of `differenceAt` for sights that the solution did not use. */
export function predictionCovariance(solution: PlanSolution, own: readonly ReducedObservation[], sdPlan: Metres) {
  const count = own.length;
  const je = [1, 0, 0, 0];
  const jn = [0, 1, 0, 0];
  let ee = sdPlan ** 2;
  let nn = sdPlan ** 2;
  let en = 0;
  for (const observation of own) {
    const t = solution.orientation + observation.hz;
    const sine = Math.sin(t);
    const cosine = Math.cos(t);
    const distance = solution.scale * observation.gridDistance!;
    je[2]! += (distance * cosine) / count;
    jn[2]! -= (distance * sine) / count;
    je[3]! += (observation.gridDistance! * sine) / count;
    jn[3]! += (observation.gridDistance! * cosine) / count;
    const centring = observation.targetCentringSd ** 2;
    const radial = (observation.varRadial + centring) / count ** 2;
    const lateral = (observation.horizontal! ** 2 * observation.varDirection + centring) / count ** 2;
    ee += sine * sine * radial + cosine * cosine * lateral;
    nn += cosine * cosine * radial + sine * sine * lateral;
    en += sine * cosine * (radial - lateral);
  }
  for (let i = 0; i < solution.size; i++) {
    for (let j = 0; j < solution.size; j++) {
      const c = solution.inverse[i * solution.size + j]!;
      ee += je[i]! * c * je[j]!;
      nn += jn[i]! * c * jn[j]!;
      en += je[i]! * c * jn[j]!;
    }
  }
  return { ee, nn, en };
}
