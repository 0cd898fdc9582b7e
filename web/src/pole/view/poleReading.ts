/** What is followed at the pole, and how old the last reading is. */
import { useEffect, useState } from 'react';
import { useLinkState } from '../../link/linkStore.ts';
import { LOST_MS } from '../useLiveStake.ts';

/** From here on a reading is called old. */
const OLD_MS = 1000;
const TICK_MS = 200;

export interface PoleReading {
  readonly kind: 'noLink' | 'typed' | 'none' | 'searching' | 'measuring' | 'following' | 'old' | 'lost' | 'silent';
  /** Since the last reading; null where there is none to be old. */
  readonly ageMs: number | null;
}

export function usePoleReading(): PoleReading {
  const link = useLinkState();
  const at = link?.live?.at ?? null;
  const [now, setNow] = useState(() => performance.now());
  useEffect(() => {
    setNow(performance.now());
    if (at === null) return;
    const timer = setInterval(() => setNow(performance.now()), TICK_MS);
    return () => clearInterval(timer);
  }, [at]);
  if (!link) return { kind: 'noLink', ageMs: null };
  if (link.kind === 'typed') return { kind: 'typed', ageMs: null };
  const ageMs = at === null ? null : Math.max(0, now - at);
  if (link.lock === 'lost') return { kind: 'lost', ageMs };
  if (link.lock === 'searching' || link.busy === 'searching') return { kind: 'searching', ageMs: null };
  if (link.busy === 'measuring') return { kind: 'measuring', ageMs: null };
  if (ageMs === null || link.lock === 'none') return { kind: 'none', ageMs: null };
  return { kind: ageMs >= LOST_MS ? 'silent' : ageMs >= OLD_MS ? 'old' : 'following', ageMs };
}

/** What stood there is no longer so: it is shown hollow, and nothing is shot, set or written by it. */
export const isGone = ({ kind }: PoleReading): boolean => kind === 'lost' || kind === 'silent' || kind === 'noLink';
