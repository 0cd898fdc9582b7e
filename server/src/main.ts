import { Worker } from 'node:worker_threads';
import { pino } from 'pino';
import type { MikroORM } from '@mikro-orm/postgresql';
import { threadReader } from './archive/archiveQueue.ts';
import { createApp } from './app.ts';
import { ConfigurationError, readConfiguration, type Configuration } from './configuration.ts';
import { openDatabaseWhenReady } from './database/orm.ts';
import { isDatabaseAway, isOutOfRoom } from './http/problems.ts';
import type { CrewDoor } from './crew/crewThread.ts';
import { loadDemos } from './demo/loadDemo.ts';

const MOST_CREW_MEMORY_MB = 512;
const CREW_AGAIN_MS = 5000;

const log = pino({ level: process.env['IDLE_LOG'] || 'info' });
const configuration = configurationOrEnd();
const orm = await openedOrEnd(configuration);
if (configuration.demoFolder !== null) await loadDemos(orm, configuration.demoFolder, configuration.now, log);
const archives = threadReader(new URL('archiveThread.mjs', import.meta.url), configuration.database);
const app = createApp({
  orm,
  log,
  webFolder: configuration.webFolder,
  now: configuration.now,
  loopbackOnly: true,
  archives,
});
const server = app.listen(configuration.port, configuration.host, (error?: Error) => {
  if (error) endWith(listenWords(error, configuration));
  log.info(`Idle Marker answers on http://${configuration.host}:${configuration.port}`);
});

function endWith(sentence: string): never {
  console.error(sentence);
  process.exit(1);
}

/** A database that was killed comes back by itself after a while; one that does not is told without a trace. */
async function openedOrEnd({ database }: Configuration): Promise<MikroORM> {
  try {
    return await openDatabaseWhenReady(database);
  } catch (error) {
    if (isDatabaseAway(error))
      endWith(`The database on port ${database.port} does not answer. Is it running? Start everything with ./start.`);
    if (isOutOfRoom(error))
      endWith('The database can’t write: its disk is full, or takes nothing any more. Make room, and start again.');
    throw error;
  }
}

function listenWords(error: NodeJS.ErrnoException, { host, port }: Configuration): string {
  return error.code === 'EADDRINUSE'
    ? `Port ${port} of ${host} is taken by another program, or by another start of this one. Stop that, or choose another port with IDLE_PORT.`
    : `${host}:${port} can’t be served: ${error.message}.`;
}

/** A setting that is wrong is told in its sentence, without a trace. */
function configurationOrEnd(): Configuration {
  try {
    return readConfiguration(process.env);
  } catch (error) {
    if (!(error instanceof ConfigurationError)) throw error;
    console.error(error.message);
    process.exit(2);
  }
}

const crewDoor = configuration.crew && openCrewDoor(configuration.crew);

/** The application goes on without it: it is what the day hangs on. */
function openCrewDoor({ host, port }: NonNullable<typeof configuration.crew>): { close(): void } {
  let isOpen = true;
  let thread: Worker;
  const open = (): void => {
    const { database, webFolder, now } = configuration;
    const door: CrewDoor = { database, webFolder, now, host, port, logLevel: log.level };
    thread = new Worker(new URL('crewThread.mjs', import.meta.url), {
      workerData: door,
      resourceLimits: { maxOldGenerationSizeMb: MOST_CREW_MEMORY_MB },
    });
    thread.on('message', (told: { readonly failed?: string }) => {
      if (told.failed === undefined) log.info(`Pages for crews are served on http://${host}:${port}`);
      else log.error(`The crew’s pages can not be served on ${host}:${port} (${told.failed}).`);
    });
    thread.on('error', (error) => log.error({ err: error }, 'the crew’s pages ended'));
    thread.on('exit', () => {
      if (isOpen) setTimeout(open, CREW_AGAIN_MS).unref();
    });
  };
  open();
  return {
    close: () => {
      isOpen = false;
      void thread.terminate();
    },
  };
}

function stop(): void {
  crewDoor?.close();
  server.closeAllConnections();
  server.close(() => void orm.close(true).finally(() => process.exit(0)));
}
process.on('SIGTERM', stop);
process.on('SIGINT', stop);
