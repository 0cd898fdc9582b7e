import { useCallback, useEffect, useMemo, useState } from 'react';
import { useSearchParams } from 'react-router';
import type { PlanPoint } from '@idle-marker/core';
import type { Fact } from '@idle-marker/contract';
import { cornerStops, isOpen, isOrdered, nextOpen, roundOf, walkSteps, type RoundStop } from '@idle-marker/records';
import { useSite } from '../site/SiteContext.tsx';
import { inTurns } from '../ui/turns.ts';
import type { WayOfWorking } from './ways.ts';

export interface Round {
  readonly work: Fact<'package'> | null;
  /** Its walking order is being found. */
  readonly ordering: boolean;
  /** In walking order from the instrument. */
  readonly stops: readonly RoundStop[];
  readonly stop: RoundStop | null;
  choose(key: string): void;
  /** Comes next, whatever the shortest walk says; until the package is left. */
  putFirst(key: string): void;
  chooseWork(id: string): void;
  /** Goes on to the next mark that waits. */
  next(): void;
}

/** Package that was worked at last, by site: whoever comes back from a proof goes on where he was. */
const lastWork = new Map<string, string>();

/** Some hundreds of marks are put in order turn by turn. */
function useOrdering(work: Fact<'package'> | null, at: PlanPoint | null): boolean {
  const [, setFound] = useState(0);
  const ordering = work !== null && !isOrdered(work, at);
  useEffect(() => {
    if (!ordering || !work) return;
    let left = false;
    void inTurns(walkSteps(work, at)).then(() => {
      if (!left) setFound((count) => count + 1);
    });
    return () => {
      left = true;
    };
  }, [ordering, work, at]);
  return ordering;
}

/** Which package is being marked, and at which of its marks one is. A link can name both. */
export function useRound(way: WayOfWorking = 'follow'): Round {
  const { id, state, trust, inForce } = useSite();
  const [query] = useSearchParams();
  const [packageId, setPackageId] = useState(query.get('package') ?? lastWork.get(id) ?? null);
  const [key, setKey] = useState(query.get('mark'));
  useEffect(() => {
    const [asked, mark] = [query.get('package'), query.get('mark')];
    if (asked) setPackageId(asked);
    if (mark) setKey(mark);
  }, [query]);
  // A package that was revised since is the same package.
  const roots = state.packageRoots;
  const root = packageId === null ? null : (roots.get(packageId) ?? packageId);
  const work = state.packages.find((each) => roots.get(each.id) === root) ?? state.packages[0] ?? null;
  useEffect(() => {
    if (work) lastWork.set(id, work.id);
  }, [id, work]);
  const [first, setFirst] = useState<readonly string[]>([]);
  const at = useMemo(
    () => (inForce ? { e: inForce.fact.body.result.e, n: inForce.fact.body.result.n } : null),
    [inForce],
  );
  const ordering = useOrdering(work, at);
  const stops = useMemo(() => {
    if (!work || ordering) return [];
    // Corners that are to be painted come before any hub.
    const walked = [
      ...(way === 'roughCorners' ? cornerStops(state, work, at) : []),
      ...roundOf(state, trust, work, at),
    ];
    const chosen = first.flatMap((each) => walked.find(({ plan }) => plan.key === each) ?? []);
    return [...chosen, ...walked.filter(({ plan }) => !first.includes(plan.key))];
  }, [state, trust, work, at, ordering, first, way]);
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
    setFirst([]);
    setKey(null);
  }, []);
  const putFirst = useCallback(
    (wanted: string) => setFirst((before) => [...before.filter((each) => each !== wanted), wanted]),
    [],
  );
  return { work, ordering, stops, stop, choose: setKey, chooseWork, next, putFirst };
}
