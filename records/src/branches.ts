/** Facts that replace one another: what two people say in the place of the same fact, without knowing of each other, are two branches. */
import type { AnyFact } from '@idle-marker/contract';
import type { SaidBody } from './rawSights.ts';
import type { SiteState } from './state.ts';

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

/** Ids of a fact and of those that it replaced, newest first. */
function branchOf(facts: ReadonlyMap<string, AnyFact>, tip: string): string[] {
  const found: string[] = [];
  for (let id: string | null = tip; id !== null; id = facts.has(id) ? replaces(facts.get(id)!) : null) found.push(id);
  return found;
}

/**
 * Withdraws the branches that end in `others`: without all of it, an earlier fact of the same would stand again. What the one that
 * stands has replaced as well, as a hub that was pulled, is left as it is.
 */
export function withdrawBranches(state: SiteState, others: readonly string[], stands: string, reason: string): Withdrawn[] {
  const facts = new Map(state.timeline.map((fact) => [fact.id, fact]));
  const kept = new Set(branchOf(facts, stands));
  const gone = new Set(others.flatMap((tip) => branchOf(facts, tip)).filter((id) => !kept.has(id) && !state.withdrawn.has(id)));
  return [...gone].map((record) => ({ type: 'withdrawal', body: { record, occupation: null, reason } }));
}
