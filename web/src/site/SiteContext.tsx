import { createContext, useContext, useEffect, useMemo, useState, useSyncExternalStore, type ReactNode } from 'react';
import type { TrustResult } from '@idle-marker/core';
import { CLOCKS_AGREE_MS, type AnyFact, type Fact } from '@idle-marker/contract';
import {
  currentOccupation,
  pairedInForce,
  sameAsBefore,
  solutionInForce,
  type AcceptedSolution,
  type PairedSolution,
  type SiteState,
} from '@idle-marker/records';
import { openSite, say, type Said } from '../data/ledger.ts';
import { UnitsContext, unitsOf } from '../field/useUnits.ts';
import { sendBeside } from '../data/beside.ts';
import { useLedger } from '../data/useLedger.ts';
import { readSetting, writeSetting } from '../data/storage.ts';
import { siteSnapshot, subscribeToSite, untilShown, type JudgedSite } from './siteStore.ts';

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
  /**
   * Instant of the last entry, where this device's clock is that far behind it that what is said now would be put
   * before it.
   */
  readonly clockBehind: string | null;
  /**
   * The facts as they are kept; a revision that says nothing new is not made, and the one before stands in its place.
   */
  say(...facts: Said[]): Promise<AnyFact[]>;
}

const Context = createContext<OpenSite | null>(null);

export function useSite(): OpenSite {
  const site = useContext(Context);
  if (!site) throw new Error('useSite outside of a site');
  return site;
}

/** The site that the ledger holds, folded and judged. Null until facts are there. */
export function useJudgedSite(id: string): { judged: JudgedSite | null; loaded: boolean } {
  const ledger = useLedger();
  const open = useSyncExternalStore(subscribeToSite, siteSnapshot);
  useEffect(() => {
    void openSite(id);
  }, [id]);
  // The page says so, as of anything that goes wrong while it is drawn.
  if (open.id === id && open.failure) throw open.failure;
  const isLoaded = ledger.site === id && ledger.loaded;
  const judged = open.id === id ? open.site : null;
  // What was read is shown once it is judged.
  return { judged, loaded: isLoaded && (judged !== null || !ledger.facts.some((fact) => fact.type === 'site')) };
}

export function SiteProvider({
  id,
  judged,
  who,
  children,
}: {
  id: string;
  judged: JudgedSite;
  who: string;
  children: ReactNode;
}) {
  const { state, trust, instant, at } = judged;
  useEffect(() => {
    void sendBeside(id, 'images');
    void sendBeside(id, 'sources');
  }, [id, instant]);
  const value = useMemo((): OpenSite => {
    const occupation = currentOccupation(state);
    return {
      id,
      state,
      trust,
      inForce: solutionInForce(state, trust),
      occupation,
      paired: pairedInForce(state, occupation),
      who,
      now: at,
      clockBehind: at.getTime() - instant.getTime() > CLOCKS_AGREE_MS ? state.timeline.at(-1)!.at : null,
      say: async (...facts) => {
        // A dialog that was opened and kept as it was tells nothing.
        const same = facts.map((fact) => sameAsBefore(state, fact));
        const fresh = facts.filter((_, i) => same[i] === null);
        const said = fresh.length > 0 ? await say(id, who, fresh) : [];
        await untilShown(said.map((fact) => fact.id));
        return facts.map((_, i) => same[i] ?? said.shift()!);
      },
    };
  }, [id, state, trust, instant, at, who]);
  const units = useMemo(() => unitsOf(state.settings), [state.settings]);
  return (
    <Context value={value}>
      <UnitsContext value={units}>{children}</UnitsContext>
    </Context>
  );
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
