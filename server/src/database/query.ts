import type { EntityManager } from '@mikro-orm/postgresql';

/**
 * Runs SQL with parameters bound by the database's own protocol, inside the entity manager's transaction when there
 * is one. `?` stands for a parameter; an array is bound as a PostgreSQL array.
 */
export async function query<T>(em: EntityManager, sql: string, parameters: readonly unknown[] = []): Promise<T[]> {
  const raw = em.getKnex().raw<{ rows: T[] }>(sql, parameters as never);
  const transaction = em.getTransactionContext<Parameters<typeof raw.transacting>[0]>();
  const { rows } = await (transaction ? raw.transacting(transaction) : raw);
  return rows;
}
