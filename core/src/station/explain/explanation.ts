/** A station as it is, and what one explanation of its misfit is weighed by. */
import type { Metres, Radians } from '../../quantity/unit.ts';
import type { ControlPoint } from '../../sight/observation.ts';
import type { ReducedObservation } from '../../sight/reduce.ts';
import { isUsedInPlan, solutionWithout, type FreeStation, type ResectionInput } from '../freeStation.ts';
import { contributions, weightedMean } from '../heightAdjustment.ts';
import { planPrecisionOf } from '../measuredPoint.ts';
import { adjustPlan, countObservations, type PlanSolution } from '../planAdjustment.ts';
import { differenceAt, sightOf, type PlanProblem } from '../planProblem.ts';
import { fitUnder } from './noise.ts';

export type ExplanationFigures =
  | { readonly code: 'NONE' | 'POINTS_SWAPPED' | 'POINT_MISNAMED' }
  /** Measured minus listed. */
  | { readonly code: 'MARK_MOVED_PLAN'; readonly dE: Metres; readonly dN: Metres }
  | { readonly code: 'MARK_MOVED_HEIGHT'; readonly dZ: Metres }
  /** What has to be added to every slope. */
  | { readonly code: 'PRISM_CONSTANT'; readonly constant: Metres }
  /** As given, minus what fits. */
  | { readonly code: 'TARGET_HEIGHT'; readonly error: Metres }
  /** What every slope has to be multiplied by. */
  | { readonly code: 'LENGTH_UNIT'; readonly factor: number }
  /** What every grid distance has to be multiplied by, less one. */
  | { readonly code: 'SCALE'; readonly ratio: number }
  /** As read, minus what fits. */
  | { readonly code: 'DIRECTION_READING'; readonly circleError: Radians };
export type ExplanationCode = ExplanationFigures['code'];

export interface Explanation {
  readonly code: ExplanationCode;
  /** Marks it is about; for a wrong name the name given, then the name that fits. */
  readonly points: readonly string[];
  readonly figures: ExplanationFigures;
  /** v'Pv of plan and of height under it. */
  readonly plan: number;
  readonly height: number;
  /** Which parts it changes. */
  readonly part: 'plan' | 'height' | 'both';
  /** Estimated parameters, and degrees of freedom that remain. */
  readonly parameters: number;
  readonly dofPlan: number;
  readonly dofHeight: number;
  /** What the many alternatives and the estimated sizes cost, on the scale of 2 ln of a likelihood. */
  readonly cost: number;
  /** How badly the whole fits under it, the scale of the noise unknown, plus its cost; smaller is better. */
  readonly score: number;
  /** Where the station would be under it, and its 95 % radius; null where that does not come out. */
  readonly stands: StandsAt | null;
}

/** A station's place and orientation under one explanation. */
export interface StandsAt {
  readonly e: Metres;
  readonly n: Metres;
  readonly orientation: Radians;
  readonly radius95: Metres;
}

export interface Station0 {
  readonly free: FreeStation;
  readonly input: ResectionInput;
  readonly reduced: readonly ReducedObservation[];
  readonly byName: ReadonlyMap<string, ControlPoint>;
  /** Every listed mark: any of them may be the one that was really sighted. */
  readonly listed: readonly ControlPoint[];
  readonly origin: { readonly e: Metres; readonly n: Metres };
  /** Names sighted and used in plan or height. */
  readonly used: readonly string[];
  readonly usedInPlan: readonly string[];
  readonly none: Explanation;
}

export const problemOf = (byName: ReadonlyMap<string, ControlPoint>, origin: Station0['origin']): PlanProblem => ({
  byName,
  originE: origin.e,
  originN: origin.n,
});

export function adjusted(
  reduced: readonly ReducedObservation[],
  problem: PlanProblem,
  freeScale: boolean,
  directionOut: ReducedObservation | null = null,
): PlanSolution | null {
  const sights = reduced.filter(isUsedInPlan).map((each) => {
    const sight = sightOf(problem, each);
    return each === directionOut ? { ...sight, hz: NaN } : sight;
  });
  const result = adjustPlan(sights, freeScale);
  return result.ok ? result.value : null;
}

export function heightSum(
  reduced: readonly ReducedObservation[],
  byName: ReadonlyMap<string, ControlPoint>,
  input: ResectionInput,
): { readonly sum: number; readonly dof: number } {
  const list = contributions(reduced, byName, input.setup);
  if (list.length < 2) return { sum: 0, dof: 0 };
  const { mean } = weightedMean(list);
  let sum = 0;
  for (const { stationZ, variance } of list) sum += (mean - stationZ) ** 2 / variance;
  return { sum, dof: list.length - 1 };
}

const logCount = (alternatives: number): number => 2 * Math.log(Math.max(1, alternatives));

const standsAt = (solution: PlanSolution, origin: Station0['origin']): StandsAt => ({
  e: solution.e + origin.e,
  n: solution.n + origin.n,
  orientation: solution.orientation,
  radius95: planPrecisionOf({
    ee: solution.inverse[0]!,
    nn: solution.inverse[solution.size + 1]!,
    en: solution.inverse[1]!,
  }).ellipse95.a,
});

/** The station as it is, without any explanation; plan infinite when it does not converge. */
export function station0(free: FreeStation, listed: readonly ControlPoint[]): Station0 {
  const { input, reduced, byName, names, sights, solved } = free;
  const origin = { e: free.originE, n: free.originN };
  const height = heightSum(reduced, byName, input);
  const plan = solved.ok ? solved.value.sumOfSquares : Infinity;
  const dofPlan = countObservations(sights) - (input.freeScale ? 4 : 3);
  return {
    free,
    input,
    reduced,
    byName,
    listed,
    origin,
    used: [...new Set([...names, ...reduced.filter((each) => each.useHeight).map((each) => each.point)])],
    usedInPlan: names,
    none: {
      code: 'NONE',
      points: [],
      figures: { code: 'NONE' },
      plan,
      height: height.sum,
      part: 'both',
      parameters: 0,
      dofPlan,
      dofHeight: height.dof,
      cost: 0,
      score: fitUnder(plan + height.sum, dofPlan + height.dof),
      stands: solved.ok ? standsAt(solved.value, origin) : null,
    },
  };
}

export interface Found {
  readonly figures: ExplanationFigures;
  readonly points?: readonly string[];
  readonly plan?: number;
  readonly height?: number;
  readonly part: Explanation['part'];
  readonly parameters?: number;
  readonly dofHeight?: number;
  readonly alternatives: number;
  readonly price?: number;
  /** Where the plan comes out under it; not given: as it is. */
  readonly solution?: PlanSolution;
}

export function explanation({ none, origin }: Station0, found: Found): Explanation {
  const plan = found.plan ?? found.solution?.sumOfSquares ?? none.plan;
  const height = found.height ?? none.height;
  const parameters = found.parameters ?? 0;
  const dofPlan = none.dofPlan - (found.part === 'height' ? 0 : parameters);
  const dofHeight = found.dofHeight ?? none.dofHeight - (found.part === 'height' ? parameters : 0);
  const cost = logCount(found.alternatives) + (found.price ?? 0);
  return {
    code: found.figures.code,
    points: found.points ?? [],
    figures: found.figures,
    plan,
    height,
    part: found.part,
    parameters,
    dofPlan,
    dofHeight,
    cost,
    score: fitUnder(plan + height, dofPlan + dofHeight) + cost,
    stands: found.solution ? standsAt(found.solution, origin) : none.stands,
  };
}

/** One mark, or all marks of one place, without their sights in plan: where they would be from the rest. */
export interface WithoutMark {
  readonly names: readonly string[];
  readonly own: readonly ReducedObservation[];
  readonly solution: PlanSolution;
  /** v'Pv of the rest, and how far the mark's own sights disagree among themselves. */
  readonly rest: number;
}

export function withoutMark(station: Station0, names: readonly string[]): WithoutMark | null {
  const { free, byName, origin, input } = station;
  const own = free.used.filter((each) => names.includes(each.point));
  if (own.length === 0 || own.some((each) => each.slope === null || !each.useDirection)) return null;
  const solution = solutionWithout(free, names);
  if (!solution) return null;
  if (own.length === 1) return { names, own, solution, rest: solution.sumOfSquares };
  // Repeats keep what they say of each other: the mark is put where they measure it, and all are adjusted together.
  const shift = meanShift(station, names, own, solution);
  const moved = new Map(byName);
  for (const name of names) {
    const point = byName.get(name)!;
    moved.set(name, { ...point, e: point.e! + shift.dE, n: point.n! + shift.dN });
  }
  const together = adjusted(station.reduced, problemOf(moved, origin), input.freeScale);
  return { names, own, solution, rest: together?.sumOfSquares ?? solution.sumOfSquares };
}

/** How far the marks of a place lie from where they are listed, on average, seen from a solution. */
export function meanShift(
  { free }: Station0,
  names: readonly string[],
  own: readonly ReducedObservation[],
  solution: PlanSolution,
) {
  const each = names.map((name) => differenceAt(free, own, name, solution)!);
  return {
    dE: each.reduce((sum, { dE }) => sum + dE, 0) / each.length,
    dN: each.reduce((sum, { dN }) => sum + dN, 0) / each.length,
  };
}
