import { useCallback, useEffect, useMemo, useState } from 'react';
import type { Fact } from '@idle-marker/contract';
import { defaultUse, stationDraft, type StationDraft, type UseFlags } from '@idle-marker/records';
import { readSetting, writeSetting } from '../../ledger/storage.ts';
import { useSite } from '../../site/SiteContext.tsx';

type Flags = Readonly<Record<string, UseFlags>>;

export interface Draft extends StationDraft {
  usageOf(sight: Fact<'sight'>): UseFlags;
  setUse(sights: readonly Fact<'sight'>[], use: Partial<UseFlags>): void;
}

/** The station in work. What each sight is used for is working state of this device; the sights themselves are facts. */
export function useDraft(occupation: Fact<'occupation'>): Draft {
  const { state } = useSite();
  const [flags, setFlags] = useState<Flags>({});
  const key = `use ${occupation.id}`;
  useEffect(() => {
    void readSetting<Flags>(key).then((kept) => kept && setFlags(kept));
  }, [key]);
  const draft = useMemo(() => stationDraft(state, occupation, flags), [state, occupation, flags]);
  const usageOf = useCallback((sight: Fact<'sight'>) => flags[sight.id] ?? defaultUse(state, sight), [flags, state]);
  const setUse = useCallback(
    (sights: readonly Fact<'sight'>[], use: Partial<UseFlags>) => {
      const next = { ...flags, ...Object.fromEntries(sights.map((sight) => [sight.id, { ...usageOf(sight), ...use }])) };
      setFlags(next);
      void writeSetting(key, next);
    },
    [flags, key, usageOf],
  );
  return useMemo(() => ({ ...draft, usageOf, setUse }), [draft, usageOf, setUse]);
}
