/**
 * Arcs as drawings give them: by the bulge of a side, the tangent of a quarter of its angle at the centre, positive
 * turning left (DXF reference, group code 42).
 */
import type { Metres, Radians } from '../quantity/unit.ts';
import type { PlanPoint } from './point.ts';

export interface BulgedArc {
  readonly centre: PlanPoint;
  readonly radius: Metres;
  /** Where it begins, counted from east to the left. */
  readonly start: Radians;
  /** How far it goes round, positive to the left. */
  readonly angle: Radians;
}

/** @param bulge not 0: a straight side has no centre */
export function bulgedArc(from: PlanPoint, to: PlanPoint, bulge: number): BulgedArc {
  // The centre lies to the left of the chord for an arc that turns left and is shorter than half a circle.
  const rise = (1 - bulge * bulge) / (4 * bulge);
  const centre = { e: (from.e + to.e) / 2 - rise * (to.n - from.n), n: (from.n + to.n) / 2 + rise * (to.e - from.e) };
  return {
    centre,
    radius: Math.hypot(from.e - centre.e, from.n - centre.n),
    start: Math.atan2(from.n - centre.n, from.e - centre.e),
    angle: 4 * Math.atan(bulge),
  };
}

/** Places that hold the box round a side: its end, and of an arc where it is farthest east, north, west and south. */
export function reachOfSide(from: PlanPoint, to: PlanPoint, bulge: number): readonly PlanPoint[] {
  if (bulge === 0 || (from.e === to.e && from.n === to.n)) return [to];
  const { centre, radius, start, angle } = bulgedArc(from, to, bulge);
  const farthest: readonly PlanPoint[] = [
    { e: centre.e + radius, n: centre.n },
    { e: centre.e, n: centre.n + radius },
    { e: centre.e - radius, n: centre.n },
    { e: centre.e, n: centre.n - radius },
  ];
  const turn = 2 * Math.PI;
  return [
    to,
    ...farthest.filter((_, quarter) => {
      const away = (((((quarter * Math.PI) / 2 - start) * Math.sign(angle)) % turn) + turn) % turn;
      return away < Math.abs(angle);
    }),
  ];
}

/** Length of a side along its arc. */
export function lengthOfSide(from: PlanPoint, to: PlanPoint, bulge: number): Metres {
  const chord = Math.hypot(to.e - from.e, to.n - from.n);
  if (bulge === 0 || chord === 0) return chord;
  const { radius, angle } = bulgedArc(from, to, bulge);
  return radius * Math.abs(angle);
}
