import { RADIANS_PER_SECOND } from '@idle-marker/core';

/** The instrument and kit of the simulator, as its data sheet would put it. */
export const SIMULATED_INSTRUMENT = {
  name: 'demo instrument',
  angleSdSec: 1,
  distSdMm: 1,
  distSdPpm: 1.5,
  precision: { angleSd: RADIANS_PER_SECOND, distanceSd: 0.001, distanceSdRatio: 1.5e-6 },
} as const;

/** What a pole adds: prism centring and plumb, by hand and with legs. */
const PLUMB_SD_DEG = { hand: 4 / 60, legs: 1.5 / 60 } as const;
const PRISM_CENTRING_MM = 0.7;
export const TARGET_HEIGHT_SD_MM = 1;

/** Horizontal uncertainty of the prism over the point, per axis: plumb and prism centring in quadrature. */
export function targetCentringSdMm(targetHeight: number, legs: boolean): number {
  const lean = Math.abs(targetHeight) * 1000 * Math.tan(((legs ? PLUMB_SD_DEG.legs : PLUMB_SD_DEG.hand) * Math.PI) / 180);
  return Math.round(Math.hypot(lean, PRISM_CENTRING_MM) * 100) / 100;
}
