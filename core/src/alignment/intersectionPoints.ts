/**
 * An alignment typed by its intersection points, each with a radius and the lengths of the spirals before and after its
 * curve; or element after element from a start. Source: W. Schofield, M. Breach, Engineering Surveying, chapter 10
 * (transition curves; tangent lengths with unequal transitions by the shifts of both).
 */
import { clothoidEnd } from '../plane/clothoid.ts';
import { azimuth, planDistance, polar, type PlanPoint } from '../plane/point.ts';
import { wrapHalfTurn } from '../quantity/angle.ts';
import type { Metres, Radians } from '../quantity/unit.ts';
import { fail, ok, type Result } from '../result.ts';
import { MOST_TURNS, type HorizontalElement, type Rotation } from './element.ts';

export interface IntersectionPoint extends PlanPoint {
  /** Null for a bend without a curve; of the first and the last point nothing is asked. */
  readonly radius: Metres | null;
  readonly spiralIn: Metres;
  readonly spiralOut: Metres;
}
/** `point` counted from 0. */
export type IntersectionError =
  | { readonly code: 'TOO_FEW_INTERSECTIONS'; readonly given: number }
  | { readonly code: 'INTERSECTIONS_IN_ONE_PLACE'; readonly point: number }
  | { readonly code: 'INTERSECTION_RADIUS_NOT_POSITIVE'; readonly point: number }
  | { readonly code: 'SPIRAL_WITHOUT_RADIUS'; readonly point: number }
  /** The way turns back on itself, or goes straight on: no curve fits there. */
  | { readonly code: 'NO_TURN_TO_ROUND'; readonly point: number }
  /** The spirals alone turn by more than the way does. */
  | { readonly code: 'SPIRALS_TURN_TOO_FAR'; readonly point: number; readonly turn: Radians; readonly spirals: Radians }
  /** Tangents of two neighbouring points take more than what lies between them. */
  | { readonly code: 'CURVES_OVERLAP'; readonly point: number; readonly by: Metres };

/** What is shorter is not there. */
const SHORTEST: Metres = 0.001;

interface Rounded {
  readonly elements: readonly HorizontalElement[];
  readonly tangentIn: Metres;
  readonly tangentOut: Metres;
}

export function elementsThrough(points: readonly IntersectionPoint[]): Result<HorizontalElement[], IntersectionError> {
  if (points.length < 2) return fail({ code: 'TOO_FEW_INTERSECTIONS', given: points.length });
  for (let i = 1; i < points.length; i++)
    if (planDistance(points[i - 1]!, points[i]!) < 0.001) return fail({ code: 'INTERSECTIONS_IN_ONE_PLACE', point: i });
  const elements: HorizontalElement[] = [];
  let from: PlanPoint = points[0]!;
  let taken = 0;
  for (let i = 1; i < points.length; i++) {
    const rounded = i === points.length - 1 ? ok({ elements: [], tangentIn: 0, tangentOut: 0 }) : roundedAt(points, i);
    if (!rounded.ok) return rounded;
    const { tangentIn, tangentOut, elements: curve } = rounded.value;
    const between = planDistance(points[i - 1]!, points[i]!) - taken - tangentIn;
    if (between < -0.001) return fail({ code: 'CURVES_OVERLAP', point: i, by: -between });
    const begin = curve[0]?.start ?? { e: points[i]!.e, n: points[i]!.n };
    if (between > 1e-6) elements.push({ kind: 'line', start: { e: from.e, n: from.n }, end: begin });
    elements.push(...curve);
    from = curve.at(-1)?.end ?? begin;
    taken = tangentOut;
  }
  return ok(elements);
}

/**
 * How far a spiral brings its curve off the tangent: where it ends, seen along and across the tangent, and the shift of
 * the circle.
 */
function spiralShift(radius: Metres, length: Metres) {
  if (length < SHORTEST) return { along: 0, across: 0, shift: 0, back: 0, turn: 0 };
  const end = clothoidEnd({ e: 0, n: 0 }, 0, 0, 1 / (radius * length), length);
  const turn = length / (2 * radius);
  // Along the tangent is north, to the right of it east.
  return {
    along: end.n,
    across: end.e,
    shift: end.e - radius * (1 - Math.cos(turn)),
    back: end.n - radius * Math.sin(turn),
    turn,
  };
}

function roundedAt(points: readonly IntersectionPoint[], i: number): Result<Rounded, IntersectionError> {
  const [before, point, after] = [points[i - 1]!, points[i]!, points[i + 1]!];
  const { radius, spiralIn, spiralOut } = point;
  if (radius === null)
    return spiralIn > 0 || spiralOut > 0
      ? fail({ code: 'SPIRAL_WITHOUT_RADIUS', point: i })
      : ok({ elements: [], tangentIn: 0, tangentOut: 0 });
  if (!(radius > 0)) return fail({ code: 'INTERSECTION_RADIUS_NOT_POSITIVE', point: i });
  const [wayIn, wayOut] = [azimuth(before, point), azimuth(point, after)];
  const delta = wrapHalfTurn(wayOut - wayIn);
  const turn = Math.abs(delta);
  if (turn < 1e-6 || turn > Math.PI - 1e-6) return fail({ code: 'NO_TURN_TO_ROUND', point: i });
  const spirals = (spiralIn + spiralOut) / (2 * radius);
  if (spirals > turn + 1e-12) return fail({ code: 'SPIRALS_TURN_TOO_FAR', point: i, turn, spirals });
  const [first, last] = [spiralShift(radius, spiralIn), spiralShift(radius, spiralOut)];
  const [a, b] = [radius + first.shift, radius + last.shift];
  const tangentIn = first.back + (b - a * Math.cos(turn)) / Math.sin(turn);
  const tangentOut = last.back + (a - b * Math.cos(turn)) / Math.sin(turn);
  const hand = Math.sign(delta);
  const rotation: Rotation = hand > 0 ? 'cw' : 'ccw';
  const begin = polar(point, wayIn, -tangentIn);
  const end = polar(point, wayOut, tangentOut);
  const across = (from: PlanPoint, way: Radians, along: Metres, off: Metres) =>
    polar(polar(from, way, along), way + (hand * Math.PI) / 2, off);
  const curveStart = spiralIn >= SHORTEST ? across(begin, wayIn, first.along, first.across) : begin;
  const curveEnd = spiralOut >= SHORTEST ? across(end, wayOut, -last.along, last.across) : end;
  const elements: HorizontalElement[] = [];
  if (spiralIn >= SHORTEST)
    elements.push({
      kind: 'spiral',
      start: begin,
      end: curveStart,
      radiusStart: null,
      radiusEnd: radius,
      length: spiralIn,
      rotation,
    });
  if (turn - first.turn - last.turn > 1e-9) {
    const centre = polar(curveStart, wayIn + hand * (first.turn + Math.PI / 2), radius);
    elements.push({ kind: 'curve', start: curveStart, end: curveEnd, centre, rotation });
  }
  if (spiralOut >= SHORTEST)
    elements.push({
      kind: 'spiral',
      start: curveEnd,
      end,
      radiusStart: radius,
      radiusEnd: null,
      length: spiralOut,
      rotation,
    });
  return ok({ elements, tangentIn, tangentOut });
}

/** One element as it is typed after another: it goes on in the direction in which the one before ended. */
export type TypedElement =
  | { readonly kind: 'line'; readonly length: Metres }
  | { readonly kind: 'curve'; readonly length: Metres; readonly radius: Metres; readonly rotation: Rotation }
  | {
      readonly kind: 'spiral';
      readonly length: Metres;
      /** Null where it is straight. */
      readonly radiusStart: Metres | null;
      readonly radiusEnd: Metres | null;
      readonly rotation: Rotation;
    };
export type TypedElementError =
  | { readonly code: 'TYPED_ELEMENT_WITHOUT_LENGTH'; readonly element: number }
  | { readonly code: 'TYPED_RADIUS_NOT_POSITIVE'; readonly element: number }
  | { readonly code: 'TYPED_SPIRAL_STRAIGHT'; readonly element: number }
  /** It goes round by more than a curve or spiral does. */
  | { readonly code: 'TYPED_ELEMENT_WINDS'; readonly element: number };

export function elementsAlong(
  start: PlanPoint,
  direction: Radians,
  typed: readonly TypedElement[],
): Result<HorizontalElement[], TypedElementError> {
  const elements: HorizontalElement[] = [];
  let [place, way] = [{ e: start.e, n: start.n }, direction];
  for (const [i, element] of typed.entries()) {
    if (!(element.length >= SHORTEST)) return fail({ code: 'TYPED_ELEMENT_WITHOUT_LENGTH', element: i });
    if (element.kind === 'line') {
      const end = polar(place, way, element.length);
      elements.push({ kind: 'line', start: place, end });
      place = end;
      continue;
    }
    const [first, last] =
      element.kind === 'curve' ? [element.radius, element.radius] : [element.radiusStart, element.radiusEnd];
    if (first === null && last === null) return fail({ code: 'TYPED_SPIRAL_STRAIGHT', element: i });
    if ((first !== null && !(first > 0)) || (last !== null && !(last > 0)))
      return fail({ code: 'TYPED_RADIUS_NOT_POSITIVE', element: i });
    const turns = element.length / Math.min(first ?? Infinity, last ?? Infinity) / (2 * Math.PI);
    if (turns > (element.kind === 'curve' ? 1 : MOST_TURNS)) return fail({ code: 'TYPED_ELEMENT_WINDS', element: i });
    const hand = element.rotation === 'cw' ? 1 : -1;
    const [from, to] = [first === null ? 0 : hand / first, last === null ? 0 : hand / last];
    const end = clothoidEnd(place, way, from, (to - from) / element.length, element.length);
    if (element.kind === 'curve')
      elements.push({
        kind: 'curve',
        start: place,
        end,
        centre: polar(place, way + (hand * Math.PI) / 2, element.radius),
        rotation: element.rotation,
      });
    else
      elements.push({
        kind: 'spiral',
        start: place,
        end,
        radiusStart: first,
        radiusEnd: last,
        length: element.length,
        rotation: element.rotation,
      });
    place = end;
    way += ((from + to) / 2) * element.length;
  }
  return ok(elements);
}
