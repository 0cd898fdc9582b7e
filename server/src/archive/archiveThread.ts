/** Reads one archive in a thread of its own, with its own connection: what a made-up archive costs is lost here and nowhere else. */
import { createReadStream } from 'node:fs';
import { parentPort, workerData } from 'node:worker_threads';
import { MikroORM } from '@mikro-orm/postgresql';
import type { Configuration } from '../configuration.ts';
import { ormOptions } from '../database/orm.ts';
import { isDatabaseAway, isOutOfRoom, ProblemError, type ProblemCode } from '../http/problems.ts';
import { readArchive, type ArchiveTaken } from './readArchive.ts';

export interface ArchiveWork {
  readonly file: string;
  readonly database: Configuration['database'];
}

/** What the thread ends with: an error itself does not come across as what it is. */
export type ArchiveOutcome =
  | { readonly taken: ArchiveTaken }
  | { readonly problem: { readonly code: ProblemCode; readonly detail: string } }
  | { readonly failed: 'away' | 'full' | 'unknown'; readonly message: string };

function outcomeOf(error: unknown): ArchiveOutcome {
  if (error instanceof ProblemError) return { problem: { code: error.code, detail: error.message } };
  const failed = isDatabaseAway(error) ? 'away' : isOutOfRoom(error) ? 'full' : 'unknown';
  return { failed, message: error instanceof Error ? (error.stack ?? error.message) : String(error) };
}

const { file, database } = workerData as ArchiveWork;
const orm = await MikroORM.init(ormOptions(database));
try {
  parentPort!.postMessage({ taken: await readArchive(orm, createReadStream(file)) } satisfies ArchiveOutcome);
} catch (error) {
  parentPort!.postMessage(outcomeOf(error));
} finally {
  await orm.close(true);
}
