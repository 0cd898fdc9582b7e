/** What the database says of itself. */
import type { EntityManager } from '@mikro-orm/postgresql';
import { query } from './query.ts';

export const dataFolder = async (em: EntityManager): Promise<string> =>
  (await query<{ data_directory: string }>(em, 'show data_directory'))[0]!.data_directory;

/** Writes a row that is no site’s. */
export const tryWriting = (em: EntityManager): Promise<unknown> =>
  query(em, 'insert into health (id, at) values (1, now()) on conflict (id) do update set at = excluded.at');
