/**
 * The facts of the open site in memory, and their traffic with the server. Facts made here show at once and go out
 * in the order they were made; the server may be away as long as it likes.
 */
import {
  instantOf,
  LARGEST_BODY_BYTES,
  MOST_FACTS_AT_ONCE,
  type AnswerOf,
  type AnyFact,
  type Problem,
  type StoredFact,
} from '@idle-marker/contract';
import { stampAfter, now } from './clock.ts';
import { answerIn, AwayError, call, RefusedError, send } from './server.ts';
import { nextTurn } from '../ui/turns.ts';
import * as storage from './storage.ts';
import { newId } from './uuid.ts';

/** Why nothing goes out: nobody answers, something else does, the server has no database, or no room. */
export type Trouble = 'silent' | 'stranger' | 'database' | 'full';

export interface LedgerState {
  readonly site: string | null;
  readonly facts: readonly AnyFact[];
  /** Made here and not confirmed by the server yet; null before they were counted. */
  readonly waiting: number | null;
  readonly refused: readonly { readonly key: number; readonly fact: AnyFact; readonly reason: string }[];
  /** Entries that the server fails on, while it takes others; each is tried again. */
  readonly stuck: readonly { readonly fact: AnyFact; readonly reason: string }[];
  readonly trouble: { readonly what: Trouble; readonly since: string } | null;
  /** Entries that are in this page alone, and why the browser does not keep them. */
  readonly unkept: { readonly count: number; readonly why: storage.StorageFault } | null;
  /** Whether the browser said that it won’t take away by itself what is kept; null while it was not asked. */
  readonly persistent: boolean | null;
  /** Facts that were read so far of a site that is opened for the first time. */
  readonly read: number;
  /** Facts were read at least once, from the browser or the server. */
  readonly loaded: boolean;
}

const EMPTY: LedgerState = {
  site: null,
  facts: [],
  waiting: null,
  refused: [],
  stuck: [],
  trouble: null,
  unkept: null,
  persistent: null,
  read: 0,
  loaded: false,
};
const RETRY_MS = 2000;
const POLL_MS = 5000;
const SOON_MS = 300;

let state = EMPTY;
const listeners = new Set<() => void>();
const known = new Map<string, AnyFact>();
/** Entries of this page that the server has not confirmed, whatever the browser keeps of them. */
const held = new Map<string, { readonly site: string; readonly fact: AnyFact }>();
const stuck = new Map<string, { readonly fact: AnyFact; readonly reason: string }>();
/** Where the reading of the open site goes on, for when the browser keeps no cursor. */
let cursor = 0;
/** Instant of the latest entry of the open site. */
let latest: string | null = null;
let sendingNow = false;
/** Another turn was wanted while one was under way: of another site, or at once. */
let askedMeanwhile = false;
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
/** What was read so far of the open site, also while it is not shown yet. */
export const readSoFar = (): readonly AnyFact[] => (readingOn ? [...known.values()] : state.facts);

const isStored = (fact: AnyFact): fact is StoredFact => 'receivedAt' in fact;
/** The server has put another instant beside the stamp since this page made the entry. */
const isReordered = (fact: AnyFact): boolean => instantOf(fact) !== instantOf(known.get(fact.id)!);

/** Facts that are being read and not shown yet: a site is shown when it is there, not page by page. */
let readingOn = false;

function take(facts: readonly AnyFact[]): void {
  const fresh = facts.filter((fact) => !known.has(fact.id) || isReordered(fact));
  const isLatest = fresh.every((fact) => !known.has(fact.id));
  for (const fact of facts) if (!known.has(fact.id) || isStored(fact)) known.set(fact.id, fact);
  if (fresh.length === 0) return;
  if (!isLatest) latest = null;
  for (const fact of isLatest ? fresh : known.values())
    if (latest === null || Date.parse(instantOf(fact)) > Date.parse(latest)) latest = instantOf(fact);
  show();
}

function show(): void {
  if (readingOn) return;
  performance.mark('facts taken');
  change({ facts: [...known.values()] });
}

/** Opens a site: first what the browser keeps, then what is new on the server. */
export async function openSite(site: string): Promise<void> {
  if (state.site === site) return;
  clearTimeout(timer);
  known.clear();
  readingOn = false;
  latest = null;
  cursor = 0;
  state = { ...EMPTY, site, trouble: state.trouble, persistent: state.persistent };
  // The cursor first: what another page reads on meanwhile is read twice here rather than never.
  const from = await storage.keptCursor(site);
  const kept = await storage.keptFacts(site);
  const outbox = await queue();
  if (state.site !== site) return;
  cursor = from;
  take([...kept, ...outbox.filter((entry) => entry.site === site).map((entry) => entry.fact)]);
  await countWaiting();
  if (kept.length > 0) change({ loaded: true });
  await exchange();
}

/** What waits: as the browser keeps it for all pages, and what is in this page alone. */
async function queue(): Promise<(Omit<storage.Waiting, 'key'> & { readonly key: number | null })[]> {
  const kept = await storage.waiting();
  const there = new Set(kept.map((entry) => entry.fact.id));
  const own = [...held.values()].filter(({ fact }) => !there.has(fact.id));
  return [...kept, ...own.map((entry) => ({ ...entry, key: null, refused: null }))];
}

/** The same counted again is no change: nothing has to be drawn anew for it. */
function changeTo(counted: Pick<LedgerState, 'waiting' | 'refused' | 'stuck' | 'unkept'>): void {
  const isSame = (name: keyof typeof counted) => JSON.stringify(counted[name]) === JSON.stringify(state[name]);
  if (!(['waiting', 'refused', 'stuck', 'unkept'] as const).every(isSame)) change(counted);
}

async function countWaiting(): Promise<void> {
  const outbox = await queue();
  const open = outbox.filter((entry) => entry.refused === null);
  const ids = new Set(open.map(({ fact }) => fact.id));
  for (const id of stuck.keys()) if (!ids.has(id)) stuck.delete(id);
  const why = storage.storageFault();
  const alone = open.filter((entry) => entry.key === null).length;
  changeTo({
    waiting: open.length,
    refused: outbox.flatMap(({ key, site, fact, refused }) =>
      refused !== null && key !== null && site === state.site ? [{ key, fact, reason: refused }] : [],
    ),
    stuck: [...stuck.values()],
    unkept: why !== null && alone > 0 ? { count: alone, why } : null,
  });
}

/** Sends what waits, then reads what is new; comes back by itself. */
async function exchange(): Promise<void> {
  clearTimeout(timer);
  if (sendingNow) {
    askedMeanwhile = true;
    return;
  }
  sendingNow = true;
  askedMeanwhile = false;
  const site = state.site;
  try {
    await keepAgain();
    const full = await sendWaiting();
    if (site) await readNew(site);
    setTrouble(full ? 'full' : null);
  } catch (error) {
    setTrouble(troubleFrom(error));
  } finally {
    sendingNow = false;
    const pause = state.trouble !== null || stuck.size > 0 ? RETRY_MS : (state.waiting ?? 0) > 0 ? SOON_MS : POLL_MS;
    timer = setTimeout(() => void exchange(), askedMeanwhile ? 0 : pause);
  }
}

function setTrouble(what: Trouble | null): void {
  if (what !== (state.trouble?.what ?? null)) change({ trouble: what && { what, since: now().toISOString() } });
}

function troubleFrom(error: unknown): Trouble {
  if (error instanceof AwayError) return error.why;
  if (error instanceof RefusedError) return error.problem.code === 'STORAGE_FULL' ? 'full' : 'database';
  throw error;
}

/** What the browser has taken away while this page was open, or had no room for, is given to it again. */
async function keepAgain(): Promise<void> {
  const emptied = await storage.wasEmptied();
  if (held.size > 0 && (emptied || state.unkept !== null))
    await storage.repost([...held.values()].map((entry) => ({ ...entry, refused: null }))).catch(() => undefined);
  const { site } = state;
  if (emptied && site !== null)
    await storage.keepFacts(site, [...known.values()].filter(isStored), cursor).catch(() => undefined);
  await countWaiting();
}

/** Refusals that are about the entry itself: it will never be taken as it is. */
const FOR_GOOD: ReadonlySet<string> = new Set([
  'INVALID_JSON',
  'INVALID_INPUT',
  'INVALID_NUMBER',
  'INVALID_ID',
  'CONFLICT',
  'SEQUENCE_TAKEN',
  'BODY_TOO_LARGE',
]);

type Outcome =
  { readonly id: string; readonly written: boolean } | { readonly id: string | null; readonly problem: Problem };
const isOutcome = (value: unknown, id: string): value is Outcome => {
  const {
    id: of,
    written,
    problem,
  } = value as { readonly id?: unknown; readonly written?: unknown; readonly problem?: Partial<Problem> };
  return (
    of === id &&
    (typeof written === 'boolean' || (typeof problem?.code === 'string' && typeof problem.detail === 'string'))
  );
};
/** What came of each of the facts, and of no others. */
async function sent(site: string, facts: readonly AnyFact[]): Promise<readonly Outcome[]> {
  const { results } = await call('appendFacts', { site }, { body: { facts: [...facts] } });
  const outcomes = results as readonly unknown[];
  const isOfThese = (each: unknown, i: number): each is Outcome => isOutcome(each, facts[i]!.id);
  if (outcomes.length !== facts.length || !outcomes.every(isOfThese)) throw new AwayError('stranger');
  return outcomes;
}

type Entry = Awaited<ReturnType<typeof queue>>[number];

/** Letters of the facts that are sent together: well within what the server takes at once. */
const LETTERS_AT_ONCE = LARGEST_BODY_BYTES / 4;

/** What waits, in its order, in pieces that are sent at once: each of one site. */
function inBatches(entries: readonly Entry[]): Entry[][] {
  const batches: Entry[][] = [];
  let letters = 0;
  for (const entry of entries) {
    const size = JSON.stringify(entry.fact).length;
    const last = batches.at(-1);
    if (last && last[0]!.site === entry.site && last.length < MOST_FACTS_AT_ONCE && letters + size <= LETTERS_AT_ONCE) {
      last.push(entry);
      letters += size;
    } else {
      batches.push([entry]);
      letters = size;
    }
  }
  return batches;
}

/**
 * Sends what waits: an entry that the server fails on keeps back only what refers to it. True where there is no room.
 */
async function sendWaiting(): Promise<boolean> {
  const open = (await queue()).filter((entry) => entry.refused === null);
  for (const batch of inBatches(open)) {
    const facts = batch.map(({ fact }) => bare(fact));
    try {
      const outcomes = await sent(batch[0]!.site, facts);
      const taken = batch.filter((_, i) => !('problem' in outcomes[i]!));
      for (const { fact } of taken) stuck.delete(fact.id);
      await settle(taken);
      performance.mark('facts sent');
      for (const [i, entry] of batch.entries()) {
        const outcome = outcomes[i]!;
        if ('problem' in outcome) await failed(entry, outcome.problem);
      }
    } catch (error) {
      if (!(error instanceof RefusedError)) throw error;
      const { code } = error.problem;
      if (code === 'DATABASE_AWAY') throw error;
      if (code === 'STORAGE_FULL') return true;
      // Nobody knows what is the matter with which of them.
      for (const entry of batch) await failed(entry, error.problem);
    }
    await countWaiting();
  }
  return false;
}

async function failed(entry: Entry, { code, detail }: Problem): Promise<void> {
  if (FOR_GOOD.has(code)) await refuse(entry, detail);
  // What it refers to may still be under way from another device: it stays in the queue and is tried again.
  else if (code !== 'MISSING_REFERENCE') stuck.set(entry.fact.id, { fact: entry.fact, reason: detail });
}

/** As it was made: what the server has put beside it is not sent back. */
const bare = ({ id, type, at, device, seq, by, body }: AnyFact): AnyFact =>
  ({ id, type, at, device, seq, by, body }) as AnyFact;

async function settle(entries: readonly Entry[]): Promise<void> {
  for (const { fact } of entries) held.delete(fact.id);
  const keys = entries.flatMap(({ key }) => (key === null ? [] : [key]));
  if (keys.length > 0) await storage.settle(keys).catch(() => undefined);
}

async function refuse({ key, site, fact }: Entry, reason: string): Promise<void> {
  try {
    if (key === null) await storage.repost([{ site, fact, refused: reason }]);
    else await storage.markRefused({ key, site, fact, refused: reason }, reason);
    held.delete(fact.id);
  } catch {
    // No room to put it aside: it stays where it is, and is told.
    stuck.set(fact.id, { fact, reason });
  }
}

type Page = AnswerOf<'readFacts'>;

const NOTHING: Page = { facts: [], cursor: 0, more: false, ledger: null };

/** Pages of a site that is opened for the first time: it is shown first, and kept then. */
let toKeep: Page[] = [];

/** Page by page, as long as they are of the site that is open. */
async function keepRead(site: string): Promise<void> {
  const pages = toKeep;
  toKeep = [];
  for (const { facts, cursor: upTo } of pages) {
    await nextTurn();
    if (state.site !== site || cursor < upTo) return;
    await storage.keepFacts(site, facts, upTo).catch(() => undefined);
  }
}

async function readNew(site: string): Promise<void> {
  readingOn = !state.loaded;
  toKeep = [];
  try {
    await readPages(site);
  } finally {
    if (readingOn && state.site === site) {
      readingOn = false;
      if (known.size > state.facts.length) show();
    }
  }
  if (state.site === site && !state.loaded) change({ loaded: true });
  void keepRead(site);
}

const pageAfter = (site: string, after: number): Promise<Response> => {
  const answer = send('readFacts', { site }, { query: { after } });
  // It is waited for later; what goes wrong is told then.
  answer.catch(() => undefined);
  return answer;
};

async function pageIn(site: string, answer: Promise<Response>): Promise<Page> {
  try {
    return await answerIn('readFacts', { site }, await answer);
  } catch (error) {
    // An address that is none has no records; anything else is for whoever asked.
    if (error instanceof RefusedError && error.problem.code === 'INVALID_ID') return NOTHING;
    throw error;
  }
}

async function readPages(site: string): Promise<void> {
  let coming: Promise<Response> | null = pageAfter(site, cursor);
  while (coming) {
    const answer: Promise<Response> = coming;
    // The next page is on its way before this one is read.
    const next = await answer.then(
      ({ headers }) => headers?.get('Next-After') ?? null,
      () => null,
    );
    coming = next === null ? null : pageAfter(site, Number(next));
    const page = await pageIn(site, answer);
    if (state.site !== site) return;
    if (page.ledger !== null && (await storage.isOtherLedger(site, page.ledger))) {
      await startOver(site, page.ledger);
      coming = pageAfter(site, cursor);
      continue;
    }
    if (page.facts.length > 0 && readingOn) toKeep.push(page);
    else if (page.facts.length > 0) await storage.keepFacts(site, page.facts, page.cursor).catch(() => undefined);
    if (state.site !== site) return;
    cursor = page.cursor;
    take(page.facts);
    if (readingOn) change({ read: known.size });
    coming ??= page.more ? pageAfter(site, cursor) : null;
  }
}

/** The server's data was exchanged: what the browser kept of it is worth nothing, what waits in the outbox is. */
async function startOver(site: string, ledger: string): Promise<void> {
  await storage.forgetFacts(site).catch(() => undefined);
  await storage.writeLedger(site, ledger).catch(() => undefined);
  if (state.site !== site) return;
  known.clear();
  latest = null;
  cursor = 0;
  change({ facts: [] });
  take((await queue()).filter((entry) => entry.site === site).map((entry) => entry.fact));
}

/** Tries at once instead of at the next turn of the clock. */
export const tryNow = (): void => void exchange();

export interface Said {
  readonly type: AnyFact['type'];
  readonly body: object;
  /** Id to use; a new one otherwise. */
  readonly id?: string;
}

/**
 * Keeps facts made here, shows them, and sends them on their way. Resolves when they are safe in the browser; where it
 * has no room for them they are in this page until the server has them, and the ledger says so.
 */
export async function say(site: string, by: string, facts: readonly Said[]): Promise<AnyFact[]> {
  const at = stampAfter(state.site === site ? latest : null);
  const unstamped = facts.map(({ type, body, id }) => ({ id: id ?? newId(), type, at, by, body }));
  const stamped = await storage
    .post(site, unstamped)
    .catch(() => unstamped.map((fact) => ({ ...fact, ...storage.ownStamp() }) as AnyFact));
  for (const fact of stamped) held.set(fact.id, { site, fact });
  if (state.site === site) take(stamped);
  await countWaiting();
  void exchange();
  if (state.persistent === null) void storage.askToKeep().then((persistent) => change({ persistent }));
  return stamped;
}

/**
 * Resolves once the server has everything that was said here, or does not take it at the moment: what hangs on it may
 * be asked for.
 */
export function untilSent(): Promise<void> {
  return new Promise((resolve) => {
    const look = () => {
      if (state.waiting !== 0 && state.trouble === null && stuck.size === 0) return;
      stop();
      resolve();
    };
    const stop = subscribe(look);
    look();
  });
}

/** A refused fact that a person has seen is taken off the list. */
export async function dismissRefused(key: number): Promise<void> {
  await storage.settle([key]);
  await countWaiting();
}
