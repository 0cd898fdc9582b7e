/** Marks outside the work from which a corner is found again: on the prolongation of its sides. */
import { azimuth, planDistance, polar, type PlanPoint } from '../plane/point.ts';
import type { Metres, Radians } from '../quantity/unit.ts';

/** The place `distance` beyond one end of a line; null when the line has no length. */
export function beyondEnd(from: PlanPoint, to: PlanPoint, distance: Metres, end: 'from' | 'to'): PlanPoint | null {
  if (planDistance(from, to) === 0) return null;
  return end === 'to' ? polar(to, azimuth(from, to), distance) : polar(from, azimuth(to, from), distance);
}

export interface RectangleCorner extends PlanPoint {
  /** 1 to 4, in the order of the sides. */
  readonly corner: number;
  /** The side from the corner before, carried on beyond this one; and the side from the corner after. */
  readonly previousSide: PlanPoint;
  readonly nextSide: PlanPoint;
}
export interface RectangleMarks {
  readonly corners: readonly RectangleCorner[];
  readonly diagonal: Metres;
}

/**
 * Corners of a rectangle and two recovery marks for each.
 *
 * @param first corner 1; the first side runs from it along `direction` (azimuth) for `length`
 * @param side on which side of the first side the rectangle lies, `width` wide
 * @param distance of the recovery marks from their corner
 */
export function rectangleMarks(
  first: PlanPoint,
  direction: Radians,
  length: Metres,
  width: Metres,
  side: 'left' | 'right',
  distance: Metres,
): RectangleMarks {
  const across = direction + (side === 'right' ? Math.PI / 2 : -Math.PI / 2);
  const second = polar(first, direction, length);
  const corners = [first, second, polar(second, across, width), polar(first, across, width)];
  // Leaving each corner along the next side; arriving at it along the one before.
  const leaving = [direction, across, direction + Math.PI, across + Math.PI];
  return {
    corners: corners.map((corner, i) => ({
      corner: i + 1,
      e: corner.e,
      n: corner.n,
      previousSide: polar(corner, leaving[(i + 3) % 4]!, distance),
      nextSide: polar(corner, leaving[i]! + Math.PI, distance),
    })),
    diagonal: Math.hypot(length, width),
  };
}
