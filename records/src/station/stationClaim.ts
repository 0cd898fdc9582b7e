/**
 * What may be said of an accepted station: how it was decided on, what its own sights check, and which of its parts
 * something independent has shown. Every screen and paper takes its words from this.
 */
import { PARTS, type Checkability, type Part, type SolutionStanding, type TrustResult } from '@idle-marker/core';
import { checkOf } from './checked.ts';
import type { AcceptedSolution, SiteState } from '../site/state.ts';

/**
 * What it rests on: nothing that was sighted, a decision against its class, sights that do not check it, or sights that
 * fit.
 */
export type Basis = 'nothing' | 'provisional' | 'unchecked' | 'fits';

export interface StationClaim {
  readonly basis: Basis;
  /** Why it was accepted against the terms of its class; null when it met them. */
  readonly provisionalBecause: string | null;
  /** Null where it gives heights alone. */
  readonly checkability: Checkability | null;
  /** Parts that it gives and that nothing independent has shown to be right. */
  readonly unproven: readonly Part[];
  /** Parts in which a proof speaks against it, and nothing has answered that. */
  readonly failed: readonly Part[];
}

type Decided = Omit<AcceptedSolution, 'withdrawn'>;

/** Parts that a station gives: plan, unless it is for heights alone, and height where it has one. */
const gives = ({ fact }: Decided, part: Part): boolean =>
  part === 'plan' ? fact.body.method !== 'heightOnly' && fact.body.method !== 'paired' : fact.body.result.z !== null;

/**
 * A part that uses no mark is proved by a good sight all the same: the mark under the tripod, or a typed direction,
 * gave it.
 */
function isUnproven(standing: SolutionStanding, part: Part): boolean {
  const lastGood = part === 'plan' ? standing.lastGoodPlan : standing.lastGoodHeight;
  return standing[part] === 'unproven' || (standing[part] === 'notUsed' && lastGood === null);
}

const hasFailed = (standing: SolutionStanding, part: Part): boolean =>
  standing[part] === 'failed' || standing[part] === 'disagree';

export const unprovenParts = (standing: SolutionStanding, solution: Decided): Part[] =>
  PARTS.filter((part) => gives(solution, part) && isUnproven(standing, part));

export const failedParts = (standing: SolutionStanding): Part[] => PARTS.filter((part) => hasFailed(standing, part));

export function claimOf(state: SiteState, trust: TrustResult, solution: Decided): StationClaim {
  const { fact, decision } = solution;
  const standing = trust.solutions.find((each) => each.id === fact.id);
  const checkability = checkOf(state, solution)?.now ?? null;
  const provisionalBecause = decision.body.verdict === 'provisional' ? decision.body.reason : null;
  return {
    basis:
      fact.body.method === 'assumed'
        ? 'nothing'
        : provisionalBecause !== null
          ? 'provisional'
          : checkability === 'unchecked'
            ? 'unchecked'
            : 'fits',
    provisionalBecause,
    checkability,
    unproven: standing ? unprovenParts(standing, solution) : PARTS.filter((part) => gives(solution, part)),
    failed: standing ? failedParts(standing) : [],
  };
}
