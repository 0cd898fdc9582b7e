/**
 * A line through two points that others are set out from and measured to: by chainage along it, offset to the right of
 * it, and height above it.
 */
import { alongOff, pointAlongOff } from '../plane/line.ts';
import { azimuth, planDistance, type SitePoint } from '../plane/point.ts';
import type { Metres, Radians } from '../quantity/unit.ts';

export interface ReferenceLine {
  readonly from: SitePoint;
  readonly to: SitePoint;
  /**
   * `grade`: the line's own slope, carried on before and beyond its points; `level`: the height of `from` throughout.
   */
  readonly heightMode: 'grade' | 'level';
  /** Chainage of `from`. */
  readonly startChainage: Metres;
}
export interface ReferenceLineFacts {
  /** Level length between the two points. */
  readonly length: Metres;
  readonly azimuth: Radians;
  /** Rise a metre; null when the line has no heights. */
  readonly grade: number | null;
}
export interface AgainstLine {
  readonly chainage: Metres;
  /** Positive to the right of from → to. */
  readonly offset: Metres;
  /** Measured less the line's; null when either has no height. */
  readonly heightDifference: Metres | null;
  /** Where the foot lies against the two points, which belong to `on`. */
  readonly position: 'before' | 'on' | 'after';
}

const AT_END: Metres = 1e-6;

/** Null when both points are the same place. */
export function referenceLineFacts({ from, to, heightMode }: ReferenceLine): ReferenceLineFacts | null {
  const length = planDistance(from, to);
  if (length === 0) return null;
  const rise =
    heightMode === 'level' ? (from.z === null ? null : 0) : from.z === null || to.z === null ? null : to.z - from.z;
  return { length, azimuth: azimuth(from, to), grade: rise === null ? null : rise / length };
}

const heightAt = (line: ReferenceLine, grade: number | null, chainage: Metres): Metres | null =>
  grade === null || line.from.z === null ? null : line.from.z + grade * (chainage - line.startChainage);

/**
 * The place at a chainage and offset (positive to the right), `extraHeight` above the line. Null when the line has no
 * length.
 */
export function pointOnReferenceLine(
  line: ReferenceLine,
  chainage: Metres,
  offset: Metres,
  extraHeight: Metres,
): SitePoint | null {
  const facts = referenceLineFacts(line);
  const place = pointAlongOff(line.from, line.to, chainage - line.startChainage, offset);
  if (!facts || !place) return null;
  const z = heightAt(line, facts.grade, chainage);
  return { ...place, z: z === null ? null : z + extraHeight };
}

/** Where a point lies against the line. Null when the line has no length. */
export function measuredAgainstLine(line: ReferenceLine, point: SitePoint): AgainstLine | null {
  const facts = referenceLineFacts(line);
  const where = alongOff(point, line.from, line.to);
  if (!facts || !where) return null;
  const chainage = line.startChainage + where.along;
  const z = heightAt(line, facts.grade, chainage);
  return {
    chainage,
    offset: where.off,
    heightDifference: z === null || point.z === null ? null : point.z - z,
    position: where.along < -AT_END ? 'before' : where.along > facts.length + AT_END ? 'after' : 'on',
  };
}
