import { setTimeout as sleep } from 'node:timers/promises';
import { MikroORM, type Options } from '@mikro-orm/postgresql';
import { Migrator } from '@mikro-orm/migrations';
import type { Configuration } from '../configuration.ts';
import { isDatabaseAway } from '../http/problems.ts';
import { FactRow, SheetRow, Site } from './entities.ts';
import { Migration20261125_ledger } from './migrations/Migration20261125_ledger.ts';
import { Migration20261126_images } from './migrations/Migration20261126_images.ts';
import { Migration20261128_crewLinks } from './migrations/Migration20261128_crewLinks.ts';
import { Migration20261130_health } from './migrations/Migration20261130_health.ts';
import { Migration20261130_order } from './migrations/Migration20261130_order.ts';
import { Migration20261201_references } from './migrations/Migration20261201_references.ts';
import { Migration20261127_sources } from './migrations/Migration20261127_sources.ts';

export function ormOptions(database: Configuration['database']): Options {
  return {
    entities: [Site, FactRow, SheetRow],
    host: database.host,
    port: database.port,
    dbName: database.name,
    user: database.user,
    password: database.password,
    extensions: [Migrator],
    discovery: { disableDynamicFileAccess: true, warnWhenNoEntities: false },
    migrations: {
      migrationsList: [
        { name: 'Migration20261125_ledger', class: Migration20261125_ledger },
        { name: 'Migration20261126_images', class: Migration20261126_images },
        { name: 'Migration20261127_sources', class: Migration20261127_sources },
        { name: 'Migration20261128_crewLinks', class: Migration20261128_crewLinks },
        { name: 'Migration20261130_order', class: Migration20261130_order },
        { name: 'Migration20261130_health', class: Migration20261130_health },
        { name: 'Migration20261201_references', class: Migration20261201_references },
      ],
      snapshot: false,
    },
    pool: { min: 0, max: 8, acquireTimeoutMillis: 4000 },
    driverOptions: { connection: { connectionTimeoutMillis: 3000 } },
    logger: () => undefined,
  };
}

/** Connects, makes the database when it is missing, and migrates it. */
export async function openDatabase(database: Configuration['database']): Promise<MikroORM> {
  const orm = await MikroORM.init(ormOptions(database));
  await orm.schema.ensureDatabase();
  await orm.migrator.up();
  return orm;
}

const READY_MS = 60_000;
const AGAIN_MS = 500;

/** The same once the database takes connections: after it was killed it looks through its log first. */
export async function openDatabaseWhenReady(database: Configuration['database']): Promise<MikroORM> {
  for (const until = Date.now() + READY_MS; ;) {
    try {
      return await openDatabase(database);
    } catch (error) {
      if (!isDatabaseAway(error) || Date.now() > until) throw error;
      await sleep(AGAIN_MS);
    }
  }
}
