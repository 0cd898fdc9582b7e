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
