/** What a finger that touches a drawing means: the end, middle, crossing or centre near it, or a place on a line. */
import { crossCircles, crossLineCircle, crossLines, type Circle } from '../plane/crossing.ts';
import { alongOff, pointAlongOff } from '../plane/line.ts';
import { azimuth, planDistance, polar, type PlanPoint } from '../plane/point.ts';
import type { Metres } from '../quantity/unit.ts';
import type { PathSide } from './path.ts';
import { measuredAgainstArc, pointOnReferenceArc } from './referenceArc.ts';

export type SnapKind = 'point' | 'end' | 'crossing' | 'centre' | 'middle' | 'perpendicular' | 'extension' | 'on';
export interface Snap extends PlanPoint {
  readonly kind: SnapKind;
}
export type SnapSide = Pick<PathSide, 'from' | 'to' | 'length' | 'arc'>;
export interface NearThings {
  readonly sides: readonly SnapSide[];
  readonly circles: readonly Circle[];
  readonly points: readonly PlanPoint[];
}

/** A place that something is at comes before one that is merely on a line. */
const FIRST: readonly SnapKind[] = ['point', 'end', 'crossing', 'centre', 'middle'];
const THEN: readonly SnapKind[] = ['perpendicular', 'extension'];
const LAST: readonly SnapKind[] = ['on'];
/** How far a line is carried on to be met, in radii of the touch. */
const CARRIED = 20;

/**
 * The nearest place that is meant; null when nothing lies within `radius`.
 *
 * @param from the place before, from which a perpendicular is dropped; null when there is none
 * @param wanted kinds that are switched on
 */
export function snapAt(
  point: PlanPoint,
  radius: Metres,
  { sides, circles, points }: NearThings,
  from: PlanPoint | null,
  wanted: ReadonlySet<SnapKind>,
): Snap | null {
  const found: (Snap & { readonly away: Metres })[] = [];
  const add = (kind: SnapKind, at: PlanPoint | null) => {
    if (!at || !wanted.has(kind)) return;
    const away = planDistance(at, point);
    if (away <= radius) found.push({ kind, e: at.e, n: at.n, away });
  };
  for (const each of points) add('point', each);
  for (const circle of circles) add('centre', circle.centre);
  for (const side of sides) {
    add('end', side.from);
    add('end', side.to);
    add('middle', placeOn(side, side.length / 2));
    if (side.arc) add('centre', side.arc.centre);
    if (from) add('perpendicular', footOn(side, from));
  }
  sides.forEach((side, i) => {
    for (const other of sides.slice(i + 1)) {
      for (const at of crossings(side, other)) {
        const [onOne, onOther] = [isOn(side, at), isOn(other, at)];
        if (onOne && onOther) add('crossing', at);
        else if (planDistance(at, point) <= radius && reaches(side, at, radius) && reaches(other, at, radius))
          add('extension', at);
      }
    }
    for (const circle of circles) for (const at of withCircle(side, circle)) if (isOn(side, at)) add('crossing', at);
    add('on', nearestOn(side, point));
  });
  circles.forEach((circle, i) => {
    for (const other of circles.slice(i + 1)) for (const at of crossCircles(circle, other).points) add('crossing', at);
    if (planDistance(circle.centre, point) > 0)
      add('on', polar(circle.centre, azimuth(circle.centre, point), circle.radius));
  });
  for (const kinds of [FIRST, THEN, LAST]) {
    const [best] = found
      .filter(({ kind }) => kinds.includes(kind))
      .sort((a, b) => a.away - b.away || FIRST.indexOf(a.kind) - FIRST.indexOf(b.kind));
    if (best) return { kind: best.kind, e: best.e, n: best.n };
  }
  return null;
}

const AT_END: Metres = 1e-6;
const circleOf = ({ arc }: SnapSide): Circle => ({ centre: arc!.centre, radius: arc!.radius });

function placeOn(side: SnapSide, along: Metres): PlanPoint | null {
  return side.arc ? pointOnReferenceArc(side.arc, along, 0) : pointAlongOff(side.from, side.to, along, 0);
}

function isOn(side: SnapSide, at: PlanPoint): boolean {
  if (side.arc) return measuredAgainstArc(side.arc, at).status === 'onAlignment';
  const where = alongOff(at, side.from, side.to);
  return where !== null && where.along >= -AT_END && where.along <= side.length + AT_END;
}

/** Straight sides are carried on beyond their ends, arcs are not. */
const reaches = (side: SnapSide, at: PlanPoint, radius: Metres): boolean =>
  isOn(side, at) ||
  (side.arc === null && Math.min(planDistance(at, side.from), planDistance(at, side.to)) <= CARRIED * radius);

function withCircle(side: SnapSide, circle: Circle): readonly PlanPoint[] {
  return side.arc ? crossCircles(circleOf(side), circle).points : (crossLineCircle(side, circle)?.points ?? []);
}

function crossings(a: SnapSide, b: SnapSide): readonly PlanPoint[] {
  if (a.arc && b.arc) return crossCircles(circleOf(a), circleOf(b)).points.filter((at) => isOn(a, at) && isOn(b, at));
  if (b.arc) return withCircle(a, circleOf(b)).filter((at) => isOn(b, at));
  if (a.arc) return withCircle(b, circleOf(a)).filter((at) => isOn(a, at));
  return crossLines(a, b)?.points ?? [];
}

/** Foot of the perpendicular from a place onto a straight side; null when it falls beside it. */
function footOn(side: SnapSide, from: PlanPoint): PlanPoint | null {
  if (side.arc) return null;
  const where = alongOff(from, side.from, side.to);
  return where && where.along >= -AT_END && where.along <= side.length + AT_END && Math.abs(where.off) > AT_END
    ? pointAlongOff(side.from, side.to, where.along, 0)
    : null;
}

function nearestOn(side: SnapSide, point: PlanPoint): PlanPoint | null {
  if (side.arc) {
    const where = measuredAgainstArc(side.arc, point);
    return where.status === 'onAlignment' ? placeOn(side, where.chainage) : null;
  }
  const where = alongOff(point, side.from, side.to);
  return where && pointAlongOff(side.from, side.to, Math.min(Math.max(where.along, 0), side.length), 0);
}
