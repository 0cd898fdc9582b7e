/**
 * The face of a column or wall against a reference line: how far off it stands, whether it is turned and whether it
 * leans, from shots to its edges low and high, and where the middle of the column comes to lie when its width is known.
 */
import { alongOff } from '../plane/line.ts';
import type { Segment } from '../plane/crossing.ts';
import type { SitePoint } from '../plane/point.ts';
import type { Metres, Radians } from '../quantity/unit.ts';

export interface FaceShot {
  /** Edges as they come along the line; `middle` of a face whose edges can't be reached. */
  readonly edge: 'first' | 'second' | 'middle';
  readonly level: 'low' | 'high';
  /** Where the centre of the target was. */
  readonly place: SitePoint;
}
export interface FaceAsked {
  readonly line: Segment;
  readonly shots: readonly FaceShot[];
  /** From the surface to the centre of the target that is held against it. */
  readonly targetOffset: Metres;
  /** Of the column across the line, taped; null when it was not. */
  readonly width: Metres | null;
}
export interface FaceSide {
  readonly edge: FaceShot['edge'];
  readonly level: FaceShot['level'];
  /** Of the surface, positive to the right of the line. */
  readonly offset: Metres;
  readonly along: Metres;
  readonly z: Metres | null;
  readonly shots: number;
  /** Largest less smallest offset; null for a single shot. */
  readonly spread: Metres | null;
}
export interface FaceResult {
  readonly sides: readonly FaceSide[];
  /** Of the middle of the face, at the lower level where both were shot; positive to the right of the line. */
  readonly offset: Metres;
  /**
   * By how much the second edge stands farther to the right than the first, and the angle of that; null without both
   * edges.
   */
  readonly twist: { readonly across: Metres; readonly angle: Radians } | null;
  /** By how much it leans to the right on its way up, and over what height; null without both levels. */
  readonly lean: { readonly across: Metres; readonly over: Metres } | null;
  /** Of the column's middle: half the taped width behind the face. Null without a width. */
  readonly centreOffset: Metres | null;
  /** Middle between the two edges, along the line from its start; null without both edges. */
  readonly centreAlong: Metres | null;
}

const mean = (values: readonly number[]): number => values.reduce((sum, each) => sum + each, 0) / values.length;

/** Null when there is no shot or the line has no length. */
export function faceAgainstLine({ line, shots, targetOffset, width }: FaceAsked): FaceResult | null {
  const placed = shots.flatMap((shot) => {
    const where = alongOff(shot.place, line.from, line.to);
    return where ? [{ ...shot, ...where }] : [];
  });
  if (placed.length === 0) return null;
  // The face looks away from the line, and the target stands before it.
  const side = Math.sign(mean(placed.map(({ off }) => off))) || 1;
  const groups = new Map<string, typeof placed>();
  for (const shot of placed)
    groups.set(`${shot.edge} ${shot.level}`, [...(groups.get(`${shot.edge} ${shot.level}`) ?? []), shot]);
  const sides = [...groups.values()].map((group): FaceSide => {
    const offsets = group.map(({ off }) => off);
    const heights = group.flatMap(({ place }) => (place.z === null ? [] : [place.z]));
    return {
      edge: group[0]!.edge,
      level: group[0]!.level,
      offset: mean(offsets) - side * targetOffset,
      along: mean(group.map(({ along }) => along)),
      z: heights.length === group.length ? mean(heights) : null,
      shots: group.length,
      spread: group.length > 1 ? Math.max(...offsets) - Math.min(...offsets) : null,
    };
  });
  const at = (edge: FaceSide['edge'], level: FaceSide['level']) =>
    sides.find((each) => each.edge === edge && each.level === level) ?? null;
  const level = sides.some((each) => each.level === 'low') ? 'low' : 'high';
  const [first, second] = [at('first', level), at('second', level)];
  const offset =
    first && second
      ? (first.offset + second.offset) / 2
      : mean(sides.filter((each) => each.level === level).map((each) => each.offset));
  const both = first && second && Math.abs(second.along - first.along) > 0 ? { first, second } : null;
  return {
    sides,
    offset,
    twist: both && {
      across: both.second.offset - both.first.offset,
      angle: Math.atan((both.second.offset - both.first.offset) / (both.second.along - both.first.along)),
    },
    lean: leanOf(sides),
    centreOffset: width === null ? null : offset - (side * width) / 2,
    centreAlong: both && (both.first.along + both.second.along) / 2,
  };
}

/** From the edges that were shot at both levels. */
function leanOf(sides: readonly FaceSide[]): FaceResult['lean'] {
  const pairs = sides.flatMap((low) => {
    const high =
      low.level === 'low' && low.z !== null
        ? sides.find((each) => each.edge === low.edge && each.level === 'high' && each.z !== null)
        : undefined;
    return high ? [{ across: high.offset - low.offset, over: high.z! - low.z! }] : [];
  });
  if (pairs.length === 0) return null;
  const over = mean(pairs.map((each) => each.over));
  return over > 0 ? { across: mean(pairs.map((each) => each.across)), over } : null;
}
