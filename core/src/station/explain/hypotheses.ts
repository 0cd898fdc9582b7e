/**
 * Single explanations of a misfit, each a complete model of its own: plan and height are adjusted again under each one.
 *
 * The two adjustments share no unknown, so their weighted sums of squares add. Every explanation starts from its own
 * corrected sights, so that the true one holds no gross error. Sources: Koch, "Parameter Estimation and Hypothesis
 * Testing in Linear Models"; Teunissen, "Testing Theory"; Baarda, "A Testing Procedure for Use in Geodetic Networks"
 * (1968).
 */
import { wrapHalfTurn } from '../../quantity/angle.ts';
import type { ControlPoint } from '../../sight/observation.ts';
import { reduceObservations, type ReducedObservation } from '../../sight/reduce.ts';
import type { ResectionInput } from '../freeStation.ts';
import { contributions, leaveOutHeight } from '../heightAdjustment.ts';
import type { PlanSolution } from '../planAdjustment.ts';
import { predictionCovariance, quadratic, sightOf } from '../planProblem.ts';
import { placesOf } from '../reliability.ts';
import {
  adjusted,
  explanation,
  heightSum,
  meanShift,
  problemOf,
  withoutMark,
  type Explanation,
  type Found,
  type Station0,
  type WithoutMark,
} from './explanation.ts';
import {
  priceOfDirection,
  priceOfHeave,
  priceOfPrism,
  priceOfScale,
  priceOfShift,
  priceOfTargetHeight,
} from './priors.ts';
import { roughSights, type RoughSight } from './roughSights.ts';

const FOOT = 0.3048;

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
  const variance =
    sight.varDirection + sight.varPlace / (length * length) + quadratic(solution, -dn / squared, de / squared, -1, 0);
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
  const names = [
    ...new Set(contributions(station.reduced, station.byName, station.input.setup).map((each) => each.name)),
  ];
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
      explanation(station, {
        ...shared,
        figures: { code: 'MARK_MOVED_HEIGHT', dZ: out.dZ },
        price: priceOfHeave(out.dZ, out.sd),
      }),
      explanation(station, {
        ...shared,
        figures: { code: 'TARGET_HEIGHT', error: -out.dZ },
        price: priceOfTargetHeight(out.dZ, out.sd),
      }),
    ];
  });
}

/** The whole station with other coordinates behind the names. */
function renamed(
  station: Station0,
  points: ReadonlyMap<string, ControlPoint>,
  found: Pick<Found, 'figures' | 'points' | 'alternatives'>,
): Explanation | null {
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
      return (
        renamed(station, points, { figures: { code: 'POINTS_SWAPPED' }, points: [a, b].sort(), alternatives: pairs }) ??
        []
      );
    }),
  );
}

/** A wrong name by so much is so unlike the measured place that no closer look is worth it. */
const HOPELESS_MISFIT = 1e4;

/** Sights to one mark, given the name of another that is listed but was not sighted. */
function misnamed(station: Station0, without: ReadonlyMap<string, WithoutMark>): Explanation[] {
  const unsighted = station.listed.filter(
    (point) => hasPlace(point) && !station.reduced.some((each) => each.point === point.name),
  );
  const alternatives = station.usedInPlan.length * unsighted.length;
  return station.usedInPlan.flatMap((name) => {
    const out = without.get(name);
    // Without the mark the rest predicts where it is: most names need no adjustment to be ruled out.
    const misfit = out && misfitFrom(station, out);
    return unsighted.flatMap((other) => {
      if (misfit && misfit(other) > HOPELESS_MISFIT) return [];
      const points = new Map(station.byName).set(name, { ...other, name });
      return (
        renamed(station, points, { figures: { code: 'POINT_MISNAMED' }, points: [name, other.name], alternatives }) ??
        []
      );
    });
  });
}

/**
 * How badly (chi-square with two degrees of freedom) a listed place fits what the mark's first sight measures from the
 * rest.
 */
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
    return (
      (dE * dE * (nn + listed) - 2 * dE * dN * en + dN * dN * (ee + listed)) / ((ee + listed) * (nn + listed) - en * en)
    );
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

/**
 * The size that fits best, by Newton's method on the sum of squares, which is nearly a parabola; its curvature gives
 * the standard deviation.
 */
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
    const observations = input.observations.map((each) =>
      each.slope === null ? each : { ...each, slope: each.slope * factor },
    );
    const sums = corrected(station, { ...input, observations });
    if (sums)
      found.push(
        explanation(station, { figures: { code: 'LENGTH_UNIT', factor }, ...sums, part: 'both', alternatives: 2 }),
      );
  }
  const prism = fitSize(
    (c) => corrected(station, { ...input, reduction: { ...reduction, prismConstant: reduction.prismConstant + c } }),
    0.002,
  );
  if (prism) {
    const price = priceOfPrism(prism.size, prism.sd);
    const figures = { code: 'PRISM_CONSTANT' as const, constant: prism.size };
    const { solution, height } = prism;
    found.push(
      explanation(station, { figures, solution, height, part: 'both', parameters: 1, alternatives: 1, price }),
    );
  }
  if (input.freeScale) return found;
  const scale = fitSize(
    (ratio) =>
      corrected(station, {
        ...input,
        reduction: { ...reduction, combinedScaleFactor: reduction.combinedScaleFactor * (1 + ratio) },
      }),
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

export interface Tried {
  readonly explanations: readonly Explanation[];
  readonly rough: readonly RoughSight[];
}

/**
 * All single explanations that come out, NONE not among them. With two places sizes can't be estimated: names and units
 * only.
 */
export function explanationsOf(station: Station0): Tried {
  const withoutAny = new Map(
    station.usedInPlan
      .map((name) => [name, withoutMark(station, [name])] as const)
      .filter((each): each is readonly [string, WithoutMark] => each[1] !== null),
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
