/**
 * A line of straight sides and arcs, as drawings have it: chainage along it, offset to the right of it, height between
 * its corners. A side's bulge is the tangent of a quarter of its angle at the centre, positive turning left, as
 * polylines of DXF give it (DXF reference, group code 42).
 */
import { alongOff, pointAlongOff } from '../plane/line.ts';
import { azimuth, planDistance, polar, type PlanPoint, type SitePoint } from '../plane/point.ts';
import { wrapTurn } from '../quantity/angle.ts';
import type { Metres, Radians } from '../quantity/unit.ts';
import { fail, ok, type Result } from '../result.ts';
import type { Corner, HubPlan } from './outline.ts';
import { measuredAgainstLine, pointOnReferenceLine, type AgainstLine } from './referenceLine.ts';
import { measuredAgainstArc, pointOnReferenceArc, referenceArc, type ReferenceArc } from './referenceArc.ts';

export interface PathCorner extends Corner {
  /** Of the side that leaves this corner; 0 or none when it is straight. */
  readonly bulge?: number;
}
export interface PathSide {
  readonly from: PathCorner;
  readonly to: PathCorner;
  /** Chainage of `from`. */
  readonly start: Metres;
  readonly length: Metres;
  /** Null when the side is straight. */
  readonly arc: ReferenceArc | null;
}
export interface Path {
  readonly sides: readonly PathSide[];
  readonly length: Metres;
}
export type PathError =
  | { readonly code: 'PATH_TOO_FEW_CORNERS'; readonly given: number }
  | { readonly code: 'PATH_SIDE_WITHOUT_LENGTH'; readonly from: string; readonly to: string }
  | { readonly code: 'INTERVAL_NOT_POSITIVE'; readonly interval: Metres }
  | { readonly code: 'TOO_MANY_POINTS'; readonly points: number };

/** A shorter side is a slip of the drawing. */
const SHORTEST: Metres = 0.001;
/** An arc flatter than this is a straight side: less than a hundredth of a millimetre of rise on a hundred metres. */
const FLAT = 1e-7;
/** Points nearer than this along the path are one. */
const SAME: Metres = 0.005;
const MOST_POINTS = 5000;
/** Arcs are drawn in steps of this angle. */
const ARC_STEP: Radians = Math.PI / 120;

/** @param closed the last corner is joined to the first */
export function pathOf(corners: readonly PathCorner[], closed: boolean): Result<Path, PathError> {
  if (corners.length < 2) return fail({ code: 'PATH_TOO_FEW_CORNERS', given: corners.length });
  const sides: PathSide[] = [];
  let start = 0;
  for (let i = 0; i < corners.length - (closed ? 0 : 1); i++) {
    const [from, to] = [corners[i]!, corners[(i + 1) % corners.length]!];
    if (planDistance(from, to) < SHORTEST)
      return fail({ code: 'PATH_SIDE_WITHOUT_LENGTH', from: from.name, to: to.name });
    const arc = arcOf(from, to);
    const length = arc?.length ?? planDistance(from, to);
    sides.push({ from, to, start, length, arc });
    start += length;
  }
  return ok({ sides, length: start });
}

function arcOf(from: PathCorner, to: PathCorner): ReferenceArc | null {
  const bulge = from.bulge ?? 0;
  if (Math.abs(bulge) < FLAT) return null;
  const delta = 4 * Math.atan(Math.abs(bulge));
  const radius = planDistance(from, to) / 2 / Math.sin(delta / 2);
  return referenceArc({
    start: from,
    end: to,
    radius,
    rotation: bulge > 0 ? 'ccw' : 'cw',
    majorArc: delta > Math.PI,
    startChainage: 0,
  });
}

/**
 * The place at a chainage, `offset` to the right of the way, with the height between the corners; null beyond the ends.
 */
export function pointOnPath(
  path: Path,
  chainage: Metres,
  offset: Metres,
): (SitePoint & { readonly azimuth: Radians }) | null {
  if (chainage < -SAME || chainage > path.length + SAME) return null;
  const side = path.sides.findLast((each) => each.start <= chainage) ?? path.sides[0]!;
  const along = Math.min(Math.max(chainage - side.start, 0), side.length);
  const [low, high] = [side.from.z ?? null, side.to.z ?? null];
  const z = low === null || high === null ? null : low + ((high - low) * along) / side.length;
  if (side.arc) {
    const found = pointOnReferenceArc(side.arc, along, offset);
    return found && { ...found, z };
  }
  return { ...pointAlongOff(side.from, side.to, along, offset)!, z, azimuth: azimuth(side.from, side.to) };
}

export interface AgainstPath {
  readonly chainage: Metres;
  /** Positive to the right of the way. */
  readonly offset: Metres;
  /** Height of the path there; null when it has none. */
  readonly z: Metres | null;
  /** Before its start or beyond its end the first or last side is carried on. */
  readonly position: 'before' | 'on' | 'after';
}

/** Where a point lies against the nearest side of a path. */
export function againstPath(path: Path, point: PlanPoint): AgainstPath {
  let best: (AgainstPath & { readonly away: Metres }) | null = null;
  path.sides.forEach((side, i) => {
    const found = againstSide(side, point, i === 0, i === path.sides.length - 1);
    if (found && (!best || found.away < best.away - 1e-9)) best = found;
  });
  const { chainage, offset, position } = best!;
  return {
    chainage,
    offset,
    position,
    z: pointOnPath(path, Math.min(Math.max(chainage, 0), path.length), 0)?.z ?? null,
  };
}

function againstSide(
  side: PathSide,
  point: PlanPoint,
  isFirst: boolean,
  isLast: boolean,
): (AgainstPath & { readonly away: Metres }) | null {
  const of = (along: Metres, offset: Metres): AgainstPath & { readonly away: Metres } => {
    const position = along < 0 ? 'before' : along > side.length ? 'after' : 'on';
    const beyond = position === 'before' ? -along : position === 'after' ? along - side.length : 0;
    const carriedOn = (position === 'before' && isFirst) || (position === 'after' && isLast);
    const kept = carriedOn ? along : Math.min(Math.max(along, 0), side.length);
    return {
      chainage: side.start + kept,
      offset,
      z: null,
      position: carriedOn ? position : 'on',
      away: Math.hypot(offset, beyond),
    };
  };
  if (!side.arc) {
    const where = alongOff(point, side.from, side.to);
    return where && of(where.along, where.off);
  }
  const where = measuredAgainstArc(side.arc, point);
  if (where.status === 'onAlignment') return of(where.chainage, where.offset);
  return of(where.status === 'beyondStart' ? -where.extension : side.length + where.extension, where.offset);
}

/** One straight side or arc by itself, as something is read against it. */
export interface ReferenceSide {
  readonly from: SitePoint;
  readonly to: SitePoint;
  /** 0 when it is straight; positive turning left. */
  readonly bulge: number;
}
export interface AgainstSide extends AgainstLine {
  /** Direction of the way where the point is nearest. */
  readonly azimuth: Radians;
}

/** Bulge of the shorter arc of a radius between two places; null when they are farther apart than twice the radius. */
export function bulgeOf(from: PlanPoint, to: PlanPoint, radius: Metres, turns: 'left' | 'right'): number | null {
  const sine = planDistance(from, to) / 2 / radius;
  if (!(radius > 0) || sine > 1 || sine === 0) return null;
  return (turns === 'left' ? 1 : -1) * Math.tan(Math.asin(sine) / 2);
}

/**
 * Where a point lies against one side. A straight one is carried on beyond its ends with its grade; an arc along its
 * tangents, without heights. Null when the side has no length.
 */
export function measuredAgainstSide({ from, to, bulge }: ReferenceSide, point: SitePoint): AgainstSide | null {
  if (Math.abs(bulge) < FLAT) {
    const found = measuredAgainstLine({ from, to, heightMode: 'grade', startChainage: 0 }, point);
    return found && { ...found, azimuth: azimuth(from, to) };
  }
  const path = pathOf(
    [
      { ...from, name: 'from', bulge },
      { ...to, name: 'to' },
    ],
    false,
  );
  if (!path.ok) return null;
  const { chainage, offset, position, z } = againstPath(path.value, point);
  return {
    chainage,
    offset,
    position,
    heightDifference: position !== 'on' || z === null || point.z === null ? null : point.z - z,
    azimuth: pointOnPath(path.value, Math.min(Math.max(chainage, 0), path.value.length), 0)!.azimuth,
  };
}

/**
 * The place so far along one side and to the right of it, with the height of its grade. A straight one is carried on
 * beyond its ends; null beyond the ends of an arc, and where the side has no length.
 */
export function pointOnSide({ from, to, bulge }: ReferenceSide, along: Metres, right: Metres): SitePoint | null {
  if (Math.abs(bulge) < FLAT)
    return pointOnReferenceLine({ from, to, heightMode: 'grade', startChainage: 0 }, along, right, 0);
  const path = pathOf(
    [
      { ...from, name: 'from', bulge },
      { ...to, name: 'to' },
    ],
    false,
  );
  const found = path.ok ? pointOnPath(path.value, along, right) : null;
  return found && { e: found.e, n: found.n, z: found.z };
}

/** Length of a side, and places along it for it to be drawn by, its ends among them. */
export function drawnSide(side: ReferenceSide): { readonly length: Metres; readonly places: readonly PlanPoint[] } {
  const path = pathOf(
    [
      { ...side.from, name: 'from', bulge: side.bulge },
      { ...side.to, name: 'to' },
    ],
    false,
  );
  if (!path.ok) return { length: 0, places: [side.from, side.to] };
  const { length, sides } = path.value;
  const { arc } = sides[0]!;
  const steps = arc ? Math.max(2, Math.ceil(arc.delta / ARC_STEP)) : 1;
  return {
    length,
    places: Array.from({ length: steps + 1 }, (_, i) => pointOnPath(path.value, (length * i) / steps, 0)!),
  };
}

export interface AlongAsked {
  /** Metres from point to point, from the start; or in so many equal parts. */
  readonly spacing: { readonly interval: Metres } | { readonly parts: number };
  /** Positive to the right of the way. */
  readonly offset: Metres;
  /** What a chainage is called in a mark's name. */
  readonly label: (chainage: Metres) => string;
}

/**
 * Marks along a path: at its corners and between them at an interval from its start, or dividing it into equal parts. A
 * point at the interval that falls on a corner is the corner.
 */
export function marksAlongPath(
  corners: readonly PathCorner[],
  closed: boolean,
  { spacing, offset, label }: AlongAsked,
): Result<HubPlan[], PathError> {
  const path = pathOf(corners, closed);
  if (!path.ok) return path;
  const { sides, length } = path.value;
  const interval = 'interval' in spacing ? spacing.interval : length / spacing.parts;
  if (!(interval > 0) || !Number.isFinite(interval)) return fail({ code: 'INTERVAL_NOT_POSITIVE', interval });
  const points = Math.floor(length / interval + 1e-9);
  if (points > MOST_POINTS) return fail({ code: 'TOO_MANY_POINTS', points });
  const atCorners = [
    ...sides.map((side) => ({ name: side.from.name, chainage: side.start })),
    ...(closed ? [] : [{ name: sides.at(-1)!.to.name, chainage: length }]),
  ];
  const between = Array.from({ length: points }, (_, i) => (i + 1) * interval)
    .filter(
      (chainage) => chainage < length - SAME && !atCorners.some((each) => Math.abs(each.chainage - chainage) < SAME),
    )
    .map((chainage) => ({ name: `${sides[0]!.from.name}+${label(chainage)}`, chainage }));
  // Two chainages of one label (rounded) would be one mark.
  const named = new Set<string>();
  return ok(
    [...atCorners, ...between]
      .sort((a, b) => a.chainage - b.chainage)
      .map(({ name, chainage }) => {
        let free = name;
        for (let i = 2; named.has(free); i++) free = `${name} ${i}`;
        named.add(free);
        const on = pointOnPath(path.value, chainage, 0)!;
        const place =
          offset === 0 ? on : polar(on, on.azimuth + (offset > 0 ? Math.PI / 2 : -Math.PI / 2), Math.abs(offset));
        return {
          key: free,
          corner: free,
          place: { e: place.e, n: place.n },
          designPlace: { e: on.e, n: on.n },
          offset: Math.abs(offset),
          offFace: null,
          alsoOffFace: null,
          onLine: null,
          direction: offset === 0 ? 0 : wrapTurn(on.azimuth + (offset > 0 ? Math.PI / 2 : -Math.PI / 2)),
          clear: true,
          z: on.z,
        };
      }),
  );
}
