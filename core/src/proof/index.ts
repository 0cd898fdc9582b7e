/** Whether an instrument still stands as it stood, and what hangs on it. */
export { controlPairs, type ControlPair } from './pairs.ts';
export { driftOf, type Drift, type Sample } from './drift.ts';
export { checkPoint, comparePlace, type CheckInput, type CheckResult } from './check.ts';
export {
  inOrder,
  PARTS,
  type Part,
  type ProofOutcome,
  type ProofTarget,
  type TrustInput,
  type TrustRecord,
} from './trust/records.ts';
export type { Proposal } from './trust/proposals.ts';
export {
  type MarkStanding,
  type PartStanding,
  type SolutionStanding,
  type Standing,
  type StandingReason,
} from './trust/standing.ts';
export { isBeginning } from './trust/beginning.ts';
export { grouped } from './trust/grouped.ts';
export { newTrustMemory, type TrustMemory } from './trust/memory.ts';
export { judgeTrust, trustSteps, type TrustResult } from './trust/trust.ts';
