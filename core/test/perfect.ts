/**
 * A forward model of its own for the tests: what a perfect instrument would read, from where everything really is.
 * It shares no code with the reduction that it is used to test.
 */
import type { ControlPoint, InstrumentPrecision, Observation, Reading, Reduction, Setup } from '../src/index.ts';

export const PRECISION: InstrumentPrecision = {
  angleSd: (1 / 3600) * (Math.PI / 180),
  distanceSd: 0.001,
  distanceSdRatio: 1.5e-6,
};
export const SETUP: Setup = { instrumentHeight: 1.6, instrumentHeightSd: 0.001 };
export const REDUCTION: Reduction = {
  combinedScaleFactor: 1,
  refraction: 0.13,
  earthRadius: 6_371_000,
  prismConstant: 0,
  atmosphericRatio: 0,
};

export interface TruePlace {
  readonly e: number;
  readonly n: number;
  readonly z: number;
}

export interface TrueStation extends TruePlace {
  /** Azimuth of circle zero. */
  readonly orientation: number;
}

export interface Pole {
  readonly targetHeight: number;
  readonly face: 1 | 2;
}

/** The reading to a pole that stands at `place`, free of noise. */
export function perfectReading(
  station: TrueStation,
  place: TruePlace,
  pole: Partial<Pole> = {},
  reduction: Reduction = REDUCTION,
): Reading {
  const { targetHeight = 1.5, face = 1 } = pole;
  const de = place.e - station.e;
  const dn = place.n - station.n;
  const level = Math.sqrt(de * de + dn * dn) / reduction.combinedScaleFactor;
  // The ground falls away by the earth's curvature and the sight bends after it.
  const drop = ((1 - reduction.refraction) * level * level) / (2 * reduction.earthRadius);
  const rise = place.z + targetHeight - (station.z + SETUP.instrumentHeight) - drop;
  const zenith = Math.PI / 2 - Math.atan(rise / level);
  const circle = Math.atan2(de, dn) - station.orientation + 6 * Math.PI;
  const slope = Math.sqrt(level * level + rise * rise) / (1 + reduction.atmosphericRatio) - reduction.prismConstant;
  return {
    face,
    circle: face === 1 ? circle : circle + Math.PI,
    zenith: face === 1 ? zenith : 2 * Math.PI - zenith,
    slope,
    targetHeight,
    targetHeightSd: 0.001,
    targetCentringSd: 0.001,
  };
}

export const observe = (
  station: TrueStation,
  name: string,
  place: TruePlace,
  pole: Partial<Pole> = {},
  reduction: Reduction = REDUCTION,
): Observation => ({
  ...perfectReading(station, place, pole, reduction),
  point: name,
  usePlan: true,
  useHeight: true,
});

export const listed = (name: string, place: TruePlace): ControlPoint => ({
  name,
  ...place,
  sdPlan: 0.002,
  sdHeight: 0.002,
});

/** A station that is known without error, so that only the sight's own part shows in what is propagated. */
export const exactStation = ({ e, n, z, orientation }: TrueStation) => ({
  e,
  n,
  z,
  orientation,
  covariance: [
    [0, 0, 0],
    [0, 0, 0],
    [0, 0, 0],
  ] as const,
  sdTrunnionZ: 0,
});
