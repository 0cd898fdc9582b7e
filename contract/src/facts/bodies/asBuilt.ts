/** What stands there, as it was measured. */
import type { Static } from '../../schema.ts';
import {
  closed,
  Coordinate,
  laterReference,
  Name,
  NullableCoordinate,
  NullableNumber,
  nullableReference,
  Place,
  reference,
  Text,
  Type,
  Uuid,
  Words,
} from '../parts.ts';

/** Short, from a list of the site: kerb, bolt, invert. */
export const Code = Type.String({ maxLength: 40 });

/** What it was measured to be compared with. */
const Against = Type.Unsafe<
  | { readonly kind: 'plan'; readonly package: string; readonly key: string }
  | {
      readonly kind: 'face';
      readonly grid: string;
      readonly line: string;
      readonly crossing: string;
      readonly edge: 'first' | 'second' | 'middle';
      readonly level: 'low' | 'high';
      readonly targetOffset: number;
      readonly width: number | null;
    }
  | {
      readonly kind: 'line';
      readonly from: { e: number; n: number; z: number | null };
      readonly to: { e: number; n: number; z: number | null };
      readonly name: string;
      readonly bulge?: number;
    }
  | {
      readonly kind: 'road';
      readonly alignment: string;
      readonly line: string;
      readonly name: string;
      readonly station: number;
      readonly displayed: number;
      readonly offset: number;
      readonly gradeString: string;
      readonly designZ: number | null;
      readonly slope?: {
        readonly hinge: string;
        readonly side: 'left' | 'right';
        readonly kind: 'cut' | 'fill';
        readonly run: number;
        readonly distance: number;
        readonly overHinge: number;
      };
    }
  | { readonly kind: 'surface'; readonly drawing: string; readonly name: string; readonly z: number | null }
>({
  type: 'object',
  oneOf: [
    closed({ kind: Words('plan'), package: reference('package'), key: Type.String({ minLength: 1, maxLength: 200 }) }),
    /** The face of the column at the crossing of two lines of a grid, against the first of them. */
    closed({
      kind: Words('face'),
      grid: Uuid,
      line: Type.String({ minLength: 1, maxLength: 12 }),
      crossing: Type.String({ minLength: 1, maxLength: 12 }),
      /** As they come along the line. */
      edge: Words('first', 'second', 'middle'),
      level: Words('low', 'high'),
      /** From the surface to the centre of the target, metres. */
      targetOffset: Type.Number({ minimum: 0, maximum: 0.5 }),
      /** Of the column across the line, as taped, metres. */
      width: Type.Unsafe<number | null>({ type: ['number', 'null'], exclusiveMinimum: 0, maximum: 20 }),
    }),
    closed({
      kind: Words('line'),
      from: Place,
      to: Place,
      name: Name,
      /** Of an arc: tangent of a quarter of its angle, positive turning left. */
      bulge: Type.Optional(Type.Number({ minimum: -1000, maximum: 1000 })),
    }),
    /** At a station of a road, by the revision that was worked along; what a string of it is high there. */
    closed({
      kind: Words('road'),
      alignment: reference('alignment'),
      /** Over all its revisions. */
      line: Uuid,
      name: Name,
      /** Without equations, and as it is shown. */
      station: Coordinate,
      displayed: Coordinate,
      /** Positive to the right, looking up the stations. */
      offset: Coordinate,
      gradeString: Name,
      designZ: NullableCoordinate,
      /** Where a slope from a string meets the ground: one in `run`, so far out of its hinge and so high above it. */
      slope: Type.Optional(
        closed({
          hinge: Name,
          side: Words('left', 'right'),
          kind: Words('cut', 'fill'),
          run: Type.Number({ exclusiveMinimum: 0, maximum: 100 }),
          distance: Type.Number({ minimum: 0, maximum: 10_000 }),
          overHinge: Type.Number({ minimum: -10_000, maximum: 10_000 }),
        }),
      ),
    }),
    /** The surface of a revision of a drawing, with its height there; null off it. */
    closed({
      kind: Words('surface'),
      drawing: laterReference('drawing'),
      name: Type.String({ minLength: 1, maxLength: 255 }),
      z: NullableCoordinate,
    }),
  ],
});

export const AsBuiltBody = closed({
  solution: reference('solution'),
  /** Averaged to the place. */
  sights: Type.Array(reference('sight'), { minItems: 1, maxItems: 50 }),
  /** Of the same shots, where a receiver gave the plan. */
  positions: Type.Optional(Type.Array(reference('position'), { minItems: 1, maxItems: 50 })),
  name: Name,
  code: Code,
  place: Place,
  /** Largest distance of a shot from the mean; null for a single shot, and for the height of a station without one. */
  spread: closed({ planMm: NullableNumber, heightMm: NullableNumber }),
  against: Type.Unsafe<null | Static<typeof Against>>({ anyOf: [{ type: 'null' }, Against] }),
  note: Text,
  supersedes: nullableReference('asBuilt'),
});
