import type { Metres, Radians } from '../quantity/unit.ts';

/** Plumb of a pole: standard deviation by hand, and on legs. */
const PLUMB_BY_HAND: Radians = (4 / 60) * (Math.PI / 180);
const PLUMB_ON_LEGS: Radians = (1.5 / 60) * (Math.PI / 180);
/** Centring of a round prism in its holder. */
const PRISM_CENTRING: Metres = 0.0007;
/** Reading of the target height. */
export const TARGET_HEIGHT_SD: Metres = 0.001;

/**
 * Horizontal uncertainty of the prism over the point, per axis: lean times height, and prism centring, in quadrature.
 */
export const targetCentringSd = (targetHeight: Metres, legs: boolean): Metres =>
  Math.hypot(Math.abs(targetHeight) * Math.tan(legs ? PLUMB_ON_LEGS : PLUMB_BY_HAND), PRISM_CENTRING);
