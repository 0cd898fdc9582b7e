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
import type { StationCovariance, StationError } from './model.ts';
import { COINCIDENT_POINT_TOLERANCE_M, duplicateName, firstInvalidNumber, invalidNumberIn, invalidObservation, missingCoordinates } from './validate.ts';

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

function sighted(input: KnownStationInput, observation: ReducedObservation, point: ControlPoint, varAxis: number): Sighted {
  const dE = point.e! - input.station.e;
  const dN = point.n! - input.station.n;
  const squared = dE * dE + dN * dN;
  const varWithout = observation.varDirection + (observation.targetCentringSd ** 2 + (point.sdPlan ?? 0) ** 2) / squared;
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
  return input.observations.some((observation) => observation.usePlan) ? null : { code: 'TOO_FEW_OBSERVATIONS', path: ['observations'], given: 0, needed: 1 };
}

/** Orients an instrument that stands over a listed mark. */
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
  const mean = backsights.reduce((sum, each) => sum + wrapHalfTurn(each.orientation - first) / each.variance, 0) / weights;
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
  const hasHeight = station.z !== null;
  const sdTrunnionZ = hasHeight ? Math.hypot(station.sdZ ?? 0, setup.instrumentHeightSd) : null;
  const byObservation = new Map(backsights.map((each) => [each.observation, each]));
  const result: KnownStationResult = {
    e: station.e,
    n: station.n,
    z: station.z,
    orientation,
    sdOrientation: Math.sqrt(varOrientation),
    covariance: [
      [varAxis, 0, varAxis * gE],
      [0, varAxis, varAxis * gN],
      [varAxis * gE, varAxis * gN, varOrientation],
    ],
    sdE: Math.sqrt(varAxis),
    sdN: Math.sqrt(varAxis),
    sdZ: hasHeight ? station.sdZ : null,
    sdTrunnionZ,
    fit: fitOf(sumOfSquares, backsights.length - 1),
    observations: reduced.map((observation) => {
      const backsight = byObservation.get(observation);
      return {
        reduced: observation,
        direction: backsight ? directionOf(backsight, orientation, weights) : null,
        ...checksOf(input, observation, byName.get(observation.point)!, orientation, varAxis, sdTrunnionZ),
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

function checksOf(
  input: KnownStationInput,
  observation: ReducedObservation,
  point: ControlPoint,
  orientation: Radians,
  varAxis: number,
  sdTrunnionZ: Metres | null,
): Omit<KnownStationObservation, 'reduced' | 'direction'> {
  const { station, setup } = input;
  const measured = observation.gridDistance;
  const inPlan = measured !== null && point.e !== null && point.n !== null;
  const inHeight = observation.heightDifference !== null && point.z !== null && station.z !== null;
  const t = orientation + observation.hz;
  const varPlace = observation.targetCentringSd ** 2 + (point.sdPlan ?? 0) ** 2 + varAxis;
  return {
    distanceCheck: inPlan ? measured - Math.hypot(point.e - station.e, point.n - station.n) : null,
    sdDistanceCheck: inPlan ? Math.sqrt(observation.varRadial + varPlace) : null,
    dE: inPlan ? station.e + measured * Math.sin(t) - point.e : null,
    dN: inPlan ? station.n + measured * Math.cos(t) - point.n : null,
    dZ: inHeight ? station.z + setup.instrumentHeight + observation.heightDifference - observation.targetHeight - point.z : null,
    sdDZ: inHeight ? Math.sqrt(observation.varHeightDifference + observation.targetHeightSd ** 2 + (point.sdHeight ?? 0) ** 2 + sdTrunnionZ! ** 2) : null,
  };
}
