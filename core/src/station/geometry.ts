/**
 * How the control lies about a station: angles between neighbouring directions, short sights, gaps, lines, and work
 * outside. Figures of merit, not tests: with three or four accurate marks good dimensions matter more than good angles.
 */
import { hull } from '../plane/hull.ts';
import { insidePolygon } from '../plane/polygon.ts';
import { azimuth, planDistance, type PlanPoint } from '../plane/point.ts';
import type { Metres, Radians } from '../quantity/unit.ts';

export type GeometryGrade = 'good' | 'fair' | 'weak' | 'veryWeak';

export interface Sighted extends PlanPoint {
  readonly name: string;
}

export type GeometryRemark =
  | { readonly code: 'SHORT_SIGHT'; readonly name: string; readonly distance: Metres }
  /** All marks lie on one side: this much of the horizon is empty. */
  | { readonly code: 'ONE_SIDE'; readonly gap: Radians }
  /** Station and marks lie nearly on one line: a shift across it is poorly held. */
  | { readonly code: 'ONE_LINE' }
  /**
   * All marks stand on one line or one wall: if that moves, all of them are wrong together and none of them shows it.
   */
  | { readonly code: 'ONE_WALL' }
  /** The farthest mark to set is this many times as far as the farthest control. */
  | { readonly code: 'WORK_FAR'; readonly times: number; readonly name: string }
  | { readonly code: 'WORK_OUTSIDE'; readonly count: number; readonly of: number };

export interface StationGeometry {
  readonly grade: GeometryGrade;
  /** The best angle between two neighbouring control directions, folded to 0..π/2 about a right angle's far side. */
  readonly bestAngle: Radians | null;
  readonly remarks: readonly GeometryRemark[];
}

const DEGREE = Math.PI / 180;
const SHORTEST_SIGHT: Metres = 5;
const FAR_WORK = 2;
const LINE_ANGLE: Radians = 10 * DEGREE;
/** Marks within this of one line may stand on one wall. */
const WALL_DEPTH: Metres = 0.6;

/** An angle of 60° to 120° is good, 45° to 135° fair; near 0° or 180° very weak. */
export function gradeAngle(angle: Radians): GeometryGrade {
  const off = Math.abs(angle - Math.PI / 2);
  if (off <= 30 * DEGREE + 1e-12) return 'good';
  if (off <= 45 * DEGREE + 1e-12) return 'fair';
  return off >= Math.PI / 2 - LINE_ANGLE ? 'veryWeak' : 'weak';
}

/** Whether all marks lie within the depth of a wall of the line between the two that are farthest apart. */
function onOneWall(control: readonly Sighted[]): boolean {
  let ends: readonly [Sighted, Sighted] | null = null;
  for (const [i, a] of control.entries())
    for (const b of control.slice(i + 1)) if (!ends || planDistance(a, b) > planDistance(...ends)) ends = [a, b];
  const [a, b] = ends!;
  const length = planDistance(a, b);
  return (
    length > 0 &&
    control.every(
      (mark) => Math.abs((mark.e - a.e) * (b.n - a.n) - (mark.n - a.n) * (b.e - a.e)) / length <= WALL_DEPTH,
    )
  );
}

/** Outline of what the control and the station span, in order; fewer than three corners when they span nothing. */
export const spanOf = (station: PlanPoint, control: readonly PlanPoint[]): PlanPoint[] =>
  hull([...control, ...(control.length > 1 ? [station] : [])]);

/** Which marks to set lie outside what the control and the station span; none when they span nothing. */
export function workOutside<T extends PlanPoint>(
  station: PlanPoint,
  control: readonly PlanPoint[],
  work: readonly T[],
): T[] {
  const outline = spanOf(station, control);
  return outline.length < 3 ? [] : work.filter((mark) => !insidePolygon(mark, outline));
}

export function stationGeometry(
  station: PlanPoint,
  control: readonly Sighted[],
  work: readonly Sighted[],
): StationGeometry {
  const azimuths = control.map((mark) => azimuth(station, mark)).sort((a, b) => a - b);
  const gaps = azimuths.map((each, i) =>
    i + 1 < azimuths.length ? azimuths[i + 1]! - each : azimuths[0]! + 2 * Math.PI - each,
  );
  const between = azimuths.flatMap((a, i) => azimuths.slice(i + 1).map((b) => Math.min(b - a, 2 * Math.PI - (b - a))));
  const best =
    between.length === 0
      ? null
      : between.reduce((a, b) => (Math.abs(b - Math.PI / 2) < Math.abs(a - Math.PI / 2) ? b : a));
  const remarks: GeometryRemark[] = control
    .map((mark) => ({ code: 'SHORT_SIGHT' as const, name: mark.name, distance: planDistance(station, mark) }))
    .filter((each) => each.distance < SHORTEST_SIGHT);
  const gap = Math.max(0, ...gaps);
  const inLine = between.length > 0 && between.every((angle) => angle < LINE_ANGLE || angle > Math.PI - LINE_ANGLE);
  if (inLine) remarks.push({ code: 'ONE_LINE' });
  else if (control.length > 2 && onOneWall(control)) remarks.push({ code: 'ONE_WALL' });
  else if (control.length > 1 && gap > Math.PI) remarks.push({ code: 'ONE_SIDE', gap });
  const farControl = Math.max(0, ...control.map((mark) => planDistance(station, mark)));
  const farWork = work.reduce<Sighted | null>(
    (far, mark) => (far === null || planDistance(station, mark) > planDistance(station, far) ? mark : far),
    null,
  );
  if (farWork && farControl > 0 && planDistance(station, farWork) > FAR_WORK * farControl) {
    remarks.push({ code: 'WORK_FAR', times: planDistance(station, farWork) / farControl, name: farWork.name });
  }
  const outside = workOutside(station, control, work);
  if (outside.length > 0) remarks.push({ code: 'WORK_OUTSIDE', count: outside.length, of: work.length });
  return { grade: best === null ? 'veryWeak' : gradeAngle(best), bestAngle: best, remarks };
}
