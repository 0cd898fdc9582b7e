/** Bodies of all facts. A correction is a new fact that supersedes, never a change. */
import type { Static } from '../schema.ts';
import {
  AngleUnitName,
  closed,
  Coordinate,
  Instant,
  LengthUnitName,
  Name,
  NullableCoordinate,
  NullableDay,
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
  kind: Words('pin', 'plate', 'nail', 'screw', 'cross', 'stake', 'target', 'tag', 'benchmark', 'other'),
  usePlan: Type.Boolean(),
  useHeight: Type.Boolean(),
  /** Kept for proving: offered for check sights rather than for stationing. */
  forProof: Type.Boolean(),
  condition: Words('secure', 'usable', 'doubtful', 'lost'),
  note: Text,
  /** Where the coordinates come from; the height too, unless it has a source of its own. */
  source: Type.String({ maxLength: 200 }),
  heightSource: Type.Optional(Type.String({ maxLength: 200 })),
  /** Which spot of the thing is the point: nail head, top of the upper nut, centre of the cross. */
  spot: Type.Optional(Type.String({ maxLength: 200 })),
  setBy: Type.Optional(Type.String({ maxLength: 120 })),
  setOn: Type.Optional(NullableDay),
  /** How firm it stands, where somebody knows better than its kind tells. */
  firmness: Type.Optional(
    Type.Unsafe<{ rating: 'firm' | 'fair' | 'soft'; reason: string } | null>({
      anyOf: [{ type: 'null' }, closed({ rating: Words('firm', 'fair', 'soft'), reason: Type.String({ minLength: 1, maxLength: 500 }) })],
    }),
  ),
  /** A soft mark is to be used by then, or replaced. */
  useBefore: Type.Optional(NullableDay),
  /** What a reusable tag is valid for while it is here. */
  validFor: Type.Optional(Type.String({ maxLength: 200 })),
  /** Why it is not used any more; a tag that was taken away, a mark that the dig has swallowed. */
  retired: Type.Optional(NullableString),
  /** The station that measured it, when it is control of one's own making. */
  parent: Type.Optional(NullableUuid),
  supersedes: NullableUuid,
});

/** A look at a mark on the ground: whether it is there, and is the one on the list. */
export const VisitBody = closed({
  mark: Uuid,
  outcome: Words('found', 'missing', 'disturbed', 'refreshed'),
  /** Whether the label on the ground was compared with the list. */
  labelRead: Type.Boolean(),
  note: Text,
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
  /** How the station is found; a free station when nothing is said. */
  method: Type.Optional(Words('free', 'overMark', 'heightOnly', 'carried')),
  /** The mark that the instrument stands over, under which revision, and how well it is centred. */
  over: Type.Optional(
    Type.Unsafe<{ mark: string; revision: string; centringSdMm: number } | null>({
      anyOf: [{ type: 'null' }, closed({ mark: Uuid, revision: Uuid, centringSdMm: SdMm })],
    }),
  ),
  /** Steps of setting up that were ticked, and when. */
  checklist: Type.Optional(Type.Array(closed({ step: Type.String({ maxLength: 40 }), at: Instant }), { maxItems: 40 })),
});

/** Something far away and fixed (a church spire, a mast) whose direction is compared, without a distance. */
export const DirectionBody = closed({ solution: Uuid, sight: Uuid, name: Name, azimuthDeg: Type.Number({ minimum: 0, maximum: 360 }) });

export const SightTarget = Type.Unsafe<
  | { readonly kind: 'control'; readonly mark: string }
  | { readonly kind: 'plan'; readonly package: string; readonly key: string }
  /** A mark as set, sighted again. */
  | { readonly kind: 'mark'; readonly mark: string }
  | { readonly kind: 'direction'; readonly name: string }
>({
  type: 'object',
  oneOf: [
    closed({ kind: Words('control'), mark: Uuid }),
    closed({ kind: Words('plan'), package: Uuid, key: Type.String({ minLength: 1, maxLength: 200 }) }),
    closed({ kind: Words('mark'), mark: Uuid }),
    closed({ kind: Words('direction'), name: Name }),
  ],
});

export const SightBody = closed({
  occupation: Uuid,
  purpose: Words('station', 'proof', 'mark', 'driven', 'ground', 'resight', 'control'),
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
  method: Words('resection', 'overMark', 'heightOnly', 'carried'),
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
  /** The mark and its revision; null when a fixed direction was sighted. */
  control: NullableUuid,
  revision: NullableUuid,
  direction: Type.Optional(NullableUuid),
  class: Type.String({ minLength: 1, maxLength: 40 }),
  plan: ProofOutcomeWord,
  height: ProofOutcomeWord,
  result: Type.Unsafe<Record<string, unknown>>({ type: 'object' }),
  supersedes: NullableUuid,
});

/** A set mark sighted again, compared with where it was measured when it was set. */
export const ResightBody = closed({
  solution: Uuid,
  sight: Uuid,
  mark: Uuid,
  class: Type.String({ minLength: 1, maxLength: 40 }),
  plan: ProofOutcomeWord,
  height: ProofOutcomeWord,
  result: Type.Unsafe<Record<string, unknown>>({ type: 'object' }),
  supersedes: NullableUuid,
});

/** What a later look at the evidence does to marks that are set: by how much each moves, null when that can't be told. */
export const FindingBody = closed({
  cause: Words('controlMoved', 'recomputed'),
  /** The revision found moved; null when something entered was corrected. */
  revision: NullableUuid,
  plan: Type.Boolean(),
  height: Type.Boolean(),
  effects: Type.Array(closed({ mark: Uuid, planMm: NullableNumber, heightMm: NullableNumber }), { maxItems: 20_000 }),
  reason: Type.String({ minLength: 1, maxLength: 2000 }),
  supersedes: NullableUuid,
});

/** Work goes on although a proof is due, and why. */
export const DeferralBody = closed({ solution: Uuid, reason: Type.String({ minLength: 1, maxLength: 500 }) });

/** A distance taped between two set marks, compared with the one between their measured places. */
export const TapeBody = closed({
  from: Uuid,
  to: Uuid,
  taped: Type.Number({ exclusiveMinimum: 0, maximum: 200 }),
  measured: Type.Number({ minimum: 0 }),
  within: Type.Boolean(),
  note: Text,
});

/** Target heights of sights, or the instrument height of a set-up, that were entered wrongly. */
export const CorrectionBody = closed({
  what: Words('targetHeight', 'instrumentHeight'),
  occupation: Uuid,
  /** The sights that it is for; none when it is the instrument's height. */
  sights: Type.Array(Uuid, { maxItems: 5000 }),
  value: Type.Number({ minimum: -5, maximum: 20 }),
  reason: Type.String({ minLength: 1, maxLength: 500 }),
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
  visit: VisitBody,
  occupation: OccupationBody,
  sight: SightBody,
  solution: SolutionBody,
  decision: DecisionBody,
  proof: ProofBody,
  direction: DirectionBody,
  resight: ResightBody,
  finding: FindingBody,
  deferral: DeferralBody,
  tape: TapeBody,
  correction: CorrectionBody,
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
