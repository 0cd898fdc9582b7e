/**
 * Single explanations of a misfit, each a complete model of its own: plan and height are adjusted again under each one.
 *
 * The two adjustments share no unknown, so their weighted sums of squares add. Every explanation starts from its own
 * corrected sights, so that the true one holds no gross error. Sources: Koch, "Parameter Estimation and Hypothesis Testing
 * in Linear Models"; Teunissen, "Testing Theory"; Baarda, "A Testing Procedure for Use in Geodetic Networks" (1968).
 */
import { wrapHalfTurn } from '../../quantity/angle.ts';
import type { Metres, Radians } from '../../quantity/unit.ts';
import type { ControlPoint } from '../../sight/observation.ts';
import { reduceObservations, type ReducedObservation } from '../../sight/reduce.ts';
import { contributions, leaveOutHeight, weightedMean } from '../heightAdjustment.ts';
import { adjustPlan, countObservations, type PlanSolution } from '../planAdjustment.ts';
import { differenceAt, predictionCovariance, quadratic, sightOf, type PlanProblem } from '../planProblem.ts';
import { isUsedInPlan, type ResectionInput } from '../resection.ts';
import { priceOfDirection, priceOfHeave, priceOfPrism, priceOfScale, priceOfShift, priceOfTargetHeight } from './priors.ts';

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
  /** v'Pv plus what the many alternatives and the estimated sizes cost; smaller is better. */
  readonly score: number;
}

export interface Station0 {
  readonly input: ResectionInput;
  readonly reduced: readonly ReducedObservation[];
  readonly byName: ReadonlyMap<string, ControlPoint>;
  readonly origin: { readonly e: Metres; readonly n: Metres };
  /** Names sighted and used in plan or height. */
  readonly used: readonly string[];
  readonly usedInPlan: readonly string[];
  readonly none: Explanation;
}

const FOOT = 0.3048;

const problemOf = (byName: ReadonlyMap<string, ControlPoint>, origin: Station0['origin']): PlanProblem => ({ byName, originE: origin.e, originN: origin.n });

function adjusted(
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

function heightSum(
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

/** The station as it is, without any explanation; plan infinite when it does not converge. */
export function station0(input: ResectionInput): Station0 {
  const byName = new Map(input.points.map((point) => [point.name, point]));
  const reduced = reduceObservations(input.observations, input.instrument, input.reduction);
  const first = reduced.find(isUsedInPlan);
  const at = first && byName.get(first.point);
  const origin = { e: at?.e ?? 0, n: at?.n ?? 0 };
  const usedInPlan = [...new Set(reduced.filter(isUsedInPlan).map((each) => each.point))];
  const used = [...new Set([...usedInPlan, ...reduced.filter((each) => each.useHeight).map((each) => each.point)])];
  const sights = reduced.filter(isUsedInPlan).map((each) => sightOf(problemOf(byName, origin), each));
  const solution = adjusted(reduced, problemOf(byName, origin), input.freeScale);
  const height = heightSum(reduced, byName, input);
  const plan = solution?.sumOfSquares ?? Infinity;
  return {
    input,
    reduced,
    byName,
    origin,
    used,
    usedInPlan,
    none: {
      code: 'NONE',
      points: [],
      figures: { code: 'NONE' },
      plan,
      height: height.sum,
      part: 'both',
      parameters: 0,
      dofPlan: countObservations(sights) - (input.freeScale ? 4 : 3),
      dofHeight: height.dof,
      score: plan + height.sum,
    },
  };
}

interface Found {
  readonly figures: ExplanationFigures;
  readonly points?: readonly string[];
  readonly plan?: number;
  readonly height?: number;
  readonly part: Explanation['part'];
  readonly parameters?: number;
  readonly dofHeight?: number;
  readonly alternatives: number;
  readonly price?: number;
}

function explanation({ none }: Station0, found: Found): Explanation {
  const plan = found.plan ?? none.plan;
  const height = found.height ?? none.height;
  const parameters = found.parameters ?? 0;
  return {
    code: found.figures.code,
    points: found.points ?? [],
    figures: found.figures,
    plan,
    height,
    part: found.part,
    parameters,
    dofPlan: none.dofPlan - (found.part === 'height' ? 0 : parameters),
    dofHeight: found.dofHeight ?? none.dofHeight - (found.part === 'height' ? parameters : 0),
    score: plan + height + logCount(found.alternatives) + (found.price ?? 0),
  };
}

/** One mark without its sights in plan: where it would be from the rest. */
interface WithoutMark {
  readonly name: string;
  readonly own: readonly ReducedObservation[];
  readonly solution: PlanSolution;
  /** v'Pv of the rest, and how far the mark's own sights disagree among themselves. */
  readonly rest: number;
}

function withoutMark(station: Station0, name: string): WithoutMark | null {
  const own = station.reduced.filter((each) => each.point === name && isUsedInPlan(each));
  if (own.length === 0 || own.some((each) => each.slope === null || !each.useDirection)) return null;
  const rest = station.reduced.filter((each) => each.point !== name);
  if (new Set(rest.filter(isUsedInPlan).map((each) => each.point)).size < 2) return null;
  const problem = problemOf(station.byName, station.origin);
  const solution = adjusted(rest, problem, station.input.freeScale);
  if (!solution) return null;
  if (own.length === 1) return { name, own, solution, rest: solution.sumOfSquares };
  // Repeats keep what they say of each other: the mark is put where they measure it, and all are adjusted together.
  const shift = differenceAt(problem, own, name, solution)!;
  const point = station.byName.get(name)!;
  const moved = new Map(station.byName).set(name, { ...point, e: point.e! + shift.dE, n: point.n! + shift.dN });
  const together = adjusted(station.reduced, problemOf(moved, station.origin), station.input.freeScale);
  return { name, own, solution, rest: together?.sumOfSquares ?? solution.sumOfSquares };
}

function movedInPlan(station: Station0, without: WithoutMark): Explanation {
  const { dE, dN } = differenceAt(problemOf(station.byName, station.origin), without.own, without.name, without.solution)!;
  const { ee, nn, en } = predictionCovariance(without.solution, without.own, station.byName.get(without.name)!.sdPlan ?? 0);
  return explanation(station, {
    figures: { code: 'MARK_MOVED_PLAN', dE, dN },
    points: [without.name],
    plan: without.rest,
    part: 'plan',
    parameters: 2,
    alternatives: station.usedInPlan.length,
    price: priceOfShift(Math.hypot(dE, dN), ee * nn - en * en),
  });
}

function directionWrong(station: Station0, observation: ReducedObservation, alternatives: number): Explanation | null {
  const problem = problemOf(station.byName, station.origin);
  const solution = adjusted(station.reduced, problem, station.input.freeScale, observation);
  if (!solution) return null;
  const sight = sightOf(problem, observation);
  const de = sight.e - solution.e;
  const dn = sight.n - solution.n;
  const squared = de * de + dn * dn;
  const length = observation.horizontal ?? Math.sqrt(squared);
  const circleError = wrapHalfTurn(observation.hz - (Math.atan2(de, dn) - solution.orientation));
  const variance = sight.varDirection + sight.varPlace / (length * length) + quadratic(solution, -dn / squared, de / squared, -1, 0);
  return explanation(station, {
    figures: { code: 'DIRECTION_READING', circleError },
    points: [observation.point],
    plan: solution.sumOfSquares,
    part: 'plan',
    parameters: 1,
    alternatives,
    price: priceOfDirection(circleError, Math.sqrt(variance)),
  });
}

function heightsWrong(station: Station0): Explanation[] {
  const names = [...new Set(contributions(station.reduced, station.byName, station.input.setup).map((each) => each.name))];
  return names.flatMap((name) => {
    const out = leaveOutHeight(name, station.reduced, station.byName, station.input.setup);
    if (!out) return [];
    const shared = {
      points: [name],
      height: Math.max(0, station.none.height - out.w ** 2),
      part: 'height',
      parameters: 1,
      alternatives: names.length,
    } as const;
    // Station height without the mark minus what the mark says: as much higher does the mark stand.
    return [
      explanation(station, { ...shared, figures: { code: 'MARK_MOVED_HEIGHT', dZ: out.dZ }, price: priceOfHeave(out.dZ, out.sd) }),
      explanation(station, { ...shared, figures: { code: 'TARGET_HEIGHT', error: -out.dZ }, price: priceOfTargetHeight(out.dZ, out.sd) }),
    ];
  });
}

/** The whole station with other coordinates behind the names. */
function renamed(station: Station0, points: ReadonlyMap<string, ControlPoint>, found: Pick<Found, 'figures' | 'points' | 'alternatives'>): Explanation | null {
  const solution = adjusted(station.reduced, problemOf(points, station.origin), station.input.freeScale);
  if (!solution) return null;
  const height = heightSum(station.reduced, points, station.input);
  return explanation(station, { ...found, plan: solution.sumOfSquares, height: height.sum, dofHeight: height.dof, part: 'both' });
}

const hasPlace = (point: ControlPoint): boolean => point.e !== null && point.n !== null;

function swapped(station: Station0): Explanation[] {
  const names = station.used.filter((name) => hasPlace(station.byName.get(name)!));
  const pairs = (names.length * (names.length - 1)) / 2;
  return names.flatMap((a, i) =>
    names.slice(i + 1).flatMap((b) => {
      const points = new Map(station.byName);
      points.set(a, { ...station.byName.get(b)!, name: a });
      points.set(b, { ...station.byName.get(a)!, name: b });
      return renamed(station, points, { figures: { code: 'POINTS_SWAPPED' }, points: [a, b].sort(), alternatives: pairs }) ?? [];
    }),
  );
}

/** A wrong name by so much is so unlike the measured place that no closer look is worth it. */
const HOPELESS_MISFIT = 1e4;

/** Sights to one mark, given the name of another that is listed but was not sighted. */
function misnamed(station: Station0, without: ReadonlyMap<string, WithoutMark>): Explanation[] {
  const unsighted = station.input.points.filter((point) => hasPlace(point) && !station.reduced.some((each) => each.point === point.name));
  const alternatives = station.usedInPlan.length * unsighted.length;
  return station.usedInPlan.flatMap((name) => {
    const out = without.get(name);
    // Without the mark the rest predicts where it is: most names need no adjustment to be ruled out.
    const misfit = out && misfitFrom(station, out);
    return unsighted.flatMap((other) => {
      if (misfit && misfit(other) > HOPELESS_MISFIT) return [];
      const points = new Map(station.byName).set(name, { ...other, name });
      return renamed(station, points, { figures: { code: 'POINT_MISNAMED' }, points: [name, other.name], alternatives }) ?? [];
    });
  });
}

/** How badly (chi-square with two degrees of freedom) a listed place fits what the mark's first sight measures from the rest. */
function misfitFrom(station: Station0, out: WithoutMark): (other: ControlPoint) => number {
  const observation = out.own[0]!;
  const t = out.solution.orientation + observation.hz;
  const distance = out.solution.scale * observation.gridDistance!;
  const e = station.origin.e + out.solution.e + distance * Math.sin(t);
  const n = station.origin.n + out.solution.n + distance * Math.cos(t);
  const { ee, nn, en } = predictionCovariance(out.solution, out.own, 0);
  return (other) => {
    const dE = e - other.e!;
    const dN = n - other.n!;
    const listed = (other.sdPlan ?? 0) ** 2;
    return (dE * dE * (nn + listed) - 2 * dE * dN * en + dN * dN * (ee + listed)) / ((ee + listed) * (nn + listed) - en * en);
  };
}

/** Sums of squares of the station with other distances. */
function corrected(station: Station0, input: ResectionInput): { readonly plan: number; readonly height: number } | null {
  const reduced = reduceObservations(input.observations, input.instrument, input.reduction);
  const solution = adjusted(reduced, problemOf(station.byName, station.origin), input.freeScale);
  return solution && { plan: solution.sumOfSquares, height: heightSum(reduced, station.byName, input).sum };
}

interface FittedSize {
  readonly size: number;
  readonly sd: number;
  readonly plan: number;
  readonly height: number;
}

/** The size that fits best, by Newton's method on the sum of squares, which is nearly a parabola; its curvature gives the standard deviation. */
function fitSize(sums: (size: number) => { readonly plan: number; readonly height: number } | null, step: number): FittedSize | null {
  let size = 0;
  let sd = 0;
  for (let round = 0; round < 3; round++) {
    const [below, at, above] = [sums(size - step), sums(size), sums(size + step)];
    if (!below || !at || !above) return null;
    const total = (each: { readonly plan: number; readonly height: number }) => each.plan + each.height;
    const curvature = (total(above) - 2 * total(at) + total(below)) / (step * step);
    if (!(curvature > 0)) return null;
    size -= (total(above) - total(below)) / (2 * step) / curvature;
    sd = Math.sqrt(2 / curvature);
  }
  const best = sums(size);
  return best && { size, sd, plan: best.plan, height: best.height };
}

function allDistances(station: Station0): Explanation[] {
  const { input, none } = station;
  const { reduction } = input;
  if (!station.reduced.some((each) => each.slope !== null)) return [];
  const found: Explanation[] = [];
  for (const factor of [FOOT, 1 / FOOT]) {
    const observations = input.observations.map((each) => (each.slope === null ? each : { ...each, slope: each.slope * factor }));
    const sums = corrected(station, { ...input, observations });
    if (sums) found.push(explanation(station, { figures: { code: 'LENGTH_UNIT', factor }, ...sums, part: 'both', alternatives: 2 }));
  }
  const prism = fitSize((c) => corrected(station, { ...input, reduction: { ...reduction, prismConstant: reduction.prismConstant + c } }), 0.002);
  if (prism) {
    const price = priceOfPrism(prism.size, prism.sd);
    const figures = { code: 'PRISM_CONSTANT' as const, constant: prism.size };
    found.push(explanation(station, { figures, plan: prism.plan, height: prism.height, part: 'both', parameters: 1, alternatives: 1, price }));
  }
  if (input.freeScale) return found;
  const scale = fitSize(
    (ratio) => corrected(station, { ...input, reduction: { ...reduction, combinedScaleFactor: reduction.combinedScaleFactor * (1 + ratio) } }),
    50e-6,
  );
  // A scale touches the plan alone: grid and ground distances differ, heights do not.
  if (scale) {
    const price = priceOfScale(scale.size, scale.sd);
    found.push(
      explanation(station, {
        figures: { code: 'SCALE', ratio: scale.size },
        plan: scale.plan,
        height: none.height,
        part: 'plan',
        parameters: 1,
        alternatives: 1,
        price,
      }),
    );
  }
  return found;
}

/** All single explanations that come out, NONE not among them. With two marks sizes can't be estimated: names and units only. */
export function explanationsOf(station: Station0): Explanation[] {
  const withoutAny = new Map(
    station.usedInPlan.map((name) => [name, withoutMark(station, name)] as const).filter((each): each is readonly [string, WithoutMark] => each[1] !== null),
  );
  const directions = station.reduced.filter((each) => isUsedInPlan(each) && each.useDirection);
  const all = [
    ...[...withoutAny.values()].map((without) => movedInPlan(station, without)),
    ...directions.flatMap((observation) => directionWrong(station, observation, directions.length) ?? []),
    ...heightsWrong(station),
    ...swapped(station),
    ...misnamed(station, withoutAny),
    ...allDistances(station),
  ];
  return station.usedInPlan.length > 2 ? all : all.filter((each) => each.parameters === 0);
}
