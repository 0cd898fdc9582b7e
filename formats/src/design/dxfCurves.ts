/**
 * Curves of a drawing as rows of arcs: each arc goes through three places of the curve, so that a few dozen are within a
 * fraction of a millimetre of it. Source: L. Piegl, W. Tiller, The NURBS Book, chapter 4 (rational curves by de Boor's
 * algorithm in homogeneous coordinates).
 */
import type { PlanPoint } from '@idle-marker/core';
import type { DrawnCorner } from './drawing.ts';

export interface CurvePlace extends PlanPoint {
  readonly z: number;
}

/** Bulge of the arc from one place over another to a third. */
export function bulgeThrough(from: PlanPoint, over: PlanPoint, to: PlanPoint): number {
  const [ae, an] = [from.e - over.e, from.n - over.n];
  const [be, bn] = [to.e - over.e, to.n - over.n];
  const cross = ae * bn - an * be;
  const along = ae * be + an * bn;
  // Half the angle that is seen from the place in the middle; straight on it is a quarter turn.
  const half = Math.atan2(Math.abs(cross), along) / 2;
  const bulge = Math.cos(half) / Math.sin(half);
  return Number.isFinite(bulge) && bulge > 1e-12 ? (cross > 0 ? -bulge : bulge) : 0;
}

/** Corners along a curve, `steps` arcs between two values of its parameter. */
export function arcsAlong(
  at: (parameter: number) => CurvePlace,
  from: number,
  to: number,
  steps: number,
): (DrawnCorner & { z: number })[] {
  return Array.from({ length: steps + 1 }, (_, i) => {
    const parameter = from + ((to - from) * i) / steps;
    const place = at(parameter);
    const bulge =
      i === steps
        ? 0
        : bulgeThrough(place, at(parameter + (to - from) / steps / 2), at(parameter + (to - from) / steps));
    return { ...place, bulge };
  });
}

export interface Nurbs {
  readonly degree: number;
  readonly knots: readonly number[];
  readonly points: readonly CurvePlace[];
  /** 1 throughout where there are none. */
  readonly weights: readonly number[];
}

/** Whether its parts fit together. */
export const isWhole = ({ degree, knots, points, weights }: Nurbs): boolean =>
  Number.isInteger(degree) &&
  degree >= 1 &&
  degree <= 25 &&
  points.length > degree &&
  knots.length === points.length + degree + 1 &&
  (weights.length === 0 || weights.length === points.length) &&
  knots.every((knot, i) => Number.isFinite(knot) && (i === 0 || knot >= knots[i - 1]!)) &&
  weights.every((weight) => weight > 0) &&
  points.every(({ e, n, z }) => Number.isFinite(e) && Number.isFinite(n) && Number.isFinite(z));

/** @param span the knot at or before the parameter, whose part of the curve it is */
function deBoor({ degree, knots, points, weights }: Nurbs, span: number, parameter: number): CurvePlace {
  const rows = Array.from({ length: degree + 1 }, (_, i) => {
    const k = span - degree + i;
    const weight = weights[k] ?? 1;
    const { e, n, z } = points[k]!;
    return [e * weight, n * weight, z * weight, weight] as [number, number, number, number];
  });
  for (let level = 1; level <= degree; level++)
    for (let i = degree; i >= level; i--) {
      const low = knots[span - degree + i]!;
      const high = knots[span + 1 + i - level]!;
      const share = high === low ? 0 : (parameter - low) / (high - low);
      rows[i] = rows[i]!.map((value, k) => (1 - share) * rows[i - 1]![k]! + share * value) as (typeof rows)[number];
    }
  const [e, n, z, weight] = rows[degree]!;
  return { e: e / weight, n: n / weight, z: z / weight };
}

/** Arcs between two knots. */
const PER_SPAN = 24;

/** Corners along a spline, from its first knot that counts to its last. */
export function splineCorners(curve: Nurbs): (DrawnCorner & { z: number })[] {
  const { degree, knots, points } = curve;
  const corners: (DrawnCorner & { z: number })[] = [];
  if (degree === 1) return points.map((place) => ({ ...place, bulge: 0 }));
  for (let i = degree; i < points.length; i++) {
    const [from, to] = [knots[i]!, knots[i + 1]!];
    if (to - from <= 1e-12) continue;
    const part = arcsAlong((parameter) => deBoor(curve, i, parameter), from, to, PER_SPAN);
    if (corners.length > 0) corners.pop();
    corners.push(...part);
  }
  return corners;
}
