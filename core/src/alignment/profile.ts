/**
 * A vertical alignment: grades between points of intersection, rounded by parabolas or circles. Lengths are horizontal.
 * Source: W. Schofield, M. Breach, Engineering Surveying, chapter 10 (vertical curves); the unsymmetrical parabola as
 * two that meet with one grade: C. D. Ghilani, P. R. Wolf, Elementary Surveying, chapter 25.
 */
import type { Metres } from '../quantity/unit.ts';
import { fail, ok, type Result } from '../result.ts';

export type VerticalRounding =
  | { readonly kind: 'parabola'; readonly length: Metres }
  | { readonly kind: 'unsymmetricParabola'; readonly lengthIn: Metres; readonly lengthOut: Metres }
  | { readonly kind: 'circular'; readonly radius: Metres };
/** A point where two grades meet; the first and the last are the ends. */
export interface GradePoint {
  /** Along the line, without equations. */
  readonly station: Metres;
  readonly z: Metres;
  readonly rounding: VerticalRounding | null;
}
/** A curve by its begin, intersection and end; grades as a share, positive rising. */
export interface VerticalCurve {
  readonly kind: VerticalRounding['kind'];
  readonly begin: { readonly station: Metres; readonly z: Metres };
  readonly intersection: { readonly station: Metres; readonly z: Metres };
  readonly end: { readonly station: Metres; readonly z: Metres };
  readonly gradeIn: number;
  readonly gradeOut: number;
}
export interface Profile {
  readonly start: Metres;
  readonly end: Metres;
  readonly curves: readonly VerticalCurve[];
  /** Where the grade changes without a curve. */
  readonly breaks: readonly {
    readonly station: Metres;
    readonly z: Metres;
    readonly gradeIn: number;
    readonly gradeOut: number;
  }[];
  readonly stretches: readonly Stretch[];
}
export interface Extreme {
  readonly kind: 'high' | 'low';
  readonly station: Metres;
  readonly z: Metres;
}
export type ProfileError =
  | { readonly code: 'PROFILE_TOO_SHORT'; readonly points: number }
  | { readonly code: 'PROFILE_NOT_RISING'; readonly station: Metres; readonly before: Metres }
  | { readonly code: 'PROFILE_CURVE_AT_END'; readonly station: Metres }
  | { readonly code: 'PROFILE_CURVE_WITHOUT_SIZE'; readonly station: Metres }
  | { readonly code: 'PROFILE_CURVES_OVERLAP'; readonly station: Metres; readonly next: Metres; readonly by: Metres };

/** Height z + grade x + bend x² from `start` on, or a circle; x counts from `start`. */
interface Stretch {
  readonly start: Metres;
  readonly end: Metres;
  readonly z: Metres;
  readonly grade: number;
  /** Half the change of grade per metre. */
  readonly bend: number;
  /** Of a circle: where its centre lies, its radius, and whether it hangs (a sag) or stands (a crest). */
  readonly circle: {
    readonly station: Metres;
    readonly z: Metres;
    readonly radius: Metres;
    readonly sags: boolean;
  } | null;
}

const OVERLAP: Metres = 0.001;
const AT_END: Metres = 1e-6;

/** @param metresPerUnit size of the unit that the points are in: the limit of an overlap is in metres */
export function profileOf(points: readonly GradePoint[], metresPerUnit = 1): Result<Profile, ProfileError> {
  if (points.length < 2) return fail({ code: 'PROFILE_TOO_SHORT', points: points.length });
  for (let i = 1; i < points.length; i++) {
    const [before, point] = [points[i - 1]!, points[i]!];
    if (!(point.station > before.station))
      return fail({ code: 'PROFILE_NOT_RISING', station: point.station, before: before.station });
  }
  const grade = (i: number) => (points[i + 1]!.z - points[i]!.z) / (points[i + 1]!.station - points[i]!.station);
  const curves: VerticalCurve[] = [];
  const breaks: Profile['breaks'][number][] = [];
  const stretches: Stretch[] = [];
  const first = points[0]!;
  /** Where the last curve, or the last break, ends. */
  let reached = { station: first.station, z: first.z };
  for (const [i, point] of points.entries()) {
    const isEnd = i === 0 || i === points.length - 1;
    const sized = point.rounding && reachOf(point.rounding);
    if (sized === 0) return fail({ code: 'PROFILE_CURVE_WITHOUT_SIZE', station: point.station });
    if (isEnd && point.rounding) return fail({ code: 'PROFILE_CURVE_AT_END', station: point.station });
    if (i === 0) continue;
    const gradeIn = grade(i - 1);
    const gradeOut = i === points.length - 1 ? gradeIn : grade(i);
    const curve = point.rounding ? curveAt(point, point.rounding, gradeIn, gradeOut) : null;
    const begin = curve?.begin ?? { station: point.station, z: point.z };
    const by = reached.station - begin.station;
    if (by * metresPerUnit > OVERLAP)
      return fail({ code: 'PROFILE_CURVES_OVERLAP', station: points[i - 1]!.station, next: point.station, by });
    if (by < 0)
      stretches.push({
        start: reached.station,
        end: begin.station,
        z: reached.z,
        grade: gradeIn,
        bend: 0,
        circle: null,
      });
    if (curve) {
      curves.push(curve);
      stretches.push(...stretchesOf(curve, point.rounding!));
    } else if (!isEnd && gradeIn !== gradeOut) breaks.push({ station: point.station, z: point.z, gradeIn, gradeOut });
    reached = curve?.end ?? begin;
  }
  return ok({ start: first.station, end: points.at(-1)!.station, curves, breaks, stretches });
}

const reachOf = (rounding: VerticalRounding): number => {
  switch (rounding.kind) {
    case 'parabola':
      return Math.max(0, rounding.length);
    case 'unsymmetricParabola':
      return rounding.lengthIn > 0 && rounding.lengthOut > 0 ? rounding.lengthIn + rounding.lengthOut : 0;
    case 'circular':
      return Math.max(0, rounding.radius);
  }
};

function curveAt(
  { station, z }: GradePoint,
  rounding: VerticalRounding,
  gradeIn: number,
  gradeOut: number,
): VerticalCurve {
  const [before, after] = tangentsOf(rounding, gradeIn, gradeOut);
  return {
    kind: rounding.kind,
    begin: { station: station - before, z: z - before * gradeIn },
    intersection: { station, z },
    end: { station: station + after, z: z + after * gradeOut },
    gradeIn,
    gradeOut,
  };
}

/** Horizontal lengths from the intersection back to the begin and on to the end. */
function tangentsOf(rounding: VerticalRounding, gradeIn: number, gradeOut: number): readonly [Metres, Metres] {
  switch (rounding.kind) {
    case 'parabola':
      return [rounding.length / 2, rounding.length / 2];
    case 'unsymmetricParabola':
      return [rounding.lengthIn, rounding.lengthOut];
    case 'circular': {
      const tangent = rounding.radius * Math.tan(Math.abs(Math.atan(gradeOut) - Math.atan(gradeIn)) / 2);
      return [tangent / Math.hypot(1, gradeIn), tangent / Math.hypot(1, gradeOut)];
    }
  }
}

function stretchesOf(
  { begin, intersection, end, gradeIn, gradeOut }: VerticalCurve,
  rounding: VerticalRounding,
): Stretch[] {
  const parabola = (from: { station: Metres; z: Metres }, to: Metres, grade: number, last: number): Stretch => ({
    start: from.station,
    end: to,
    z: from.z,
    grade,
    bend: (last - grade) / (2 * (to - from.station)),
    circle: null,
  });
  switch (rounding.kind) {
    case 'parabola':
      return [parabola(begin, end.station, gradeIn, gradeOut)];
    case 'unsymmetricParabola': {
      const common =
        (gradeIn * rounding.lengthIn + gradeOut * rounding.lengthOut) / (rounding.lengthIn + rounding.lengthOut);
      const middle = { station: intersection.station, z: begin.z + ((gradeIn + common) / 2) * rounding.lengthIn };
      return [parabola(begin, middle.station, gradeIn, common), parabola(middle, end.station, common, gradeOut)];
    }
    case 'circular': {
      if (gradeIn === gradeOut) return [];
      const sags = gradeOut > gradeIn;
      const toCentre = (sags ? rounding.radius : -rounding.radius) / Math.hypot(1, gradeIn);
      const circle = {
        station: begin.station - toCentre * gradeIn,
        z: begin.z + toCentre,
        radius: rounding.radius,
        sags,
      };
      return [{ start: begin.station, end: end.station, z: begin.z, grade: gradeIn, bend: 0, circle }];
    }
  }
}

function onStretch(
  { start, z, grade, bend, circle }: Stretch,
  station: Metres,
): { readonly z: Metres; readonly grade: number } {
  const x = station - start;
  if (!circle) return { z: z + x * (grade + bend * x), grade: grade + 2 * bend * x };
  const across = station - circle.station;
  const rise = Math.sqrt(Math.max(0, circle.radius ** 2 - across ** 2));
  return circle.sags ? { z: circle.z - rise, grade: across / rise } : { z: circle.z + rise, grade: -across / rise };
}

/** Height and grade at a station; at a break the grade ahead. Null outside the profile. */
export function profileAt(
  { start, end, stretches }: Profile,
  station: Metres,
): { readonly z: Metres; readonly grade: number } | null {
  if (!(station >= start - AT_END && station <= end + AT_END)) return null;
  let [low, high] = [0, stretches.length - 1];
  while (low < high) {
    const middle = (low + high + 1) >> 1;
    if (stretches[middle]!.start <= station + AT_END) low = middle;
    else high = middle - 1;
  }
  return onStretch(stretches[low]!, station);
}

/** High and low points within the profile, where the grade changes its sign; its ends are none. */
export function profileExtremes({ stretches }: Profile): Extreme[] {
  const extremes: Extreme[] = [];
  const kindOf = (before: number): Extreme['kind'] => (before > 0 ? 'high' : 'low');
  let before = 0;
  for (const stretch of stretches) {
    const [first, last] = [stretch.grade, onStretch(stretch, stretch.end).grade];
    // Where a curve begins or ends level, its sign is that of the rest of it.
    const [leaving, arriving] = [Math.sign(first) || Math.sign(last), Math.sign(last) || Math.sign(first)];
    if (before * leaving < 0) extremes.push({ kind: kindOf(before), station: stretch.start, z: stretch.z });
    if (leaving * arriving < 0) {
      const station = stretch.circle ? stretch.circle.station : stretch.start - stretch.grade / (2 * stretch.bend);
      extremes.push({ kind: kindOf(leaving), station, z: onStretch(stretch, station).z });
    }
    before = arriving;
  }
  return extremes;
}
