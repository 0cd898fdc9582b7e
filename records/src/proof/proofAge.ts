/** How long ago the station in force was last known to be true, and what is due. */
import type { Part, TrustResult } from '@idle-marker/core';
import type { Fact } from '@idle-marker/contract';
import { checkOf } from '../station/checked.ts';
import type { AcceptedSolution, SiteState } from '../site/state.ts';
import { failedParts, unprovenParts } from '../station/stationClaim.ts';

export interface ProofAge {
  /** Whole minutes since the last good proof, or since the station was accepted when there is none. */
  readonly minutes: number;
  readonly due: 'CLOCK' | 'EVENT' | null;
  /** Parts that it gives and that nothing independent has shown to be right; a proof of these is asked for. */
  readonly unproven: readonly Part[];
  /** Its own sights do not check it, and nothing has proved it either: that is said of everything that hangs on it. */
  readonly unchecked: boolean;
  /** All that it gives is proved. */
  readonly proven: boolean;
  readonly failed: boolean;
  readonly lastProof: Fact<'proof'> | null;
}

const MS_PER_MINUTE = 60_000;
/** Put off, a proof is asked for again after so long. */
const PUT_OFF_MINUTES = 15;

/** Whether going on has to be asked about: a proof is due, and nobody has put it off lately. */
export function isOverdue(state: SiteState, age: ProofAge | null, solution: AcceptedSolution, now: Date): boolean {
  if (!age || (age.due === null && !age.failed)) return false;
  const putOff = state.deferrals.findLast((each) => each.body.solution === solution.fact.id);
  if (!putOff) return true;
  const happened = state.timeline.findLast(
    (fact) => fact.type === 'event' && fact.body.occupation === solution.occupation.id,
  );
  return (
    now.getTime() - Date.parse(putOff.at) > PUT_OFF_MINUTES * MS_PER_MINUTE ||
    (happened !== undefined && happened.at > putOff.at)
  );
}

/** Null when the solution is not judged, so there is none in force. */
export function proofAge(
  state: SiteState,
  trust: TrustResult,
  solution: AcceptedSolution | null,
  now: Date,
): ProofAge | null {
  const standing = solution && trust.solutions.find((each) => each.id === solution.fact.id);
  if (!standing) return null;
  const unproven = unprovenParts(standing, solution);
  const good = new Set([standing.lastGoodPlan, standing.lastGoodHeight]);
  const since = state.proofs.findLast((proof) => good.has(proof.id))?.at ?? solution.decision.at;
  return {
    minutes: Math.max(0, Math.floor((now.getTime() - Date.parse(since)) / MS_PER_MINUTE)),
    due: standing.due,
    unproven,
    unchecked: unproven.includes('plan') && checkOf(state, solution)?.now === 'unchecked',
    proven: unproven.length === 0,
    failed: failedParts(standing).length > 0,
    lastProof: state.proofs.findLast((proof) => proof.body.solution === solution.fact.id) ?? null,
  };
}
