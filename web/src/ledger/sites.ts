/** The sites of the server, and another one's records than those that are worked on. */
import type { StoredFact } from '@idle-marker/contract';

export interface SiteLine {
  readonly id: string;
  readonly name: string;
  readonly lastAt: string | null;
}

async function ask<T>(address: string): Promise<T> {
  const response = await fetch(address);
  if (!response.ok) throw new Error('away');
  return (await response.json()) as T;
}

export const fetchSites = async (): Promise<SiteLine[]> => (await ask<{ sites: SiteLine[] }>('/api/v1/sites')).sites;

/** All records of a site, read through without keeping any. */
export async function fetchFacts(site: string): Promise<StoredFact[]> {
  const facts: StoredFact[] = [];
  for (let after = 0, more = true; more;) {
    const page = await ask<{ facts: StoredFact[]; cursor: number; more: boolean }>(`/api/v1/sites/${site}/facts?after=${after}`);
    facts.push(...page.facts);
    [after, more] = [page.cursor, page.more];
  }
  return facts;
}
