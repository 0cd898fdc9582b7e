/**
 * What the browser keeps: facts as the server gave them (append-only, so never stale), and the outbox of facts made
 * here that the server has not confirmed. Both outlive a reload and a closed tab.
 */
import { openDB, type DBSchema, type IDBPDatabase, type IDBPTransaction } from 'idb';
import type { AnyFact, StoredFact } from '@idle-marker/contract';

export interface Waiting {
  readonly key: number;
  readonly site: string;
  readonly fact: AnyFact;
  /** Why the server refused it for good; it stays here until a person has seen it. */
  readonly refused: string | null;
}

interface Schema extends DBSchema {
  /** Some facts of a site, as JSON: by the site, the cursor that they were read up to, and which part of them. */
  pages: { key: [site: string, cursor: number, part: number]; value: string };
  outbox: { key: number; value: Omit<Waiting, 'key'> };
  settings: { key: string; value: unknown };
}

type Database = IDBPDatabase<Schema>;
let opened: Promise<Database> | null = null;
/** It was opened by this page before: whatever is made anew after that was taken away meanwhile. */
let wasOpen = false;
let emptied = false;
/** Why the browser does not keep what is given to it; null while it does. */
let fault: StorageFault | null = null;

/** No room is left for this page, or there is no storage at all, as in some private windows. */
export type StorageFault = 'full' | 'closed';
export const storageFault = (): StorageFault | null => fault;

function database(): Promise<Database> {
  opened ??= openDB<Schema>('idle-marker', 2, {
    async upgrade(db, before, _, transaction) {
      emptied ||= wasOpen;
      db.createObjectStore('pages');
      if (before === 0) {
        db.createObjectStore('outbox', { autoIncrement: true });
        db.createObjectStore('settings');
      } else await fromSingleFacts(db as unknown as IDBPDatabase, transaction as unknown as Upgrade);
    },
    // Cleared by the person or the browser: the next use opens it anew.
    terminated: () => (opened = null),
    blocking: (_current, _blocked, event) => {
      opened = null;
      (event.target as IDBDatabase).close();
    },
  }).then((db) => {
    wasOpen = true;
    return db;
  });
  opened.catch(() => (opened = null));
  return opened;
}

type Upgrade = IDBPTransaction<unknown, string[], 'versionchange'>;

/** The first form kept each fact by itself. */
async function fromSingleFacts(db: IDBPDatabase, transaction: Upgrade): Promise<void> {
  const bySite = new Map<string, StoredFact[]>();
  for (const { site, fact } of (await transaction.objectStore('facts').getAll()) as {
    site: string;
    fact: StoredFact;
  }[]) {
    const facts = bySite.get(site) ?? [];
    facts.push(fact);
    bySite.set(site, facts);
  }
  for (const [site, facts] of bySite) {
    const cursor = ((await transaction.objectStore('settings').get(`cursor ${site}`)) as number | undefined) ?? 0;
    for (const [key, page] of pagesOf(site, facts, cursor)) await transaction.objectStore('pages').put(page, key);
  }
  db.deleteObjectStore('facts');
}

/** Taken apart again between two frames. */
const FACTS_A_PAGE = 1000;

function pagesOf(
  site: string,
  facts: readonly StoredFact[],
  cursor: number,
): [key: [string, number, number], page: string][] {
  const count = Math.ceil(facts.length / FACTS_A_PAGE);
  return Array.from({ length: count }, (_, i) => [
    [site, cursor, i],
    JSON.stringify(facts.slice(i * FACTS_A_PAGE, (i + 1) * FACTS_A_PAGE)),
  ]);
}

const pagesOfSite = (site: string): IDBKeyRange => IDBKeyRange.bound([site], [site, []]);

/** Uses what the browser keeps; a connection that was closed under it is opened once more. */
async function using<T>(act: (db: Database) => Promise<T>): Promise<T> {
  try {
    let result: T;
    try {
      result = await act(await database());
    } catch (error) {
      if (nameOf(error) !== 'InvalidStateError' && nameOf(error) !== 'AbortError') throw error;
      opened = null;
      result = await act(await database());
    }
    return result;
  } catch (error) {
    fault = nameOf(error) === 'QuotaExceededError' ? 'full' : 'closed';
    throw error;
  }
}

const nameOf = (error: unknown): string => (error instanceof Error || error instanceof DOMException ? error.name : '');

/** Uses it for writing: what goes through shows that there is room. */
async function writing<T>(act: (db: Database) => Promise<T>): Promise<T> {
  const result = await using(act);
  fault = null;
  return result;
}

/** Reads what is kept; what can not be read is not there. */
const reading = <T>(act: (db: Database) => Promise<T>, otherwise: T): Promise<T> => using(act).catch(() => otherwise);

const IN_USE = 'in use';

/**
 * Whether everything was taken away since this page began to keep it; the next time it says so only if that happens
 * again.
 */
export async function wasEmptied(): Promise<boolean> {
  const here = await reading((db) => db.get('settings', IN_USE), true);
  const gone = emptied || (here === undefined && wasMarked);
  emptied = false;
  if (here === undefined) await writing((db) => db.put('settings', true, IN_USE)).catch(() => undefined);
  wasMarked = true;
  return gone;
}
let wasMarked = false;

/** Asks the browser not to take it away by itself; null where it can’t be asked. */
export async function askToKeep(): Promise<boolean | null> {
  if (!('storage' in navigator) || !('persist' in navigator.storage)) return null;
  return navigator.storage.persist().catch(() => null);
}

/** Small pages, as they come while work goes on, are put together when there are more of them than this. */
const MOST_PAGES = 200;

/** Page by page: each is taken apart in a turn of its own. */
export async function keptFacts(site: string): Promise<StoredFact[]> {
  // In one transaction: another page of this browser may put small ones together meanwhile.
  const { facts, keys } = await reading(
    async (db) => {
      const { store } = db.transaction('pages');
      const here = await store.getAllKeys(pagesOfSite(site));
      const found: StoredFact[] = [];
      for (const key of here)
        for (const fact of JSON.parse((await store.get(key)) ?? '[]') as StoredFact[]) found.push(fact);
      return { facts: found, keys: here };
    },
    { facts: [], keys: [] },
  );
  if (keys.length > MOST_PAGES) await putTogether(site, facts, keys).catch(() => undefined);
  return facts;
}

async function putTogether(
  site: string,
  facts: readonly StoredFact[],
  keys: readonly [string, number, number][],
): Promise<void> {
  const unique = [...new Map(facts.map((fact) => [fact.id, fact])).values()];
  const last = Math.max(...keys.map(([, cursor]) => cursor));
  await writing((db) => {
    const transaction = db.transaction('pages', 'readwrite');
    const requests = keys.map((key) => transaction.store.delete(key));
    return Promise.all([
      ...requests,
      ...pagesOf(site, unique, last).map(([key, page]) => transaction.store.put(page, key)),
      transaction.done,
    ]);
  });
}

/** Keeps facts from the server with the cursor to read on from. */
export async function keepFacts(site: string, facts: readonly StoredFact[], cursor: number): Promise<void> {
  await writing((db) => {
    const transaction = db.transaction(['pages', 'settings'], 'readwrite');
    const pages = pagesOf(site, facts, cursor).map(([key, page]) => transaction.objectStore('pages').put(page, key));
    return Promise.all([...pages, transaction.objectStore('settings').put(cursor, `cursor ${site}`), transaction.done]);
  });
}

export const keptCursor = async (site: string): Promise<number> =>
  ((await reading((db) => db.get('settings', `cursor ${site}`), undefined)) as number | undefined) ?? 0;

/** Forgets what came from the server; the outbox stays. For a server whose data folder was exchanged. */
export async function forgetFacts(site: string): Promise<void> {
  await writing(async (db) => {
    const transaction = db.transaction(['pages', 'settings'], 'readwrite');
    await Promise.all([
      transaction.objectStore('pages').delete(pagesOfSite(site)),
      transaction.objectStore('settings').delete(`cursor ${site}`),
      transaction.done,
    ]);
  });
}

/** Whether the kept facts came from another ledger than this one. The first one seen is taken as the one. */
export async function isOtherLedger(site: string, ledger: string): Promise<boolean> {
  const known = (await reading((db) => db.get('settings', `ledger ${site}`), undefined)) as string | undefined;
  if (known === undefined) await writeLedger(site, ledger).catch(() => undefined);
  return known !== undefined && known !== ledger;
}

export async function writeLedger(site: string, ledger: string): Promise<void> {
  await writing((db) => db.put('settings', ledger, `ledger ${site}`));
}

const nameOfDevice = (kind: string): string =>
  `${kind} ${[...crypto.getRandomValues(new Uint8Array(4))].map((byte) => byte.toString(16).padStart(2, '0')).join('')}`;

/** Name of this browser as a device; made on first use. */
async function deviceName(store: {
  get: (key: string) => Promise<unknown>;
  put: (value: unknown, key: string) => Promise<unknown>;
}): Promise<string> {
  const known = (await store.get('device')) as string | undefined;
  if (known) return known;
  const made = nameOfDevice('browser');
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
  return writing(async (db) => {
    const transaction = db.transaction(['outbox', 'settings'], 'readwrite');
    const done = transaction.done.then(
      () => null,
      (error: unknown) => error,
    );
    const put = async () => {
      const settings = transaction.objectStore('settings');
      const device = await deviceName(settings);
      let seq = ((await settings.get('seq')) as number | undefined) ?? 0;
      const stamped = facts.map((fact) => ({ ...fact, device, seq: seq++ }) as AnyFact);
      await settings.put(seq, 'seq');
      for (const fact of stamped) await transaction.objectStore('outbox').add({ site, fact, refused: null });
      return stamped;
    };
    const stamped = await put().catch((error: unknown) => error);
    // Why the whole of it failed tells more than why a piece of it was called off.
    const failure = (await done) ?? (Array.isArray(stamped) ? null : stamped);
    if (failure !== null) throw failure as Error;
    return stamped as AnyFact[];
  });
}

/** Puts facts that are stamped already into the outbox, unless they are there. */
export async function repost(entries: readonly Omit<Waiting, 'key'>[]): Promise<void> {
  await writing(async (db) => {
    const transaction = db.transaction('outbox', 'readwrite');
    const there = new Set((await transaction.store.getAll()).map((entry) => entry.fact.id));
    await Promise.all([
      ...entries.filter(({ fact }) => !there.has(fact.id)).map((entry) => transaction.store.add(entry)),
      transaction.done,
    ]);
  });
}

/** A place in the sequence for something that goes to the server directly. */
export async function stamp(): Promise<{ device: string; seq: number }> {
  return writing(async (db) => {
    const transaction = db.transaction(['settings'], 'readwrite');
    const settings = transaction.objectStore('settings');
    const device = await deviceName(settings);
    const seq = ((await settings.get('seq')) as number | undefined) ?? 0;
    await settings.put(seq + 1, 'seq');
    await transaction.done;
    return { device, seq };
  }).catch(ownStamp);
}

/** The name and the count of this page alone, where the browser keeps neither. */
const ownDevice = nameOfDevice('page');
let ownSeq = 0;
export const ownStamp = (): { device: string; seq: number } => ({ device: ownDevice, seq: ownSeq++ });

export const waiting = (): Promise<Waiting[]> =>
  reading(async (db) => {
    const transaction = db.transaction('outbox');
    const [keys, values] = await Promise.all([transaction.store.getAllKeys(), transaction.store.getAll()]);
    return keys.map((key, i) => ({ key, ...values[i]! }));
  }, []);

export async function settle(keys: readonly number[]): Promise<void> {
  await writing((db) => {
    const transaction = db.transaction('outbox', 'readwrite');
    return Promise.all([...keys.map((key) => transaction.store.delete(key)), transaction.done]);
  });
}

export async function markRefused(entry: Waiting, reason: string): Promise<void> {
  await writing((db) => db.put('outbox', { site: entry.site, fact: entry.fact, refused: reason }, entry.key));
}

/** What this page has written, for when the browser takes it away or has no room for it. */
const settingsHere = new Map<string, unknown>();

export async function readSetting<T>(key: string): Promise<T | undefined> {
  const kept = await reading((db) => db.get('settings', `user ${key}`), undefined);
  return (kept === undefined ? settingsHere.get(key) : kept) as T | undefined;
}

/** Keeps something small; the page goes on with it where the browser does not. */
export async function writeSetting(key: string, value: unknown): Promise<void> {
  settingsHere.set(key, value);
  await writing((db) => db.put('settings', value, `user ${key}`)).catch(() => undefined);
}

/** Bytes are kept by the browser or not at all: a page has no room for all of them. */
export const readBytes = <T>(key: string): Promise<T | undefined> =>
  reading((db) => db.get('settings', `user ${key}`), undefined) as Promise<T | undefined>;

export async function writeBytes(key: string, value: unknown): Promise<void> {
  await writing((db) => db.put('settings', value, `user ${key}`));
}
