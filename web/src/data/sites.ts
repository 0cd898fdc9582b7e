/** The sites of the server, and another one's records than those that are worked on. */
import type { StoredFact } from '@idle-marker/contract';
import { ask, listIn } from './server.ts';

export interface SiteLine {
  readonly id: string;
  readonly name: string;
  readonly lastAt: string | null;
}

interface Page {
  readonly facts: readonly StoredFact[];
  readonly cursor: number;
  readonly more: boolean;
}

export const fetchSites = (): Promise<readonly SiteLine[]> => ask('/api/v1/sites', listIn<SiteLine>('sites'));

/** All records of a site, read through without keeping any. */
export async function fetchFacts(site: string): Promise<StoredFact[]> {
  const facts: StoredFact[] = [];
  for (let after = 0, more = true; more;) {
    const page = await ask(`/api/v1/sites/${site}/facts?after=${after}`, (document) =>
      Array.isArray(document['facts']) ? (document as unknown as Page) : null,
    );
    facts.push(...page.facts);
    [after, more] = [page.cursor, page.more];
  }
  return facts;
}
