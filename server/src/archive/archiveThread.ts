/**
 * Reads archives one after the other in a thread of its own, with its own connection: what a made-up archive costs is
 * lost here and nowhere else.
 */
import { createReadStream } from 'node:fs';
import { parentPort, workerData } from 'node:worker_threads';
import { MikroORM } from '@mikro-orm/postgresql';
import type { Configuration } from '../configuration.ts';
import { ormOptions } from '../database/orm.ts';
import { isDatabaseAway, isOutOfRoom, ProblemError, type ProblemCode } from '../http/problems.ts';
import { readArchive, type ArchiveTaken } from './readArchive.ts';

/** What the thread answers each file with: an error itself does not come across as what it is. */
export type ArchiveOutcome =
  | { readonly taken: ArchiveTaken }
  | { readonly problem: { readonly code: ProblemCode; readonly detail: string } }
  | { readonly failed: 'away' | 'full' | 'unknown'; readonly message: string };

function outcomeOf(error: unknown): ArchiveOutcome {
  if (error instanceof ProblemError) return { problem: { code: error.code, detail: error.message } };
  const failed = isDatabaseAway(error) ? 'away' : isOutOfRoom(error) ? 'full' : 'unknown';
  return { failed, message: error instanceof Error ? (error.stack ?? error.message) : String(error) };
}

const port = parentPort!;
const orm = MikroORM.init(ormOptions(workerData as Configuration['database']));
// It is told of when the first archive comes.
orm.catch(() => undefined);
port.on('message', (file: string) => {
  const read = async (): Promise<ArchiveOutcome> => ({ taken: await readArchive(await orm, createReadStream(file)) });
  void read()
    .catch(outcomeOf)
    .then((outcome) => port.postMessage(outcome));
});
