import { useCallback, useEffect, useMemo, useRef, useState } from 'react';
import type { Fact } from '@idle-marker/contract';
import { defaultUse, stationDraft, stationSights, type StationDraft, type UseFlags } from '@idle-marker/records';
import { readSetting, writeSetting } from '../../ledger/storage.ts';
import { useSite } from '../../site/SiteContext.tsx';

type Flags = Readonly<Record<string, UseFlags>>;

export interface Draft extends StationDraft {
  usageOf(sight: Fact<'sight'>): UseFlags;
  setUse(sights: readonly Fact<'sight'>[], use: Partial<UseFlags>): void;
  /** Heights are neither used nor shown. */
  readonly planOnly: boolean;
  setPlanOnly(on: boolean): void;
}

/** The station in work. What each sight is used for is working state of this device; the sights themselves are facts. */
export function useDraft(occupation: Fact<'occupation'>): Draft {
  const { state } = useSite();
  const [flags, setFlags] = useState<Flags>({});
  // Several sights may be changed before the page is drawn again: each change builds on the one before.
  const latest = useRef<Flags>({});
  const keep = useCallback((next: Flags) => {
    latest.current = next;
    setFlags(next);
  }, []);
  const key = `use ${occupation.id}`;
  useEffect(() => {
    void readSetting<Flags>(key).then((kept) => kept && keep(kept));
  }, [key, keep]);
  const [planOnly, choosePlanOnly] = useState(false);
  const planOnlyKey = `plan only ${occupation.id}`;
  useEffect(() => {
    void readSetting<boolean>(planOnlyKey).then((kept) => choosePlanOnly(kept === true));
  }, [planOnlyKey]);
  const chosenUse = useCallback((sight: Fact<'sight'>) => flags[sight.id] ?? defaultUse(state, sight), [flags, state]);
  const usageOf = useCallback((sight: Fact<'sight'>) => (planOnly ? { ...chosenUse(sight), height: false } : chosenUse(sight)), [chosenUse, planOnly]);
  const draft = useMemo(() => {
    const used = Object.fromEntries(stationSights(state, occupation.id).map((sight) => [sight.id, usageOf(sight)]));
    return stationDraft(state, occupation, used);
  }, [state, occupation, usageOf]);
  const setPlanOnly = useCallback(
    (on: boolean) => {
      choosePlanOnly(on);
      void writeSetting(planOnlyKey, on);
    },
    [planOnlyKey],
  );
  const setUse = useCallback(
    (sights: readonly Fact<'sight'>[], use: Partial<UseFlags>) => {
      const before = (sight: Fact<'sight'>) => latest.current[sight.id] ?? defaultUse(state, sight);
      const next = { ...latest.current, ...Object.fromEntries(sights.map((sight) => [sight.id, { ...before(sight), ...use }])) };
      keep(next);
      void writeSetting(key, next);
    },
    [key, keep, state],
  );
  return useMemo(() => ({ ...draft, usageOf, setUse, planOnly, setPlanOnly }), [draft, usageOf, setUse, planOnly, setPlanOnly]);
}
