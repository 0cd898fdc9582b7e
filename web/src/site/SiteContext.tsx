import { createContext, useContext, useEffect, useMemo, useState, type ReactNode } from 'react';
import type { TrustResult } from '@idle-marker/core';
import { CLOCKS_AGREE_MS, type AnyFact, type Fact } from '@idle-marker/contract';
import {
  currentOccupation,
  pairedInForce,
  sameAsBefore,
  siteState,
  solutionInForce,
  trustOf,
  type AcceptedSolution,
  type PairedSolution,
  type SiteState,
} from '@idle-marker/records';
import { now } from '../ledger/clock.ts';
import { openSite, say, type Said } from '../ledger/ledger.ts';
import { sendBeside } from '../ledger/beside.ts';
import { useLedger } from '../ledger/useLedger.ts';
import { readSetting, writeSetting } from '../ledger/storage.ts';

export interface OpenSite {
  readonly id: string;
  readonly state: SiteState;
  readonly trust: TrustResult;
  readonly inForce: AcceptedSolution | null;
  readonly occupation: Fact<'occupation'> | null;
  /** Heights that are worked from with a receiver; null where a station is, or nothing yet. */
  readonly paired: PairedSolution | null;
  /** Member who works at this device. */
  readonly who: string;
  /** Instant of the last judgement, renewed twice a minute. */
  readonly now: Date;
  /** Instant of the last entry, where this device's clock is that far behind it that what is said now would be put before it. */
  readonly clockBehind: string | null;
  /** The facts as they are kept; a revision that says nothing new is not made, and the one before stands in its place. */
  say(...facts: Said[]): Promise<AnyFact[]>;
}

const Context = createContext<OpenSite | null>(null);

export function useSite(): OpenSite {
  const site = useContext(Context);
  if (!site) throw new Error('useSite outside of a site');
  return site;
}

const JUDGE_EVERY_MS = 30_000;

function useNow(): Date {
  const [instant, setInstant] = useState(now);
  useEffect(() => {
    const timer = setInterval(() => setInstant(now()), JUDGE_EVERY_MS);
    return () => clearInterval(timer);
  }, []);
  return instant;
}

/** State of the site that the ledger holds, folded and judged. Null until facts are there. */
export function useSiteState(id: string): { state: SiteState | null; loaded: boolean } {
  const ledger = useLedger();
  useEffect(() => {
    void openSite(id);
  }, [id]);
  const facts = ledger.site === id ? ledger.facts : null;
  const state = useMemo(() => (facts?.some((fact) => fact.type === 'site') ? siteState(facts) : null), [facts]);
  return { state, loaded: ledger.site === id && ledger.loaded };
}

export function SiteProvider({ id, state, who, children }: { id: string; state: SiteState; who: string; children: ReactNode }) {
  const instant = useNow();
  useEffect(() => {
    void sendBeside(id, 'images');
    void sendBeside(id, 'sources');
  }, [id, instant]);
  const value = useMemo((): OpenSite => {
    // A fact made since the clock was last read must not lie in the future of the judgement.
    const last = state.timeline.at(-1)!.at;
    const latest = new Date(Math.max(instant.getTime(), Date.parse(last)));
    const trust = trustOf(state, latest.toISOString());
    const occupation = currentOccupation(state);
    return {
      id,
      state,
      trust,
      inForce: solutionInForce(state, trust),
      occupation,
      paired: pairedInForce(state, occupation),
      who,
      now: latest,
      clockBehind: latest.getTime() - instant.getTime() > CLOCKS_AGREE_MS ? last : null,
      say: async (...facts) => {
        // A dialog that was opened and kept as it was tells nothing.
        const same = facts.map((fact) => sameAsBefore(state.timeline, fact));
        const said = facts.some((_, i) => same[i] === null)
          ? await say(
              id,
              who,
              facts.filter((_, i) => same[i] === null),
            )
          : [];
        return facts.map((_, i) => same[i] ?? said.shift()!);
      },
    };
  }, [id, state, who, instant]);
  return <Context value={value}>{children}</Context>;
}

/** Who works on this site at this device; remembered. */
export function useWho(site: string): [string | null | undefined, (member: string) => void] {
  const [who, setWho] = useState<string | null | undefined>(undefined);
  useEffect(() => {
    setWho(undefined);
    void readSetting<string>(`who ${site}`).then((member) => setWho(member ?? null));
  }, [site]);
  return [
    who,
    (member) => {
      setWho(member);
      void writeSetting(`who ${site}`, member);
    },
  ];
}
