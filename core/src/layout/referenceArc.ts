/** An arc by its two ends, radius and hand, that others are set out from and measured to. */
import { azimuth, planDistance, polar, type PlanPoint } from '../plane/point.ts';
import { wrapTurn } from '../quantity/angle.ts';
import type { Metres, Radians } from '../quantity/unit.ts';

export interface ArcDefinition {
  readonly start: PlanPoint;
  readonly end: PlanPoint;
  readonly radius: Metres;
  /** Clockwise turns right. */
  readonly rotation: 'cw' | 'ccw';
  /** The one of the two arcs that is over half a circle. */
  readonly majorArc: boolean;
  /** Chainage of `start`. */
  readonly startChainage: Metres;
}
export interface ReferenceArc {
  readonly centre: PlanPoint;
  readonly radius: Metres;
  /** Angle at the centre, positive whatever the hand. */
  readonly delta: Radians;
  readonly length: Metres;
  /** 1 turning right, -1 turning left. */
  readonly hand: 1 | -1;
  readonly azimuthStart: Radians;
  readonly azimuthEnd: Radians;
  readonly startChainage: Metres;
}
export type AgainstArc =
  | { readonly status: 'onAlignment'; readonly chainage: Metres; readonly offset: Metres }
  /** Beyond an end: `extension` is the distance along the tangent carried on, `offset` from that tangent. */
  | { readonly status: 'beyondStart' | 'beyondEnd'; readonly offset: Metres; readonly extension: Metres };

const AT_END: Metres = 1e-6;

/** Null when the ends are one place, the radius is not positive, or the chord is longer than the diameter. */
export function referenceArc({
  start,
  end,
  radius,
  rotation,
  majorArc,
  startChainage,
}: ArcDefinition): ReferenceArc | null {
  const chord = planDistance(start, end);
  if (!(radius > 0) || chord === 0 || chord > 2 * radius + AT_END) return null;
  const half = Math.asin(Math.min(1, chord / (2 * radius)));
  const delta = majorArc ? 2 * Math.PI - 2 * half : 2 * half;
  const hand = rotation === 'cw' ? 1 : -1;
  // The tangent at the start lies half the angle at the centre before the chord.
  const azimuthStart = wrapTurn(azimuth(start, end) - (hand * delta) / 2);
  return {
    centre: polar(start, azimuthStart + (hand * Math.PI) / 2, radius),
    radius,
    delta,
    length: radius * delta,
    hand,
    azimuthStart,
    azimuthEnd: wrapTurn(azimuthStart + hand * delta),
    startChainage,
  };
}

/** The place at a chainage, `offset` to the right of the way; null before the start and after the end. */
export function pointOnReferenceArc(
  arc: ReferenceArc,
  chainage: Metres,
  offset: Metres,
): (PlanPoint & { readonly azimuth: Radians }) | null {
  const along = chainage - arc.startChainage;
  if (along < -AT_END || along > arc.length + AT_END) return null;
  const direction = wrapTurn(arc.azimuthStart + (arc.hand * along) / arc.radius);
  return {
    ...polar(arc.centre, direction - (arc.hand * Math.PI) / 2, arc.radius - arc.hand * offset),
    azimuth: direction,
  };
}

/** Where a point lies against the arc. At its centre every foot is as near; the start is taken. */
export function measuredAgainstArc(arc: ReferenceArc, point: PlanPoint): AgainstArc {
  const distance = planDistance(arc.centre, point);
  const turned = wrapTurn(arc.hand * (azimuth(arc.centre, point) - (arc.azimuthStart - (arc.hand * Math.PI) / 2)));
  const slack = AT_END / arc.radius;
  const beforeStart = 2 * Math.PI - turned;
  const offset = arc.hand * (arc.radius - distance);
  if (turned <= arc.delta + slack || distance === 0)
    return { status: 'onAlignment', chainage: arc.startChainage + arc.radius * turned, offset };
  if (beforeStart <= slack)
    return { status: 'onAlignment', chainage: arc.startChainage - arc.radius * beforeStart, offset };
  const isBefore = beforeStart <= turned - arc.delta;
  const beyond = isBefore ? beforeStart : turned - arc.delta;
  return {
    status: isBefore ? 'beyondStart' : 'beyondEnd',
    offset: arc.hand * (arc.radius - distance * Math.cos(beyond)),
    extension: distance * Math.sin(beyond),
  };
}
