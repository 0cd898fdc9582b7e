/**
 * Free station (resection) from directions, distances and heights to two or more listed points,
 * with residuals, redundancy numbers, detectable biases and the "without this point" table.
 *
 * Residual of an observation: v = adjusted - observed. Difference at a point: measured from the station - listed.
 * Standard deviations and covariances are a priori (sigma0 = 1). Plan and height are adjusted apart.
 * Sources: Ghilani, "Adjustment Computations" (resection, error propagation); Baarda, "A Testing Procedure for Use in
 * Geodetic Networks" (1968); Caspary, "Concepts of Network and Deformation Analysis" (test of one point).
 */
import { CRITICAL_T, DETECTABLE_NONCENTRALITY } from '../adjust/criticalValues.ts';
import { fitOf, type Fit } from '../adjust/globalTest.ts';
import { wrapHalfTurn, wrapTurn } from '../quantity/angle.ts';
import type { Metres, Radians } from '../quantity/unit.ts';
import { fail, ok, type Result } from '../result.ts';
import type { ControlPoint, InstrumentPrecision, Observation, Reduction, Setup } from '../sight/observation.ts';
import { reduceObservations, type ReducedObservation } from '../sight/reduce.ts';
import { adjustHeight, LEAST_REDUNDANCY, leaveOutHeight, type HeightLeaveOneOut, type HeightResidual, type HeightSolution } from './heightAdjustment.ts';
import { planPrecisionOf } from './measuredPoint.ts';
import type { PlanPrecision, Station, StationCovariance, StationError } from './model.ts';
import { adjustPlan, countObservations, type PlanSight, type PlanSolution } from './planAdjustment.ts';
import { differenceAt, predictionCovariance, quadratic, sightOf, type PlanProblem } from './planProblem.ts';
import { coincidentPoints, duplicateName, invalidNumberIn, invalidObservation, missingCoordinates } from './validate.ts';

export interface ResectionInput {
  readonly instrument: InstrumentPrecision;
  readonly setup: Setup;
  readonly reduction: Reduction;
  readonly freeScale: boolean;
  readonly points: readonly ControlPoint[];
  readonly observations: readonly Observation[];
}

export interface DirectionResidual {
  readonly sd: Radians;
  readonly residual: Radians;
  /** The residual as a length at the target. */
  readonly residualAtTarget: Metres;
  readonly redundancy: number;
  readonly standardisedResidual: number | null;
  readonly detectableBias: Radians | null;
  readonly detectableBiasAtTarget: Metres | null;
}

export interface DistanceResidual {
  readonly sd: Metres;
  readonly residual: Metres;
  readonly redundancy: number;
  readonly standardisedResidual: number | null;
  readonly detectableBias: Metres | null;
}

export interface ResectionObservation {
  readonly reduced: ReducedObservation;
  readonly direction: DirectionResidual | null;
  readonly distance: DistanceResidual | null;
  readonly height: HeightResidual | null;
}

export interface PlanLeaveOneOut {
  readonly dE: Metres;
  readonly dN: Metres;
  readonly covariance: { readonly ee: number; readonly nn: number; readonly en: number };
  /** d' C⁻¹ d: chi-square with two degrees of freedom when the point has not moved. */
  readonly t: number;
  readonly critical: number;
  readonly exceeds: boolean;
  /** Largest difference, measured - listed, among the marks that stayed in. */
  readonly othersWithin: Metres;
}

export interface ResectionPoint {
  readonly name: string;
  readonly dE: Metres | null;
  readonly dN: Metres | null;
  readonly dZ: Metres | null;
  readonly leaveOneOut: PlanLeaveOneOut | null;
  readonly leaveOneOutHeight: HeightLeaveOneOut | null;
}

export interface ResectionResult extends PlanPrecision {
  readonly e: Metres;
  readonly n: Metres;
  readonly orientation: Radians;
  /** Factor on measured grid distances; null unless it was free. */
  readonly scale: number | null;
  readonly sdScale: number | null;
  readonly covariance: StationCovariance;
  readonly sdOrientation: Radians;
  readonly observationCount: number;
  readonly unknownCount: number;
  readonly fit: Fit;
  readonly sumOfSquares: number;
  readonly height: HeightSolution | null;
  readonly observations: readonly ResectionObservation[];
  readonly points: readonly ResectionPoint[];
}

export interface ResectionOptions {
  /** The "without this point" table costs one adjustment a point; it can be left out. */
  readonly leaveOneOut: boolean;
}

interface Problem extends PlanProblem {
  readonly input: ResectionInput;
  readonly reduced: readonly ReducedObservation[];
}

/** Whether the used observations could give a station at all; `null` when they could. */
function countError(problem: Problem, used: readonly ReducedObservation[]): StationError | null {
  const places: { name: string; e: Metres; n: Metres }[] = [];
  let given = 0;
  for (const observation of used) {
    given += (observation.slope === null ? 0 : 1) + (observation.useDirection ? 1 : 0);
    // A station has a handful of marks: looking through the list costs less than a set.
    if (!places.some((place) => place.name === observation.point)) places.push(problem.byName.get(observation.point)! as (typeof places)[number]);
  }
  const coincident = coincidentPoints(places);
  if (coincident) return coincident;
  if (places.length < 2) return { code: 'TOO_FEW_OBSERVATIONS', path: ['observations'], given: places.length, needed: 2 };
  const unknownCount = problem.input.freeScale ? 4 : 3;
  return given < unknownCount ? { code: 'TOO_FEW_OBSERVATIONS', path: ['observations'], given, needed: unknownCount } : null;
}

/** A distance alone without a distance tells nothing. */
export const isUsedInPlan = (observation: ReducedObservation): boolean => observation.usePlan && (observation.useDirection || observation.slope !== null);

const usedInPlan = (problem: Problem) => problem.reduced.filter(isUsedInPlan);

function validate(input: ResectionInput, byName: ReadonlyMap<string, ControlPoint>): StationError | null {
  return invalidNumberIn(input) ?? duplicateName(input.points) ?? invalidObservation(input.observations) ?? missingCoordinates(input.observations, byName);
}

function covarianceOf({ inverse: c, size }: PlanSolution): StationCovariance {
  return [
    [c[0]!, c[1]!, c[2]!],
    [c[size]!, c[size + 1]!, c[size + 2]!],
    [c[2 * size]!, c[2 * size + 1]!, c[2 * size + 2]!],
  ];
}

function directionResidual(sight: PlanSight, solution: PlanSolution): DirectionResidual | null {
  if (Number.isNaN(sight.hz)) return null;
  const de = sight.e - solution.e;
  const dn = sight.n - solution.n;
  const squared = de * de + dn * dn;
  const length = Number.isNaN(sight.horizontal) ? Math.sqrt(squared) : sight.horizontal;
  const variance = sight.varDirection + sight.varPlace / (length * length);
  const residual = wrapHalfTurn(Math.atan2(de, dn) - solution.orientation - sight.hz);
  const redundancy = 1 - quadratic(solution, -dn / squared, de / squared, -1, 0) / variance;
  const sd = Math.sqrt(variance);
  const checked = redundancy >= LEAST_REDUNDANCY;
  const bias = checked ? (sd * DETECTABLE_NONCENTRALITY) / Math.sqrt(redundancy) : null;
  return {
    sd,
    residual,
    residualAtTarget: residual * length,
    redundancy,
    standardisedResidual: checked ? residual / (sd * Math.sqrt(redundancy)) : null,
    detectableBias: bias,
    detectableBiasAtTarget: bias === null ? null : bias * length,
  };
}

function distanceResidual(sight: PlanSight, solution: PlanSolution): DistanceResidual | null {
  if (Number.isNaN(sight.distance)) return null;
  const de = sight.e - solution.e;
  const dn = sight.n - solution.n;
  const length = Math.sqrt(de * de + dn * dn);
  const scaled = length * solution.scale;
  const variance = sight.varRadial + sight.varPlace;
  const residual = length / solution.scale - sight.distance;
  const redundancy = 1 - quadratic(solution, -de / scaled, -dn / scaled, 0, -length / solution.scale ** 2) / variance;
  const sd = Math.sqrt(variance);
  const checked = redundancy >= LEAST_REDUNDANCY;
  return {
    sd,
    residual,
    redundancy,
    standardisedResidual: checked ? residual / (sd * Math.sqrt(redundancy)) : null,
    detectableBias: checked ? (sd * DETECTABLE_NONCENTRALITY) / Math.sqrt(redundancy) : null,
  };
}

function leaveOut(problem: Problem, name: string): PlanLeaveOneOut | null {
  const used = usedInPlan(problem);
  const own = used.filter((observation) => observation.point === name);
  if (own.length === 0 || own.some((observation) => observation.slope === null || !observation.useDirection)) return null;
  const rest = used.filter((observation) => observation.point !== name);
  if (countError(problem, rest)) return null;
  const adjusted = adjustPlan(
    rest.map((observation) => sightOf(problem, observation)),
    problem.input.freeScale,
  );
  if (!adjusted.ok) return null;
  const solution = adjusted.value;
  const { dE, dN } = differenceAt(problem, own, name, solution)!;
  const covariance = predictionCovariance(solution, own, problem.byName.get(name)!.sdPlan ?? 0);
  const determinant = covariance.ee * covariance.nn - covariance.en ** 2;
  const t = (dE * dE * covariance.nn - 2 * dE * dN * covariance.en + dN * dN * covariance.ee) / determinant;
  const others = [...new Set(rest.map((observation) => observation.point))].map((other) => differenceAt(problem, rest, other, solution));
  const othersWithin = others.reduce((largest, each) => Math.max(largest, each ? Math.hypot(each.dE, each.dN) : 0), 0);
  return { dE, dN, covariance, t, critical: CRITICAL_T, exceeds: t > CRITICAL_T, othersWithin };
}

/** Mean difference of a point's height, measured - listed. The residual of the station height has the same sign. */
function heightDifferenceAt(problem: Problem, name: string, height: HeightSolution | null): Metres | null {
  const z = problem.byName.get(name)!.z;
  if (!height || z === null) return null;
  let count = 0;
  let sum = 0;
  for (const observation of problem.reduced) {
    if (observation.point !== name || observation.heightDifference === null) continue;
    count++;
    sum += height.z + problem.input.setup.instrumentHeight + observation.heightDifference - observation.targetHeight - z;
  }
  return count === 0 ? null : sum / count;
}

/** Solves a free station. Errors carry the path of the element in `input`. */
export function resection(input: ResectionInput, options: ResectionOptions = { leaveOneOut: true }): Result<ResectionResult, StationError> {
  const byName = new Map(input.points.map((point) => [point.name, point]));
  const invalid = validate(input, byName);
  if (invalid) return fail(invalid);
  const reduced = reduceObservations(input.observations, input.instrument, input.reduction);
  const first = reduced.find(isUsedInPlan);
  const origin = first && byName.get(first.point)!;
  const problem: Problem = { input, byName, reduced, originE: origin?.e ?? 0, originN: origin?.n ?? 0 };
  const used = usedInPlan(problem);
  const tooFew = countError(problem, used);
  if (tooFew) return fail(tooFew);
  const sights = used.map((observation) => sightOf(problem, observation));
  if (sights.some((sight) => sight.varDirection + sight.varPlace === 0)) return fail({ code: 'UNDETERMINED', path: ['observations'], reason: 'unweighted' });
  const adjusted = adjustPlan(sights, input.freeScale);
  if (!adjusted.ok) return fail({ code: 'UNDETERMINED', path: ['observations'], reason: adjusted.error });
  const solution = adjusted.value;
  const height = adjustHeight(reduced, byName, input.setup);
  const observationCount = countObservations(sights);
  const precision = planPrecisionOf({ ee: solution.inverse[0]!, nn: solution.inverse[solution.size + 1]!, en: solution.inverse[1]! });
  // The sights stand in the order of the observations that are used in plan.
  let nextSight = 0;
  return ok({
    e: solution.e + problem.originE,
    n: solution.n + problem.originN,
    orientation: wrapTurn(solution.orientation),
    scale: input.freeScale ? solution.scale : null,
    sdScale: input.freeScale ? Math.sqrt(solution.inverse[15]!) : null,
    covariance: covarianceOf(solution),
    sdOrientation: Math.sqrt(solution.inverse[2 * solution.size + 2]!),
    sdE: precision.sdE,
    sdN: precision.sdN,
    ellipse: precision.ellipse,
    ellipse95: precision.ellipse95,
    observationCount,
    unknownCount: solution.size,
    fit: fitOf(solution.sumOfSquares, observationCount - solution.size),
    sumOfSquares: solution.sumOfSquares,
    height,
    observations: reduced.map((observation, i) => {
      const sight = isUsedInPlan(observation) ? sights[nextSight++]! : null;
      return {
        reduced: observation,
        direction: sight ? directionResidual(sight, solution) : null,
        distance: sight ? distanceResidual(sight, solution) : null,
        height: height?.residuals[i] ?? null,
      };
    }),
    points: input.points.map((point) => {
      const plan = differenceAt(problem, reduced, point.name, solution);
      return {
        name: point.name,
        dE: plan?.dE ?? null,
        dN: plan?.dN ?? null,
        dZ: heightDifferenceAt(problem, point.name, height),
        leaveOneOut: options.leaveOneOut ? leaveOut(problem, point.name) : null,
        leaveOneOutHeight: options.leaveOneOut ? leaveOutHeight(point.name, reduced, byName, input.setup) : null,
      };
    }),
  });
}

/** The station as later sights need it. */
export const stationOfResection = (result: ResectionResult): Station => ({
  e: result.e,
  n: result.n,
  z: result.height?.z ?? null,
  orientation: result.orientation,
  covariance: result.covariance,
  sdTrunnionZ: result.height?.sdTrunnionZ ?? null,
});

/** Largest |w| of a point's directions, distances and heights: how improbable its misfit is. Null when nothing of it is checked. */
export function largestRatio(result: ResectionResult, point: string): number | null {
  const ratios = result.observations
    .filter((each) => each.reduced.point === point)
    .flatMap((each) => [each.direction?.standardisedResidual, each.distance?.standardisedResidual, each.height?.standardisedResidual])
    .filter((w) => w !== null && w !== undefined)
    .map(Math.abs);
  return ratios.length === 0 ? null : Math.max(...ratios);
}
