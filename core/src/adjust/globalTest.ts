import { chiSquareQuantile } from './chiSquare.ts';

/** Test of the a-posteriori variance factor against 1, two-sided at 95 %. */
export interface GlobalTest {
  /** Lower and upper bound of s0². */
  readonly lower: number;
  readonly upper: number;
  readonly verdict: 'accepted' | 'aboveUpper' | 'belowLower';
}

export interface Fit {
  /** Degrees of freedom: observations minus unknowns. */
  readonly dof: number;
  /** sqrt(v'Pv / dof), null when dof is 0. */
  readonly s0: number | null;
  readonly globalTest: GlobalTest | null;
}

/** A model is doubted where chance alone gives a worse fit once in a thousand. */
const DOUBTED_FROM = 0.999;

/**
 * Whether chance explains a weighted sum of squares, with noise of so many times the stated one. At the level of the
 * tests on single points, at which it is told what would go unseen: at 95 % one faultless adjustment in twenty would be
 * blamed.
 */
export const isByChance = (sumOfSquares: number, dof: number, noise = 1): boolean =>
  dof <= 0 || sumOfSquares <= chiSquareQuantile(DOUBTED_FROM, dof) * noise * noise;

/** The same of a fit. */
export const fitsByChance = ({ s0, dof }: Fit): boolean => s0 === null || isByChance(s0 * s0 * dof, dof);

/**
 * Overall fit of an adjustment from its weighted sum of squares.
 * Source: Ghilani, "Adjustment Computations", chi-square goodness of fit.
 */
export function fitOf(sumOfSquares: number, dof: number): Fit {
  if (dof <= 0) return { dof: Math.max(dof, 0), s0: null, globalTest: null };
  const variance = sumOfSquares / dof;
  const lower = chiSquareQuantile(0.025, dof) / dof;
  const upper = chiSquareQuantile(0.975, dof) / dof;
  const verdict = variance > upper ? 'aboveUpper' : variance < lower ? 'belowLower' : 'accepted';
  return { dof, s0: Math.sqrt(variance), globalTest: { lower, upper, verdict } };
}
