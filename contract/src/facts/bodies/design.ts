/** What is drawn to set out from. */
import { closed, Coordinate, Name, nullableReference, PlacePlan, Type, Uuid, Words } from '../parts.ts';

/** Short, for people say it aloud: A, B, 12, 3.5. */
const GridLabel = Type.String({ minLength: 1, maxLength: 12, pattern: '^\\S+$' });
const GridFamilyBody = closed({
  /** Direction of the lines of this family. */
  azimuthDeg: Type.Number({ minimum: 0, exclusiveMaximum: 360 }),
  labels: Type.Array(GridLabel, { minItems: 1, maxItems: 200 }),
  /** Between each line and the next, metres. */
  spacings: Type.Array(Type.Number({ exclusiveMinimum: 0, maximum: 1000 }), { maxItems: 199 }),
});

/** Lettered and numbered lines; the same grid over all its revisions. */
export const GridBody = closed({
  grid: Uuid,
  name: Name,
  /** Where the first lettered and the first numbered line meet. */
  origin: PlacePlan,
  letters: GridFamilyBody,
  numbers: GridFamilyBody,
  spacingMeasured: Words('perpendicular', 'alongCrossing'),
  source: Type.String({ maxLength: 200 }),
  retired: Type.Boolean(),
  supersedes: nullableReference('grid'),
});

export const AreaKindWord = Words(
  'dig',
  'spoilHeap',
  'fence',
  'machine',
  'services',
  'keepOut',
  'traffic',
  'edge',
  'overhead',
  'building',
  /** Of the plot: what is built stays within it; marks may stand anywhere. */
  'boundary',
);

/** Ground that marks keep out of, and that may stand in the line of sight; the same area over all its revisions. */
export const AreaBody = closed({
  area: Uuid,
  name: Name,
  kind: AreaKindWord,
  /** In order round it. */
  corners: Type.Array(PlacePlan, { minItems: 3, maxItems: 500 }),
  /** How far beyond its edge a mark is still lost, metres. */
  margin: Type.Number({ minimum: 0, maximum: 100 }),
  blocksSight: Type.Boolean(),
  source: Type.String({ maxLength: 200 }),
  retired: Type.Boolean(),
  supersedes: nullableReference('area'),
});

/** A file that a design came in, kept whole under `file` beside the ledger; the same drawing over all its revisions. */
export const DrawingBody = closed({
  drawing: Uuid,
  name: Name,
  fileName: Type.String({ minLength: 1, maxLength: 200 }),
  format: Words('dxf', 'landxml', 'geojson', 'csv'),
  file: Uuid,
  bytes: Type.Integer({ minimum: 1 }),
  digest: Type.String({ pattern: '^[0-9a-f]{64}$' }),
  /** Of its coordinates, as its header says or as somebody who was asked said. */
  unit: closed({
    name: Type.String({ minLength: 1, maxLength: 40 }),
    metres: Type.Number({ exclusiveMinimum: 0, maximum: 1000 }),
  }),
  /** How its coordinates, in metres, become the site's; null when they are the site's already. Turned clockwise. */
  placing: Type.Unsafe<{
    scale: number;
    rotationDeg: number;
    shiftE: number;
    shiftN: number;
    pairs: number;
    misfitMm: number;
    misfits?: { name: string; dEMm: number; dNMm: number }[];
  } | null>({
    anyOf: [
      { type: 'null' },
      closed({
        scale: Type.Number({ exclusiveMinimum: 0, maximum: 1000 }),
        rotationDeg: Type.Number({ minimum: -360, maximum: 360 }),
        shiftE: Coordinate,
        shiftN: Coordinate,
        pairs: Type.Integer({ minimum: 2, maximum: 100 }),
        misfitMm: Type.Number({ minimum: 0 }),
        /** What is left at each of the pairs: the drawing's place less the site's. */
        misfits: Type.Optional(
          Type.Array(closed({ name: Name, dEMm: Type.Number(), dNMm: Type.Number() }), { maxItems: 100 }),
        ),
      }),
    ],
  }),
  /** Layers that are switched off. */
  hidden: Type.Array(Type.String({ maxLength: 255 }), { maxItems: 2000 }),
  elements: Type.Integer({ minimum: 0 }),
  /** Of a list of points: the unit that somebody said its coordinates are in, whatever its headings say. */
  listUnit: Type.Optional(Words('m', 'mm', 'cm', 'dm', 'km', 'in', 'ft', 'ftUS', 'yd')),
  /** Of a list of points: what else somebody said of it, which goes before what it says. */
  listRead: Type.Optional(
    closed({
      decimal: Type.Optional(Words('.', ',')),
      /** What each column is; an empty word leaves it aside. */
      columns: Type.Optional(Type.Array(Type.String({ maxLength: 20 }), { minItems: 1, maxItems: 200 })),
      /** Easting or northing first, where its headings say X and Y. */
      order: Type.Optional(Words('EN', 'NE')),
    }),
  ),
  /** With which reading of files it was taken; not on drawings of before readings were counted. */
  reading: Type.Optional(Type.Integer({ minimum: 1, maximum: 1000 })),
  retired: Type.Boolean(),
  supersedes: nullableReference('drawing'),
});
