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
import { isUsedInPlan, solutionWithout, type FreeStation, type ResectionInput } from '../freeStation.ts';
import { contributions, leaveOutHeight, weightedMean } from '../heightAdjustment.ts';
import { planPrecisionOf } from '../measuredPoint.ts';
import { adjustPlan, countObservations, type PlanSolution } from '../planAdjustment.ts';
import { differenceAt, predictionCovariance, quadratic, sightOf, type PlanProblem } from '../planProblem.ts';
import { placesOf } from '../reliability.ts';
import { fitUnder } from './noise.ts';
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

const standsAt = (solution: PlanSolution, origin: Station0['origin']): StandsAt => ({
  e: solution.e + origin.e,
  n: solution.n + origin.n,
  orientation: solution.orientation,
  radius95: planPrecisionOf({ ee: solution.inverse[0]!, nn: solution.inverse[solution.size + 1]!, en: solution.inverse[1]! }).ellipse95.a,
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
  /** Where the plan comes out under it; not given: as it is. */
  readonly solution?: PlanSolution;
}

function explanation({ none, origin }: Station0, found: Found): Explanation {
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
interface WithoutMark {
  readonly names: readonly string[];
  readonly own: readonly ReducedObservation[];
  readonly solution: PlanSolution;
  /** v'Pv of the rest, and how far the mark's own sights disagree among themselves. */
  readonly rest: number;
}

function withoutMark(station: Station0, names: readonly string[]): WithoutMark | null {
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
function meanShift({ free }: Station0, names: readonly string[], own: readonly ReducedObservation[], solution: PlanSolution) {
  const each = names.map((name) => differenceAt(free, own, name, solution)!);
  return { dE: each.reduce((sum, { dE }) => sum + dE, 0) / each.length, dN: each.reduce((sum, { dN }) => sum + dN, 0) / each.length };
}

function movedInPlan(station: Station0, without: WithoutMark, alternatives: number): Explanation {
  const { names, own, solution, rest } = without;
  const { dE, dN } = meanShift(station, names, own, solution);
  const listed = Math.max(...names.map((name) => station.byName.get(name)!.sdPlan ?? 0)) / Math.sqrt(names.length);
  const { ee, nn, en } = predictionCovariance(solution, own, listed);
  return explanation(station, {
    figures: { code: 'MARK_MOVED_PLAN', dE, dN },
    points: names,
    plan: rest,
    part: 'plan',
    parameters: 2,
    alternatives,
    price: priceOfShift(Math.hypot(dE, dN), ee * nn - en * en),
    solution,
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
    solution,
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
  return explanation(station, { ...found, solution, height: height.sum, dofHeight: height.dof, part: 'both' });
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
  const unsighted = station.listed.filter((point) => hasPlace(point) && !station.reduced.some((each) => each.point === point.name));
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
function corrected(station: Station0, input: ResectionInput): Corrected | null {
  const reduced = reduceObservations(input.observations, input.instrument, input.reduction);
  const solution = adjusted(reduced, problemOf(station.byName, station.origin), input.freeScale);
  return solution && { solution, plan: solution.sumOfSquares, height: heightSum(reduced, station.byName, input).sum };
}

interface Corrected {
  readonly plan: number;
  readonly height: number;
  readonly solution: PlanSolution;
}

interface FittedSize extends Corrected {
  readonly size: number;
  readonly sd: number;
}

/** The size that fits best, by Newton's method on the sum of squares, which is nearly a parabola; its curvature gives the standard deviation. */
function fitSize(sums: (size: number) => Corrected | null, step: number): FittedSize | null {
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
  return best && { size, sd, ...best };
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
    const { solution, height } = prism;
    found.push(explanation(station, { figures, solution, height, part: 'both', parameters: 1, alternatives: 1, price }));
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
        solution: scale.solution,
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

/** Nothing is wrong, but the sight to one mark is far rougher than stated: what it costs, in plan or in height. */
export interface RoughSight {
  readonly part: 'plan' | 'height';
  readonly sum: number;
  readonly cost: number;
}

/** A rough sight has so many times the stated errors. */
const ROUGH = 4;
/** How seldom one is, in plan and in height: heights suffer from what the pole stands on, too. */
const SELDOM = { plan: 0.002, height: 0.0065 } as const;

/**
 * Heavy tails: a sight may be rough without any fault. Its difference from the rest is then judged with its own part of the
 * covariance C widened, which is paid for by the determinant.
 */
function roughSights(station: Station0, withoutAny: ReadonlyMap<string, WithoutMark>): RoughSight[] {
  const widen = ROUGH ** 2 - 1;
  const inPlan = [...withoutAny.values()].map((without): RoughSight => {
    const { names, own, solution, rest } = without;
    const { dE, dN } = meanShift(station, names, own, solution);
    const all = predictionCovariance(solution, own, station.byName.get(names[0]!)!.sdPlan ?? 0);
    const ownPart = predictionCovariance({ ...solution, inverse: NO_ERROR }, own, station.byName.get(names[0]!)!.sdPlan ?? 0);
    const [ee, nn, en] = [all.ee + widen * ownPart.ee, all.nn + widen * ownPart.nn, all.en + widen * ownPart.en];
    const determinant = ee * nn - en * en;
    const t = (dE * dE * nn - 2 * dE * dN * en + dN * dN * ee) / determinant;
    return { part: 'plan', sum: rest + t, cost: Math.log(determinant / (all.ee * all.nn - all.en * all.en)) - 2 * Math.log(SELDOM.plan) };
  });
  const { reduced, byName, input } = station;
  const list = contributions(reduced, byName, input.setup);
  const inHeight = list.flatMap(({ name, variance }): RoughSight[] => {
    const out = leaveOutHeight(name, reduced, byName, input.setup);
    if (!out) return [];
    const wide = out.sd ** 2 + widen * variance;
    const sum = Math.max(0, station.none.height - out.w ** 2) + (out.dZ * out.dZ) / wide;
    return [{ part: 'height', sum, cost: Math.log(wide / out.sd ** 2) - 2 * Math.log(SELDOM.height) }];
  });
  return [...inPlan, ...inHeight];
}
const NO_ERROR = new Float64Array(16);

export interface Tried {
  readonly explanations: readonly Explanation[];
  readonly rough: readonly RoughSight[];
}

/** All single explanations that come out, NONE not among them. With two places sizes can't be estimated: names and units only. */
export function explanationsOf(station: Station0): Tried {
  const withoutAny = new Map(
    station.usedInPlan.map((name) => [name, withoutMark(station, [name])] as const).filter((each): each is readonly [string, WithoutMark] => each[1] !== null),
  );
  // A post that was knocked takes all of its targets along.
  const places = placesOf(station.usedInPlan.map((name) => station.byName.get(name)!));
  const posts = places.filter((names) => names.length > 1).flatMap((names) => withoutMark(station, names) ?? []);
  const moved = [...withoutAny.values(), ...posts];
  const directions = station.free.used.filter((each) => each.useDirection);
  const all = [
    ...moved.map((without) => movedInPlan(station, without, moved.length)),
    ...directions.flatMap((observation) => directionWrong(station, observation, directions.length) ?? []),
    ...heightsWrong(station),
    ...swapped(station),
    ...misnamed(station, withoutAny),
    ...allDistances(station),
  ];
  if (places.length < 3) return { explanations: all.filter((each) => each.parameters === 0), rough: [] };
  return { explanations: all, rough: roughSights(station, withoutAny) };
}
