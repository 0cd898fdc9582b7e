/** Inputs of the command line's kinds: metres, decimal degrees, `Sec` arc-seconds, `Mm` millimetres, `ppm` 1e-6. */
import { NullableNumber, NullableString, Type, Words, type Static, type TSchema } from '../schema.ts';

const Face = Type.Unsafe<1 | 2>({ type: 'number', enum: [1, 2] });

/** A standard deviation; a negative one would be squared and pass for a good one. */
const Deviation = Type.Number({ minimum: 0 });
const NullableDeviation = Type.Unsafe<number | null>({ type: ['number', 'null'], minimum: 0 });
const Positive = Type.Number({ exclusiveMinimum: 0 });

const Instrument = Type.Object({ angleSdSec: Deviation, distSdMm: Deviation, distSdPpm: Deviation });
const Setup = Type.Object({ instrumentHeight: Type.Number(), instrumentHeightSdMm: Deviation });
const CentredSetup = Type.Object({
  instrumentHeight: Type.Number(),
  instrumentHeightSdMm: Deviation,
  instrumentCentringSdMm: Deviation,
});
const Reduction = Type.Object({
  combinedScaleFactor: Positive,
  refraction: Type.Number(),
  earthRadius: Positive,
  prismConstantMm: Type.Number(),
  ppm: Type.Number(),
});
const Point = Type.Object({
  name: Type.String(),
  e: Type.Optional(NullableNumber),
  n: Type.Optional(NullableNumber),
  z: Type.Optional(NullableNumber),
  sdHMm: Type.Optional(NullableDeviation),
  sdZMm: Type.Optional(NullableDeviation),
});
const readingFields = {
  face: Face,
  circleDeg: Type.Number(),
  zenithDeg: Type.Number(),
  slope: Type.Optional(NullableNumber),
  targetHeight: Type.Number(),
  targetHeightSdMm: Deviation,
  targetCentringSdMm: Deviation,
};
const Reading = Type.Object(readingFields);
const PointReading = Type.Object({ point: Type.String(), ...readingFields });
const Observation = Type.Object({
  point: Type.String(),
  ...readingFields,
  useH: Type.Boolean(),
  useV: Type.Boolean(),
  useDirection: Type.Optional(Type.Boolean()),
});

const Covariance = Type.Array(Type.Array(Type.Number(), { minItems: 3, maxItems: 3 }), { minItems: 3, maxItems: 3 });
const Station = Type.Object({
  name: Type.String(),
  e: Type.Number(),
  n: Type.Number(),
  z: NullableNumber,
  orientationDeg: Type.Number(),
  covariance: Covariance,
  sdTrunnionZMm: NullableDeviation,
});
const OccupiedMark = Type.Object({
  name: Type.String(),
  e: Type.Number(),
  n: Type.Number(),
  z: Type.Optional(NullableNumber),
  sdHMm: Deviation,
  sdZMm: Type.Optional(NullableDeviation),
});
const DesignPoint = Type.Object({
  name: Type.String(),
  e: Type.Number(),
  n: Type.Number(),
  z: Type.Optional(NullableNumber),
});
const Points = Type.Array(Point);
const Observations = Type.Array(Observation);

const resectionFields = {
  instrument: Instrument,
  setup: Setup,
  reduction: Reduction,
  options: Type.Optional(Type.Object({ freeScale: Type.Optional(Type.Boolean()) })),
  points: Points,
  observations: Observations,
};
export const ResectionSchema = Type.Object(resectionFields);
/** What the work asks; 10 and 5 mm where it is not said, and then nothing is too coarse. */
export const JudgeSchema = Type.Object({
  ...resectionFields,
  class: Type.Optional(
    Type.Object({ planMm: Type.Number({ exclusiveMinimum: 0 }), heightMm: Type.Number({ exclusiveMinimum: 0 }) }),
  ),
});
export const HeightSchema = Type.Object({
  instrument: Instrument,
  setup: Setup,
  reduction: Reduction,
  points: Points,
  observations: Observations,
});
export const KnownStationSchema = Type.Object({
  instrument: Instrument,
  station: OccupiedMark,
  setup: CentredSetup,
  reduction: Reduction,
  points: Points,
  observations: Observations,
  options: Type.Optional(Type.Object({ heightFrom: Type.Optional(Words('station', 'benchmarks')) })),
});
export const CheckSchema = Type.Object({
  instrument: Instrument,
  station: Station,
  setup: Setup,
  reduction: Reduction,
  point: Point,
  observation: Reading,
  toleranceLimits: Type.Object({ hMm: Type.Optional(NullableNumber), vMm: Type.Optional(NullableNumber) }),
});
export const StakeSchema = Type.Object({
  instrument: Instrument,
  station: Station,
  setup: Setup,
  reduction: Reduction,
  target: DesignPoint,
  observation: Reading,
});
export const PropagateSchema = Type.Object({
  instrument: Instrument,
  station: Station,
  setup: Setup,
  reduction: Reduction,
  pole: Type.Object({ targetHeight: Type.Number(), targetCentringSdMm: Deviation, targetHeightSdMm: Deviation }),
  designPoints: Type.Array(DesignPoint),
});
export const TraverseSchema = Type.Object({
  instrument: Instrument,
  station: Station,
  setup: Setup,
  reduction: Reduction,
  points: Points,
  foresight: PointReading,
  nextSetup: Type.Object({
    instrumentHeight: Type.Number(),
    instrumentHeightSdMm: Deviation,
    instrumentCentringSdMm: Deviation,
    backsight: PointReading,
  }),
});

const Outcome = Words('good', 'moreThanChance', 'outside', 'notMeasured');
const PartFlags = Type.Object({ plan: Type.Boolean(), height: Type.Boolean() });
/** An instant with its zone, to the millisecond at most. */
const Instant = Type.String({ format: 'date-time' });
const record = <T extends string, P extends Parameters<typeof Type.Object>[0]>(type: T, fields: P) =>
  Type.Object({
    type: Type.Unsafe<T>({ type: 'string', const: type }),
    id: Type.String(),
    at: Instant,
    device: Type.String(),
    seq: Type.Integer(),
    ...fields,
  });

const PROOF_TARGETS = [
  Type.Object({
    kind: Type.Unsafe<'control'>({ type: 'string', const: 'control' }),
    id: Type.String(),
    revision: Type.String(),
  }),
  Type.Object({ kind: Type.Unsafe<'direction'>({ type: 'string', const: 'direction' }), id: Type.String() }),
] as const;
const ProofTargetForm = Type.Unsafe<Static<(typeof PROOF_TARGETS)[0]> | Static<(typeof PROOF_TARGETS)[1]>>({
  type: 'object',
  required: ['kind'],
  discriminator: { propertyName: 'kind' },
  oneOf: PROOF_TARGETS,
});

/** One record of a site: each type with its own fields. */
const TRUST_RECORDS = {
  controlRevision: record('controlRevision', {
    control: Type.String(),
    condition: Words('secure', 'usable', 'doubtful', 'lost'),
  }),
  solution: record('solution', {
    occupation: Type.String(),
    instrument: Type.String(),
    acceptedAs: Words('good', 'provisional'),
    supersedes: NullableString,
    uses: Type.Array(
      Type.Object({ control: Type.String(), revision: Type.String(), plan: Type.Boolean(), height: Type.Boolean() }),
    ),
    directions: Type.Array(Type.String()),
  }),
  close: record('close', { occupation: Type.String() }),
  event: record('event', { occupation: Type.String(), kind: Type.String() }),
  proof: record('proof', {
    solution: Type.String(),
    target: ProofTargetForm,
    plan: Outcome,
    height: Outcome,
    supersedes: NullableString,
  }),
  mark: record('mark', {
    solution: Type.String(),
    class: Type.String(),
    needs: PartFlags,
    measured: PartFlags,
    supersedes: NullableString,
  }),
  resight: record('resight', {
    solution: Type.String(),
    mark: Type.String(),
    plan: Outcome,
    height: Outcome,
    supersedes: NullableString,
  }),
  finding: record('finding', {
    cause: Words('controlMoved', 'recomputed'),
    revision: NullableString,
    plan: Type.Boolean(),
    height: Type.Boolean(),
    effects: Type.Array(
      Type.Object({
        mark: Type.String(),
        planMm: Type.Optional(NullableNumber),
        heightMm: Type.Optional(NullableNumber),
      }),
    ),
    supersedes: NullableString,
  }),
  withdrawal: record('withdrawal', { record: NullableString, occupation: NullableString }),
};
export type TrustRecordJson = {
  [T in keyof typeof TRUST_RECORDS]: Static<(typeof TRUST_RECORDS)[T]>;
}[keyof typeof TRUST_RECORDS];
const TrustRecordForm = Type.Unsafe<TrustRecordJson>({
  type: 'object',
  required: ['type'],
  discriminator: { propertyName: 'type' },
  oneOf: Object.values(TRUST_RECORDS),
});
export const TrustSchema = Type.Object({
  now: Instant,
  intervalMinutes: Type.Number({ exclusiveMinimum: 0 }),
  classes: Type.Record(Type.String(), Type.Object({ planMm: Deviation, heightMm: Deviation })),
  records: Type.Array(TrustRecordForm),
});

export type InstrumentJson = Static<typeof Instrument>;
export type SetupJson = Static<typeof Setup>;
export type ReductionJson = Static<typeof Reduction>;
export type PointJson = Static<typeof Point>;
export type ReadingJson = Static<typeof Reading>;
export type ObservationJson = Static<typeof Observation>;
export type StationJson = Static<typeof Station>;
export type DesignPointJson = Static<typeof DesignPoint>;
export type TrustJson = Static<typeof TrustSchema>;
export type { TSchema };
