/**
 * Plane similarity transformation by least squares: shift, rotation and scale that bring one set of points onto
 * another, all pairs with the same weight (the four-parameter or Helmert transformation; with the scale held, three
 * parameters). Source: C. D. Ghilani, Adjustment Computations, chapter on coordinate transformations.
 */
import type { PlanPoint } from '../plane/point.ts';
import type { Metres, Radians } from '../quantity/unit.ts';
import { fail, ok, type Result } from '../result.ts';

export interface PointPair {
  readonly source: PlanPoint;
  readonly target: PlanPoint;
}
export interface Similarity {
  readonly scale: number;
  /** Clockwise: azimuths grow by it. */
  readonly rotation: Radians;
  /** E' = shift.e + scale (E cos r + N sin r), N' = shift.n + scale (-E sin r + N cos r). */
  readonly shift: PlanPoint;
}
export interface SimilarityFit extends Similarity {
  /** Transformed source less target, pair by pair. */
  readonly residuals: readonly PlanPoint[];
  /** Length of the largest. */
  readonly maxResidual: Metres;
  readonly degreesOfFreedom: number;
  /** Of a coordinate; null when nothing is left over to tell. */
  readonly standardDeviation: Metres | null;
}
export type SimilarityError =
  { readonly code: 'TOO_FEW_PAIRS'; readonly given: number } | { readonly code: 'COINCIDENT_POINTS' };

/** Points closer together than this give no direction. */
const APART: Metres = 1e-6;

export function transformed({ scale, rotation, shift }: Similarity, { e, n }: PlanPoint): PlanPoint {
  const [cos, sin] = [scale * Math.cos(rotation), scale * Math.sin(rotation)];
  return { e: shift.e + e * cos + n * sin, n: shift.n - e * sin + n * cos };
}

const centroid = (points: readonly PlanPoint[]): PlanPoint => ({
  e: points.reduce((sum, { e }) => sum + e, 0) / points.length,
  n: points.reduce((sum, { n }) => sum + n, 0) / points.length,
});
const spread = (points: readonly PlanPoint[], middle: PlanPoint): Metres =>
  Math.max(...points.map(({ e, n }) => Math.hypot(e - middle.e, n - middle.n)));

/** @param heldScale scale to hold; null lets it be found */
export function fitSimilarity(
  pairs: readonly PointPair[],
  heldScale: number | null,
): Result<SimilarityFit, SimilarityError> {
  if (pairs.length < 2) return fail({ code: 'TOO_FEW_PAIRS', given: pairs.length });
  const [from, to] = [centroid(pairs.map(({ source }) => source)), centroid(pairs.map(({ target }) => target))];
  if (
    spread(
      pairs.map(({ source }) => source),
      from,
    ) < APART ||
    spread(
      pairs.map(({ target }) => target),
      to,
    ) < APART
  )
    return fail({ code: 'COINCIDENT_POINTS' });
  let [a, b, squares] = [0, 0, 0];
  for (const { source, target } of pairs) {
    const [e, n] = [source.e - from.e, source.n - from.n];
    const [te, tn] = [target.e - to.e, target.n - to.n];
    a += e * te + n * tn;
    b += n * te - e * tn;
    squares += e * e + n * n;
  }
  const rotation = Math.atan2(b, a);
  const scale = heldScale ?? Math.hypot(a, b) / squares;
  const turned = transformed({ scale, rotation, shift: { e: 0, n: 0 } }, from);
  const similarity = { scale, rotation, shift: { e: to.e - turned.e, n: to.n - turned.n } };
  const residuals = pairs.map(({ source, target }) => {
    // About the centroids: large coordinates would leave nothing of the last digits.
    const { e, n } = transformed({ scale, rotation, shift: to }, { e: source.e - from.e, n: source.n - from.n });
    return { e: e - target.e, n: n - target.n };
  });
  const degreesOfFreedom = 2 * pairs.length - (heldScale === null ? 4 : 3);
  const sum = residuals.reduce((total, { e, n }) => total + e * e + n * n, 0);
  return ok({
    ...similarity,
    residuals,
    maxResidual: Math.max(...residuals.map(({ e, n }) => Math.hypot(e, n))),
    degreesOfFreedom,
    standardDeviation: degreesOfFreedom > 0 ? Math.sqrt(sum / degreesOfFreedom) : null,
  });
}
