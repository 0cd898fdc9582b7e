/** The sites of the server, and another one's records than those that are worked on. */
import type { SiteLine, StoredFact } from '@idle-marker/contract';
import { call } from './server.ts';

export const fetchSites = async (): Promise<readonly SiteLine[]> => (await call('listSites', {})).sites;

/** All records of a site, read through without keeping any. */
export async function fetchFacts(site: string): Promise<StoredFact[]> {
  const facts: StoredFact[] = [];
  for (let after = 0, more = true; more;) {
    const page = await call('readFacts', { site }, { query: { after } });
    facts.push(...page.facts);
    [after, more] = [page.cursor, page.more];
  }
  return facts;
}
