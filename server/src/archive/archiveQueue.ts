/**
 * Archives that come in: written to a file first, however slowly they come, and then read one at a time, so that
 * nothing is held for a sender who dawdles, and two of them don’t add up.
 */
import { createWriteStream } from 'node:fs';
import { mkdtemp, rm } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { Transform, type Readable } from 'node:stream';
import { pipeline } from 'node:stream/promises';
import { Worker } from 'node:worker_threads';
import { msg, worded } from '@idle-marker/words';
import type { Configuration } from '../configuration.ts';
import { ProblemError } from '../http/problems.ts';
import type { ArchiveOutcome } from './archiveThread.ts';
import { refused, type ArchiveTaken } from './readArchive.ts';

/** Reads the archive in a file; ends without having written anything once the signal says so. */
export type ArchiveReader = (file: string, signal: AbortSignal) => Promise<ArchiveTaken>;

export const LARGEST_ARCHIVE_BYTES = 2 * 1024 ** 3;
const MOST_WAITING = 4;
/** An archive of a season takes a minute. */
const LONGEST_MS = 15 * 60_000;
const MOST_MEMORY_MB = 512;

export class ArchiveQueue {
  private readonly read: ArchiveReader;
  private last: Promise<unknown> = Promise.resolve();
  private inside = 0;

  private readonly folder: string;

  /** @param folder where what comes in is written first */
  constructor(read: ArchiveReader, folder = tmpdir()) {
    [this.read, this.folder] = [read, folder];
  }

  /** Takes an archive in. Throws TOO_MANY where so many come at once that no site sends them. */
  async take(stream: Readable, signal: AbortSignal): Promise<ArchiveTaken> {
    if (this.inside > MOST_WAITING)
      throw new ProblemError('TOO_MANY', msg('answers.otherArchivesAreBeingReadSendThis'));
    this.inside++;
    let folder: string | null = null;
    try {
      folder = await mkdtemp(join(this.folder, 'idle-marker-archive-'));
      const file = join(folder, 'archive.zip');
      await pipeline(stream, limited(), createWriteStream(file, { mode: 0o600 }), { signal });
      const turn = this.last.then(() => this.read(file, AbortSignal.any([signal, AbortSignal.timeout(LONGEST_MS)])));
      this.last = turn.catch(() => undefined);
      return await turn;
    } finally {
      this.inside--;
      if (folder !== null) await rm(folder, { recursive: true, force: true });
    }
  }
}

function limited(): Transform {
  let came = 0;
  return new Transform({
    transform(bytes: Buffer, _encoding, done) {
      came += bytes.length;
      if (came > LARGEST_ARCHIVE_BYTES)
        done(
          new ProblemError(
            'BODY_TOO_LARGE',
            `More than ${LARGEST_ARCHIVE_BYTES / 1024 ** 3} GB is no archive of a site. Nothing was saved.`,
          ),
        );
      else done(null, bytes);
    },
  });
}

const tooMuch = worded(() => msg('answers.theArchiveComesToMoreThanCan'));

/** Loading the thread takes a second: it stays for the next archive, and goes when none comes. */
const IDLE_MS = 60_000;

/**
 * A reader with a thread of limited memory. One that is called off, takes too long or comes to too much is ended with
 * all it holds, and the next archive has a new one. `script` is the built `archiveThread.ts`.
 */
export function threadReader(script: URL, database: Configuration['database']): ArchiveReader {
  let waiting: Worker | null = null;
  let idle: NodeJS.Timeout | undefined;
  const made = (): Worker => {
    const thread = new Worker(script, {
      workerData: database,
      resourceLimits: { maxOldGenerationSizeMb: MOST_MEMORY_MB },
    });
    // A connection that breaks while it is idle, as when the database is killed: the thread is lost, and nothing else.
    thread.on('error', () => undefined);
    thread.once('exit', () => {
      if (waiting === thread) waiting = null;
    });
    return thread;
  };
  const begin = (): Worker => {
    clearTimeout(idle);
    const thread = waiting ?? made();
    waiting = null;
    thread.ref();
    return thread;
  };
  const keep = (thread: Worker) => {
    thread.unref();
    waiting = thread;
    idle = setTimeout(() => void thread.terminate(), IDLE_MS).unref();
  };
  return (file, signal) =>
    new Promise((resolve, reject) => {
      const thread = begin();
      const stop = () => void thread.terminate();
      const ended = (settle: () => void) => {
        signal.removeEventListener('abort', stop);
        thread.off('message', onMessage).off('error', onError).off('exit', onExit);
        settle();
      };
      const onMessage = (outcome: ArchiveOutcome) =>
        ended(() => {
          keep(thread);
          if ('taken' in outcome) resolve(outcome.taken);
          else reject(errorOf(outcome));
        });
      const onError = (error: NodeJS.ErrnoException) =>
        ended(() => reject(error.code === 'ERR_WORKER_OUT_OF_MEMORY' ? refused(tooMuch()) : error));
      const onExit = () =>
        ended(() => reject(refused(signal.aborted ? msg('answers.theArchiveTookTooLongToRead') : tooMuch())));
      thread.on('message', onMessage).on('error', onError).on('exit', onExit);
      signal.addEventListener('abort', stop);
      if (signal.aborted) stop();
      else thread.postMessage(file);
    });
}

function errorOf(outcome: Exclude<ArchiveOutcome, { readonly taken: unknown }>): Error {
  if ('problem' in outcome) return new ProblemError(outcome.problem.code, outcome.problem.detail);
  switch (outcome.failed) {
    case 'away':
      return new ProblemError('DATABASE_AWAY', msg('answers.theDatabaseDoesNotAnswerNothingWas'));
    case 'full':
      return new ProblemError('STORAGE_FULL', msg('answers.theServersDiskIsFullOrTakes'));
    case 'unknown':
      return new Error(outcome.message);
  }
}
