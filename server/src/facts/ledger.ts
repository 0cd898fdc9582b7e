/** Appending facts and reading them back. */
import type { EntityManager } from '@mikro-orm/postgresql';
import {
  allReferences,
  CLOCKS_AGREE_MS,
  digestOf,
  invalidFact,
  invalidShape,
  referencesOf,
  type AnyFact,
  type StoredFact,
} from '@idle-marker/contract';
import { msg } from '@idle-marker/words';
import { query } from '../database/query.ts';
import { ProblemError } from '../http/problems.ts';

const contentOf = ({ type, at, device, seq, by, body }: AnyFact) => ({
  type,
  at: new Date(at).toISOString(),
  device,
  seq,
  by,
  body,
});

export interface Appended {
  /** Facts written now; the others were there already, with the same content. */
  readonly written: number;
  readonly ids: ReadonlySet<string>;
}

/** Several rows a statement: unnest is the quickest way that needs no temporary table. */
const INSERT = `insert into fact (id, site_id, type, at, device, seq, by_id, body, digest, ordered_at)
  select id, ?::uuid, type, at, device, seq, by_id, body, digest, ordered_at from
  unnest(?::uuid[], ?::text[], ?::timestamptz[], ?::text[], ?::bigint[], ?::uuid[], ?::jsonb[], ?::text[], ?::timestamptz[])
  as t (id, type, at, device, seq, by_id, body, digest, ordered_at)`;
const INSERT_REFERENCES = 'insert into fact_reference (from_id, to_id) select * from unnest(?::uuid[], ?::uuid[])';

/** The instant to be put beside a fact's stamp, null for none. */
export type Ordering = (fact: AnyFact) => string | null;

/** By the instant of arrival; null where the server's clock stands still and can't judge another. */
export const orderedOnArrival =
  (received: Date | null): Ordering =>
  ({ at }) =>
    received !== null && Date.parse(at) - received.getTime() > CLOCKS_AGREE_MS ? received.toISOString() : null;

/**
 * What an archive says of facts that were kept before a rule held: which of them are unfit. References held to later
 * may point at nothing.
 */
export interface KeptBefore {
  readonly quarantined: ReadonlySet<string>;
}

/**
 * The rules hold for every fact, whichever way it comes; what an archive says was kept before they held has to be what
 * it says.
 */
function refuseUnfit(facts: readonly AnyFact[], keptBefore: KeptBefore | null): void {
  for (const fact of facts) {
    const invalid = keptBefore?.quarantined.has(fact.id) ? invalidShape(fact) : invalidFact(fact);
    if (invalid)
      throw new ProblemError(
        invalid.code,
        msg('answers.nothingWasWritten2', { message: invalid.message }),
        invalid.path,
        fact.id,
      );
  }
}

/**
 * Writes facts in one transaction: all or none. Facts that are kept already with the same content are passed over.
 * Throws what is wrong with a fact that is none, CONFLICT for the same id with other content, MISSING_REFERENCE for a
 * fact that refers to one not kept.
 */
export async function appendFacts(
  em: EntityManager,
  site: string,
  facts: readonly AnyFact[],
  ordering: Ordering,
  keptBefore: KeptBefore | null = null,
): Promise<Appended> {
  refuseUnfit(facts, keptBefore);
  return em.transactional(async (transaction) => {
    // One writer a site at a time, so that the order of arrival is the order of commits and no reader's cursor skips a
    // row.
    await query(transaction, 'select pg_advisory_xact_lock(hashtextextended(?, 0))', [site]);
    const digests = new Map(facts.map((fact) => [fact.id, digestOf(contentOf(fact))]));
    const fresh = await freshFacts(transaction, site, facts, digests);
    if (fresh.length === 0) return { written: 0, ids: new Set() };
    const nowhere = await pointingNowhere(transaction, site, fresh, keptBefore !== null);
    await refuseTaken(transaction, site, fresh);
    await query(transaction, 'insert into site (id) values (?) on conflict do nothing', [site]);
    await query(transaction, INSERT, [
      site,
      fresh.map((fact) => fact.id),
      fresh.map((fact) => fact.type),
      fresh.map((fact) => fact.at),
      fresh.map((fact) => fact.device),
      fresh.map((fact) => fact.seq),
      fresh.map((fact) => fact.by),
      fresh.map((fact) => JSON.stringify(fact.body)),
      fresh.map((fact) => digests.get(fact.id)!),
      fresh.map(ordering),
    ]);
    const references = fresh.flatMap((fact) =>
      referencesOf(fact).flatMap((to) => (nowhere.has(to) ? [] : [{ from: fact.id, to }])),
    );
    if (references.length > 0)
      await query(transaction, INSERT_REFERENCES, [references.map(({ from }) => from), references.map(({ to }) => to)]);
    return { written: fresh.length, ids: new Set(fresh.map(({ id }) => id)) };
  });
}

async function freshFacts(
  em: EntityManager,
  site: string,
  facts: readonly AnyFact[],
  digests: ReadonlyMap<string, string>,
): Promise<AnyFact[]> {
  const kept = await query<{ id: string; site_id: string; digest: string }>(
    em,
    'select id, site_id, digest from fact where id = any(?::uuid[])',
    [facts.map((fact) => fact.id)],
  );
  const byId = new Map(kept.map((row) => [row.id, row]));
  return facts.filter((fact) => {
    const row = byId.get(fact.id);
    if (!row) return true;
    if (row.site_id !== site || row.digest !== digests.get(fact.id)) {
      throw new ProblemError(
        'CONFLICT',
        msg('answers.isKeptAlreadyWithOtherContentAnd', { id: fact.id }),
        '/id',
        fact.id,
      );
    }
    return false;
  });
}

/** Ids that are referred to and not there, where that may be; throws where it may not. */
async function pointingNowhere(
  em: EntityManager,
  site: string,
  fresh: readonly AnyFact[],
  laterMay: boolean,
): Promise<ReadonlySet<string>> {
  const own = new Set(fresh.map((fact) => fact.id));
  const references = fresh.flatMap(allReferences).filter(({ to }) => !own.has(to));
  const wanted = [...new Set(references.map(({ to }) => to))];
  if (wanted.length === 0) return new Set();
  const found = await query<{ id: string }>(em, 'select id from fact where site_id = ? and id = any(?::uuid[])', [
    site,
    wanted,
  ]);
  const have = new Set(found.map((row) => row.id));
  const missing = references.filter(({ to }) => !have.has(to));
  const first = missing.find(({ isLater }) => !(isLater && laterMay));
  if (first)
    throw new ProblemError(
      'MISSING_REFERENCE',
      msg('answers.hasNotArrivedOnThisSiteYet', { to: first.to }),
      first.path,
    );
  return new Set(missing.map(({ to }) => to));
}

async function refuseTaken(em: EntityManager, site: string, fresh: readonly AnyFact[]): Promise<void> {
  const taken = await query<{ device: string; seq: string }>(
    em,
    'select f.device, f.seq from fact f join unnest(?::text[], ?::bigint[]) as t (device, seq) on f.device = t.device and f.seq = t.seq where f.site_id = ?',
    [fresh.map((fact) => fact.device), fresh.map((fact) => fact.seq), site],
  );
  const first = taken[0];
  if (first)
    throw new ProblemError(
      'SEQUENCE_TAKEN',
      msg('answers.hasUsedBeforeOnThisSiteCount', { device: first.device, seq: first.seq }),
      '/seq',
    );
}

interface FactRecord {
  readonly id: string;
  readonly type: AnyFact['type'];
  readonly at: Date;
  readonly device: string;
  readonly seq: string;
  readonly by_id: string | null;
  readonly body: object;
  readonly received: string;
  readonly received_at: Date;
  readonly ordered_at: Date | null;
}

const storedOf = (row: FactRecord): StoredFact =>
  ({
    id: row.id,
    type: row.type,
    at: new Date(row.at).toISOString(),
    device: row.device,
    seq: Number(row.seq),
    by: row.by_id,
    body: row.body,
    receivedAt: new Date(row.received_at).toISOString(),
    ...(row.ordered_at === null ? {} : { orderedAt: new Date(row.ordered_at).toISOString() }),
  }) as StoredFact;

export interface FactPage {
  readonly facts: readonly StoredFact[];
  readonly cursor: number;
  readonly more: boolean;
  /** Tells this site's ledger from another one under the same id; null while the site has none. */
  readonly ledger: string | null;
}

const rowsAfter = <B>(
  em: EntityManager,
  site: string,
  after: number,
  most: number,
  body: 'body' | 'body::text as body',
) =>
  query<Omit<FactRecord, 'body'> & { readonly body: B }>(
    em,
    `select id, type, at, device, seq, by_id, ${body}, received, received_at, ordered_at from fact where site_id = ? and received > ? order by received limit ?`,
    [site, after, most],
  );

async function pageOf(
  em: EntityManager,
  site: string,
  after: number,
  most: number,
  rows: readonly Pick<FactRecord, 'received'>[],
): Promise<Omit<FactPage, 'facts'>> {
  const [ledger] = await query<{ created_at: Date }>(em, 'select created_at from site where id = ?', [site]);
  return {
    cursor: rows.length > 0 ? Number(rows.at(-1)!.received) : after,
    more: rows.length === most,
    ledger: ledger ? new Date(ledger.created_at).toISOString() : null,
  };
}

/** Facts of a site after a cursor, in order of arrival, and the cursor to go on from. */
export async function readFacts(em: EntityManager, site: string, after: number, most: number): Promise<FactPage> {
  const rows = await rowsAfter<object>(em, site, after, most, 'body');
  return { facts: rows.map(storedOf), ...(await pageOf(em, site, after, most, rows)) };
}

/**
 * The same as JSON. Bodies are most of it, and go through as the database writes them: taking them apart would be half
 * of the work.
 */
export async function readFactsAsJson(
  em: EntityManager,
  site: string,
  after: number,
  most: number,
): Promise<Pick<FactPage, 'cursor' | 'more'> & { readonly json: string }> {
  const rows = await rowsAfter<string>(em, site, after, most, 'body::text as body');
  const facts = rows.map(({ body, ...row }) =>
    JSON.stringify(storedOf({ ...row, body: BODY })).replace(BODY_AS_JSON, () => `"body":${body}`),
  );
  const { cursor, more, ledger } = await pageOf(em, site, after, most, rows);
  return {
    cursor,
    more,
    json: `{"facts":[${facts.join(',')}],"cursor":${cursor},"more":${more},"ledger":${JSON.stringify(ledger)}}`,
  };
}
/** Stands for a body while the rest is written; no field of an envelope can be an empty object. */
const BODY = {};
const BODY_AS_JSON = '"body":{}';

export async function readAllFacts(em: EntityManager, site: string): Promise<readonly StoredFact[]> {
  return (await readFacts(em, site, 0, 1_000_000)).facts;
}
