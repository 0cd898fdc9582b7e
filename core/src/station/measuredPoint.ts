import { ELLIPSE_95_FACTOR, ellipseOf, scaleEllipse } from '../adjust/ellipse.ts';
import type { SitePoint } from '../plane/point.ts';
import type { Metres, Radians } from '../quantity/unit.ts';
import type { InstrumentPrecision, Reduction, Setup } from '../sight/observation.ts';
import { curvatureAndRefraction, type ReducedReading } from '../sight/reduce.ts';
import type { PlanPrecision, Station, StationCovariance } from './model.ts';

/** Covariance of a place in plan: variances of e and n and their covariance, m². */
export interface PlanCovariance {
  readonly ee: number;
  readonly nn: number;
  readonly en: number;
}

export const planPrecisionOf = (covariance: PlanCovariance): PlanPrecision => {
  const ellipse = ellipseOf(covariance.ee, covariance.nn, covariance.en);
  return {
    sdE: Math.sqrt(Math.max(covariance.ee, 0)),
    sdN: Math.sqrt(Math.max(covariance.nn, 0)),
    ellipse,
    ellipse95: scaleEllipse(ellipse, ELLIPSE_95_FACTOR),
  };
};

/**
 * Covariance of a point at azimuth `t` and grid distance `distance` from the station:
 * J Cst J' + R diag(V_radial + sc², d² sa² + sc²) R'.
 */
export function propagatePlan(
  covariance: StationCovariance,
  t: Radians,
  distance: Metres,
  reduced: Pick<ReducedReading, 'horizontal' | 'varRadial' | 'varDirection' | 'targetCentringSd'>,
): PlanCovariance {
  const sine = Math.sin(t);
  const cosine = Math.cos(t);
  const je = distance * cosine;
  const jn = -distance * sine;
  const [[cee, cen, ceo], [, cnn, cno], [, , coo]] = covariance as readonly [
    readonly [number, number, number],
    readonly [number, number, number],
    readonly [number, number, number],
  ];
  const centring = reduced.targetCentringSd ** 2;
  const radial = reduced.varRadial + centring;
  const lateral = reduced.horizontal! ** 2 * reduced.varDirection + centring;
  return {
    ee: cee + 2 * je * ceo + je * je * coo + sine * sine * radial + cosine * cosine * lateral,
    nn: cnn + 2 * jn * cno + jn * jn * coo + cosine * cosine * radial + sine * sine * lateral,
    en: cen + jn * ceo + je * cno + je * jn * coo + sine * cosine * (radial - lateral),
  };
}

/** A point measured from a station: the ground under the target, with its covariance. */
export interface MeasuredPoint extends SitePoint {
  /** Azimuth from the station to the target. */
  readonly azimuth: Radians;
  readonly gridDistance: Metres;
  readonly plan: PlanCovariance;
  /** Variance of the height; null when the station has none. */
  readonly varZ: number | null;
}

/** Source: reduction after Schofield, Breach; propagation after Ghilani, "Adjustment Computations". */
export function measurePoint(station: Station, setup: Setup, reduced: ReducedReading): MeasuredPoint | null {
  if (reduced.gridDistance === null || reduced.heightDifference === null) return null;
  const t = station.orientation + reduced.hz;
  const hasHeight = station.z !== null && station.sdTrunnionZ !== null;
  return {
    e: station.e + reduced.gridDistance * Math.sin(t),
    n: station.n + reduced.gridDistance * Math.cos(t),
    z: hasHeight ? station.z + setup.instrumentHeight + reduced.heightDifference - reduced.targetHeight : null,
    azimuth: t,
    gridDistance: reduced.gridDistance,
    plan: propagatePlan(station.covariance, t, reduced.gridDistance, reduced),
    varZ: hasHeight ? station.sdTrunnionZ ** 2 + reduced.varHeightDifference + reduced.targetHeightSd ** 2 : null,
  };
}

/** The pole as far as its errors matter. */
export interface PoleSet {
  readonly targetHeight: Metres;
  readonly targetHeightSd: Metres;
  readonly targetCentringSd: Metres;
}

/** The pole that a station was sighted with first: what is expected of further sights. */
export function expectedPole({ observations }: { readonly observations: readonly PoleSet[] }): PoleSet {
  const [first] = observations;
  return first ?? { targetHeight: 0, targetHeightSd: 0, targetCentringSd: 0 };
}

export interface Prediction extends PlanPrecision {
  readonly sdZ: Metres | null;
  /** Semi-major axis of the 95 % ellipse: a circle that encloses it. */
  readonly radius95: Metres;
}

/** The reading that the instrument should show for a design point, one face. Zenith is π/2 without a design height. */
export function expectedReading(
  station: Station,
  setup: Setup,
  reduction: Reduction,
  target: SitePoint,
  targetHeight: Metres,
): {
  readonly azimuth: Radians;
  readonly gridDistance: Metres;
  readonly horizontal: Metres;
  readonly slope: Metres;
  readonly zenith: Radians;
} {
  const de = target.e - station.e;
  const dn = target.n - station.n;
  const gridDistance = Math.hypot(de, dn);
  const horizontal = gridDistance / reduction.combinedScaleFactor;
  const vertical =
    target.z === null || station.z === null
      ? 0
      : target.z + targetHeight - station.z - setup.instrumentHeight - curvatureAndRefraction(horizontal, reduction);
  return {
    azimuth: Math.atan2(de, dn),
    gridDistance,
    horizontal,
    slope: Math.hypot(horizontal, vertical),
    zenith: Math.atan2(horizontal, vertical),
  };
}

/** What the station can promise at a design point, pole included. */
export function predictAt(
  station: Station,
  setup: Setup,
  precision: InstrumentPrecision,
  reduction: Reduction,
  target: SitePoint,
  pole: PoleSet,
): Prediction {
  const reading = expectedReading(station, setup, reduction, target, pole.targetHeight);
  const sine = Math.sin(reading.zenith);
  const cosine = Math.cos(reading.zenith);
  const varAngle = precision.angleSd ** 2;
  const varSlope = precision.distanceSd ** 2 + (precision.distanceSdRatio * reading.slope) ** 2;
  const varRadial = varSlope * sine * sine + (reading.slope * cosine) ** 2 * varAngle;
  const varHeight = varSlope * cosine * cosine + (reading.slope * sine) ** 2 * varAngle;
  const plan = planPrecisionOf(
    propagatePlan(station.covariance, reading.azimuth, reading.gridDistance, {
      horizontal: reading.horizontal,
      varRadial,
      varDirection: varAngle,
      targetCentringSd: pole.targetCentringSd,
    }),
  );
  const hasHeight = target.z !== null && station.sdTrunnionZ !== null;
  return {
    ...plan,
    sdZ: hasHeight ? Math.sqrt(station.sdTrunnionZ ** 2 + varHeight + pole.targetHeightSd ** 2) : null,
    radius95: plan.ellipse95.a,
  };
}
