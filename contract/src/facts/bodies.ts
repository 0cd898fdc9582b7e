/** Bodies of all facts. A correction is a new fact that supersedes, never a change. */
import type { Static } from '../schema.ts';
import {
  AngleUnitName,
  closed,
  Coordinate,
  LengthUnitName,
  Name,
  NullableCoordinate,
  NullableNumber,
  NullableSdMm,
  NullableString,
  NullableUuid,
  Place,
  PlacePlan,
  SdMm,
  Text,
  Type,
  Uuid,
  Words,
} from './parts.ts';

export const ToleranceClassBody = closed({
  id: Type.String({ minLength: 1, maxLength: 40, pattern: '^[a-z0-9-]+$' }),
  name: Name,
  planMm: Type.Number({ exclusiveMinimum: 0, maximum: 10_000 }),
  heightMm: Type.Number({ exclusiveMinimum: 0, maximum: 10_000 }),
  leastMarks: Type.Integer({ minimum: 2, maximum: 20 }),
});

export const SiteBody = closed({
  name: Name,
  lengthUnit: LengthUnitName,
  angleUnit: AngleUnitName,
  axisOrder: Words('EN', 'NE'),
  /** True height that the site calls zero; null when heights are true heights. */
  siteZero: NullableCoordinate,
  /** System and zone of the plan coordinates, and what heights are counted from, as people name them. */
  coordinateSystem: Type.String({ maxLength: 120 }),
  heightDatum: Type.String({ maxLength: 120 }),
  /** Grid distance over horizontal distance: 1 where coordinates are ground distances. */
  combinedScaleFactor: Type.Number({ minimum: 0.9, maximum: 1.1 }),
  proofIntervalMinutes: Type.Integer({ minimum: 5, maximum: 480 }),
  classes: Type.Array(ToleranceClassBody, { minItems: 1, maxItems: 40 }),
  convention: Words('plainWords', 'shortForms'),
  /** Which simulated ground truth belongs to this site; null when there is none. */
  practiceGround: NullableString,
});

export const MemberBody = closed({ name: Name });

export const ControlBody = closed({
  /** Identity of the mark, the same over all its revisions. */
  mark: Uuid,
  name: Name,
  e: NullableCoordinate,
  n: NullableCoordinate,
  z: NullableCoordinate,
  sdHMm: NullableSdMm,
  sdZMm: NullableSdMm,
  kind: Words('pin', 'nail', 'screw', 'cross', 'stake', 'target', 'benchmark', 'other'),
  usePlan: Type.Boolean(),
  useHeight: Type.Boolean(),
  /** Kept for proving: offered for check sights rather than for stationing. */
  forProof: Type.Boolean(),
  condition: Words('secure', 'usable', 'doubtful', 'lost'),
  note: Text,
  source: Type.String({ maxLength: 200 }),
  supersedes: NullableUuid,
});

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
});

export const SightTarget = Type.Unsafe<
  { readonly kind: 'control'; readonly mark: string } | { readonly kind: 'plan'; readonly package: string; readonly key: string }
>({
  type: 'object',
  oneOf: [closed({ kind: Words('control'), mark: Uuid }), closed({ kind: Words('plan'), package: Uuid, key: Type.String({ minLength: 1, maxLength: 200 }) })],
});

export const SightBody = closed({
  occupation: Uuid,
  purpose: Words('station', 'proof', 'mark', 'driven', 'ground'),
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
        closed({ circle: Type.String({ maxLength: 40 }), zenith: Type.String({ maxLength: 40 }), slope: Type.String({ maxLength: 40 }) }),
      ],
    }),
  }),
  targetHeight: Type.Number({ minimum: -5, maximum: 20 }),
  targetHeightSdMm: SdMm,
  targetCentringSdMm: SdMm,
  prismConstantMm: Type.Number({ minimum: -500, maximum: 500 }),
  ppm: Type.Number({ minimum: -500, maximum: 500 }),
});

export const SolutionBody = closed({
  occupation: Uuid,
  name: Name,
  method: Words('resection'),
  class: Type.String({ minLength: 1, maxLength: 40 }),
  /** `direction` false: of a sight used in plan only the distance counts. */
  uses: Type.Array(
    closed({ sight: Uuid, control: Uuid, revision: Uuid, plan: Type.Boolean(), height: Type.Boolean(), direction: Type.Optional(Type.Boolean()) }),
    { maxItems: 200 },
  ),
  /** The computation's own result form, as it was when accepted. */
  result: Type.Unsafe<SolutionResult>({ type: 'object' }),
  inputDigest: Type.String({ pattern: '^[0-9a-f]{64}$' }),
  coreVersion: Type.String({ maxLength: 40 }),
  supersedes: NullableUuid,
});

/** The parts of a stored solution that later sights and sheets read. */
export interface SolutionResult {
  readonly e: number;
  readonly n: number;
  readonly z: number | null;
  readonly orientationDeg: number;
  readonly covariance: readonly (readonly number[])[];
  readonly sdTrunnionZMm: number | null;
  readonly sdZMm: number | null;
  readonly ellipse95: { readonly aMm: number; readonly bMm: number; readonly azimuthDeg: number };
  readonly [field: string]: unknown;
}

export const DecisionBody = closed({
  solution: Uuid,
  verdict: Words('accepted', 'provisional', 'refused'),
  reason: Text,
});

export const ProofOutcomeWord = Words('good', 'moreThanChance', 'outside', 'notMeasured');

export const ProofBody = closed({
  solution: Uuid,
  sight: Uuid,
  control: Uuid,
  revision: Uuid,
  class: Type.String({ minLength: 1, maxLength: 40 }),
  plan: ProofOutcomeWord,
  height: ProofOutcomeWord,
  result: Type.Unsafe<Record<string, unknown>>({ type: 'object' }),
  supersedes: NullableUuid,
});

export const EventBody = closed({
  occupation: Uuid,
  kind: Words('bump', 'plant', 'relevel', 'battery', 'person', 'pause'),
  note: Text,
});

export const CloseBody = closed({ occupation: Uuid, note: Text });

const Face = Type.Array(Name, { minItems: 2, maxItems: 2 });
const NullableFace = Type.Unsafe<string[] | null>({ anyOf: [{ type: 'null' }, Face] });
export const MeaningWord = Words('outsideFace', 'insideFace', 'wallCentre', 'gridLine', 'waterLine');
export const HeightReferenceWord = Words('finishedFloor', 'topOfWall', 'underside', 'invert', 'topOfKerb', 'subgrade');

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
      /** What the corners are: one closed outline in order, ends of lines two by two, or points to mark themselves. */
      rule: Words('outline', 'lineEnds', 'points'),
      corners: Type.Array(closed({ name: Name, e: Coordinate, n: Coordinate }), { minItems: 1, maxItems: 2000 }),
      source: Type.String({ maxLength: 200 }),
    }),
    { maxItems: 200 },
  ),
  plans: Type.Array(MarkPlanBody, { maxItems: 5000 }),
  supersedes: NullableUuid,
});

export const MarkBody = closed({
  package: Uuid,
  key: Type.String({ minLength: 1, maxLength: 200 }),
  name: Name,
  solution: Uuid,
  sight: Uuid,
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
  stakeText: Type.Array(Type.String({ maxLength: 120 }), { maxItems: 20 }),
  shots: Type.Integer({ minimum: 0, maximum: 1000 }),
  note: Text,
  supersedes: NullableUuid,
});

/** Something stands where a mark should go; it holds for that place only. */
export const ObstructionBody = closed({
  package: Uuid,
  key: Type.String({ minLength: 1, maxLength: 200 }),
  name: Name,
  place: PlacePlan,
  what: Name,
});

export const HandoverBody = closed({
  sheet: Uuid,
  number: Type.Integer({ minimum: 1 }),
  revision: Type.Integer({ minimum: 1 }),
  package: Uuid,
  marks: Type.Array(Uuid, { maxItems: 5000 }),
  withheld: Type.Array(Uuid, { maxItems: 5000 }),
});

export const WithdrawalBody = closed({ record: NullableUuid, occupation: NullableUuid, reason: Text });
export const NoteBody = closed({ text: Type.String({ minLength: 1, maxLength: 2000 }) });

export const FACT_BODIES = {
  site: SiteBody,
  member: MemberBody,
  control: ControlBody,
  occupation: OccupationBody,
  sight: SightBody,
  solution: SolutionBody,
  decision: DecisionBody,
  proof: ProofBody,
  event: EventBody,
  close: CloseBody,
  package: PackageBody,
  mark: MarkBody,
  obstruction: ObstructionBody,
  handover: HandoverBody,
  withdrawal: WithdrawalBody,
  note: NoteBody,
} as const;

export type FactType = keyof typeof FACT_BODIES;
export type FactBody<T extends FactType> = Static<(typeof FACT_BODIES)[T]>;
export const FACT_TYPES = Object.keys(FACT_BODIES) as FactType[];
