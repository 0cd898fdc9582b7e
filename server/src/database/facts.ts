/** Rows of the ledger. */
import type { EntityManager } from '@mikro-orm/postgresql';
import { insertLaterReferences } from './laterReferences.ts';
import { query } from './query.ts';

/** A fact as it is written: its body as JSON, its digest, and the instant beside its stamp, null for none. */
export interface FactToWrite {
  readonly id: string;
  readonly type: string;
  readonly at: string;
  readonly device: string;
  readonly seq: number;
  readonly by: string | null;
  readonly body: string;
  readonly digest: string;
  readonly orderedAt: string | null;
}

/** A row as the database gives it: large numbers come as text. */
export interface FactRow<Body> {
  readonly id: string;
  readonly type: string;
  readonly at: Date;
  readonly device: string;
  readonly seq: string;
  readonly by_id: string | null;
  readonly body: Body;
  readonly received: string;
  readonly received_at: Date;
  readonly ordered_at: Date | null;
}

/** Several rows a statement: unnest is the quickest way that needs no temporary table. */
export const insertFacts = (em: EntityManager, site: string, facts: readonly FactToWrite[]): Promise<unknown> =>
  query(
    em,
    `insert into fact (id, site_id, type, at, device, seq, by_id, body, digest, ordered_at)
  select id, ?::uuid, type, at, device, seq, by_id, body, digest, ordered_at from
  unnest(?::uuid[], ?::text[], ?::timestamptz[], ?::text[], ?::bigint[], ?::uuid[], ?::jsonb[], ?::text[], ?::timestamptz[])
  as t (id, type, at, device, seq, by_id, body, digest, ordered_at)`,
    [
      site,
      facts.map(({ id }) => id),
      facts.map(({ type }) => type),
      facts.map(({ at }) => at),
      facts.map(({ device }) => device),
      facts.map(({ seq }) => seq),
      facts.map(({ by }) => by),
      facts.map(({ body }) => body),
      facts.map(({ digest }) => digest),
      facts.map(({ orderedAt }) => orderedAt),
    ],
  );

export const insertReferences = (
  em: EntityManager,
  references: readonly { readonly from: string; readonly to: string }[],
): Promise<unknown> =>
  query(em, 'insert into fact_reference (from_id, to_id) select * from unnest(?::uuid[], ?::uuid[])', [
    references.map(({ from }) => from),
    references.map(({ to }) => to),
  ]);

/** References of a site that were not held to when its facts were kept. */
export const insertLaterReferencesOf = (em: EntityManager, site: string): Promise<unknown> =>
  query(em, insertLaterReferences('fact.site_id = ?'), [site]);

/** What is kept under these ids, on any site. */
export const digestsOf = (
  em: EntityManager,
  ids: readonly string[],
): Promise<{ id: string; site_id: string; digest: string }[]> =>
  query(em, 'select id, site_id, digest from fact where id = any(?::uuid[])', [ids]);

/** Those of some ids that are facts of this site. */
export const factsHere = async (em: EntityManager, site: string, ids: readonly string[]): Promise<Set<string>> =>
  new Set(
    (await query<{ id: string }>(em, 'select id from fact where site_id = ? and id = any(?::uuid[])', [site, ids])).map(
      ({ id }) => id,
    ),
  );

/** The first place in a device’s sequence that is taken already on this site. */
export const placeTaken = async (
  em: EntityManager,
  site: string,
  places: readonly { readonly device: string; readonly seq: number }[],
): Promise<{ device: string; seq: string } | undefined> =>
  (
    await query<{ device: string; seq: string }>(
      em,
      'select f.device, f.seq from fact f join unnest(?::text[], ?::bigint[]) as t (device, seq) on f.device = t.device and f.seq = t.seq where f.site_id = ?',
      [places.map(({ device }) => device), places.map(({ seq }) => seq), site],
    )
  )[0];

/** Facts after a cursor in order of arrival, their bodies as values or as the text that they are stored as. */
export const factsAfter = <Body>(
  em: EntityManager,
  site: string,
  after: number,
  most: number,
  body: 'body' | 'body::text as body',
): Promise<FactRow<Body>[]> =>
  query(
    em,
    `select id, type, at, device, seq, by_id, ${body}, received, received_at, ordered_at from fact where site_id = ? and received > ? order by received limit ?`,
    [site, after, most],
  );

/** The arrival of the last fact of a site; null where there is none. */
export const lastArrival = async (em: EntityManager, site: string): Promise<string | null> =>
  (await query<{ last: string | null }>(em, 'select max(received) as last from fact where site_id = ?', [site]))[0]!
    .last;
