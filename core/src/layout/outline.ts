/**
 * Offset hubs round a closed outline.
 *
 * At an outside corner two hubs, each on the prolongation of one side and square off the other by the offset.
 * At a re-entrant corner the prolongations run into the building, so there is one hub, off both faces by the offset.
 * "Outside" follows from the outline's orientation, so it does not matter which way round it was drawn.
 */
import { azimuth, planDistance, polar, type PlanPoint } from '../plane/point.ts';
import { distanceToPolygon, insidePolygon, signedArea } from '../plane/polygon.ts';
import { intersectLines } from '../plane/line.ts';
import { wrapHalfTurn } from '../quantity/angle.ts';
import type { Metres, Radians } from '../quantity/unit.ts';
import { fail, ok, type Result } from '../result.ts';

export interface Corner extends PlanPoint {
  readonly name: string;
  /** Its own height, where it has one. */
  readonly z?: Metres | null;
  /** What the drawing or list calls its kind. */
  readonly code?: string;
}

/** One hub to set: where it goes and what it tells. */
export interface HubPlan {
  /** Stable identity within the outline: corner and side. Regenerating gives the same keys. */
  readonly key: string;
  readonly corner: string;
  readonly place: PlanPoint;
  readonly designPlace: PlanPoint;
  /** Level distance, square off the face(s). */
  readonly offset: Metres;
  /** Corners at the ends of the face that the offset is measured to, and of the side whose line the hub stands on. */
  readonly offFace: readonly [string, string] | null;
  readonly onLine: readonly [string, string] | null;
  /** Second face for a hub that is off both. */
  readonly alsoOffFace: readonly [string, string] | null;
  /** From the corner to the hub. */
  readonly direction: Radians;
  /** False when the hub would lie inside the outline or nearer to another part of it than the offset. */
  readonly clear: boolean;
  /** Own height of what it is set for; null where that has none. */
  readonly z: Metres | null;
}

export type OutlineError =
  | { readonly code: 'OUTLINE_TOO_FEW_CORNERS'; readonly given: number }
  | { readonly code: 'OUTLINE_NO_AREA' }
  | { readonly code: 'OUTLINE_REPEATED_CORNER'; readonly name: string }
  | { readonly code: 'OUTLINE_CROSSES_ITSELF'; readonly between: readonly [string, string] }
  | { readonly code: 'OFFSET_NOT_POSITIVE'; readonly offset: number };

const SAME_CORNER: Metres = 0.001;
/** Corners that turn less than this are on a straight side: about half a degree. */
const STRAIGHT: Radians = 0.01;
/** A hub on the prolongation of a side sharper than this would stand too far out. */
const SHARPEST: Radians = Math.PI / 6;
const CLEARANCE_SLACK: Metres = 0.001;

export function offsetHubs(corners: readonly Corner[], offset: Metres): Result<HubPlan[], OutlineError> {
  const invalid = outlineError(corners, offset);
  if (invalid) return fail(invalid);
  // Counterclockwise (east right, north up): the outside is on the right of every side.
  const ordered = signedArea(corners) > 0 ? corners : [...corners].reverse();
  const hubs: HubPlan[] = [];
  ordered.forEach((corner, i) => {
    const previous = ordered[(i + ordered.length - 1) % ordered.length]!;
    const next = ordered[(i + 1) % ordered.length]!;
    hubs.push(
      ...hubsAtCorner(previous, corner, next, offset).map((hub) => ({
        ...hub,
        clear: isClear(hub.place, ordered, offset),
      })),
    );
  });
  return ok(hubs);
}

/** What makes a list of corners unfit as an outline; null when it is one. */
export function outlineError(corners: readonly Corner[], offset: Metres): OutlineError | null {
  if (!(offset > 0) || !Number.isFinite(offset)) return { code: 'OFFSET_NOT_POSITIVE', offset };
  if (corners.length < 3) return { code: 'OUTLINE_TOO_FEW_CORNERS', given: corners.length };
  const repeated = corners.find((corner, i) => planDistance(corner, corners[(i + 1) % corners.length]!) < SAME_CORNER);
  if (repeated) return { code: 'OUTLINE_REPEATED_CORNER', name: repeated.name };
  const crossing = firstCrossing(corners);
  if (crossing) return { code: 'OUTLINE_CROSSES_ITSELF', between: crossing };
  return Math.abs(signedArea(corners)) < SAME_CORNER ** 2 ? { code: 'OUTLINE_NO_AREA' } : null;
}

function firstCrossing(corners: readonly Corner[]): readonly [string, string] | null {
  const count = corners.length;
  for (let i = 0; i < count; i++) {
    for (let j = i + 2; j < count; j++) {
      if (i === 0 && j === count - 1) continue;
      const [a, b, c, d] = [corners[i]!, corners[(i + 1) % count]!, corners[j]!, corners[(j + 1) % count]!];
      if (side(a, b, c) * side(a, b, d) < 0 && side(c, d, a) * side(c, d, b) < 0) return [a.name, c.name];
    }
  }
  return null;
}

const side = (a: PlanPoint, b: PlanPoint, p: PlanPoint): number =>
  Math.sign((b.e - a.e) * (p.n - a.n) - (b.n - a.n) * (p.e - a.e));

type Placed = Omit<HubPlan, 'clear'>;

function hubsAtCorner(previous: Corner, corner: Corner, next: Corner, offset: Metres): Placed[] {
  const arriving = azimuth(previous, corner);
  const leaving = azimuth(corner, next);
  const turn = wrapHalfTurn(leaving - arriving);
  const faceIn: readonly [string, string] = [previous.name, corner.name];
  const faceOut: readonly [string, string] = [corner.name, next.name];
  const outward = (along: Radians) => along + Math.PI / 2;
  const base = {
    corner: corner.name,
    designPlace: { e: corner.e, n: corner.n },
    offset,
    alsoOffFace: null,
    z: corner.z ?? null,
  };
  const hub = (side: string, place: PlanPoint, rest: Pick<Placed, 'offFace' | 'onLine'> & Partial<Placed>): Placed => ({
    ...base,
    ...rest,
    key: `${corner.name}/${side}`,
    place,
    direction: azimuth(corner, place),
  });
  if (Math.abs(turn) < STRAIGHT) {
    return [hub('face', polar(corner, outward(arriving), offset), { offFace: faceIn, onLine: null })];
  }
  // Counterclockwise outline: a left turn (negative) is an outside corner, a right turn is re-entrant.
  if (turn > 0) {
    const place = offBoth(corner, arriving, leaving, offset);
    return [hub('both', place, { offFace: faceIn, onLine: null, alsoOffFace: faceOut })];
  }
  const interior = Math.PI + turn;
  if (interior < SHARPEST || Math.PI - interior < SHARPEST / 2) {
    return [
      hub('in', polar(corner, outward(arriving), offset), { offFace: faceIn, onLine: null }),
      hub('out', polar(corner, outward(leaving), offset), { offFace: faceOut, onLine: null }),
    ];
  }
  const along = offset / Math.sin(interior);
  return [
    // Backwards past the corner on the leaving side's line: square off the arriving face.
    hub('in', polar(corner, leaving + Math.PI, along), { offFace: faceIn, onLine: faceOut }),
    hub('out', polar(corner, arriving, along), { offFace: faceOut, onLine: faceIn }),
  ];
}

/** Where the two faces, moved out by the offset, cross. */
function offBoth(corner: Corner, arriving: Radians, leaving: Radians, offset: Metres): PlanPoint {
  const a = polar(corner, arriving + Math.PI / 2, offset);
  const b = polar(corner, leaving + Math.PI / 2, offset);
  return intersectLines(a, polar(a, arriving, 1), b, polar(b, leaving, 1)) ?? a;
}

function isClear(place: PlanPoint, outline: readonly PlanPoint[], offset: Metres): boolean {
  return !insidePolygon(place, outline) && distanceToPolygon(place, outline) >= offset - CLEARANCE_SLACK;
}
