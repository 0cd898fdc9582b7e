import { useMemo } from 'react';
import { claimOf, proofCandidates, type ProofCandidate } from '@idle-marker/records';
import { useSite } from './SiteContext.tsx';

/** Marks to prove the station in force on, the best first; what nothing has proved yet comes before the rest. */
export function useProofCandidates(): readonly ProofCandidate[] {
  const { state, trust, inForce } = useSite();
  return useMemo(
    () => (inForce ? proofCandidates(state, inForce, claimOf(state, trust, inForce).unproven) : []),
    [state, trust, inForce],
  );
}
