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
import {
  digestsOf,
  factsAfter,
  factsHere,
  insertFacts,
  insertReferences,
  placeTaken,
  type FactRow,
} from '../database/facts.ts';
import { ledgerBegan, lockQueue, makeSite } from '../database/sites.ts';
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
    await lockQueue(transaction, 'facts', site);
    const digests = new Map(facts.map((fact) => [fact.id, digestOf(contentOf(fact))]));
    const fresh = await freshFacts(transaction, site, facts, digests);
    if (fresh.length === 0) return { written: 0, ids: new Set() };
    const nowhere = await pointingNowhere(transaction, site, fresh, keptBefore !== null);
    await refuseTaken(transaction, site, fresh);
    await makeSite(transaction, site);
    await insertFacts(
      transaction,
      site,
      fresh.map((fact) => ({
        ...fact,
        body: JSON.stringify(fact.body),
        digest: digests.get(fact.id)!,
        orderedAt: ordering(fact),
      })),
    );
    const references = fresh.flatMap((fact) =>
      referencesOf(fact).flatMap((to) => (nowhere.has(to) ? [] : [{ from: fact.id, to }])),
    );
    if (references.length > 0) await insertReferences(transaction, references);
    return { written: fresh.length, ids: new Set(fresh.map(({ id }) => id)) };
  });
}

async function freshFacts(
  em: EntityManager,
  site: string,
  facts: readonly AnyFact[],
  digests: ReadonlyMap<string, string>,
): Promise<AnyFact[]> {
  const kept = await digestsOf(
    em,
    facts.map((fact) => fact.id),
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
  const have = await factsHere(em, site, wanted);
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
  const first = await placeTaken(em, site, fresh);
  if (first)
    throw new ProblemError(
      'SEQUENCE_TAKEN',
      msg('answers.hasUsedBeforeOnThisSiteCount', { device: first.device, seq: first.seq }),
      '/seq',
    );
}

const storedOf = (row: FactRow<object>): StoredFact =>
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

async function pageOf(
  em: EntityManager,
  site: string,
  after: number,
  most: number,
  rows: readonly Pick<FactRow<unknown>, 'received'>[],
): Promise<Omit<FactPage, 'facts'>> {
  return {
    cursor: rows.length > 0 ? Number(rows.at(-1)!.received) : after,
    more: rows.length === most,
    ledger: await ledgerBegan(em, site),
  };
}

/** Facts of a site after a cursor, in order of arrival, and the cursor to go on from. */
export async function readFacts(em: EntityManager, site: string, after: number, most: number): Promise<FactPage> {
  const rows = await factsAfter<object>(em, site, after, most, 'body');
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
  const rows = await factsAfter<string>(em, site, after, most, 'body::text as body');
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
