/** A server on a real PostgreSQL (started by ./test), each suite with a database of its own. */
import { createReadStream } from 'node:fs';
import express, { type Express } from 'express';
import type { MikroORM } from '@mikro-orm/postgresql';
import { pino } from 'pino';
import { invalidAgainst, OPERATIONS, type AnyFact, type Operation } from '@idle-marker/contract';
import { createApp } from '../src/app.ts';
import type { ArchiveReader } from '../src/archive/archiveQueue.ts';
import { readArchive } from '../src/archive/readArchive.ts';
import type { Configuration } from '../src/configuration.ts';
import { openDatabase } from '../src/database/orm.ts';

export interface Harness {
  readonly app: Express;
  readonly orm: MikroORM;
  readonly database: Configuration['database'];
  readonly archives: ArchiveReader;
  stop(): Promise<void>;
}

const operations = Object.entries(OPERATIONS as Readonly<Record<string, Operation>>).map(([name, operation]) => ({
  name,
  ...operation,
  address: new RegExp(`^/api/v1${operation.path.replace(/\{\w+\}/g, '[^/]+')}$`),
}));

/** What an answer stands for is described elsewhere; here it is only that something stands there. */
const withoutReferences = (schema: object): object =>
  JSON.parse(JSON.stringify(schema), (_key, value: unknown) =>
    value !== null && typeof value === 'object' && '$ref' in value ? {} : value,
  ) as object;

/** Every answer of the server that a test asks for has the form that its operation promises. */
function keepingPromises(): Express {
  const app = express();
  app.use((request, response, next) => {
    const asked = operations.find(
      ({ method, address }) => method === request.method.toLowerCase() && address.test(request.path),
    );
    const send = response.send.bind(response);
    response.send = (body: unknown) => {
      const { answer, name } = asked ?? {};
      if (answer && response.statusCode < 300 && typeof body === 'string') {
        const invalid = invalidAgainst(withoutReferences(answer), JSON.parse(body));
        if (invalid) throw new Error(`${name} answers otherwise than it promises: ${JSON.stringify(invalid)}`);
      }
      return send(body);
    };
    next();
  });
  return app;
}

/** `now` is the fixed clock of the server; null for the real one. */
export async function startHarness(name: string, now: string | null = '2031-05-06T08:00:00.000Z'): Promise<Harness> {
  const password = process.env['IDLE_PG_PASSWORD'];
  if (!password) throw new Error('IDLE_PG_PASSWORD is not set: run the tests with ./test');
  const database = {
    host: '127.0.0.1',
    port: Number(process.env['IDLE_PG_PORT']),
    name: `idle_${name}_${process.pid}`,
    user: 'idle',
    password,
  };
  const orm = await openDatabase(database);
  const archives: ArchiveReader = (file) => readArchive(orm, createReadStream(file));
  const app = keepingPromises();
  const server = createApp({
    orm,
    log: pino({ level: 'silent' }),
    webFolder: null,
    now,
    loopbackOnly: true,
    archives,
  });
  app.use(server);
  return { app, orm, database, archives, stop: () => orm.close(true) };
}

let made = 0;
/** Ids that are unique within the run and easy to read in a failure. */
export const id = (): string => `00000000-0000-4000-8000-${String(++made).padStart(12, '0')}`;

export const SITE_BODY = {
  name: 'Quay extension',
  lengthUnit: 'metre',
  angleUnit: 'dms',
  axisOrder: 'EN',
  siteZero: null,
  coordinateSystem: 'site grid',
  heightDatum: '',
  combinedScaleFactor: 1,
  proofIntervalMinutes: 60,
  classes: [{ id: 'grid', name: 'Building grid', planMm: 6, heightMm: 5, leastMarks: 3 }],
  convention: 'plainWords',
  practiceGround: null,
} as const;

/** Makes facts of one device in order. */
export function device(by: string) {
  let seq = 0;
  const name = `tablet ${id()}`;
  return (type: AnyFact['type'], body: object, factId = id()): AnyFact =>
    ({
      id: factId,
      type,
      at: new Date(Date.UTC(2031, 4, 6, 7, 0, seq)).toISOString(),
      device: name,
      seq: seq++,
      by,
      body,
    }) as AnyFact;
}
