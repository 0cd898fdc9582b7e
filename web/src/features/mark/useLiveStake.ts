import { useEffect, useMemo, useRef, useState } from 'react';
import { RADIANS_PER_DEGREE, TARGET_HEIGHT_SD, targetCentringSd, type StakeResult } from '@idle-marker/core';
import type { FactBody } from '@idle-marker/contract';
import { stakeAt, type AcceptedSolution } from '@idle-marker/records';
import { useLinkState } from '../../link/linkStore.ts';
import { useSite } from '../../site/SiteContext.tsx';

const STALE_MS = 1500;

/** Where the pole is now against the mark, from the instrument's live readings. Old readings say that they are old. */
export function useLiveStake(
  solution: AcceptedSolution | null,
  plan: FactBody<'package'>['plans'][number] | null,
): { stake: StakeResult | null; stale: boolean } {
  const { state } = useSite();
  const link = useLinkState();
  const live = link?.live ?? null;
  const stake = useMemo(() => {
    if (!solution || !plan || !live || !link) return null;
    const result = stakeAt(state, solution, plan, {
      face: 1,
      circle: live.circleDeg * RADIANS_PER_DEGREE,
      zenith: live.zenithDeg * RADIANS_PER_DEGREE,
      slope: live.slope + (link.pole.target?.constantMm ?? 0) / 1000,
      targetHeight: link.pole.targetHeight,
      targetHeightSd: TARGET_HEIGHT_SD,
      targetCentringSd: targetCentringSd(link.pole.targetHeight, link.pole.legs),
    });
    return result.ok ? result.value : null;
  }, [state, solution, plan, live, link]);
  const stale = useStale(live?.at ?? null) || link?.lock === 'lost';
  return { stake, stale };
}

/** True once the last reading is older than it should be. */
function useStale(at: number | null): boolean {
  const [stale, setStale] = useState(false);
  const timer = useRef<ReturnType<typeof setTimeout> | undefined>(undefined);
  useEffect(() => {
    setStale(false);
    clearTimeout(timer.current);
    if (at !== null) timer.current = setTimeout(() => setStale(true), STALE_MS);
    return () => clearTimeout(timer.current);
  }, [at]);
  return stale;
}
