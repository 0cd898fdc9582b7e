export { compute, type ComputeError, type ComputeOutcome } from './compute/compute.ts';
export type { DesignFile, OpenDesignFile } from './compute/designFiles.ts';
export { checkJson, heightStationJson, resectionJson } from './compute/fromCore.ts';
export { stationOf } from './compute/toCore.ts';
export { invalidAgainst, type Invalid } from './validation.ts';
export { NullableNumber, NullableString, Type, Words, type Static, type TSchema } from './schema.ts';
export { canonicalJson, digestOf, digestOfBytes } from './canonical.ts';
export {
  LARGEST_BODY_BYTES,
  LARGEST_DRAWING_BYTES,
  LARGEST_IMAGE_BYTES,
  LARGEST_UPLOAD_BYTES,
  MOST_FACTS_AT_ONCE,
  PROBLEM_TYPE,
  type Problem,
} from './problem.ts';
export { FACT_BODIES, FACT_TYPES, IMAGE_TYPES, type FactBody, type FactType, type SolutionResult } from './facts/bodies.ts';
export { allReferences, referencesOf, type Reference } from './facts/references.ts';
export { CLOCKS_AGREE_MS, FactEnvelope, instantOf, invalidFact, type AnyFact, type Fact, type StoredFact } from './facts/fact.ts';
export { invalidShape, quarantinedAmong, type Quarantined } from './facts/quarantine.ts';
export { closed, Day, Device, Instant, Name, Sequence, Uuid } from './facts/parts.ts';
export { resectionInputOf } from './compute/kinds.ts';
export {
  RAW_LINES,
  RAW_SIGHTS_FORMAT,
  RAW_SIGHTS_VERSION,
  rawSightsText,
  readRawSights,
  type RawControl,
  type RawHeader,
  type RawKind,
  type RawSetup,
  type RawSight,
  type RawSights,
  type RawSightsFault,
  type RawStation,
} from './rawSights.ts';
