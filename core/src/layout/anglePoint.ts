/** The corner of two lines that are each offset to a side: hubs square to the corner, and the mark off both lines. */
import { crossLines } from '../plane/crossing.ts';
import { azimuth, planDistance, polar, type PlanPoint } from '../plane/point.ts';
import { wrapHalfTurn } from '../quantity/angle.ts';
import type { Metres, Radians } from '../quantity/unit.ts';

export interface AnglePoint {
  /** Turn of the way at the corner, positive to the right, in (-π, π]. */
  readonly deflection: Radians;
  /** The corner moved square to the line that arrives at it, and to the one that leaves it. */
  readonly back: PlanPoint;
  readonly ahead: PlanPoint;
  /** Where both offset lines meet; null when they are parallel and apart. */
  readonly mitre: PlanPoint | null;
  readonly mitreDistance: Metres | null;
  /** Null when the lines are parallel. `mixed`: the offsets lie on different sides, or one is none. */
  readonly mitreSide: 'inside' | 'outside' | 'mixed' | null;
}

/** Deflection below which the way goes straight on. */
const STRAIGHT: Radians = 1e-9;

const sideOf = (deflection: Radians, back: Metres, ahead: Metres): 'inside' | 'outside' | 'mixed' => {
  if (back * ahead <= 0) return 'mixed';
  return back * deflection > 0 ? 'inside' : 'outside';
};

/**
 * Offsets in metres, positive to the right of the way from → corner → to.
 * Null when a line has no length.
 */
export function anglePoint(
  from: PlanPoint,
  corner: PlanPoint,
  to: PlanPoint,
  backOffset: Metres,
  aheadOffset: Metres,
): AnglePoint | null {
  if (planDistance(from, corner) === 0 || planDistance(corner, to) === 0) return null;
  const [arriving, leaving] = [azimuth(from, corner), azimuth(corner, to)];
  const deflection = wrapHalfTurn(leaving - arriving);
  const back = polar(corner, arriving + Math.PI / 2, backOffset);
  const ahead = polar(corner, leaving + Math.PI / 2, aheadOffset);
  const isStraight = Math.abs(deflection) < STRAIGHT;
  if (isStraight || Math.PI - Math.abs(deflection) < STRAIGHT) {
    const meets = isStraight && backOffset === aheadOffset;
    return {
      deflection,
      back,
      ahead,
      mitre: meets ? back : null,
      mitreDistance: meets ? Math.abs(backOffset) : null,
      mitreSide: null,
    };
  }
  const mitre = crossLines(
    { from: back, to: polar(back, arriving, 1) },
    { from: ahead, to: polar(ahead, leaving, 1) },
    0,
  )!.points[0]!;
  return {
    deflection,
    back,
    ahead,
    mitre: { e: mitre.e, n: mitre.n },
    mitreDistance: planDistance(corner, mitre),
    mitreSide: sideOf(deflection, backOffset, aheadOffset),
  };
}
