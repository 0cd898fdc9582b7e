/**
 * The facts of the open site in memory, and their traffic with the server. Facts made here show at once and go out
 * in the order they were made; the server may be away as long as it likes.
 */
import type { AnyFact, Problem, StoredFact } from '@idle-marker/contract';
import { stampAfter, now } from './clock.ts';
import * as storage from './storage.ts';
import { newId } from './uuid.ts';

export interface LedgerState {
  readonly site: string | null;
  readonly facts: readonly AnyFact[];
  /** Made here and not confirmed by the server yet. */
  readonly waiting: number;
  readonly refused: readonly { readonly key: number; readonly fact: AnyFact; readonly reason: string }[];
  /** Whether the last try reached the database, and since when it has not. */
  readonly awaySince: string | null;
  /** Facts were read at least once, from the browser or the server. */
  readonly loaded: boolean;
}

const EMPTY: LedgerState = { site: null, facts: [], waiting: 0, refused: [], awaySince: null, loaded: false };
const RETRY_MS = 2000;
const POLL_MS = 5000;
const SOON_MS = 300;

let state = EMPTY;
const listeners = new Set<() => void>();
const known = new Map<string, AnyFact>();
/** Instant of the latest entry of the open site. */
let latest: string | null = null;
let sending = false;
let timer: ReturnType<typeof setTimeout> | undefined;

function change(next: Partial<LedgerState>): void {
  state = { ...state, ...next };
  for (const listener of listeners) listener();
}

export const subscribe = (listener: () => void): (() => void) => {
  listeners.add(listener);
  return () => listeners.delete(listener);
};
export const snapshot = (): LedgerState => state;

function take(facts: readonly AnyFact[]): void {
  const fresh = facts.filter((fact) => !known.has(fact.id));
  if (fresh.length === 0) return;
  for (const fact of fresh) {
    known.set(fact.id, fact);
    if (latest === null || Date.parse(fact.at) > Date.parse(latest)) latest = fact.at;
  }
  change({ facts: [...known.values()] });
}

/** Opens a site: first what the browser keeps, then what is new on the server. */
export async function openSite(site: string): Promise<void> {
  if (state.site === site) return;
  clearTimeout(timer);
  known.clear();
  latest = null;
  state = { ...EMPTY, site, awaySince: state.awaySince };
  const kept = await storage.keptFacts(site);
  const outbox = await storage.waiting();
  if (state.site !== site) return;
  take([...kept, ...outbox.filter((entry) => entry.site === site).map((entry) => entry.fact)]);
  await countWaiting();
  if (kept.length > 0) change({ loaded: true });
  await exchange();
}

async function countWaiting(): Promise<void> {
  const outbox = (await storage.waiting()).filter((entry) => entry.refused === null || entry.site === state.site);
  change({
    waiting: outbox.filter((entry) => entry.refused === null).length,
    refused: outbox.filter((entry) => entry.refused !== null).map((entry) => ({ key: entry.key, fact: entry.fact, reason: entry.refused! })),
  });
}

/** Sends what waits, then reads what is new; comes back by itself. */
async function exchange(): Promise<void> {
  clearTimeout(timer);
  if (sending) return;
  sending = true;
  const site = state.site;
  try {
    await sendWaiting();
    if (site) await readNew(site);
    if (state.awaySince !== null) change({ awaySince: null });
  } catch (error) {
    if (!(error instanceof AwayError)) throw error;
    change({ awaySince: state.awaySince ?? now().toISOString() });
  } finally {
    sending = false;
    const pause = state.awaySince !== null ? RETRY_MS : state.waiting > 0 ? SOON_MS : POLL_MS;
    timer = setTimeout(() => void exchange(), pause);
  }
}

class AwayError extends Error {}

async function call(url: string, init?: RequestInit): Promise<Response> {
  const response = await fetch(url, init).catch(() => null);
  if (!response || response.status >= 500) throw new AwayError();
  return response;
}

async function sendWaiting(): Promise<void> {
  for (const entry of await storage.waiting()) {
    if (entry.refused !== null) continue;
    const response = await call(`/api/v1/sites/${entry.site}/facts/${entry.fact.id}`, {
      method: 'PUT',
      headers: { 'Content-Type': 'application/json' },
      body: JSON.stringify(entry.fact),
    });
    if (response.ok) await storage.settle(entry.key);
    else await refuse(entry, response);
    await countWaiting();
  }
}

async function refuse(entry: storage.Waiting, response: Response): Promise<void> {
  const problem = (await response.json().catch(() => null)) as Problem | null;
  // What it refers to may still be under way from another device: it stays in the queue and is tried again.
  if (problem?.code === 'MISSING_REFERENCE') return;
  await storage.markRefused(entry, problem?.detail ?? `The server answered ${response.status}.`);
}

interface Page {
  readonly facts: StoredFact[];
  readonly cursor: number;
  readonly more: boolean;
  /** Which ledger of this site answers; another one means that the server's data was exchanged. */
  readonly ledger: string | null;
}

async function readNew(site: string): Promise<void> {
  for (let more = true; more;) {
    const after = await storage.keptCursor(site);
    const response = await call(`/api/v1/sites/${site}/facts?after=${after}`);
    if (!response.ok) return;
    const page = (await response.json()) as Page;
    if (page.ledger !== null && (await storage.isOtherLedger(site, page.ledger))) {
      await startOver(site, page.ledger);
      continue;
    }
    if (page.facts.length > 0) await storage.keepFacts(site, page.facts, page.cursor);
    if (state.site !== site) return;
    take(page.facts);
    more = page.more;
  }
  if (!state.loaded) change({ loaded: true });
}

/** The server's data was exchanged: what the browser kept of it is worth nothing, what waits in the outbox is. */
async function startOver(site: string, ledger: string): Promise<void> {
  await storage.forgetFacts(site);
  await storage.writeLedger(site, ledger);
  if (state.site !== site) return;
  known.clear();
  latest = null;
  change({ facts: [] });
  take((await storage.waiting()).filter((entry) => entry.site === site).map((entry) => entry.fact));
}

/** Tries at once instead of at the next turn of the clock. */
export const tryNow = (): void => void exchange();

export interface Said {
  readonly type: AnyFact['type'];
  readonly body: object;
  /** Id to use; a new one otherwise. */
  readonly id?: string;
}

/** Keeps facts made here, shows them, and sends them on their way. Resolves when they are safe in the browser. */
export async function say(site: string, by: string, facts: readonly Said[]): Promise<AnyFact[]> {
  const at = stampAfter(state.site === site ? latest : null);
  const stamped = await storage.post(
    site,
    facts.map(({ type, body, id }) => ({ id: id ?? newId(), type, at, by, body })),
  );
  if (state.site === site) take(stamped);
  await countWaiting();
  void exchange();
  return stamped;
}

/** A refused fact that a person has seen is taken off the list. */
export async function dismissRefused(key: number): Promise<void> {
  await storage.settle(key);
  await countWaiting();
}
