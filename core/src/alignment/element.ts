/** Elements of a horizontal alignment, as designs give them, and the shape that follows. */
import { clothoidEnd, clothoidSeries, placeOnSeries, SERIES_TURN } from '../plane/clothoid.ts';
import { azimuth, planDistance, polar, type PlanPoint } from '../plane/point.ts';
import { wrapTurn } from '../quantity/angle.ts';
import type { Metres, Radians } from '../quantity/unit.ts';
import { fail, ok, type Result } from '../result.ts';

/** Clockwise turns right. */
export type Rotation = 'cw' | 'ccw';
export interface LineElement {
  readonly kind: 'line';
  readonly start: PlanPoint;
  readonly end: PlanPoint;
}
export interface CurveElement {
  readonly kind: 'curve';
  readonly start: PlanPoint;
  readonly end: PlanPoint;
  readonly centre: PlanPoint;
  readonly rotation: Rotation;
}
export interface SpiralElement {
  readonly kind: 'spiral';
  readonly start: PlanPoint;
  readonly end: PlanPoint;
  /** Null where it is straight. */
  readonly radiusStart: Metres | null;
  readonly radiusEnd: Metres | null;
  readonly length: Metres;
  readonly rotation: Rotation;
}
export type HorizontalElement = LineElement | CurveElement | SpiralElement;

/** What an element comes to: curvature runs evenly from its start to its end, per metre, positive turning right. */
export interface ElementShape {
  readonly kind: HorizontalElement['kind'];
  readonly start: PlanPoint;
  readonly end: PlanPoint;
  readonly azimuthStart: Radians;
  readonly azimuthEnd: Radians;
  readonly curvatureStart: number;
  readonly curvatureEnd: number;
  readonly length: Metres;
  /** Of a curve; null for the others. */
  readonly centre: PlanPoint | null;
}
export type ElementFault =
  | { readonly code: 'ELEMENT_WITHOUT_LENGTH' }
  /** Straight at both ends it is no spiral. */
  | { readonly code: 'SPIRAL_STRAIGHT_AT_BOTH_ENDS' }
  | { readonly code: 'RADIUS_NOT_POSITIVE' }
  /** No line of a site goes so far: a coordinate is a slip, or of another system. In the unit of the element. */
  | { readonly code: 'ELEMENT_TOO_LONG'; readonly length: number }
  /** It winds round and round: its radius is too small for its length. */
  | { readonly code: 'ELEMENT_WINDS'; readonly turns: number }
  /** The ends lie farther apart, or nearer, than this length and these radii bring them. */
  | { readonly code: 'SPIRAL_DOES_NOT_REACH'; readonly chord: Metres; readonly drawn: Metres };

const NO_LENGTH: Metres = 1e-6;
/** A spiral of a road turns by a fraction of this; one that turns by more is a slip of the pen. */
export const MOST_TURNS = 4;
/** A spiral's chord may differ by this share from what its ends leave: coordinates of files are rounded. */
const CHORD_SHARE = 0.02;

/** Whatever the unit of the coordinates is. */
const LONGEST = 1e9;

export function shapeOf(element: HorizontalElement): Result<ElementShape, ElementFault> {
  const shape = anyShapeOf(element);
  return shape.ok && !(shape.value.length <= LONGEST)
    ? fail({ code: 'ELEMENT_TOO_LONG', length: shape.value.length })
    : shape;
}

function anyShapeOf(element: HorizontalElement): Result<ElementShape, ElementFault> {
  switch (element.kind) {
    case 'line':
      return lineShape(element);
    case 'curve':
      return curveShape(element);
    case 'spiral':
      return spiralShape(element);
  }
}

function lineShape({ start, end }: LineElement): Result<ElementShape, ElementFault> {
  const length = planDistance(start, end);
  if (length < NO_LENGTH) return fail({ code: 'ELEMENT_WITHOUT_LENGTH' });
  const way = azimuth(start, end);
  return ok({
    kind: 'line',
    start,
    end,
    azimuthStart: way,
    azimuthEnd: way,
    curvatureStart: 0,
    curvatureEnd: 0,
    length,
    centre: null,
  });
}

/**
 * An arc from start to end that turns as the centre says; where the chord is long enough it, not the centre, gives the
 * radius.
 */
function curveShape({ start, end, centre, rotation }: CurveElement): Result<ElementShape, ElementFault> {
  const hand = rotation === 'cw' ? 1 : -1;
  const chord = planDistance(start, end);
  const mean = (planDistance(centre, start) + planDistance(centre, end)) / 2;
  if (mean < NO_LENGTH) return fail({ code: 'RADIUS_NOT_POSITIVE' });
  const turned = wrapTurn(hand * (azimuth(centre, end) - azimuth(centre, start)));
  // Start and end in one place is a full circle.
  const turn = chord < NO_LENGTH ? 2 * Math.PI : turned;
  if (turn * mean < NO_LENGTH) return fail({ code: 'ELEMENT_WITHOUT_LENGTH' });
  // Near a full circle the chord is too short to say anything of the radius.
  const byChord = turn < Math.PI || Math.sin(turn / 2) > 0.2;
  const radius = byChord ? chord / (2 * Math.sin(turn / 2)) : mean;
  const azimuthStart = wrapTurn(
    byChord ? azimuth(start, end) - (hand * turn) / 2 : azimuth(centre, start) + (hand * Math.PI) / 2,
  );
  const right = azimuthStart + (hand * Math.PI) / 2;
  return ok({
    kind: 'curve',
    start,
    end,
    azimuthStart,
    azimuthEnd: wrapTurn(azimuthStart + hand * turn),
    curvatureStart: hand / radius,
    curvatureEnd: hand / radius,
    length: radius * turn,
    centre: { e: start.e + radius * Math.sin(right), n: start.n + radius * Math.cos(right) },
  });
}

/** A clothoid turned, and by a trifle stretched, so that it runs from its start to its end. */
function spiralShape({
  start,
  end,
  radiusStart,
  radiusEnd,
  length,
  rotation,
}: SpiralElement): Result<ElementShape, ElementFault> {
  if (!(length > NO_LENGTH)) return fail({ code: 'ELEMENT_WITHOUT_LENGTH' });
  if (radiusStart === null && radiusEnd === null) return fail({ code: 'SPIRAL_STRAIGHT_AT_BOTH_ENDS' });
  if ((radiusStart !== null && !(radiusStart > 0)) || (radiusEnd !== null && !(radiusEnd > 0)))
    return fail({ code: 'RADIUS_NOT_POSITIVE' });
  const turns = length / Math.min(radiusStart ?? Infinity, radiusEnd ?? Infinity) / (2 * Math.PI);
  if (turns > MOST_TURNS) return fail({ code: 'ELEMENT_WINDS', turns });
  const hand = rotation === 'cw' ? 1 : -1;
  const [first, last] = [radiusStart === null ? 0 : hand / radiusStart, radiusEnd === null ? 0 : hand / radiusEnd];
  const origin = { e: 0, n: 0 };
  const drawnEnd = clothoidEnd(origin, 0, first, (last - first) / length, length);
  const [chord, drawn] = [planDistance(start, end), planDistance(origin, drawnEnd)];
  const stretch = chord / drawn;
  if (!(Math.abs(stretch - 1) < CHORD_SHARE)) return fail({ code: 'SPIRAL_DOES_NOT_REACH', chord, drawn });
  const azimuthStart = wrapTurn(azimuth(start, end) - azimuth(origin, drawnEnd));
  return ok({
    kind: 'spiral',
    start,
    end,
    azimuthStart,
    azimuthEnd: wrapTurn(azimuthStart + ((first + last) / 2) * length),
    curvatureStart: first / stretch,
    curvatureEnd: last / stretch,
    length: length * stretch,
    centre: null,
  });
}

/** Direction and curvature on an element, `along` from its start. */
export function directionOn({ azimuthStart, curvatureStart, curvatureEnd, length }: ElementShape, along: Metres) {
  const curvature = curvatureStart + ((curvatureEnd - curvatureStart) * along) / length;
  return { azimuth: wrapTurn(azimuthStart + ((curvatureStart + curvature) / 2) * along), curvature };
}

/** The place on an element, `along` from its start. */
export function placeOn(element: ElementShape, along: Metres): PlanPoint {
  const { kind, start, end, azimuthStart, curvatureStart, curvatureEnd, length } = element;
  switch (kind) {
    case 'line':
      return { e: start.e + ((end.e - start.e) * along) / length, n: start.n + ((end.n - start.n) * along) / length };
    case 'curve': {
      const half = (curvatureStart * along) / 2;
      return polar(start, azimuthStart + half, half === 0 ? along : (along * Math.sin(half)) / half);
    }
    case 'spiral': {
      const rate = (curvatureEnd - curvatureStart) / length;
      const stretches = Math.max(
        1,
        Math.ceil((Math.max(Math.abs(curvatureStart), Math.abs(curvatureEnd)) * length) / SERIES_TURN),
      );
      const step = length / stretches;
      let place = start;
      for (let i = 0; i < stretches; i++) {
        const [from, to] = [i * step, Math.min(along, (i + 1) * step)];
        const middle = from + step / 2;
        const { azimuth: direction, curvature } = directionOn(element, middle);
        const series = clothoidSeries({ e: 0, n: 0 }, direction, curvature, rate);
        const [a, b] = [placeOnSeries(series, -step / 2), placeOnSeries(series, to - middle)];
        place = { e: place.e + b.e - a.e, n: place.n + b.n - a.n };
        if (along <= to) break;
      }
      return place;
    }
  }
}
