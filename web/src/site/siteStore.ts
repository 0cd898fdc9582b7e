/**
 * The open site as it is folded and judged, outside of any rendering. Each step is a turn of its own, so that nothing
 * that is being drawn or touched waits for more than one of them; what is shown is always a state with the judgement of
 * that very state.
 */
import type { TrustResult } from '@idle-marker/core';
import type { AnyFact } from '@idle-marker/contract';
import {
  checkOf,
  foldSite,
  newSiteTrustMemory,
  siteTrustSteps,
  trustOf,
  type SiteFold,
  type SiteState,
  type SiteTrustMemory,
} from '@idle-marker/records';
import { now } from '../data/clock.ts';
import * as ledger from '../data/ledger.ts';
import { inTurns, nextTurn } from '../ui/turns.ts';

export interface JudgedSite {
  readonly state: SiteState;
  readonly trust: TrustResult;
  /** What the clock said when it was judged. */
  readonly instant: Date;
  /**
   * The instant that it was judged at: a fact made since the clock was read must not lie in the future of the
   * judgement.
   */
  readonly at: Date;
}

interface Open {
  readonly id: string | null;
  readonly site: JudgedSite | null;
  /** Why what the ledger holds can’t be shown; null while it can. */
  readonly failure: Error | null;
}

/** Renewed twice a minute. */
const JUDGE_EVERY_MS = 30_000;

let open: Open = { id: null, site: null, failure: null };
let fold: SiteFold | null = null;
let trustMemory: SiteTrustMemory = newSiteTrustMemory();
let working = false;
let again = false;
const listeners = new Set<() => void>();

export const siteSnapshot = (): Open => open;
export function subscribeToSite(listener: () => void): () => void {
  listeners.add(listener);
  return () => listeners.delete(listener);
}

function show(next: Open): void {
  open = next;
  for (const listener of listeners) listener();
}

const instantFor = (state: SiteState, instant: Date): Date =>
  new Date(Math.max(instant.getTime(), Date.parse(state.timeline.at(-1)!.at)));

/** A state with its judgement, all at once. */
export function judgedSite(state: SiteState, instant: Date = now()): JudgedSite {
  const at = instantFor(state, instant);
  return { state, trust: trustOf(state, at.toISOString()), instant, at };
}

async function judge(state: SiteState): Promise<JudgedSite> {
  const instant = now();
  const at = instantFor(state, instant);
  return { state, trust: await inTurns(siteTrustSteps(state, at.toISOString(), trustMemory)), instant, at };
}

/** What every place asks of each station, so that none of them has to wait for it. */
function* checkStations(state: SiteState): Generator<void, void> {
  for (const station of state.accepted) {
    checkOf(state, station);
    yield;
  }
}

/** One turn after the other; null where no fact tells what site it is. */
async function judged(facts: readonly AnyFact[]): Promise<JudgedSite | null> {
  await nextTurn();
  if (!facts.some((fact) => fact.type === 'site')) return null;
  fold = foldSite(facts, fold);
  await nextTurn();
  const site = await judge(fold.state);
  await nextTurn();
  await inTurns(checkStations(fold.state));
  return site;
}

/** Folds and judges what the ledger holds, and once more if it held something else meanwhile. */
async function renew(): Promise<void> {
  again = true;
  if (working) return;
  working = true;
  try {
    while (again) {
      again = false;
      const { site } = ledger.snapshot();
      const facts = ledger.readSoFar();
      // While pages come they are gone on with; what is shown is all of them.
      const isWhole = facts === ledger.snapshot().facts;
      if (site !== open.id) {
        [fold, trustMemory] = [null, newSiteTrustMemory()];
        show({ id: site, site: null, failure: null });
      }
      const next = await judged(facts).then(
        (found): Open => ({ id: site, site: found, failure: null }),
        (error: unknown): Open => {
          // What was made so far may be half of something.
          [fold, trustMemory] = [null, newSiteTrustMemory()];
          return { id: site, site: null, failure: error instanceof Error ? error : new Error(String(error)) };
        },
      );
      if (isWhole && ledger.snapshot().site === site) show(next);
    }
  } finally {
    working = false;
  }
}

let seen: Pick<ledger.LedgerState, 'site' | 'facts' | 'read'> = { site: null, facts: [], read: 0 };
ledger.subscribe(() => {
  const { site, facts, read } = ledger.snapshot();
  // While pages come: when there are twice as many as the last time.
  if (site === seen.site && facts === seen.facts && read < 2 * seen.read) return;
  if (site === seen.site && facts === seen.facts && read === seen.read) return;
  seen = { site, facts, read };
  void renew();
});
setInterval(() => void renew(), JUDGE_EVERY_MS);

/** Resolves when what is shown has these facts. */
export function untilShown(ids: readonly string[]): Promise<void> {
  const { site } = ledger.snapshot();
  return new Promise((resolve) => {
    const look = () => {
      const { site: shown } = open;
      // Where nothing is shown, or something else by now, nobody looks for them.
      if (shown !== null && ledger.snapshot().site === site && !ids.every((id) => shown.state.byId.has(id))) return;
      stop();
      resolve();
    };
    const stop = subscribeToSite(look);
    look();
  });
}
