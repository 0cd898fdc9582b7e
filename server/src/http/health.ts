/** Whether it can be worked with: the database answers, takes what is written, and has room. */
import { statfs } from 'node:fs/promises';
import type { EntityManager } from '@mikro-orm/postgresql';
import { dataFolder, tryWriting } from '../database/health.ts';
import { isDatabaseAway } from './problems.ts';

export interface Health {
  readonly status: 'ok' | 'degraded';
  readonly database: 'answers' | 'away';
  /** Whether a row could be written; null where the database is away. */
  readonly writes: 'taken' | 'refused' | null;
  /** Left on the database's disk, mebibytes; null where nobody can tell. */
  readonly freeMb: number | null;
}

/** With less than this the next drawings and photos may not fit. */
const LEAST_FREE_MB = 100;
const MIB = 1024 * 1024;

export async function healthOf(em: EntityManager): Promise<Health> {
  try {
    const folder = await dataFolder(em);
    const freeMb = await statfs(folder).then(
      ({ bavail, bsize }) => Math.floor((bavail * bsize) / MIB),
      () => null,
    );
    const writes = await tryWriting(em).then(
      () => 'taken' as const,
      (error: unknown) => {
        if (isDatabaseAway(error)) throw error;
        return 'refused' as const;
      },
    );
    const isWell = writes === 'taken' && (freeMb === null || freeMb >= LEAST_FREE_MB);
    return { status: isWell ? 'ok' : 'degraded', database: 'answers', writes, freeMb };
  } catch {
    return { status: 'degraded', database: 'away', writes: null, freeMb: null };
  }
}

const NEW_AGAIN_MS = 2000;

/** Asked as often as anybody likes, looked at every other second. */
export function healthNow(ask: () => Promise<Health>): () => Promise<Health> {
  let last: { readonly at: number; readonly health: Promise<Health> } | null = null;
  return () => {
    if (last === null || Date.now() - last.at > NEW_AGAIN_MS) last = { at: Date.now(), health: ask() };
    return last.health;
  };
}
