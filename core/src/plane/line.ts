import type { Metres } from '../quantity/unit.ts';
import { crossLines } from './crossing.ts';
import type { PlanPoint } from './point.ts';

/** Sine of the smallest angle at which two lines are still said to cross; about 0.06°. */
const PARALLEL_SINE = 1e-3;

/**
 * The crossing of the straight line through `a1`, `a2` with that through `b1`, `b2`, both taken as endless.
 * Null when they are parallel (closer than 0.06°) or a line has no length.
 */
export function intersectLines(a1: PlanPoint, a2: PlanPoint, b1: PlanPoint, b2: PlanPoint): PlanPoint | null {
  const [crossing] = crossLines({ from: a1, to: a2 }, { from: b1, to: b2 }, PARALLEL_SINE)?.points ?? [];
  return crossing ? { e: crossing.e, n: crossing.n } : null;
}

/** Distance along a line from `start`, and off it: positive to the right of start → end. Null when it has no length. */
export function alongOff(point: PlanPoint, start: PlanPoint, end: PlanPoint): { along: Metres; off: Metres } | null {
  const length = Math.hypot(end.e - start.e, end.n - start.n);
  if (length === 0) return null;
  const ue = (end.e - start.e) / length;
  const un = (end.n - start.n) / length;
  const de = point.e - start.e;
  const dn = point.n - start.n;
  return { along: de * ue + dn * un, off: de * un - dn * ue };
}

/** The point `along` a line from `start` and `off` it: the inverse of `alongOff`. */
export function pointAlongOff(start: PlanPoint, end: PlanPoint, along: Metres, off: Metres): PlanPoint | null {
  const length = Math.hypot(end.e - start.e, end.n - start.n);
  if (length === 0) return null;
  const ue = (end.e - start.e) / length;
  const un = (end.n - start.n) / length;
  return { e: start.e + along * ue + off * un, n: start.n + along * un - off * ue };
}
