/** Roads and other lines with stations: the way in plan, its heights, and the strings that run along it. */
import {
  closed,
  Coordinate,
  Name,
  NullableString,
  nullableReference,
  PlacePlan,
  Type,
  Uuid,
  Words,
  LengthUnitName,
} from '../parts.ts';

const MOST_ELEMENTS = 5000;
const MOST_ROWS = 2000;

const Length = Type.Number({ exclusiveMinimum: 0, maximum: 1e7 });
/** Null where it is straight. */
const Radius = Type.Unsafe<number | null>({ type: ['number', 'null'], exclusiveMinimum: 0, maximum: 1e7 });
const Rotation = Words('cw', 'ccw');

const LineBody = closed({ kind: Words('line'), start: PlacePlan, end: PlacePlan });
const CurveBody = closed({
  kind: Words('curve'),
  start: PlacePlan,
  end: PlacePlan,
  centre: PlacePlan,
  rotation: Rotation,
});
const SpiralBody = closed({
  kind: Words('spiral'),
  start: PlacePlan,
  end: PlacePlan,
  radiusStart: Radius,
  radiusEnd: Radius,
  length: Length,
  rotation: Rotation,
});
type Place = { e: number; n: number };
type Turn = 'cw' | 'ccw';
const ElementBody = Type.Unsafe<
  | { kind: 'line'; start: Place; end: Place }
  | { kind: 'curve'; start: Place; end: Place; centre: Place; rotation: Turn }
  | {
      kind: 'spiral';
      start: Place;
      end: Place;
      radiusStart: number | null;
      radiusEnd: number | null;
      length: number;
      rotation: Turn;
    }
>({ anyOf: [LineBody, CurveBody, SpiralBody] });

const RoundingBody = Type.Unsafe<
  | { kind: 'parabola'; length: number }
  | { kind: 'unsymmetricParabola'; lengthIn: number; lengthOut: number }
  | { kind: 'circular'; radius: number }
  | null
>({
  anyOf: [
    { type: 'null' },
    closed({ kind: Words('parabola'), length: Length }),
    closed({ kind: Words('unsymmetricParabola'), lengthIn: Length, lengthOut: Length }),
    closed({ kind: Words('circular'), radius: Length }),
  ],
});

/** Rows along the line, stations without equations. */
const Table = Type.Array(closed({ station: Coordinate, value: Type.Number({ minimum: -1000, maximum: 1000 }) }), {
  minItems: 1,
  maxItems: MOST_ROWS,
});
const NullableTable = Type.Unsafe<{ station: number; value: number }[] | null>({ anyOf: [{ type: 'null' }, Table] });

/** What a kind of line is for; it says what its stations and its strings are called. */
export const AlignmentKindWord = Words('road', 'rail', 'pipe', 'wall', 'other');

/**
 * A line with stations; the same line over all its revisions. Lengths in metres; stations count from `startStation`
 * without equations.
 */
export const AlignmentBody = closed({
  alignment: Uuid,
  name: Name,
  kind: AlignmentKindWord,
  startStation: Coordinate,
  elements: Type.Array(ElementBody, { minItems: 1, maxItems: MOST_ELEMENTS }),
  /** Where its stations jump: from `at` on, `ahead` is shown. */
  equations: Type.Array(closed({ at: Coordinate, ahead: Coordinate, counts: Type.Unsafe<1 | -1>({ enum: [1, -1] }) }), {
    maxItems: 200,
  }),
  /** As it was typed, where it was typed by its intersection points. */
  intersections: Type.Optional(
    Type.Array(
      closed({
        e: Coordinate,
        n: Coordinate,
        radius: Radius,
        spiralIn: Type.Number({ minimum: 0 }),
        spiralOut: Type.Number({ minimum: 0 }),
      }),
      {
        minItems: 2,
        maxItems: 1000,
      },
    ),
  ),
  /** Its way as it was typed, in the unit of the site then, so that it can be changed as it was written. */
  typed: Type.Optional(closed({ text: Type.String({ maxLength: 40_000 }), unit: LengthUnitName })),
  profile: Type.Unsafe<{
    name: string;
    points: {
      station: number;
      z: number;
      rounding:
        | { kind: 'parabola'; length: number }
        | { kind: 'unsymmetricParabola'; lengthIn: number; lengthOut: number }
        | { kind: 'circular'; radius: number }
        | null;
    }[];
  } | null>({
    anyOf: [
      { type: 'null' },
      closed({
        name: Type.String({ maxLength: 255 }),
        points: Type.Array(closed({ station: Coordinate, z: Coordinate, rounding: RoundingBody }), {
          minItems: 2,
          maxItems: MOST_ROWS,
        }),
      }),
    ],
  }),
  strings: Type.Array(
    closed({
      name: Name,
      /** The string that its height is counted from; the centreline when null. */
      from: NullableString,
      offset: Table,
      height: closed({ rule: Words('fall', 'difference'), values: Table }),
    }),
    { maxItems: 100 },
  ),
  kerbs: Type.Array(
    closed({
      name: Name,
      flowLine: Name,
      faceOffset: Type.Number({ minimum: 0, maximum: 10 }),
      topHeight: Table,
      backOffset: Type.Number({ minimum: 0, maximum: 10 }),
      backHeight: NullableTable,
    }),
    { maxItems: 50 },
  ),
  /**
   * Cross sections as they were designed, where the file had them; by lines of offsets, positive to the right, and
   * heights.
   */
  sections: Type.Optional(
    Type.Array(
      closed({
        station: Coordinate,
        lines: Type.Array(
          closed({
            name: Type.String({ maxLength: 255 }),
            points: Type.Array(closed({ offset: Coordinate, z: Coordinate }), { maxItems: 500 }),
          }),
          { maxItems: 20 },
        ),
      }),
      { maxItems: 2000 },
    ),
  ),
  /** Farther off than this on either side, work there is none of this line's. */
  corridor: Type.Number({ exclusiveMinimum: 0, maximum: 10_000 }),
  /**
   * Everything is set out so far to the right of where it is designed; 0 but while a line is built to on purpose beside
   * its place.
   */
  shift: Type.Number({ minimum: -1000, maximum: 1000 }),
  /** Why it is shifted. */
  shiftReason: Type.Optional(Type.String({ maxLength: 300 })),
  source: Type.String({ maxLength: 200 }),
  /** The revision of the drawing whose file it was taken from, and what it is called there. */
  drawing: nullableReference('drawing'),
  sourceName: NullableString,
  retired: Type.Boolean(),
  supersedes: nullableReference('alignment'),
});
