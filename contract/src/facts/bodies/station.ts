/** Placing the instrument, sighting, solving, deciding. */
import type { Static } from '../../schema.ts';
import {
  AngleUnitName,
  closed,
  Instant,
  LengthUnitName,
  Name,
  nullableReference,
  NullableUuid,
  reference,
  SdMm,
  Text,
  Type,
  Uuid,
  Words,
} from '../parts.ts';

export const OccupationBody = closed({
  name: Name,
  instrument: closed({
    name: Name,
    angleSdSec: Type.Number({ exclusiveMinimum: 0, maximum: 600 }),
    distSdMm: Type.Number({ exclusiveMinimum: 0, maximum: 1000 }),
    distSdPpm: Type.Number({ minimum: 0, maximum: 1000 }),
  }),
  instrumentHeight: Type.Number({ minimum: 0, maximum: 10 }),
  instrumentHeightSdMm: SdMm,
  temperatureC: Type.Number({ minimum: -60, maximum: 70 }),
  pressureHPa: Type.Number({ minimum: 300, maximum: 1100 }),
  /** Correction of distances that follows from the weather. */
  ppm: Type.Number({ minimum: -500, maximum: 500 }),
  ground: Type.String({ maxLength: 200 }),
  windy: Type.Boolean(),
  link: Words('simulator', 'typed'),
  /** How the station is found; a free station when nothing is said. */
  method: Type.Optional(Words('free', 'overMark', 'heightOnly', 'carried', 'onLines')),
  /** The mark that the instrument stands over, under which revision, and how well it is centred. */
  over: Type.Optional(
    Type.Unsafe<{ mark: string; revision: string; centringSdMm: number } | null>({
      anyOf: [{ type: 'null' }, closed({ mark: Uuid, revision: reference('control'), centringSdMm: SdMm })],
    }),
  ),
  /**
   * Direction that was typed instead of a backsight, what the circle reads there, and to what; null when there is none.
   * It proves nothing.
   */
  assumed: Type.Optional(
    Type.Unsafe<{ azimuthDeg: number; circleDeg: number; to: string } | null>({
      anyOf: [
        { type: 'null' },
        closed({
          azimuthDeg: Type.Number({ minimum: 0, maximum: 360 }),
          circleDeg: Type.Number({ minimum: 0, maximum: 360 }),
          to: Name,
        }),
      ],
    }),
  ),
  /** The library's instrument, and what was carried over from the placing before and confirmed. */
  instrumentItem: Type.Optional(NullableUuid),
  confirmed: Type.Optional(Type.Array(Type.String({ maxLength: 40 }), { maxItems: 20 })),
  /** What the electronic level showed when it was left, seconds of arc along and across the telescope. */
  tiltSec: Type.Optional(
    Type.Unsafe<{ along: number; across: number } | null>({
      anyOf: [
        { type: 'null' },
        closed({
          along: Type.Number({ minimum: -7200, maximum: 7200 }),
          across: Type.Number({ minimum: -7200, maximum: 7200 }),
        }),
      ],
    }),
  ),
  /** Steps of setting up that were ticked, and when. */
  checklist: Type.Optional(Type.Array(closed({ step: Type.String({ maxLength: 40 }), at: Instant }), { maxItems: 40 })),
});

export const SightTarget = Type.Unsafe<
  | { readonly kind: 'control'; readonly mark: string }
  | { readonly kind: 'plan'; readonly package: string; readonly key: string }
  /** A mark as set, sighted again. */
  | { readonly kind: 'mark'; readonly mark: string }
  | { readonly kind: 'direction'; readonly name: string }
  /**
   * A spot whose height is read from a station that has a height and no place, or something that is measured as it
   * stands.
   */
  | { readonly kind: 'spot'; readonly name: string }
  /** A point that lies on a line of the drawing, wherever along it. */
  | {
      readonly kind: 'line';
      readonly package: string;
      readonly item: string;
      readonly from: string;
      readonly to: string;
    }
>({
  type: 'object',
  oneOf: [
    closed({ kind: Words('control'), mark: Uuid }),
    closed({ kind: Words('plan'), package: reference('package'), key: Type.String({ minLength: 1, maxLength: 200 }) }),
    closed({ kind: Words('mark'), mark: reference('mark') }),
    closed({ kind: Words('direction'), name: Name }),
    closed({ kind: Words('spot'), name: Name }),
    closed({ kind: Words('line'), package: reference('package'), item: Name, from: Name, to: Name }),
  ],
});

export const SightBody = closed({
  occupation: reference('occupation'),
  purpose: Words('station', 'proof', 'mark', 'driven', 'ground', 'resight', 'control', 'spot', 'asBuilt'),
  target: SightTarget,
  face: Type.Unsafe<1 | 2>({ type: 'integer', enum: [1, 2] }),
  /** As read: numbers in the units they were read in, with the decimals shown, and the keyed text if it was typed. */
  read: closed({
    circle: Type.Number({ minimum: 0, maximum: 400 }),
    zenith: Type.Number({ minimum: 0, maximum: 400 }),
    slope: Type.Unsafe<number | null>({ type: ['number', 'null'], exclusiveMinimum: 0, maximum: 20_000 }),
    angleUnit: AngleUnitName,
    lengthUnit: LengthUnitName,
    angleDecimals: Type.Integer({ minimum: 0, maximum: 10 }),
    lengthDecimals: Type.Integer({ minimum: 0, maximum: 6 }),
    keyed: Type.Unsafe<{ circle: string; zenith: string; slope: string } | null>({
      anyOf: [
        { type: 'null' },
        closed({
          circle: Type.String({ maxLength: 40 }),
          zenith: Type.String({ maxLength: 40 }),
          slope: Type.String({ maxLength: 40 }),
        }),
      ],
    }),
  }),
  targetHeight: Type.Number({ minimum: -5, maximum: 20 }),
  targetHeightSdMm: SdMm,
  targetCentringSdMm: SdMm,
  prismConstantMm: Type.Number({ minimum: -500, maximum: 500 }),
  ppm: Type.Number({ minimum: -500, maximum: 500 }),
  /** Quick reading while following, with twice the stated errors; a careful one when nothing is said. */
  tracking: Type.Optional(Type.Boolean()),
  /** Target and pole of the library that it was taken to, and the parts of the target height. */
  carried: Type.Optional(
    closed({
      target: NullableUuid,
      pole: NullableUuid,
      poleMark: Type.Number({ minimum: -5, maximum: 20 }),
      ownHeight: Type.Number({ minimum: -1, maximum: 5 }),
      legs: Type.Boolean(),
    }),
  ),
});

export const SolutionBody = closed({
  occupation: reference('occupation'),
  name: Name,
  method: Words('resection', 'overMark', 'heightOnly', 'carried', 'assumed', 'onLines', 'paired'),
  /** The pair whose receiver gives the plan, where this gives heights alone. */
  pairing: Type.Optional(reference('pairing')),
  class: Type.String({ minLength: 1, maxLength: 40 }),
  /** `direction` false: of a sight used in plan only the distance counts; `distance` false: only the direction. */
  uses: Type.Array(
    closed({
      sight: reference('sight'),
      control: Uuid,
      revision: reference('control'),
      plan: Type.Boolean(),
      height: Type.Boolean(),
      direction: Type.Optional(Type.Boolean()),
      distance: Type.Optional(Type.Boolean()),
    }),
    { maxItems: 200 },
  ),
  /** Where the height of a station over a mark comes from; not given: from the mark. */
  heightFrom: Type.Optional(Words('mark', 'benchmarks', 'both')),
  /** The computation's own result form, as it was when accepted. */
  result: Type.Unsafe<SolutionResult>({ type: 'object' }),
  inputDigest: Type.String({ pattern: '^[0-9a-f]{64}$' }),
  coreVersion: Type.String({ maxLength: 40 }),
  supersedes: nullableReference('solution'),
});

/** The parts of a stored solution that later sights and sheets read. */
export interface SolutionResult {
  readonly e: number;
  readonly n: number;
  readonly z: number | null;
  readonly orientationDeg: number;
  readonly covariance: readonly (readonly number[])[];
  /** Factor on grid distances, where it was solved for. */
  readonly scale?: number | null;
  readonly sdTrunnionZMm: number | null;
  readonly sdZMm: number | null;
  readonly ellipse95: { readonly aMm: number; readonly bMm: number; readonly azimuthDeg: number };
  readonly [field: string]: unknown;
}

const Millimetres = Type.Unsafe<number | null>({ type: ['number', 'null'], minimum: 0, maximum: 1e7 });

/** What was shown of a station when it was decided on: how checkable it was, and what could have been wrong unseen. */
export const JudgedBody = closed({
  verdict: Words('checked', 'unchecked', 'refused'),
  checkability: Words('unchecked', 'checked', 'traceable'),
  goodToMm: Millimetres,
  /** What the work asked, plan and height. */
  askedMm: closed({
    plan: Type.Number({ exclusiveMinimum: 0, maximum: 1e5 }),
    height: Type.Number({ exclusiveMinimum: 0, maximum: 1e5 }),
  }),
  /**
   * The largest effect first. Marks by their identity, lines by their name; of a factor on all distances millimetres in
   * a metre.
   */
  unnoticed: Type.Array(
    closed({
      fault: Words('PLACE', 'LINE', 'PRISM_CONSTANT', 'SCALE'),
      names: Type.Array(Type.String({ minLength: 1, maxLength: 200 }), { maxItems: 20 }),
      noticedMm: Millimetres,
      effectMm: Millimetres,
      at: Words('station', 'work'),
    }),
    { maxItems: 20 },
  ),
});

export const DecisionBody = closed({
  solution: reference('solution'),
  verdict: Words('accepted', 'provisional', 'refused'),
  reason: Text,
  /** Not with decisions of before it was kept, nor where nothing is solved. */
  judged: Type.Optional(JudgedBody),
});

const Reason = Type.String({ minLength: 1, maxLength: 500 });
const SomeSights = Type.Array(reference('sight'), { minItems: 1, maxItems: 5000 });
const EnteredValue = closed({
  what: Words('targetHeight'),
  occupation: reference('occupation'),
  sights: SomeSights,
  value: Type.Number({ minimum: -5, maximum: 20 }),
  reason: Reason,
});
const EnteredHeight = closed({
  what: Words('instrumentHeight'),
  occupation: reference('occupation'),
  sights: Type.Array(reference('sight'), { maxItems: 0 }),
  value: Type.Number({ minimum: 0, maximum: 10 }),
  reason: Reason,
});
const EnteredConstant = closed({
  what: Words('prismConstant'),
  occupation: reference('occupation'),
  sights: SomeSights,
  /** Metres, added to what was read. */
  value: Type.Number({ minimum: -0.5, maximum: 0.5 }),
  reason: Reason,
});
const EnteredStation = closed({
  what: Words('station'),
  /** Where the sights were kept. */
  occupation: reference('occupation'),
  sights: SomeSights,
  /** The accepted solution that the instrument really stood by. */
  station: reference('solution'),
  reason: Reason,
});

/** What was entered wrongly with sights or with a placing, and what is right. */
export const CorrectionBody = Type.Unsafe<
  | Static<typeof EnteredValue>
  | Static<typeof EnteredHeight>
  | Static<typeof EnteredConstant>
  | Static<typeof EnteredStation>
>({ type: 'object', oneOf: [EnteredValue, EnteredHeight, EnteredConstant, EnteredStation] });

export const EventBody = closed({
  occupation: reference('occupation'),
  kind: Words('bump', 'plant', 'relevel', 'battery', 'person', 'pause'),
  note: Text,
});

export const CloseBody = closed({ occupation: reference('occupation'), note: Text });
