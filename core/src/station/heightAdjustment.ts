/**
 * Height of the instrument from sights to points of known height: a weighted mean.
 *   Z_i = z_p + target height - dh - instrument height,   σ_i² = V_dh + st² + sZ²
 * Source: Schofield, Breach, "Engineering Surveying" (trigonometric heighting); Baarda (1968) for the tests.
 */
import { CRITICAL_W, DETECTABLE_NONCENTRALITY } from '../adjust/criticalValues.ts';
import { fitOf, type Fit } from '../adjust/globalTest.ts';
import type { Metres } from '../quantity/unit.ts';
import type { ControlPoint, Setup } from '../sight/observation.ts';
import type { ReducedObservation } from '../sight/reduce.ts';

export const LEAST_REDUNDANCY = 1e-6;

/** One sight's contribution to the station height. Residual = adjusted - observed. */
export interface HeightResidual {
  readonly stationZ: Metres;
  readonly sd: Metres;
  readonly residual: Metres;
  readonly redundancy: number;
  readonly standardisedResidual: number | null;
  /** Smallest bias of this height that the test would find; null when nothing checks it. */
  readonly detectableBias: Metres | null;
}

export interface HeightLeaveOneOut {
  readonly dZ: Metres;
  readonly sd: Metres;
  readonly w: number;
  readonly critical: number;
  readonly exceeds: boolean;
}

export interface HeightSolution {
  /** Height of the ground mark. */
  readonly z: Metres;
  readonly sdZ: Metres;
  readonly sdTrunnionZ: Metres;
  readonly observationCount: number;
  readonly fit: Fit;
  readonly sumOfSquares: number;
  /** One entry a reduced observation, null where it does not count for height. */
  readonly residuals: readonly (HeightResidual | null)[];
}

export interface Contribution {
  readonly index: number;
  readonly name: string;
  readonly stationZ: Metres;
  readonly variance: number;
  readonly varControl: number;
  /** Variance of what it says of the ground mark itself, where it is not read through the tilting axis. */
  readonly varGround?: number;
}

export function contributions(
  reduced: readonly ReducedObservation[],
  points: ReadonlyMap<string, ControlPoint>,
  setup: Setup,
): Contribution[] {
  const list: Contribution[] = [];
  reduced.forEach((observation, index) => {
    const point = points.get(observation.point);
    if (!observation.useHeight || observation.heightDifference === null || !point || point.z === null) return;
    const varControl = (point.sdHeight ?? 0) ** 2;
    list.push({
      index,
      name: observation.point,
      stationZ: point.z + observation.targetHeight - observation.heightDifference - setup.instrumentHeight,
      variance: observation.varHeightDifference + observation.targetHeightSd ** 2 + varControl,
      varControl,
    });
  });
  return list;
}

export const weightedMean = (list: readonly Contribution[]) => {
  let weights = 0;
  let sum = 0;
  // Taken from the first value, so that a large height does not cost digits.
  const origin = list[0]!.stationZ;
  for (const { stationZ, variance } of list) {
    weights += 1 / variance;
    sum += (stationZ - origin) / variance;
  }
  return { mean: origin + sum / weights, weights };
};

/** Adjusts the height; null when no observation can give one. */
export function adjustHeight(
  reduced: readonly ReducedObservation[],
  points: ReadonlyMap<string, ControlPoint>,
  setup: Setup,
): HeightSolution | null {
  const list = contributions(reduced, points, setup);
  return list.length === 0 ? null : meanHeight(list, reduced.length, setup);
}

/**
 * The height from what contributes to it, one at least.
 *
 * @param sights number of reduced observations: what contributes without one has an index beyond them and gets no
 *   residual there
 */
export function meanHeight(list: readonly Contribution[], sights: number, setup: Setup): HeightSolution {
  const { mean, weights } = weightedMean(list);
  const residuals = Array.from({ length: sights }, (): HeightResidual | null => null);
  let sumOfSquares = 0;
  let varGround = 0;
  let throughAxis = 0;
  for (const { index, stationZ, variance, varGround: own } of list) {
    const sd = Math.sqrt(variance);
    const residual = mean - stationZ;
    const share = 1 / variance / weights;
    const redundancy = 1 - share;
    const checked = redundancy >= LEAST_REDUNDANCY;
    sumOfSquares += (residual * residual) / variance;
    varGround += share * share * (own ?? variance);
    if (own === undefined) throughAxis += share;
    if (index >= sights) continue;
    residuals[index] = {
      stationZ,
      sd,
      residual,
      redundancy,
      standardisedResidual: checked ? residual / (sd * Math.sqrt(redundancy)) : null,
      detectableBias: checked ? (sd * DETECTABLE_NONCENTRALITY) / Math.sqrt(redundancy) : null,
    };
  }
  return {
    z: mean,
    // The height of the instrument comes in only as far as the ground is reached through the tilting axis.
    sdZ: Math.hypot(Math.sqrt(varGround), throughAxis * setup.instrumentHeightSd),
    sdTrunnionZ: Math.sqrt(1 / weights),
    observationCount: list.length,
    fit: fitOf(sumOfSquares, list.length - 1),
    sumOfSquares,
    residuals,
  };
}

/** Height of the station without one point, against what that point says. Null when the rest gives no height. */
export function leaveOutHeight(
  name: string,
  reduced: readonly ReducedObservation[],
  points: ReadonlyMap<string, ControlPoint>,
  setup: Setup,
): HeightLeaveOneOut | null {
  const list = contributions(reduced, points, setup);
  return againstRest(
    list.filter((each) => each.name === name),
    list.filter((each) => each.name !== name),
  );
}

/** What one point says of the height against what the rest says; null where either says nothing. */
export function againstRest(own: readonly Contribution[], rest: readonly Contribution[]): HeightLeaveOneOut | null {
  if (own.length === 0 || rest.length === 0) return null;
  const { mean, weights } = weightedMean(rest);
  const ownMean = own.reduce((sum, each) => sum + each.stationZ, 0) / own.length;
  const ownVariance = own.reduce((sum, each) => sum + each.variance - each.varControl, 0) / own.length ** 2;
  const sd = Math.sqrt(ownVariance + own[0]!.varControl + 1 / weights);
  const dZ = mean - ownMean;
  const w = dZ / sd;
  return { dZ, sd, w, critical: CRITICAL_W, exceeds: Math.abs(w) > CRITICAL_W };
}
