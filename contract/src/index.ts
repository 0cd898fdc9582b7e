export { compute, computeSchemas, type ComputeOutcome } from './compute/compute.ts';
export type { OpenDesignFile } from './compute/designFiles.ts';
export { checkJson, heightStationJson, resectionJson } from './compute/fromCore.ts';
export { stationOf } from './compute/toCore.ts';
export { invalidAgainst, type Invalid } from './validation.ts';
export { Type, Words, type Static, type TSchema } from './schema.ts';
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
export {
  FACT_BODIES,
  FACT_TYPES,
  IMAGE_TYPES,
  type FactBody,
  type FactType,
  type SolutionResult,
} from './facts/bodies.ts';
export { allReferences, referencesOf } from './facts/references.ts';
export {
  CLOCKS_AGREE_MS,
  FactEnvelope,
  instantOf,
  invalidFact,
  type AnyFact,
  type Fact,
  type StoredFact,
} from './facts/fact.ts';
export { invalidShape, quarantinedAmong } from './facts/quarantine.ts';
export { closed, Day, Device, Instant, Name, Sequence, Uuid } from './facts/parts.ts';
export { resectionInputOf } from './compute/kinds.ts';
export {
  RAW_SIGHTS_FORMAT,
  RAW_SIGHTS_VERSION,
  rawSightsText,
  readRawSights,
  type RawSight,
  type RawSights,
} from './rawSights.ts';
export {
  ControlImportSchema,
  CrewLinkSchema,
  CrewReportSchema,
  FactsSchema,
  IssueSchema,
  PaperSchemas,
  type ListSaidAsked,
  ReportOptionsSchema,
  TimeZone,
  type ControlImport,
  type CrewLinkAsked,
  type IssueRequest,
  type LabelFormat,
  type PaperAsked,
  type PaperKind,
  type ReportOptions,
} from './api/bodies.ts';
export type { ArchiveTaken, CrewLink, IssuedSheet, SiteLine } from './api/answers.ts';
export {
  OPERATIONS,
  type Answering,
  type AnswerOf,
  type BodyOf,
  type Giving,
  type Operation,
  type OperationName,
  type PathOf,
  type QueryOf,
} from './api/operations.ts';
