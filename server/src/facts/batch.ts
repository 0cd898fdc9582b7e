/**
 * Facts that come together: all of them in one transaction where nothing is wrong with any, and each by itself where
 * something is.
 */
import type { EntityManager, MikroORM } from '@mikro-orm/postgresql';
import type { Logger } from 'pino';
import type { AnyFact, Problem } from '@idle-marker/contract';
import { problemDocument, problemOf, ProblemError } from '../http/problems.ts';
import { appendFacts, type Ordering } from './ledger.ts';
import { sendable } from './sendable.ts';

/** What came of one of them, in the order in which they were sent. */
export type Outcome =
  { readonly id: string | null; readonly written: boolean } | { readonly id: string | null; readonly problem: Problem };

/** The server itself is at a loss: nothing else would go better. */
const ENDS_ALL: ReadonlySet<string> = new Set(['DATABASE_AWAY', 'STORAGE_FULL']);

const idOf = (document: unknown): string | null => {
  const { id } = document as { readonly id?: unknown };
  return typeof id === 'string' ? id : null;
};

async function kept(
  em: EntityManager,
  site: string,
  facts: readonly AnyFact[],
  ordering: Ordering,
): Promise<Outcome[]> {
  const { ids } = await appendFacts(em, site, facts, ordering);
  return facts.map(({ id }) => ({ id, written: ids.has(id) }));
}

/** Throws where the database is away or full, whatever was written before; sent again, that is passed over. */
export async function keepFacts(
  orm: MikroORM,
  site: string,
  documents: readonly unknown[],
  ordering: Ordering,
  log: Logger,
): Promise<Outcome[]> {
  try {
    return await kept(orm.em.fork(), site, documents.map(sendable), ordering);
  } catch (error) {
    if (ENDS_ALL.has(problemOf(error).code)) throw error;
  }
  const outcomes: Outcome[] = [];
  for (const document of documents) {
    try {
      const [outcome] = await kept(orm.em.fork(), site, [sendable(document)], ordering);
      outcomes.push(outcome!);
    } catch (error) {
      const problem = problemOf(error);
      if (ENDS_ALL.has(problem.code)) throw error;
      if (problem.code === 'INTERNAL' && !(error instanceof ProblemError))
        log.error({ err: error as Error }, 'request failed');
      outcomes.push({ id: idOf(document), problem: problemDocument(problem) });
    }
  }
  return outcomes;
}
