import type { Metres, Radians } from '../quantity/unit.ts';

/** Error ellipse in plan: semi-axes a ≥ b and the azimuth of a in [0, π). */
export interface Ellipse {
  readonly a: Metres;
  readonly b: Metres;
  readonly azimuth: Radians;
}

/** sqrt of the 95 % quantile of chi-square with two degrees of freedom: -2 ln 0.05. */
export const ELLIPSE_95_FACTOR = Math.sqrt(-2 * Math.log(0.05));

/** One-sigma error ellipse of a 2×2 covariance (m²). Source: Ghilani, "Adjustment Computations", error ellipse. */
export function ellipseOf(varE: number, varN: number, covEN: number): Ellipse {
  const mean = (varE + varN) / 2;
  const half = Math.hypot((varE - varN) / 2, covEN);
  // The azimuth is counted from north, so north takes the place of the x axis.
  const azimuth = half === 0 ? 0 : 0.5 * Math.atan2(2 * covEN, varN - varE);
  return {
    a: Math.sqrt(Math.max(mean + half, 0)),
    b: Math.sqrt(Math.max(mean - half, 0)),
    azimuth: azimuth < 0 ? azimuth + Math.PI : azimuth,
  };
}

export const scaleEllipse = (ellipse: Ellipse, factor: number): Ellipse => ({
  ...ellipse,
  a: ellipse.a * factor,
  b: ellipse.b * factor,
});
