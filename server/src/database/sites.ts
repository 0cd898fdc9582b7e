/** Sites, and the locks that put what is written on one in order. */
import type { EntityManager } from '@mikro-orm/postgresql';
import type { Wording } from '@idle-marker/words';
import { query } from './query.ts';

export interface SiteLine {
  readonly id: string;
  /** Null while its first fact has not arrived. */
  readonly name: string | null;
  readonly lastAt: string | null;
}

export const isSite = async (em: EntityManager, site: string): Promise<boolean> =>
  (await query(em, 'select id from site where id = ?', [site])).length > 0;

export const makeSite = (em: EntityManager, site: string): Promise<unknown> =>
  query(em, 'insert into site (id) values (?) on conflict do nothing', [site]);

/** The sites with the name each has now, the busiest of late first. */
export const allSites = (em: EntityManager): Promise<SiteLine[]> =>
  query(
    em,
    `select s.id,
    (select f.body->>'name' from fact f where f.site_id = s.id and f.type = 'site' order by coalesce(f.ordered_at, f.at) desc, f.device desc, f.seq desc limit 1) as name,
    (select max(coalesce(f.ordered_at, f.at)) from fact f where f.site_id = s.id) as "lastAt"
  from site s order by "lastAt" desc nulls last`,
  );

/** The wording that the last settings of a site say; null where none do. */
export async function siteWording(em: EntityManager, site: string): Promise<Wording | null> {
  const [row] = await query<{ wording: Wording | null }>(
    em,
    `select f.body->'wording' as wording from fact f where f.site_id = ? and f.type = 'site'
  order by coalesce(f.ordered_at, f.at) desc, f.device desc, f.seq desc limit 1`,
    [site],
  );
  return row?.wording ?? null;
}

/** When a site's ledger was begun, which tells it from another of the same name; null where there is none. */
export async function ledgerBegan(em: EntityManager, site: string): Promise<string | null> {
  const [row] = await query<{ created_at: Date }>(em, 'select created_at from site where id = ?', [site]);
  return row ? new Date(row.created_at).toISOString() : null;
}

/** Separate queues of writers: entries of a site, sheets of a site, reports of a link. */
const QUEUES = { facts: 0, sheets: 1, reports: 2 } as const;

/** Waits until no other transaction writes there; held until this one ends. */
export const lockQueue = (em: EntityManager, queue: keyof typeof QUEUES, of: string): Promise<unknown> =>
  query(em, `select pg_advisory_xact_lock(hashtextextended(?, ${QUEUES[queue]}))`, [of]);
