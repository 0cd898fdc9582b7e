/**
 * Facts that replace one another: what two people say in the place of the same fact, without knowing of each other, are
 * two branches.
 */
import type { AnyFact } from '@idle-marker/contract';
import type { SaidBody } from '../book/rawSights.ts';
import type { SiteState } from '../site/state.ts';

export type Withdrawn = Pick<SaidBody, 'type' | 'body'>;

interface Replacing {
  readonly id: string;
  readonly body: { readonly supersedes: string | null };
}

const replaces = (fact: AnyFact): string | null => ('supersedes' in fact.body ? (fact.body.supersedes ?? null) : null);

/** Without those that a later one replaces. */
export function notSuperseded<T extends Replacing>(facts: readonly T[]): T[] {
  const replaced = new Set(facts.map((fact) => fact.body.supersedes));
  return facts.filter((fact) => !replaced.has(fact.id));
}

/** Ids of a fact and of those before it, newest first; a circle, which only a made-up file has, ends where it began. */
export function chainFrom(tip: string, before: (id: string) => string | null | undefined): ReadonlySet<string> {
  const found = new Set<string>();
  for (let id: string | null | undefined = tip; id && !found.has(id); id = before(id)) found.add(id);
  return found;
}

/**
 * Withdraws the branches that end in `others`: without all of it, an earlier fact of the same would stand again. What
 * the one that stands has replaced as well, as a hub that was pulled, is left as it is.
 */
export function withdrawBranches(
  state: SiteState,
  others: readonly string[],
  stands: string,
  reason: string,
): Withdrawn[] {
  const before = new Map(state.timeline.map((fact) => [fact.id, replaces(fact)]));
  const branchOf = (tip: string) => chainFrom(tip, (id) => before.get(id));
  const kept = branchOf(stands);
  const gone = new Set(
    others.flatMap((tip) => [...branchOf(tip)]).filter((id) => !kept.has(id) && !state.withdrawn.has(id)),
  );
  return [...gone].map((record) => ({ type: 'withdrawal', body: { record, occupation: null, reason } }));
}
