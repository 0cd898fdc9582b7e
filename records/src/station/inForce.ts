import type { TrustResult } from '@idle-marker/core';
import type { Fact } from '@idle-marker/contract';
import type { AcceptedSolution, SiteState } from '../site/state.ts';
import { chainFrom } from '../proof/branches.ts';

/** The solution that sights are made from now: the last accepted one whose occupation has not ended. */
export function solutionInForce(state: SiteState, trust: TrustResult): AcceptedSolution | null {
  const inForce = new Set(trust.solutions.filter((solution) => solution.inForce).map((solution) => solution.id));
  return state.accepted.findLast((each) => inForce.has(each.fact.id)) ?? null;
}

/** The occupation that is being worked on: the last one that is neither closed nor followed by another. */
export function currentOccupation(state: SiteState): Fact<'occupation'> | null {
  const closed = new Set(
    state.ofType.close.filter((fact) => !state.withdrawn.has(fact.id)).map((fact) => fact.body.occupation),
  );
  const last = state.occupations.at(-1);
  return last && !closed.has(last.id) ? last : null;
}

/** The next free name of the form S1, S2, ... */
export function nextStationName(state: SiteState): string {
  const numbers = state.occupations
    .map((each) => /^S(\d+)$/.exec(each.body.name)?.[1])
    .filter((each) => each !== undefined)
    .map(Number);
  return `S${Math.max(0, ...numbers) + 1}`;
}

/**
 * Other accepted solutions of the same set-up that neither know this one nor are known by it: two devices decided
 * apart.
 */
export function rivalSolutions(state: SiteState, solution: AcceptedSolution): AcceptedSolution[] {
  const known = new Map(state.accepted.map((each) => [each.fact.id, each.fact.body.supersedes]));
  const ancestors = (id: string) => chainFrom(id, (at) => known.get(at));
  const own = ancestors(solution.fact.id);
  return state.accepted.filter(
    (each) =>
      each.occupation.id === solution.occupation.id &&
      !each.withdrawn &&
      !own.has(each.fact.id) &&
      !ancestors(each.fact.id).has(solution.fact.id),
  );
}
