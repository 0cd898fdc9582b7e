/** Raked piles: the axis leans, so where it comes through depends on the level one looks at. */
import { polar, type PlanPoint } from '../plane/point.ts';
import type { Metres, Radians } from '../quantity/unit.ts';

export interface Rake {
  /** Azimuth in which the toe lies from the head. */
  readonly azimuth: Radians;
  /** Metres down for one metre to the side: 4 for a rake of 1 to 4. */
  readonly ratio: number;
}

/**
 * Where the axis of a pile comes through a level: below the level of its head it lies toward the toe, above it on the
 * other side.
 *
 * @param place where it comes through `level`
 * @param at the level asked for
 */
export const rakedAt = (place: PlanPoint, level: Metres, { azimuth, ratio }: Rake, at: Metres): PlanPoint =>
  polar(place, azimuth, (level - at) / ratio);

/** Length of the pile from one level to another, along its axis. */
export const rakedLength = ({ ratio }: Rake, from: Metres, to: Metres): Metres =>
  Math.abs(from - to) * Math.sqrt(1 + 1 / ratio ** 2);
