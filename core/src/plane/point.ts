import type { Metres, Radians } from '../quantity/unit.ts';
import { wrapTurn } from '../quantity/angle.ts';

/** A place in the site grid: easting and northing. */
export interface PlanPoint {
  readonly e: Metres;
  readonly n: Metres;
}

/** A place in the site grid with its height, `null` when it has none. */
export interface SitePoint extends PlanPoint {
  readonly z: Metres | null;
}

/** Azimuth from `a` to `b`: clockwise from grid north, in [0, 2π). */
export const azimuth = (a: PlanPoint, b: PlanPoint): Radians => wrapTurn(Math.atan2(b.e - a.e, b.n - a.n));

export const planDistance = (a: PlanPoint, b: PlanPoint): Metres => Math.hypot(b.e - a.e, b.n - a.n);

/** The point at `distance` from `from` along `direction` (azimuth). */
export const polar = (from: PlanPoint, direction: Radians, distance: Metres): PlanPoint => ({
  e: from.e + distance * Math.sin(direction),
  n: from.n + distance * Math.cos(direction),
});

/**
 * The point at a direction and a horizontal distance, so much higher than the one that it is measured from.
 *
 * @param rise metres, negative for lower; null where none is given
 * @returns no height where `from` has none or no rise is given
 */
export const pointAtDirection = (
  from: SitePoint,
  direction: Radians,
  distance: Metres,
  rise: Metres | null,
): SitePoint => ({
  ...polar(from, direction, distance),
  z: from.z === null || rise === null ? null : from.z + rise,
});

/**
 * Where `place` comes to when what stood at `from` stands at `to`, and everything about it has turned clockwise by
 * `turn`.
 */
export const carriedAlong = (place: PlanPoint, from: PlanPoint, to: PlanPoint, turn: Radians): PlanPoint =>
  polar(to, azimuth(from, place) + turn, planDistance(from, place));

const COMPASS = ['north', 'north-east', 'east', 'south-east', 'south', 'south-west', 'west', 'north-west'] as const;
export type CompassWord = (typeof COMPASS)[number];

/** The nearest of eight compass words for an azimuth. */
export const compassWord = (direction: Radians): CompassWord =>
  COMPASS[Math.round(wrapTurn(direction) / (Math.PI / 4)) % 8]!;
