/** Proofs, what hangs on them, and what stands in doubt. */
export { newSiteTrustMemory, siteTrustSteps, trustOf, trustRecords, type SiteTrustMemory } from './trust.ts';
export { pointsToFind, type PointToFind } from './tapeBack.ts';
export { judgeProof, proofCandidates, usedBy, type ProofCandidate, type ProofJudgement } from './proving.ts';
export { isOverdue, proofAge, type ProofAge } from './proofAge.ts';
export { isUnsteady, proofInterval } from './proofInterval.ts';
export { judgeResight } from './resighting.ts';
export { pairsOf } from './pairs.ts';
export { pairTolerance, setPairs, type SetPair } from './setPairs.ts';
export { dayDrift } from './drift.ts';
