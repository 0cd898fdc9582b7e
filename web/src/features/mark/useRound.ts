import { useCallback, useEffect, useMemo, useState } from 'react';
import { useSearchParams } from 'react-router';
import type { Fact } from '@idle-marker/contract';
import { isOpen, nextOpen, roundOf, type RoundStop } from '@idle-marker/records';
import { useSite } from '../../site/SiteContext.tsx';

export interface Round {
  readonly work: Fact<'package'> | null;
  /** In walking order from the instrument. */
  readonly stops: readonly RoundStop[];
  readonly stop: RoundStop | null;
  choose(key: string): void;
  chooseWork(id: string): void;
  /** Goes on to the next mark that waits. */
  next(): void;
}

/** Which package is being marked, and at which of its marks one is. A link can name both. */
export function useRound(): Round {
  const { state, trust, inForce } = useSite();
  const [query] = useSearchParams();
  const [packageId, setPackageId] = useState(query.get('package'));
  const [key, setKey] = useState(query.get('mark'));
  useEffect(() => {
    const [asked, mark] = [query.get('package'), query.get('mark')];
    if (asked) setPackageId(asked);
    if (mark) setKey(mark);
  }, [query]);
  const work = state.packages.find((each) => each.id === packageId) ?? state.packages[0] ?? null;
  const stops = useMemo(() => {
    if (!work) return [];
    const at = inForce ? { e: inForce.fact.body.result.e, n: inForce.fact.body.result.n } : null;
    return roundOf(state, trust, work, at);
  }, [state, trust, work, inForce]);
  const stop = stops.find((each) => each.plan.key === key) ?? stops.find(isOpen) ?? stops[0] ?? null;
  const current = stop?.plan.key ?? null;
  // A mark that is being worked at stays up when setting it makes another the first open one.
  useEffect(() => {
    if (current !== null) setKey(current);
  }, [current]);
  const next = useCallback(() => {
    const found = nextOpen(stops, current);
    if (found) setKey(found.plan.key);
  }, [stops, current]);
  const chooseWork = useCallback((id: string) => {
    setPackageId(id);
    setKey(null);
  }, []);
  return { work, stops, stop, choose: setKey, chooseWork, next };
}
