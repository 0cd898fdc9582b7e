/**
 * Station over a known mark: coordinates held, orientation from one or several backsights.
 * The station's own error is common to all backsights and is propagated rigorously.
 * Source: Ghilani, "Adjustment Computations" (propagation); Schofield, Breach (set-up over a point).
 */
import { fitOf, type Fit } from '../adjust/globalTest.ts';
import { wrapHalfTurn, wrapTurn } from '../quantity/angle.ts';
import type { Metres, Radians } from '../quantity/unit.ts';
import { fail, ok, type Result } from '../result.ts';
import type { ControlPoint, InstrumentPrecision, Observation, Reduction, Setup } from '../sight/observation.ts';
import { reduceObservations, type ReducedObservation } from '../sight/reduce.ts';
import { adjustHeight, LEAST_REDUNDANCY, type HeightResidual, type HeightSolution } from './heightAdjustment.ts';
import type { StationCovariance, StationError } from './model.ts';
import {
  COINCIDENT_POINT_TOLERANCE_M,
  duplicateName,
  firstInvalidNumber,
  invalidNumberIn,
  invalidObservation,
  missingCoordinates,
} from './validate.ts';

export interface OccupiedMark {
  readonly name: string;
  readonly e: Metres;
  readonly n: Metres;
  readonly z: Metres | null;
  readonly sdPlan: Metres;
  readonly sdZ: Metres | null;
}

export interface KnownStationInput {
  readonly instrument: InstrumentPrecision;
  readonly station: OccupiedMark;
  readonly setup: Setup & { readonly instrumentCentringSd: Metres };
  readonly reduction: Reduction;
  readonly points: readonly ControlPoint[];
  readonly observations: readonly Observation[];
  /** Where the height comes from; not given: from the station's own. Its place is held either way. */
  readonly heightFrom?: 'station' | 'benchmarks';
}

export interface Backsight {
  readonly orientation: Radians;
  readonly sd: Radians;
  readonly weight: number;
  readonly residual: Radians;
  readonly residualAtTarget: Metres;
}

export interface KnownStationObservation {
  readonly reduced: ReducedObservation;
  readonly direction: Backsight | null;
  /** Measured minus listed grid distance, and its standard deviation. */
  readonly distanceCheck: Metres | null;
  readonly sdDistanceCheck: Metres | null;
  readonly dE: Metres | null;
  readonly dN: Metres | null;
  readonly dZ: Metres | null;
  readonly sdDZ: Metres | null;
}

export interface KnownStationResult {
  readonly e: Metres;
  readonly n: Metres;
  readonly z: Metres | null;
  readonly orientation: Radians;
  readonly sdOrientation: Radians;
  readonly covariance: StationCovariance;
  readonly sdE: Metres;
  readonly sdN: Metres;
  readonly sdZ: Metres | null;
  readonly sdTrunnionZ: Metres | null;
  readonly fit: Fit;
  /** The height from benchmarks, where it is taken from them; else null. */
  readonly height: HeightSolution | null;
  /** Height from benchmarks minus the listed one; null where either is missing. */
  readonly stationHeightDifference: Metres | null;
  readonly observations: readonly KnownStationObservation[];
}

interface Sighted {
  readonly observation: ReducedObservation;
  readonly point: ControlPoint & { readonly e: Metres; readonly n: Metres };
  readonly dE: Metres;
  readonly dN: Metres;
  readonly length: Metres;
  readonly orientation: Radians;
  /** Direction variance without and with the station's own error. */
  readonly varWithout: number;
  readonly variance: number;
}

function sighted(
  input: KnownStationInput,
  observation: ReducedObservation,
  point: ControlPoint,
  varAxis: number,
): Sighted {
  const dE = point.e! - input.station.e;
  const dN = point.n! - input.station.n;
  const squared = dE * dE + dN * dN;
  const varWithout =
    observation.varDirection + (observation.targetCentringSd ** 2 + (point.sdPlan ?? 0) ** 2) / squared;
  return {
    observation,
    point: point as Sighted['point'],
    dE,
    dN,
    length: Math.sqrt(squared),
    orientation: wrapTurn(Math.atan2(dE, dN) - observation.hz),
    varWithout,
    variance: varWithout + varAxis / squared,
  };
}

function validate(input: KnownStationInput, byName: ReadonlyMap<string, ControlPoint>): StationError | null {
  const invalid =
    firstInvalidNumber(input.station, ['station'], ['z', 'sdZ']) ??
    invalidNumberIn(input) ??
    duplicateName(input.points) ??
    invalidObservation(input.observations) ??
    missingCoordinates(input.observations, byName);
  if (invalid) return invalid;
  for (const [i, observation] of input.observations.entries()) {
    if (!observation.usePlan) continue;
    const point = byName.get(observation.point)!;
    if (Math.hypot(point.e! - input.station.e, point.n! - input.station.n) <= COINCIDENT_POINT_TOLERANCE_M) {
      return { code: 'COINCIDENT_POINTS', path: ['observations', i, 'point'], names: [input.station.name, point.name] };
    }
  }
  return input.observations.some((observation) => observation.usePlan)
    ? null
    : { code: 'TOO_FEW_OBSERVATIONS', path: ['observations'], given: 0, needed: 1 };
}

/**
 * Orients an instrument that stands over a listed mark. Errors: as `resection`, `COINCIDENT_POINTS` for a backsight
 * within 0.010 m, `TOO_FEW_OBSERVATIONS` without a backsight or, with the height from benchmarks, without one of these.
 */
export function knownStation(input: KnownStationInput): Result<KnownStationResult, StationError> {
  const byName = new Map(input.points.map((point) => [point.name, point]));
  const invalid = validate(input, byName);
  if (invalid) return fail(invalid);
  const { station, setup } = input;
  const varAxis = station.sdPlan ** 2 + setup.instrumentCentringSd ** 2;
  const reduced = reduceObservations(input.observations, input.instrument, input.reduction);
  const backsights = reduced
    .filter((observation) => observation.usePlan)
    .map((observation) => sighted(input, observation, byName.get(observation.point)!, varAxis));
  const weights = backsights.reduce((sum, each) => sum + 1 / each.variance, 0);
  if (!Number.isFinite(weights)) return fail({ code: 'UNDETERMINED', path: ['observations'], reason: 'unweighted' });
  const first = backsights[0]!.orientation;
  // Differences from the first backsight, so that the mean holds across the 0/360 jump.
  const mean =
    backsights.reduce((sum, each) => sum + wrapHalfTurn(each.orientation - first) / each.variance, 0) / weights;
  const orientation = wrapTurn(first + mean);
  let gE = 0;
  let gN = 0;
  let varOrientation = 0;
  let sumOfSquares = 0;
  for (const each of backsights) {
    const weight = 1 / each.variance / weights;
    gE -= (weight * each.dN) / each.length ** 2;
    gN += (weight * each.dE) / each.length ** 2;
    varOrientation += weight * weight * each.varWithout;
    sumOfSquares += wrapHalfTurn(each.orientation - orientation) ** 2 / each.variance;
  }
  varOrientation += varAxis * (gE * gE + gN * gN);
  const fromBenchmarks = input.heightFrom === 'benchmarks';
  const height = fromBenchmarks ? adjustHeight(reduced, byName, setup) : null;
  if (fromBenchmarks && !height)
    return fail({ code: 'TOO_FEW_OBSERVATIONS', path: ['observations'], given: 0, needed: 1 });
  if (height && !Number.isFinite(height.z))
    return fail({ code: 'UNDETERMINED', path: ['observations'], reason: 'unweighted' });
  const ground = height ?? ownHeight(station, setup);
  const byObservation = new Map(backsights.map((each) => [each.observation, each]));
  const result: KnownStationResult = {
    e: station.e,
    n: station.n,
    z: ground?.z ?? null,
    orientation,
    sdOrientation: Math.sqrt(varOrientation),
    covariance: [
      [varAxis, 0, varAxis * gE],
      [0, varAxis, varAxis * gN],
      [varAxis * gE, varAxis * gN, varOrientation],
    ],
    sdE: Math.sqrt(varAxis),
    sdN: Math.sqrt(varAxis),
    sdZ: ground?.sdZ ?? null,
    sdTrunnionZ: ground?.sdTrunnionZ ?? null,
    fit: fitOf(sumOfSquares, backsights.length - 1),
    height,
    stationHeightDifference: height && station.z !== null ? height.z - station.z : null,
    observations: reduced.map((observation, i) => {
      const backsight = byObservation.get(observation);
      return {
        reduced: observation,
        direction: backsight ? directionOf(backsight, orientation, weights) : null,
        ...planChecksOf(input, observation, byName.get(observation.point)!, orientation, varAxis),
        ...heightCheckOf(input, observation, byName.get(observation.point)!, ground, height?.residuals[i] ?? null),
      };
    }),
  };
  return ok(result);
}

function directionOf(backsight: Sighted, orientation: Radians, weights: number): Backsight {
  const residual = wrapHalfTurn(backsight.orientation - orientation);
  return {
    orientation: backsight.orientation,
    sd: Math.sqrt(backsight.variance),
    weight: 1 / backsight.variance / weights,
    residual,
    residualAtTarget: residual * backsight.length,
  };
}

type Ground = Pick<HeightSolution, 'z' | 'sdTrunnionZ'> & { readonly sdZ: Metres | null };

/** The listed height of the station as it stands; null where it has none. */
const ownHeight = ({ z, sdZ }: OccupiedMark, setup: Setup): Ground | null =>
  z === null ? null : { z, sdZ, sdTrunnionZ: Math.hypot(sdZ ?? 0, setup.instrumentHeightSd) };

function planChecksOf(
  { station }: KnownStationInput,
  observation: ReducedObservation,
  point: ControlPoint,
  orientation: Radians,
  varAxis: number,
): Pick<KnownStationObservation, 'distanceCheck' | 'sdDistanceCheck' | 'dE' | 'dN'> {
  const measured = observation.gridDistance;
  if (measured === null || point.e === null || point.n === null)
    return { distanceCheck: null, sdDistanceCheck: null, dE: null, dN: null };
  const t = orientation + observation.hz;
  return {
    distanceCheck: measured - Math.hypot(point.e - station.e, point.n - station.n),
    sdDistanceCheck: Math.sqrt(
      observation.varRadial + observation.targetCentringSd ** 2 + (point.sdPlan ?? 0) ** 2 + varAxis,
    ),
    dE: station.e + measured * Math.sin(t) - point.e,
    dN: station.n + measured * Math.cos(t) - point.n,
  };
}

/**
 * Against the height of the station; a benchmark that has a part in that height is compared as far as it is redundant.
 */
function heightCheckOf(
  { setup }: KnownStationInput,
  observation: ReducedObservation,
  point: ControlPoint,
  ground: Ground | null,
  residual: HeightResidual | null,
): Pick<KnownStationObservation, 'dZ' | 'sdDZ'> {
  if (observation.heightDifference === null || point.z === null || !ground) return { dZ: null, sdDZ: null };
  const dZ = ground.z + setup.instrumentHeight + observation.heightDifference - observation.targetHeight - point.z;
  if (residual)
    return { dZ, sdDZ: residual.redundancy < LEAST_REDUNDANCY ? null : residual.sd * Math.sqrt(residual.redundancy) };
  const variance = observation.varHeightDifference + observation.targetHeightSd ** 2 + (point.sdHeight ?? 0) ** 2;
  return { dZ, sdDZ: Math.sqrt(variance + ground.sdTrunnionZ ** 2) };
}
