/**
 * Entries of a clock that was ahead: the server has put its own instant beside the stamp, and everything is ordered by
 * that one. They are marked for good, since what they changed in order may have changed what stands.
 */
import { instantOf, type AnyFact } from '@idle-marker/contract';
import type { SiteState } from './state.ts';

interface Placed {
  readonly orderedAt?: string;
  readonly stampedAt?: string;
}

/** With the instant that it is ordered by; its stamp goes along. Once more changes nothing. */
export function inItsPlace(fact: AnyFact & Placed): AnyFact {
  const at = instantOf(fact);
  if (at === fact.at) return fact;
  const placed: AnyFact & Placed = { ...fact, at, ...{ stampedAt: fact.at } };
  return placed;
}

/** What an entry was stamped with, where that is not what it is ordered by. */
export const stampOf = (fact: AnyFact & Placed): string | null => fact.stampedAt ?? null;

export interface StampedAhead {
  readonly device: string;
  readonly by: string;
  /** Oldest first; there is at least one. */
  readonly entries: readonly AnyFact[];
  /** By how much the clock was ahead at most, milliseconds. */
  readonly ahead: number;
  /** Entries of others that stand after one of these, and would stand before it by its stamp. */
  readonly passed: readonly AnyFact[];
}

/** By device, in the order of the site. */
export function stampedAhead({ timeline }: Pick<SiteState, 'timeline'>): StampedAhead[] {
  const groups = new Map<string, AnyFact[]>();
  for (const fact of timeline)
    if (stampOf(fact) !== null) groups.set(fact.device, [...(groups.get(fact.device) ?? []), fact]);
  return [...groups].map(([device, entries]) => {
    const passes = (entry: AnyFact, other: AnyFact) => {
      const at = Date.parse(other.at);
      return at > Date.parse(entry.at) && at <= Date.parse(stampOf(entry)!);
    };
    return {
      device,
      by: entries[0]!.by,
      entries,
      ahead: Math.max(...entries.map((entry) => Date.parse(stampOf(entry)!) - Date.parse(entry.at))),
      passed: timeline.filter((other) => other.device !== device && entries.some((entry) => passes(entry, other))),
    };
  });
}
