/** The bubble's picture: how much its rim shows, and the ring to bring it into. */
import { LEVEL_GOOD, RADIANS_PER_SECOND } from '@idle-marker/core';

/** Stages of the display, seconds of arc from the middle to its rim. */
const RIMS = [600, 120, 30] as const;
const GOOD = LEVEL_GOOD / RADIANS_PER_SECOND;

/** Seconds of arc. Within the inner ring the next, finer stage takes over; within that of the last one it is in. */
export function levelRings(tilt: number): { readonly rim: number; readonly inner: number } {
  const stage = Math.max(
    0,
    RIMS.findLastIndex((rim) => tilt <= rim),
  );
  return { rim: RIMS[stage]!, inner: RIMS[stage + 1] ?? GOOD };
}
