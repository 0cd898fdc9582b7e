/**
 * Where lines and circles cross, as plane geometry has it (any school text; the circle cases by the foot of the centre
 * and the radical line). Lines are endless; whether a crossing lies between the two points that gave a line is told
 * beside it.
 */
import type { Metres } from '../quantity/unit.ts';
import { azimuth, planDistance, polar, type PlanPoint } from './point.ts';

export interface Segment {
  readonly from: PlanPoint;
  readonly to: PlanPoint;
}
export interface Circle {
  readonly centre: PlanPoint;
  readonly radius: Metres;
}
export type CrossingStatus = 'none' | 'one' | 'two' | 'coincident';
export interface Crossings<P> {
  readonly status: CrossingStatus;
  readonly points: readonly P[];
}

/** Closer than this a line touches a circle, two circles touch, and two places are one. */
export const TANGENCY: Metres = 1e-6;
/** Sine of the angle below which two lines are parallel to the last digits that coordinates have. */
const PARALLEL_SINE = 1e-10;

const none = { status: 'none', points: [] } as const;
const coincident = { status: 'coincident', points: [] } as const;

/** Between the two points, ends included. `share` counts from 0 at `from` to 1 at `to`. */
const isOnSegment = (share: number, length: Metres): boolean =>
  share * length >= -TANGENCY && (share - 1) * length <= TANGENCY;

/**
 * The crossing of two endless lines; `null` when a line has no length.
 *
 * @param parallelSine sine of the largest angle at which they still count as parallel
 */
export function crossLines(
  a: Segment,
  b: Segment,
  parallelSine = PARALLEL_SINE,
): Crossings<PlanPoint & { readonly onSegmentA: boolean; readonly onSegmentB: boolean }> | null {
  const [ae, an] = [a.to.e - a.from.e, a.to.n - a.from.n];
  const [be, bn] = [b.to.e - b.from.e, b.to.n - b.from.n];
  const [lengthA, lengthB] = [Math.hypot(ae, an), Math.hypot(be, bn)];
  if (lengthA === 0 || lengthB === 0) return null;
  const [de, dn] = [b.from.e - a.from.e, b.from.n - a.from.n];
  const cross = ae * bn - an * be;
  if (Math.abs(cross) <= parallelSine * lengthA * lengthB)
    return Math.abs(de * an - dn * ae) / lengthA <= TANGENCY ? coincident : none;
  const shareA = (de * bn - dn * be) / cross;
  const shareB = (de * an - dn * ae) / cross;
  const point = { e: a.from.e + shareA * ae, n: a.from.n + shareA * an };
  return {
    status: 'one',
    points: [{ ...point, onSegmentA: isOnSegment(shareA, lengthA), onSegmentB: isOnSegment(shareB, lengthB) }],
  };
}

/** Crossings of an endless line with a circle, in the direction of the line; `null` when the line has no length. */
export function crossLineCircle(
  line: Segment,
  { centre, radius }: Circle,
): Crossings<PlanPoint & { readonly onSegment: boolean }> | null {
  const length = planDistance(line.from, line.to);
  if (length === 0) return null;
  const [ue, un] = [(line.to.e - line.from.e) / length, (line.to.n - line.from.n) / length];
  const [de, dn] = [centre.e - line.from.e, centre.n - line.from.n];
  const foot = de * ue + dn * un;
  const off = Math.abs(de * un - dn * ue);
  if (off > radius + TANGENCY) return none;
  const at = (along: Metres) => ({
    e: line.from.e + along * ue,
    n: line.from.n + along * un,
    onSegment: isOnSegment(along / length, length),
  });
  if (off >= radius - TANGENCY) return { status: 'one', points: [at(foot)] };
  const half = Math.sqrt((radius - off) * (radius + off));
  return { status: 'two', points: [at(foot - half), at(foot + half)] };
}

/** Crossings of two circles; of two, first the one to the right of the way from the centre of `a` to that of `b`. */
export function crossCircles(a: Circle, b: Circle): Crossings<PlanPoint> {
  const distance = planDistance(a.centre, b.centre);
  const difference = Math.abs(a.radius - b.radius);
  if (distance <= TANGENCY) return difference <= TANGENCY ? coincident : none;
  if (distance > a.radius + b.radius + TANGENCY || distance < difference - TANGENCY) return none;
  const way = azimuth(a.centre, b.centre);
  const along = (distance + ((a.radius - b.radius) * (a.radius + b.radius)) / distance) / 2;
  const foot = polar(a.centre, way, along);
  if (distance >= a.radius + b.radius - TANGENCY || distance <= difference + TANGENCY)
    return { status: 'one', points: [foot] };
  const half = Math.sqrt((a.radius - Math.abs(along)) * (a.radius + Math.abs(along)));
  return { status: 'two', points: [polar(foot, way + Math.PI / 2, half), polar(foot, way - Math.PI / 2, half)] };
}
