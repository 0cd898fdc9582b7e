import { pino } from 'pino';
import { threadReader } from './archive/archiveQueue.ts';
import { createApp, createCrewApp } from './app.ts';
import { ConfigurationError, readConfiguration, type Configuration } from './configuration.ts';
import { openDatabase } from './database/orm.ts';
import { loadDemos } from './demo/loadDemo.ts';

const log = pino({ level: process.env['IDLE_LOG'] || 'info' });
const configuration = configurationOrEnd();
const orm = await openDatabase(configuration.database);
if (configuration.demoFolder !== null) await loadDemos(orm, configuration.demoFolder, configuration.now, log);
const archives = threadReader(new URL('archiveThread.mjs', import.meta.url), configuration.database);
const app = createApp({ orm, log, webFolder: configuration.webFolder, now: configuration.now, loopbackOnly: true, archives });
const server = app.listen(configuration.port, configuration.host, (error?: Error) => {
  if (error) {
    log.error({ err: error }, 'cannot listen');
    process.exit(1);
  }
  log.info(`Idle Marker answers on http://${configuration.host}:${configuration.port}`);
});

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

const crewServer = configuration.crew && openCrewServer(configuration.crew);

function openCrewServer({ host, port }: NonNullable<typeof configuration.crew>) {
  return createCrewApp({ orm, log, webFolder: configuration.webFolder, now: configuration.now }).listen(port, host, (error?: Error) => {
    // The application goes on without: it is what the day hangs on.
    if (error) log.error({ err: error }, 'the crew’s pages can not be served');
    else log.info(`Pages for crews are served on http://${host}:${port}`);
  });
}

function stop(): void {
  crewServer?.closeAllConnections();
  crewServer?.close();
  server.closeAllConnections();
  server.close(() => void orm.close(true).finally(() => process.exit(0)));
}
process.on('SIGTERM', stop);
process.on('SIGINT', stop);
