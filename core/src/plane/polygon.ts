import type { Metres } from '../quantity/unit.ts';
import type { PlanPoint } from './point.ts';

/**
 * Signed area of a closed polygon (last vertex joins the first), by the shoelace formula taken from the
 * first vertex, so that large coordinates cancel before they are multiplied.
 * Positive when the vertices run counterclockwise with east to the right and north up.
 */
export function signedArea(vertices: readonly PlanPoint[]): number {
  const origin = vertices[0];
  if (!origin) return 0;
  let twice = 0;
  for (let i = 1; i + 1 < vertices.length; i++) {
    const a = vertices[i]!;
    const b = vertices[i + 1]!;
    twice += (a.e - origin.e) * (b.n - origin.n) - (b.e - origin.e) * (a.n - origin.n);
  }
  return twice / 2;
}

/** Whether a point lies inside a closed polygon (crossing number; points on the edge may fall either way). */
export function insidePolygon(point: PlanPoint, vertices: readonly PlanPoint[]): boolean {
  let inside = false;
  for (let i = 0, j = vertices.length - 1; i < vertices.length; j = i++) {
    const a = vertices[i]!;
    const b = vertices[j]!;
    if (a.n > point.n !== b.n > point.n && point.e < ((b.e - a.e) * (point.n - a.n)) / (b.n - a.n) + a.e)
      inside = !inside;
  }
  return inside;
}

/** Shortest distance from a point to the closed polygon's edges. */
export function distanceToPolygon(point: PlanPoint, vertices: readonly PlanPoint[]): Metres {
  let shortest = Infinity;
  for (let i = 0, j = vertices.length - 1; i < vertices.length; j = i++) {
    const a = vertices[j]!;
    const b = vertices[i]!;
    const de = b.e - a.e;
    const dn = b.n - a.n;
    const squared = de * de + dn * dn;
    const t = squared === 0 ? 0 : Math.min(1, Math.max(0, ((point.e - a.e) * de + (point.n - a.n) * dn) / squared));
    shortest = Math.min(shortest, Math.hypot(point.e - a.e - t * de, point.n - a.n - t * dn));
  }
  return shortest;
}

/** Which side of the way a → b a point lies on: positive to the left, 0 on the line. */
const side = (a: PlanPoint, b: PlanPoint, point: PlanPoint): number =>
  (b.e - a.e) * (point.n - a.n) - (b.n - a.n) * (point.e - a.e);

const crosses = (a: PlanPoint, b: PlanPoint, c: PlanPoint, d: PlanPoint): boolean =>
  side(a, b, c) * side(a, b, d) < 0 && side(c, d, a) * side(c, d, b) < 0;

/** Whether the straight way between two points runs through a closed polygon, or starts or ends in it. */
export function segmentMeetsPolygon(from: PlanPoint, to: PlanPoint, vertices: readonly PlanPoint[]): boolean {
  if (insidePolygon(from, vertices) || insidePolygon(to, vertices)) return true;
  return vertices.some((vertex, i) => crosses(from, to, vertex, vertices[(i + 1) % vertices.length]!));
}
