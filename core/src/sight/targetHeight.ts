/**
 * Target height from its parts, and heights that look like a slip: the pole's mark says how far the pole is drawn out,
 * the target's own height is what its centre adds above that mark.
 */
import { METRES_PER_UNIT, type Metres } from '../quantity/unit.ts';

const METRES_PER_FOOT = METRES_PER_UNIT.foot;

export const composedTargetHeight = (poleMark: Metres, ownHeight: Metres): Metres => poleMark + ownHeight;

export type TargetHeightNotice =
  /** Another target, whose centre sits elsewhere on the pole, and yet the same height. */
  | { readonly code: 'SAME_AFTER_NEW_TARGET'; readonly expected: Metres }
  /** One figure reads as metres and the other as feet. */
  | { readonly code: 'OTHER_UNIT'; readonly likely: Metres }
  /** A pole of 2 m called one of 7 feet, or the reverse. */
  | { readonly code: 'NOMINAL_LENGTH'; readonly difference: Metres }
  /** Taller than a pole is: in feet it would be usual. */
  | { readonly code: 'TOO_TALL'; readonly likely: Metres };

export interface TargetHeightChange {
  readonly height: Metres;
  readonly ownHeight: Metres | null;
  readonly before: { readonly height: Metres; readonly ownHeight: Metres | null } | null;
  /** Whether another target was chosen since the sight before. */
  readonly newTarget: boolean;
}

const SAME: Metres = 0.0005;
const UNIT_RATIO_TOLERANCE = 0.01;
const NOMINAL_DIFFERENCE: Metres = 7 * METRES_PER_FOOT - 2;
const NOMINAL_TOLERANCE: Metres = 0.004;
const TALLEST_POLE: Metres = 4.7;

/** The first thing that looks like a slip; null when nothing does. */
export function noticeTargetHeight({
  height,
  ownHeight,
  before,
  newTarget,
}: TargetHeightChange): TargetHeightNotice | null {
  if (before) {
    const change = height - before.height;
    const own = ownHeight !== null && before.ownHeight !== null ? ownHeight - before.ownHeight : 0;
    if (newTarget && Math.abs(change) < SAME && Math.abs(own) > SAME)
      return { code: 'SAME_AFTER_NEW_TARGET', expected: before.height + own };
    const ratio = height / before.height;
    for (const factor of [METRES_PER_FOOT, 1 / METRES_PER_FOOT]) {
      if (Math.abs(ratio / factor - 1) < UNIT_RATIO_TOLERANCE) return { code: 'OTHER_UNIT', likely: height / factor };
    }
    if (Math.abs(Math.abs(change) - NOMINAL_DIFFERENCE) < NOMINAL_TOLERANCE)
      return { code: 'NOMINAL_LENGTH', difference: change };
  }
  return height > TALLEST_POLE ? { code: 'TOO_TALL', likely: height * METRES_PER_FOOT } : null;
}
