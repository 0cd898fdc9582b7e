import { pino } from 'pino';
import { createApp } from './app.ts';
import { readConfiguration } from './configuration.ts';
import { openDatabase } from './database/orm.ts';
import { loadDemos } from './demo/loadDemo.ts';

const log = pino({ level: process.env['IDLE_LOG'] || 'info' });
const configuration = readConfiguration(process.env);
const orm = await openDatabase(configuration.database);
if (configuration.demoFolder !== null) await loadDemos(orm, configuration.demoFolder, configuration.now, log);
const app = createApp({ orm, log, webFolder: configuration.webFolder, now: configuration.now, loopbackOnly: configuration.host === '127.0.0.1' });
const server = app.listen(configuration.port, configuration.host, (error?: Error) => {
  if (error) {
    log.error({ err: error }, 'cannot listen');
    process.exit(1);
  }
  log.info(`Idle Marker answers on http://${configuration.host}:${configuration.port}`);
});

function stop(): void {
  server.closeAllConnections();
  server.close(() => void orm.close(true).finally(() => process.exit(0)));
}
process.on('SIGTERM', stop);
process.on('SIGINT', stop);
