/** A point found again with two tapes from marks that are still there. */
import { planDistance, type PlanPoint } from '../plane/point.ts';
import type { Metres, Radians } from '../quantity/unit.ts';

export interface Tapes {
  readonly fromA: Metres;
  readonly fromB: Metres;
  /** Between the two marks: the check that neither of them has moved. */
  readonly apart: Metres;
  /** Angle at which the two tapes meet, from 0 to π/2: near 0 a small error of a tape runs far. */
  readonly crossing: Radians;
  /** The point lies on this hand of who stands on A and looks to B; in line when it is between or beyond them. */
  readonly side: 'left' | 'right' | 'between' | 'beyondA' | 'beyondB';
  /** How much farther the point may be off than the tapes are. */
  readonly spread: number;
}

/** Nearer to the line of the two marks than this, a string is better than two tapes. */
const IN_LINE: Metres = 0.05;
/** Tapes that meet flatter than 20° are not offered as good ones. */
export const FLATTEST: Radians = (20 * Math.PI) / 180;
/** Two marks nearer than this to each other give no direction. */
const LEAST_APART: Metres = 0.2;

/**
 * Distances from two marks, as they stand, to a point (intersection of two arcs). Null where the marks are too near to
 * each other or one of them is the point itself. The spread is 1 / sin of the angle at which the arcs meet (error
 * propagation of two distances; Mikhail and Gracie, Analysis and Adjustment of Survey Measurements).
 */
export function tapesTo(point: PlanPoint, a: PlanPoint, b: PlanPoint): Tapes | null {
  const [fromA, fromB, apart] = [planDistance(a, point), planDistance(b, point), planDistance(a, b)];
  if (apart < LEAST_APART || fromA < IN_LINE || fromB < IN_LINE) return null;
  const right = ((b.n - a.n) * (point.e - a.e) - (b.e - a.e) * (point.n - a.n)) / apart;
  const along = ((b.e - a.e) * (point.e - a.e) + (b.n - a.n) * (point.n - a.n)) / apart;
  const sine = Math.min(1, (apart * Math.abs(right)) / (fromA * fromB));
  const side =
    Math.abs(right) >= IN_LINE
      ? right > 0
        ? 'right'
        : 'left'
      : along < 0
        ? 'beyondA'
        : along > apart
          ? 'beyondB'
          : 'between';
  return { fromA, fromB, apart, crossing: Math.asin(sine), side, spread: sine > 0 ? 1 / sine : Infinity };
}

export interface Recovery extends PlanPoint {
  readonly name: string;
}

export interface TapedPair {
  readonly a: Recovery;
  readonly b: Recovery;
  readonly tapes: Tapes;
  /** In line, or meeting well enough. */
  readonly good: boolean;
}

/**
 * All pairs of marks that a point can be taped from, the best first: a line to pull a string along, then the squarest
 * crossing.
 */
export function tapedPairs(point: PlanPoint, recoveries: readonly Recovery[]): TapedPair[] {
  const pairs: TapedPair[] = [];
  for (const [i, a] of recoveries.entries())
    for (const b of recoveries.slice(i + 1)) {
      const tapes = tapesTo(point, a, b);
      if (tapes) pairs.push({ a, b, tapes, good: isLine(tapes) || tapes.crossing >= FLATTEST });
    }
  const rank = ({ tapes, good }: TapedPair) => (good ? (isLine(tapes) ? 0 : 1) : 2);
  return pairs.sort(
    (one, other) =>
      rank(one) - rank(other) ||
      other.tapes.crossing - one.tapes.crossing ||
      one.tapes.fromA + one.tapes.fromB - other.tapes.fromA - other.tapes.fromB,
  );
}

const isLine = ({ side }: Tapes): boolean => side === 'between' || side === 'beyondA' || side === 'beyondB';
