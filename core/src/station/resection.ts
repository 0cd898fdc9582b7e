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
import type { ReducedObservation } from '../sight/reduce.ts';
import { freeStation, isUsedInPlan, solutionWithout, type FreeStation, type ResectionInput } from './freeStation.ts';
import {
  adjustHeight,
  LEAST_REDUNDANCY,
  leaveOutHeight,
  type HeightLeaveOneOut,
  type HeightResidual,
  type HeightSolution,
} from './heightAdjustment.ts';
import { planPrecisionOf } from './measuredPoint.ts';
import type { PlanPrecision, Station, StationCovariance, StationError } from './model.ts';
import { countObservations, type PlanSight, type PlanSolution } from './planAdjustment.ts';
import { differenceAt, predictionCovariance, quadratic } from './planProblem.ts';

export type { ResectionInput } from './freeStation.ts';

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

function leaveOut(station: FreeStation, name: string): PlanLeaveOneOut | null {
  const own = station.used.filter((observation) => observation.point === name);
  if (own.length === 0 || own.some((observation) => observation.slope === null || !observation.useDirection))
    return null;
  const solution = solutionWithout(station, [name]);
  if (!solution) return null;
  const { dE, dN } = differenceAt(station, own, name, solution)!;
  const covariance = predictionCovariance(solution, own, station.byName.get(name)!.sdPlan ?? 0);
  const determinant = covariance.ee * covariance.nn - covariance.en ** 2;
  const t = (dE * dE * covariance.nn - 2 * dE * dN * covariance.en + dN * dN * covariance.ee) / determinant;
  const others = station.names
    .filter((other) => other !== name)
    .map((other) => differenceAt(station, station.used, other, solution));
  const othersWithin = others.reduce((largest, each) => Math.max(largest, each ? Math.hypot(each.dE, each.dN) : 0), 0);
  return { dE, dN, covariance, t, critical: CRITICAL_T, exceeds: t > CRITICAL_T, othersWithin };
}

/** Mean difference of a point's height, measured - listed. The residual of the station height has the same sign. */
function heightDifferenceAt(problem: FreeStation, name: string, height: HeightSolution | null): Metres | null {
  const z = problem.byName.get(name)!.z;
  if (!height || z === null) return null;
  let count = 0;
  let sum = 0;
  for (const observation of problem.reduced) {
    if (observation.point !== name || observation.heightDifference === null) continue;
    count++;
    sum +=
      height.z + problem.input.setup.instrumentHeight + observation.heightDifference - observation.targetHeight - z;
  }
  return count === 0 ? null : sum / count;
}

/** Solves a free station. Errors carry the path of the element in `input`. */
export function resection(
  input: ResectionInput,
  options: ResectionOptions = { leaveOneOut: true },
): Result<ResectionResult, StationError> {
  const station = freeStation(input);
  return station.ok ? resectionOf(station.value, options) : station;
}

/** The same of a station that is solved already. */
export function resectionOf(
  station: FreeStation,
  options: ResectionOptions = { leaveOneOut: true },
): Result<ResectionResult, StationError> {
  const { input, reduced, byName, sights, solved } = station;
  if (!solved.ok) return fail({ code: 'UNDETERMINED', path: ['observations'], reason: solved.error });
  const solution = solved.value;
  const height = adjustHeight(reduced, byName, input.setup);
  const observationCount = countObservations(sights);
  const precision = planPrecisionOf({
    ee: solution.inverse[0]!,
    nn: solution.inverse[solution.size + 1]!,
    en: solution.inverse[1]!,
  });
  // The sights stand in the order of the observations that are used in plan.
  let nextSight = 0;
  return ok({
    e: solution.e + station.originE,
    n: solution.n + station.originN,
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
      const plan = differenceAt(station, reduced, point.name, solution);
      return {
        name: point.name,
        dE: plan?.dE ?? null,
        dN: plan?.dN ?? null,
        dZ: heightDifferenceAt(station, point.name, height),
        leaveOneOut: options.leaveOneOut ? leaveOut(station, point.name) : null,
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

/**
 * Largest |w| of a point's directions, distances and heights: how improbable its misfit is. Null when nothing of it is
 * checked.
 */
export function largestRatio(result: ResectionResult, point: string): number | null {
  // Over a mark heights are compared and not adjusted: what is off stands with the mark.
  const listed = result.points.find((each) => each.name === point);
  const compared = listed?.leaveOneOutHeight?.w;
  const own = result.observations.filter((each) => each.reduced.point === point);
  const ratios = [
    ...own.flatMap((each) => [
      each.direction?.standardisedResidual,
      each.distance?.standardisedResidual,
      each.height?.standardisedResidual,
    ]),
    ...(own.some((each) => each.height) ? [] : [compared]),
    // With a typed direction the plan is compared, too.
    ...(own.some((each) => each.direction ?? each.distance) || !listed?.leaveOneOut
      ? []
      : [Math.sqrt(listed.leaveOneOut.t)]),
  ]
    .filter((w) => w !== null && w !== undefined)
    .map(Math.abs);
  return ratios.length === 0 ? null : Math.max(...ratios);
}
