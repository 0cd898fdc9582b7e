/**
 * What the browser keeps: facts as the server gave them (append-only, so never stale), and the outbox of facts made
 * here that the server has not confirmed. Both outlive a reload and a closed tab.
 */
import { openDB, type DBSchema, type IDBPDatabase } from 'idb';
import type { AnyFact, StoredFact } from '@idle-marker/contract';

export interface Waiting {
  readonly key: number;
  readonly site: string;
  readonly fact: AnyFact;
  /** Why the server refused it for good; it stays here until a person has seen it. */
  readonly refused: string | null;
}

interface Schema extends DBSchema {
  facts: { key: string; value: { id: string; site: string; fact: StoredFact }; indexes: { site: string } };
  outbox: { key: number; value: Omit<Waiting, 'key'> };
  settings: { key: string; value: unknown };
}

let opened: Promise<IDBPDatabase<Schema>> | null = null;

function database(): Promise<IDBPDatabase<Schema>> {
  opened ??= openDB<Schema>('idle-marker', 1, {
    upgrade(db) {
      db.createObjectStore('facts', { keyPath: 'id' }).createIndex('site', 'site');
      db.createObjectStore('outbox', { autoIncrement: true });
      db.createObjectStore('settings');
    },
  });
  return opened;
}

export async function keptFacts(site: string): Promise<StoredFact[]> {
  const rows = await (await database()).getAllFromIndex('facts', 'site', site);
  return rows.map((row) => row.fact);
}

/** Keeps facts from the server with the cursor to read on from. */
export async function keepFacts(site: string, facts: readonly StoredFact[], cursor: number): Promise<void> {
  const transaction = (await database()).transaction(['facts', 'settings'], 'readwrite');
  const store = transaction.objectStore('facts');
  for (const fact of facts) void store.put({ id: fact.id, site, fact });
  void transaction.objectStore('settings').put(cursor, `cursor ${site}`);
  await transaction.done;
}

export const keptCursor = async (site: string): Promise<number> => ((await (await database()).get('settings', `cursor ${site}`)) as number | undefined) ?? 0;

/** Forgets what came from the server; the outbox stays. For a server whose data folder was exchanged. */
export async function forgetFacts(site: string): Promise<void> {
  const transaction = (await database()).transaction(['facts', 'settings'], 'readwrite');
  const keys = await transaction.objectStore('facts').index('site').getAllKeys(site);
  for (const key of keys) void transaction.objectStore('facts').delete(key);
  void transaction.objectStore('settings').delete(`cursor ${site}`);
  await transaction.done;
}

/** Whether the kept facts came from another ledger than this one. The first one seen is taken as the one. */
export async function isOtherLedger(site: string, ledger: string): Promise<boolean> {
  const known = (await (await database()).get('settings', `ledger ${site}`)) as string | undefined;
  if (known === undefined) await writeLedger(site, ledger);
  return known !== undefined && known !== ledger;
}

export async function writeLedger(site: string, ledger: string): Promise<void> {
  await (await database()).put('settings', ledger, `ledger ${site}`);
}

/** Name of this browser as a device; made on first use. */
async function deviceName(store: { get: (key: string) => Promise<unknown>; put: (value: unknown, key: string) => Promise<unknown> }): Promise<string> {
  const known = (await store.get('device')) as string | undefined;
  if (known) return known;
  const made = `browser ${[...crypto.getRandomValues(new Uint8Array(4))].map((byte) => byte.toString(16).padStart(2, '0')).join('')}`;
  await store.put(made, 'device');
  return made;
}

export interface Unstamped {
  readonly id: string;
  readonly type: AnyFact['type'];
  readonly at: string;
  readonly by: string;
  readonly body: object;
}

/**
 * Puts facts made here into the outbox, each with its place in this device's sequence. One transaction: all tabs of
 * the browser count on from each other, and a group is kept whole or not at all.
 */
export async function post(site: string, facts: readonly Unstamped[]): Promise<AnyFact[]> {
  const transaction = (await database()).transaction(['outbox', 'settings'], 'readwrite');
  const settings = transaction.objectStore('settings');
  const device = await deviceName(settings);
  let seq = ((await settings.get('seq')) as number | undefined) ?? 0;
  const stamped = facts.map((fact) => ({ ...fact, device, seq: seq++ }) as AnyFact);
  await settings.put(seq, 'seq');
  for (const fact of stamped) await transaction.objectStore('outbox').add({ site, fact, refused: null });
  await transaction.done;
  return stamped;
}

/** A place in the sequence for something that goes to the server directly. */
export async function stamp(): Promise<{ device: string; seq: number }> {
  const transaction = (await database()).transaction(['settings'], 'readwrite');
  const settings = transaction.objectStore('settings');
  const device = await deviceName(settings);
  const seq = ((await settings.get('seq')) as number | undefined) ?? 0;
  await settings.put(seq + 1, 'seq');
  await transaction.done;
  return { device, seq };
}

export async function waiting(): Promise<Waiting[]> {
  const transaction = (await database()).transaction('outbox');
  const [keys, values] = await Promise.all([transaction.store.getAllKeys(), transaction.store.getAll()]);
  return keys.map((key, i) => ({ key, ...values[i]! }));
}

export async function settle(key: number): Promise<void> {
  await (await database()).delete('outbox', key);
}

export async function markRefused(entry: Waiting, reason: string): Promise<void> {
  await (await database()).put('outbox', { site: entry.site, fact: entry.fact, refused: reason }, entry.key);
}

export async function readSetting<T>(key: string): Promise<T | undefined> {
  return (await (await database()).get('settings', `user ${key}`)) as T | undefined;
}

export async function writeSetting(key: string, value: unknown): Promise<void> {
  await (await database()).put('settings', value, `user ${key}`);
}
