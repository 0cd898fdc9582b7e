/**
 * The crew's door in a thread of its own, with few connections: whatever the network asks of it, the application goes
 * on beside it.
 */
import { parentPort, workerData } from 'node:worker_threads';
import { MikroORM } from '@mikro-orm/postgresql';
import { pino } from 'pino';
import { createCrewApp } from '../app.ts';
import type { Configuration } from '../configuration.ts';
import { ormOptions } from '../database/orm.ts';

export interface CrewDoor {
  readonly database: Configuration['database'];
  readonly webFolder: string | null;
  readonly now: string | null;
  readonly host: string;
  readonly port: number;
  readonly logLevel: string;
}

const MOST_CONNECTIONS = 2;
const { database, webFolder, now, host, port, logLevel } = workerData as CrewDoor;
const options = ormOptions(database);
const orm = await MikroORM.init({ ...options, pool: { ...options.pool, max: MOST_CONNECTIONS } });
createCrewApp({ orm, log: pino({ level: logLevel }), webFolder, now }).listen(
  port,
  host,
  (error?: NodeJS.ErrnoException) => {
    parentPort!.postMessage(error ? { failed: error.code ?? error.message } : { listening: true });
  },
);
