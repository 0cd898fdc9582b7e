/**
 * The open site as it is folded and judged, outside of any rendering. Each step is a turn of its own, so that nothing that is being
 * drawn or touched waits for more than one of them; what is shown is always a state with the judgement of that very state.
 */
import type { TrustResult } from '@idle-marker/core';
import { foldSite, newSiteTrustMemory, siteTrustSteps, trustOf, type SiteFold, type SiteState, type SiteTrustMemory } from '@idle-marker/records';
import { now } from '../ledger/clock.ts';
import * as ledger from '../ledger/ledger.ts';

export interface JudgedSite {
  readonly state: SiteState;
  readonly trust: TrustResult;
  /** What the clock said when it was judged. */
  readonly instant: Date;
  /** The instant that it was judged at: a fact made since the clock was read must not lie in the future of the judgement. */
  readonly at: Date;
}

interface Open {
  readonly id: string | null;
  readonly site: JudgedSite | null;
}

/** Renewed twice a minute. */
const JUDGE_EVERY_MS = 30_000;
/** A turn is given back after this. */
const TURN_MS = 8;

let open: Open = { id: null, site: null };
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

const channel = new MessageChannel();
const turns: (() => void)[] = [];
channel.port1.onmessage = () => turns.shift()?.();
const nextTurn = (): Promise<void> =>
  new Promise((resolve) => {
    turns.push(resolve);
    channel.port2.postMessage(null);
  });

const instantFor = (state: SiteState, instant: Date): Date => new Date(Math.max(instant.getTime(), Date.parse(state.timeline.at(-1)!.at)));

/** A state with its judgement, all at once. */
export function judgedSite(state: SiteState, instant: Date = now()): JudgedSite {
  const at = instantFor(state, instant);
  return { state, trust: trustOf(state, at.toISOString()), instant, at };
}

async function judge(state: SiteState): Promise<JudgedSite> {
  const instant = now();
  const at = instantFor(state, instant);
  const steps = siteTrustSteps(state, at.toISOString(), trustMemory);
  for (let began = performance.now(); ;) {
    const step = steps.next();
    if (step.done) return { state, trust: step.value, instant, at };
    if (performance.now() - began < TURN_MS) continue;
    await nextTurn();
    began = performance.now();
  }
}

/** Folds and judges what the ledger holds, and once more if it held something else meanwhile. */
async function renew(): Promise<void> {
  again = true;
  if (working) return;
  working = true;
  try {
    while (again) {
      again = false;
      const { site, facts } = ledger.snapshot();
      if (site !== open.id) {
        [fold, trustMemory] = [null, newSiteTrustMemory()];
        show({ id: site, site: null });
      }
      await nextTurn();
      if (!facts.some((fact) => fact.type === 'site')) continue;
      fold = foldSite(facts, fold);
      await nextTurn();
      const judged = await judge(fold.state);
      await nextTurn();
      if (ledger.snapshot().site === site) show({ id: site, site: judged });
    }
  } finally {
    working = false;
  }
}

let seen: Pick<ledger.LedgerState, 'site' | 'facts'> = { site: null, facts: [] };
ledger.subscribe(() => {
  const { site, facts } = ledger.snapshot();
  if (site === seen.site && facts === seen.facts) return;
  seen = { site, facts };
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
