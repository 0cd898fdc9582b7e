/** What is to be set, what was set, and what was handed over. */
import { STAKE_PARTS, STATION_TERMS } from '@idle-marker/core';
import type { Static } from '../../schema.ts';
import { ConventionId, PointOnMarkWord, RoundingWord } from './convention.ts';
import {
  closed,
  Coordinate,
  laterReference,
  Name,
  NullableCoordinate,
  NullableDay,
  NullableNumber,
  nullableReference,
  NullableString,
  Place,
  PlacePlan,
  reference,
  Text,
  Type,
  Uuid,
  Words,
} from '../parts.ts';

const Face = Type.Array(Name, { minItems: 2, maxItems: 2 });

const NullableFace = Type.Unsafe<string[] | null>({ anyOf: [{ type: 'null' }, Face] });

export const MeaningWord = Words('outsideFace', 'insideFace', 'wallCentre', 'gridLine', 'waterLine', 'centre', 'edge');

export const HeightReferenceWord = Words(
  'finishedFloor',
  'topOfWall',
  'underside',
  'invert',
  'topOfKerb',
  'subgrade',
  'surface',
  'string',
);

/** What a crew wants in the ground or on the slab. */
export const MarkKindWord = Words('hubAndLath', 'nail', 'paintCross', 'plateLine', 'scribedLine');

/** What there is to say at a station beyond its words: each reason, changes of a kerb, and how the road counts it. */
const StationSaid = {
  reasons: Type.Optional(
    Type.Array(
      closed({
        words: Type.String({ minLength: 1, maxLength: 200 }),
        /** It has a short form by this. */
        term: Type.Optional(Words(...STATION_TERMS)),
      }),
      { maxItems: 40 },
    ),
  ),
  /** Heights over the flow line; `over` is the length along the line. */
  transitions: Type.Optional(
    Type.Array(
      closed({
        kerb: Name,
        part: Words('top', 'back'),
        from: Coordinate,
        to: Coordinate,
        over: Type.Number({ minimum: 0 }),
        here: Words('begins', 'ends', 'steps'),
      }),
      { maxItems: 8 },
    ),
  ),
  displayed: Type.Optional(Coordinate),
};

const StationRule = Type.Unsafe<{
  from: number | null;
  to: number | null;
  interval: number | null;
  byRadius: { upTo: number; interval: number }[];
  equalParts: { parts: number } | { chord: number } | { rise: number } | null;
  special: boolean;
  extra: number[];
  direction: 'up' | 'down';
}>(
  closed({
    from: NullableCoordinate,
    to: NullableCoordinate,
    interval: NullableNumber,
    byRadius: Type.Array(
      closed({ upTo: Type.Number({ exclusiveMinimum: 0 }), interval: Type.Number({ exclusiveMinimum: 0 }) }),
      { maxItems: 20 },
    ),
    equalParts: Type.Unsafe<unknown>({
      anyOf: [
        { type: 'null' },
        closed({ parts: Type.Integer({ minimum: 1, maximum: 1000 }) }),
        closed({ chord: Type.Number({ exclusiveMinimum: 0 }) }),
        closed({ rise: Type.Number({ exclusiveMinimum: 0 }) }),
      ],
    }),
    special: Type.Boolean(),
    extra: Type.Array(Coordinate, { maxItems: 1000 }),
    direction: Words('up', 'down'),
  }),
);

const AnglePart = Words('back', 'ahead', 'inside');
const RakeFields = {
  azimuthDeg: Type.Number({ minimum: 0, maximum: 360 }),
  ratio: Type.Number({ exclusiveMinimum: 0, maximum: 1000 }),
};

const surfaceHeights = {
  name: Type.String({ minLength: 1, maxLength: 255 }),
  heights: Type.Array(closed({ key: Type.String({ minLength: 1, maxLength: 200 }), z: NullableCoordinate }), {
    maxItems: 5000,
  }),
};
interface SurfaceHeights {
  name: string;
  heights: { key: string; z: number | null }[];
}
/** By the revision of the drawing it is in, or of the road whose cross sections it is made of. */
const SurfaceOfItem = Type.Unsafe<
  SurfaceHeights & ({ drawing: string; alignment?: undefined } | { alignment: string; drawing?: undefined })
>({
  type: 'object',
  anyOf: [
    closed({ drawing: laterReference('drawing'), ...surfaceHeights }),
    closed({ alignment: reference('alignment'), ...surfaceHeights }),
  ],
});

/** How an item's corners become marks, where the rule needs more than the package's offset. */
const ItemOptions = {
  /**
   * The line that is marked lies so far outside of the one that is given, negative inside of it, and for which reason.
   */
  moved: Type.Optional(
    Type.Array(
      closed({
        outward: Type.Number({ minimum: -100, maximum: 100 }),
        why: Words('wallThickness', 'footing', 'batter', 'other'),
      }),
      { maxItems: 5 },
    ),
  ),
  /** Along a line: its points, and on which side of it. */
  along: Type.Optional(
    closed({
      spacing: Type.Unsafe<{ interval: number } | { parts: number }>({
        anyOf: [
          closed({ interval: Type.Number({ exclusiveMinimum: 0, maximum: 1000 }) }),
          closed({ parts: Type.Integer({ minimum: 1, maximum: 1000 }) }),
        ],
      }),
      side: Words('on', 'left', 'right'),
      closed: Type.Boolean(),
    }),
  ),
  /** Bolts round each point. */
  pattern: Type.Optional(
    Type.Unsafe<
      | {
          kind: 'rectangle';
          along: number;
          across: number;
          alongCount: number;
          acrossCount: number;
          azimuthDeg: number;
        }
      | { kind: 'circle'; diameter: number; count: number; azimuthDeg: number }
    >({
      anyOf: [
        closed({
          kind: Words('rectangle'),
          along: Type.Number({ exclusiveMinimum: 0, maximum: 50 }),
          across: Type.Number({ exclusiveMinimum: 0, maximum: 50 }),
          alongCount: Type.Integer({ minimum: 1, maximum: 100 }),
          acrossCount: Type.Integer({ minimum: 1, maximum: 100 }),
          azimuthDeg: RakeFields.azimuthDeg,
        }),
        closed({
          kind: Words('circle'),
          diameter: Type.Number({ exclusiveMinimum: 0, maximum: 50 }),
          count: Type.Integer({ minimum: 2, maximum: 100 }),
          azimuthDeg: RakeFields.azimuthDeg,
        }),
      ],
    }),
  ),
  /**
   * Piles that lean: toward `azimuthDeg`, so many metres down for one to the side. Points are their heads, at the
   * design height.
   */
  rake: Type.Optional(closed({ ...RakeFields, workingZ: Coordinate })),
  /** The revision of the drawing that the corners were taken from. */
  drawing: Type.Optional(reference('drawing')),
  /** Along a road: which string of which revision of it, on which side of it, and of each corner its station. */
  road: Type.Optional(
    closed({
      alignment: reference('alignment'),
      /** The road over all its revisions. */
      line: Uuid,
      string: Name,
      gradeString: Name,
      alsoString: NullableString,
      side: Words('on', 'left', 'right'),
      rule: StationRule,
      stations: Type.Array(
        closed({
          /** Without equations. */
          station: Coordinate,
          azimuthDeg: Type.Number({ minimum: -360, maximum: 360 }),
          /** What changes there, in words; empty at a round station. */
          why: Type.String({ maxLength: 200 }),
          /** An offset of its own; null for the package's. */
          offset: Type.Unsafe<number | null>({ type: ['number', 'null'], minimum: 0, maximum: 1000 }),
          alsoZ: NullableCoordinate,
          /**
           * Where the line has an angle: square to which of its two lines, or inside of it; how far it turns there,
           * positive to the right.
           */
          angle: Type.Optional(
            closed({ part: AnglePart, deflectionDeg: Type.Number({ minimum: -180, maximum: 180 }) }),
          ),
          ...StationSaid,
          /** What the heights lead to at this one, where it is something else. */
          gradeTo: Type.Optional(Name),
          alsoTo: Type.Optional(Name),
        }),
        { maxItems: 2000 },
      ),
      /**
       * Of a return to another road: where it ends there, and its radius. It begins at the first station of the rule.
       */
      return: Type.Optional(
        closed({
          alignment: reference('alignment'),
          line: Uuid,
          string: Name,
          gradeString: Name,
          station: Coordinate,
          way: Words('up', 'down'),
          radius: Type.Number({ exclusiveMinimum: 0, maximum: 10_000 }),
          marks: Words('arc', 'radiusPoint', 'both'),
        }),
      ),
    }),
  ),
  /** The revision of the grid that they were taken from; a corner has the name that the grid gives it. */
  grid: Type.Optional(laterReference('grid')),
  /**
   * The surface that heights were taken from instead of one design height: of each mark by its key within the item,
   * none where it has none.
   */
  surface: Type.Optional(SurfaceOfItem),
  /**
   * Where design heights come from: the one design height, the surface, the corners' own, or by rule (own, else
   * surface, else design). Without it a surface goes before all, lines and roads have their own, others the one.
   */
  heights: Type.Optional(Words('design', 'surface', 'own', 'rule')),
};

/** One mark to set. Its key is stable: item, corner and side. */
export const MarkPlanBody = closed({
  key: Type.String({ minLength: 1, maxLength: 200 }),
  name: Name,
  place: PlacePlan,
  design: PlacePlan,
  corner: Name,
  item: Name,
  meaning: MeaningWord,
  offset: Type.Number({ minimum: 0, maximum: 1000 }),
  offFace: NullableFace,
  alsoOffFace: NullableFace,
  onLine: NullableFace,
  designZ: NullableCoordinate,
  /** Of the point that it is set for. */
  code: Type.Optional(Type.String({ maxLength: 80 })),
  /** Along a road: where, what is there, what offset and heights lead to, and the direction of the road. */
  road: Type.Optional(
    closed({
      name: Name,
      station: Coordinate,
      azimuthDeg: Type.Number({ minimum: -360, maximum: 360 }),
      why: Type.String({ maxLength: 200 }),
      ...StationSaid,
      to: Name,
      gradeTo: Name,
      side: Words('on', 'left', 'right'),
      /** At an angle of the road. */
      angle: Type.Optional(closed({ part: AnglePart, toCorner: Type.Number({ minimum: 0, maximum: 10_000 }) })),
      also: Type.Unsafe<{ to: string; z: number | null } | null>({
        anyOf: [{ type: 'null' }, closed({ to: Name, z: NullableCoordinate })],
      }),
    }),
  ),
  /** The place holds at the design height; on other ground the axis comes through elsewhere. */
  rake: Type.Optional(closed(RakeFields)),
});

export const PackageBody = closed({
  name: Name,
  crew: Name,
  class: Type.String({ minLength: 1, maxLength: 40 }),
  heightReference: HeightReferenceWord,
  offset: Type.Number({ exclusiveMinimum: 0, maximum: 1000 }),
  items: Type.Array(
    closed({
      name: Name,
      meaning: MeaningWord,
      designZ: NullableCoordinate,
      /**
       * What the corners are: one closed outline in order (with hubs off its faces, or a pair beyond the ends of every
       * side), ends of lines two by two, points to mark themselves (in a row where recovery marks stand beside them), a
       * line to be marked along, stations of a road, centres of bolt groups, or heads of leaning piles.
       */
      rule: Words('outline', 'linePairs', 'lineEnds', 'points', 'recoveries', 'along', 'bolts', 'rakedPiles', 'road'),
      corners: Type.Array(
        closed({
          name: Name,
          e: Coordinate,
          n: Coordinate,
          /** Its own height. */
          z: Type.Optional(NullableCoordinate),
          /** What the drawing or list calls its kind. */
          code: Type.Optional(Type.String({ maxLength: 80 })),
          /** Of the side that leaves it: tangent of a quarter of the arc's angle, positive turning left. */
          bulge: Type.Optional(Type.Number({ minimum: -1000, maximum: 1000 })),
        }),
        { minItems: 1, maxItems: 2000 },
      ),
      source: Type.String({ maxLength: 200 }),
      ...ItemOptions,
    }),
    { maxItems: 200 },
  ),
  plans: Type.Array(MarkPlanBody, { maxItems: 5000 }),
  /** What kind of mark is wanted, and what it is going to be used for; a hub with a lath when nothing is said. */
  markKind: Type.Optional(MarkKindWord),
  use: Type.Optional(Type.String({ maxLength: 300 })),
  /** How finely the crew reads what is written; the figures that are kept are exact. */
  rounding: Type.Optional(RoundingWord),
  /** How its stakes are written, where it is not as usual on the site. */
  convention: Type.Optional(ConventionId),
  /** What exactly on its marks is the point; the nail when nothing is said. */
  point: Type.Optional(PointOnMarkWord),
  /** A second feature that cut and fill are given to, so far above the design height. */
  also: Type.Optional(
    Type.Unsafe<{ heightReference: Static<typeof HeightReferenceWord>; above: number } | null>({
      anyOf: [
        { type: 'null' },
        closed({ heightReference: HeightReferenceWord, above: Type.Number({ minimum: -1000, maximum: 1000 }) }),
      ],
    }),
  ),
  /** What the work does to the ground inside its outlines, and when it begins: control there will be lost. */
  ground: Type.Optional(
    Type.Unsafe<{ kind: 'dig' | 'pour' | 'demolish'; on: string | null; reach: number } | null>({
      anyOf: [
        { type: 'null' },
        closed({
          kind: Words('dig', 'pour', 'demolish'),
          on: NullableDay,
          reach: Type.Number({ minimum: 0, maximum: 500 }),
        }),
      ],
    }),
  ),
  /**
   * How far its outlines stay off buildings, boundaries and other outlines, metres; and why it goes on where one runs
   * into them.
   */
  clearance: Type.Optional(
    closed({
      least: Type.Number({ minimum: 0, maximum: 100 }),
      reason: Type.String({ maxLength: 300 }),
    }),
  ),
  supersedes: nullableReference('package'),
});

const WrittenLines = Type.Array(
  closed({
    /** What the line is, in whatever language it stands; absent on stakes of before it was kept. */
    part: Type.Optional(Words(...STAKE_PARTS)),
    text: Type.String({ maxLength: 300 }),
    ruled: Type.Boolean(),
    unusual: Type.Boolean(),
  }),
  { maxItems: 20 },
);

const StakeText = Type.Array(Type.String({ maxLength: 300 }), { maxItems: 20 });
/** What stands on a stake by sides, under which convention, and what exactly is the point. */
const WrittenOnStake = closed({
  convention: ConventionId,
  point: PointOnMarkWord,
  front: WrittenLines,
  back: WrittenLines,
  left: WrittenLines,
  right: WrittenLines,
});

export const MarkBody = closed({
  package: reference('package'),
  key: Type.String({ minLength: 1, maxLength: 200 }),
  name: Name,
  solution: reference('solution'),
  /** The height comes from it, and the plan too where no receiver gave that. */
  sight: reference('sight'),
  position: Type.Optional(reference('position')),
  state: Words('rough', 'set', 'confirmed'),
  class: Type.String({ minLength: 1, maxLength: 40 }),
  needs: closed({ plan: Type.Boolean(), height: Type.Boolean() }),
  measured: closed({ plan: Type.Boolean(), height: Type.Boolean() }),
  /** Where it was planned, and where it was measured. */
  planned: PlacePlan,
  place: Place,
  /** Measured minus planned. */
  dEMm: Type.Number(),
  dNMm: Type.Number(),
  within: Type.Boolean(),
  hubZ: NullableCoordinate,
  groundZ: NullableCoordinate,
  designZ: NullableCoordinate,
  /** Hub minus design: positive cut, negative fill. */
  cutFill: NullableNumber,
  /** Whether it stood firm after driving, where somebody tried it. */
  firm: Type.Optional(Type.Boolean()),
  stakeText: StakeText,
  /** The same by sides; absent on marks of before it was kept. */
  written: Type.Optional(WrittenOnStake),
  /** Level distance to what it offsets to, from where it stands. */
  offset: Type.Optional(Type.Number({ minimum: 0, maximum: 10_000 })),
  shots: Type.Integer({ minimum: 0, maximum: 1000 }),
  note: Text,
  supersedes: nullableReference('mark'),
});

/** The stake of a mark that is set was written anew: the mark stays as it is, its text is this one from now on. */
export const WritingBody = closed({ mark: reference('mark'), stakeText: StakeText, written: WrittenOnStake });

/** Something stands where a mark should go; it holds for that place only. */
export const ObstructionBody = closed({
  package: reference('package'),
  key: Type.String({ minLength: 1, maxLength: 200 }),
  name: Name,
  place: PlacePlan,
  what: Name,
});

export const HandoverBody = closed({
  sheet: Uuid,
  number: Type.Integer({ minimum: 1 }),
  revision: Type.Integer({ minimum: 1 }),
  package: reference('package'),
  marks: Type.Array(reference('mark'), { maxItems: 5000 }),
  withheld: Type.Array(reference('mark'), { maxItems: 5000 }),
  /** Who has it, where that is not just the crew of the package. */
  givenTo: Type.Optional(Name),
});

/**
 * Somebody says that a mark is gone or was hit; it is not built from until it is set again, or sighted again and good.
 */
export const ReportBody = closed({
  /** The fact of the mark as it was set. */
  mark: reference('mark'),
  kind: Words('destroyed', 'moved'),
  /** Who said it, as he calls himself: a crew has no members here. */
  who: Type.String({ maxLength: 80 }),
  text: Type.String({ maxLength: 500 }),
});
