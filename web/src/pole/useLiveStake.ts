import { useEffect, useMemo, useRef, useState } from 'react';
import {
  measurePoint,
  RADIANS_PER_DEGREE,
  reduceReading,
  TARGET_HEIGHT_SD,
  targetCentringSd,
  type MeasuredPoint,
  type Reading,
  type StakeResult,
} from '@idle-marker/core';
import type { FactBody } from '@idle-marker/contract';
import {
  precisionOf,
  reductionFrom,
  setupOf,
  stakeAt,
  stationOfSolution,
  type AcceptedSolution,
} from '@idle-marker/records';
import type { LinkState } from '../link/instrumentLink.ts';
import { useLinkState } from '../link/linkStore.ts';
import { useSite } from '../site/SiteContext.tsx';

/** Older than this it is no reading any more. */
export const LOST_MS = 2000;
/** A reading of a pole in motion is less good than a careful one by this much, metres. */
export const MOTION_NOISE = 0.005;

/** What the instrument reads to the pole at this moment. */
export const readingNow = ({ pole }: LinkState, live: NonNullable<LinkState['live']>): Reading => ({
  face: 1,
  circle: live.circleDeg * RADIANS_PER_DEGREE,
  zenith: live.zenithDeg * RADIANS_PER_DEGREE,
  slope: live.slope + (pole.target?.constantMm ?? 0) / 1000,
  targetHeight: pole.targetHeight,
  targetHeightSd: TARGET_HEIGHT_SD,
  targetCentringSd: targetCentringSd(pole.targetHeight, pole.legs),
});

/** Where the pole is now, from the instrument's live readings; null while there are none. */
export function useLivePlace(solution: AcceptedSolution | null): {
  readonly place: MeasuredPoint | null;
  readonly stale: boolean;
} {
  const { state } = useSite();
  const link = useLinkState();
  const live = link?.live ?? null;
  const place = useMemo(() => {
    if (!solution || !live || !link) return null;
    const { body } = solution.occupation;
    const reduced = reduceReading(readingNow(link, live), precisionOf(body), reductionFrom(state, solution));
    return measurePoint(stationOfSolution(solution.fact.body.result), setupOf(body), reduced);
  }, [state, solution, live, link]);
  const stale = useStale(live?.at ?? null) || link?.lock === 'lost';
  return { place, stale };
}

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
    const result = stakeAt(state, solution, plan, readingNow(link, live));
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
    if (at !== null) timer.current = setTimeout(() => setStale(true), LOST_MS);
    return () => clearTimeout(timer.current);
  }, [at]);
  return stale;
}
