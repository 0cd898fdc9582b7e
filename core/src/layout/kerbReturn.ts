/**
 * The arc that joins two kerb lines at a junction. Source: W. Schofield, M. Breach, Engineering Surveying, chapter 10
 * (simple circular curves).
 */
import { intersectLines } from '../plane/line.ts';
import type { Segment } from '../plane/crossing.ts';
import { azimuth, planDistance, polar, type PlanPoint } from '../plane/point.ts';
import { wrapHalfTurn, wrapTurn } from '../quantity/angle.ts';
import type { Metres, Radians } from '../quantity/unit.ts';

export const RETURN_POINTS = ['begin', 'quarter', 'middle', 'threeQuarter', 'end'] as const;
export type ReturnPointName = (typeof RETURN_POINTS)[number];
export interface ReturnPoint extends PlanPoint {
  readonly name: ReturnPointName;
  readonly azimuth: Radians;
}
export interface KerbReturn {
  /** Positive turning right. */
  readonly delta: Radians;
  readonly intersection: PlanPoint;
  readonly radiusPoint: PlanPoint;
  readonly radius: Metres;
  readonly tangentLength: Metres;
  readonly length: Metres;
  readonly chord: Metres;
  /** From the intersection to the middle of the arc. */
  readonly externalDistance: Metres;
  readonly points: readonly ReturnPoint[];
}

/**
 * @param tangentIn, tangentOut endless lines in the direction of travel
 * @returns null when they run the same way or against each other, or the radius is not positive
 */
export function kerbReturn(tangentIn: Segment, tangentOut: Segment, radius: Metres): KerbReturn | null {
  const intersection = intersectLines(tangentIn.from, tangentIn.to, tangentOut.from, tangentOut.to);
  if (!intersection || !(radius > 0)) return null;
  const [wayIn, wayOut] = [azimuth(tangentIn.from, tangentIn.to), azimuth(tangentOut.from, tangentOut.to)];
  const delta = wrapHalfTurn(wayOut - wayIn);
  const hand = Math.sign(delta);
  const half = Math.abs(delta) / 2;
  const tangentLength = radius * Math.tan(half);
  const begin = polar(intersection, wayIn, -tangentLength);
  const radiusPoint = polar(begin, wayIn + (hand * Math.PI) / 2, radius);
  return {
    delta,
    intersection,
    radiusPoint,
    radius,
    tangentLength,
    length: radius * Math.abs(delta),
    chord: 2 * radius * Math.sin(half),
    externalDistance: planDistance(intersection, radiusPoint) - radius,
    points: RETURN_POINTS.map((name, i) => {
      const direction = wrapTurn(wayIn + (delta * i) / 4);
      return { name, ...polar(radiusPoint, direction - (hand * Math.PI) / 2, radius), azimuth: direction };
    }),
  };
}

/** A place of the arc moved along its radius, positive to the right of travel. */
export const besideReturn = (point: ReturnPoint, offset: Metres): PlanPoint =>
  polar(point, point.azimuth + Math.PI / 2, offset);
