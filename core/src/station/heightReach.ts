/**
 * How well heights are carried to a distance by slope and zenith angle, and so how far they replace a level. Errors of
 * the zenith angle grow with the distance, those of refraction with its square; the target's height and the tilting
 * axis are the same everywhere. Source: Rüeger, Electronic Distance Measurement (trigonometric heights); Ghilani,
 * Adjustment Computations (propagation of errors in trigonometric levelling).
 */
import type { Metres } from '../quantity/unit.ts';
import type { InstrumentPrecision } from '../sight/observation.ts';

export interface HeightReachAsked {
  readonly precision: Pick<InstrumentPrecision, 'angleSd'>;
  /** Of the tilting axis, from its benchmarks. */
  readonly axisSd: Metres;
  /** Of the height of the target over its foot. */
  readonly targetHeightSd: Metres;
}

const EARTH_RADIUS: Metres = 6_371_000;
/** Over warm ground the coefficient of refraction is known no better than this. */
export const REFRACTION_SD = 0.15;

/** Standard deviation of a height that is read once at a level distance; the sight is taken to be nearly level. */
export function heightSdAt(distance: Metres, { precision, axisSd, targetHeightSd }: HeightReachAsked): Metres {
  const refraction = (REFRACTION_SD * distance * distance) / (2 * EARTH_RADIUS);
  return Math.hypot(axisSd, targetHeightSd, precision.angleSd * distance, refraction);
}

/** The farthest distance at which a height is still good to a limit, whole metres; 0 where it is nowhere. */
export function heightReach(limit: Metres, asked: HeightReachAsked): Metres {
  // The variance is a quadratic of the squared distance: a d² + b d⁴ + c = limit².
  const rest = limit ** 2 - asked.axisSd ** 2 - asked.targetHeightSd ** 2;
  if (!(rest > 0)) return 0;
  const a = asked.precision.angleSd ** 2;
  const b = (REFRACTION_SD / (2 * EARTH_RADIUS)) ** 2;
  const square = (2 * rest) / (a + Math.sqrt(a * a + 4 * b * rest));
  return Math.floor(Math.sqrt(square));
}
