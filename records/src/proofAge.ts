/** How long ago the station in force was last known to be true, and what is due. */
import type { TrustResult } from '@idle-marker/core';
import type { Fact } from '@idle-marker/contract';
import type { AcceptedSolution, SiteState } from './state.ts';

export interface ProofAge {
  /** Whole minutes since the last good proof, or since the station was accepted when there is none. */
  readonly minutes: number;
  readonly due: 'CLOCK' | 'EVENT' | null;
  readonly proven: boolean;
  readonly failed: boolean;
  readonly lastProof: Fact<'proof'> | null;
}

const MS_PER_MINUTE = 60_000;

/** Null when the solution is not judged, so there is none in force. */
export function proofAge(state: SiteState, trust: TrustResult, solution: AcceptedSolution | null, now: Date): ProofAge | null {
  const standing = solution && trust.solutions.find((each) => each.id === solution.fact.id);
  if (!standing) return null;
  const good = new Set([standing.lastGoodPlan, standing.lastGoodHeight]);
  const since = state.proofs.findLast((proof) => good.has(proof.id))?.at ?? solution.decision.at;
  return {
    minutes: Math.max(0, Math.floor((now.getTime() - Date.parse(since)) / MS_PER_MINUTE)),
    due: standing.due,
    proven: standing.plan === 'proven',
    failed: [standing.plan, standing.height].some((part) => part === 'failed' || part === 'disagree'),
    lastProof: state.proofs.findLast((proof) => proof.body.solution === solution.fact.id) ?? null,
  };
}
