import { useCallback, useEffect, useMemo, useRef, useState } from 'react';
import type { AskedOfStation, HeightFrom, PlanPoint, PoleSet } from '@idle-marker/core';
import type { Fact } from '@idle-marker/contract';
import {
  defaultUse,
  stationDraft,
  stationSights,
  type RawUses,
  type StationDraft,
  type UseFlags,
} from '@idle-marker/records';
import { readSetting, writeSetting } from '../data/storage.ts';
import { useSite } from '../site/SiteContext.tsx';

type Flags = Readonly<Record<string, UseFlags>>;

export interface Draft extends StationDraft {
  usageOf(sight: Fact<'sight'>): UseFlags;
  setUse(sights: readonly Fact<'sight'>[], use: Partial<UseFlags>): void;
  /** Heights are neither used nor shown. */
  readonly planOnly: boolean;
  setPlanOnly(on: boolean): void;
  /** Of a station over a mark: where its height comes from. */
  setHeightFrom(from: HeightFrom): void;
  /** A factor on all distances is solved for, too. */
  readonly freeScale: boolean;
  setFreeScale(on: boolean): void;
  /** Where somebody touched the plan, to tell two places apart. */
  setNear(place: PlanPoint): void;
}

/** A choice about the station in work that outlives the page. */
function useKept<T>(key: string, initial: T): [T, (value: T) => void] {
  const [value, setValue] = useState(initial);
  useEffect(() => {
    void readSetting<T>(key).then((kept) => kept !== undefined && kept !== null && setValue(kept));
  }, [key]);
  const keep = useCallback(
    (next: T) => {
      setValue(next);
      void writeSetting(key, next);
    },
    [key],
  );
  return [value, keep];
}

/** What a station taken in from elsewhere was made with, for the page to go on from. */
export async function keepUses(occupation: string, { flags, freeScale, planOnly, heightFrom }: RawUses): Promise<void> {
  await writeSetting(`use ${occupation}`, flags);
  await writeSetting(`free scale ${occupation}`, freeScale);
  await writeSetting(`plan only ${occupation}`, planOnly);
  if (heightFrom) await writeSetting(`height from ${occupation}`, heightFrom);
}

/**
 * The station in work. What each sight is used for is working state of this device; the sights themselves are facts.
 */
export function useDraft(occupation: Fact<'occupation'>, asked: AskedOfStation, pole: PoleSet): Draft {
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
  const [planOnly, setPlanOnly] = useKept(`plan only ${occupation.id}`, false);
  const [wantedHeight, setHeightFrom] = useKept<HeightFrom | undefined>(`height from ${occupation.id}`, undefined);
  const heightFrom = planOnly ? null : wantedHeight;
  const [freeScale, setFreeScale] = useKept(`free scale ${occupation.id}`, false);
  const [near, setNear] = useKept<PlanPoint | null>(`near ${occupation.id}`, null);
  const chosenUse = useCallback((sight: Fact<'sight'>) => flags[sight.id] ?? defaultUse(state, sight), [flags, state]);
  const usageOf = useCallback(
    (sight: Fact<'sight'>) => (planOnly ? { ...chosenUse(sight), height: false } : chosenUse(sight)),
    [chosenUse, planOnly],
  );
  const draft = useMemo(() => {
    const used = Object.fromEntries(stationSights(state, occupation.id).map((sight) => [sight.id, usageOf(sight)]));
    return stationDraft(state, occupation, used, {
      freeScale,
      near,
      asked,
      pole,
      ...(heightFrom === undefined ? {} : { heightFrom }),
    });
  }, [state, occupation, usageOf, freeScale, near, asked, pole, heightFrom]);
  const setUse = useCallback(
    (sights: readonly Fact<'sight'>[], use: Partial<UseFlags>) => {
      const before = (sight: Fact<'sight'>) => latest.current[sight.id] ?? defaultUse(state, sight);
      const next = {
        ...latest.current,
        ...Object.fromEntries(sights.map((sight) => [sight.id, { ...before(sight), ...use }])),
      };
      keep(next);
      void writeSetting(key, next);
    },
    [key, keep, state],
  );
  return useMemo(
    () => ({ ...draft, usageOf, setUse, planOnly, setPlanOnly, setHeightFrom, freeScale, setFreeScale, setNear }),
    [draft, usageOf, setUse, planOnly, setPlanOnly, setHeightFrom, freeScale, setFreeScale, setNear],
  );
}
