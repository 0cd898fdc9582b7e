import { useMemo } from 'react';
import type { PlanCovariance, SitePoint } from '@idle-marker/core';
import { useSite } from '../site/SiteContext.tsx';
import { useLivePlace } from './useLiveStake.ts';
import { usePairedNow, usePairedSet } from './usePaired.ts';

/** Where the pole is, by whatever gives that: a station, or a receiver with the height from the instrument. */
export function usePolePlace(): {
  readonly place: (SitePoint & { readonly plan: PlanCovariance }) | null;
  readonly stale: boolean;
} {
  const { inForce } = useSite();
  const station = useLivePlace(inForce);
  const paired = usePairedNow(usePairedSet(), 0.01);
  const both = useMemo(() => {
    const plan = paired?.place.plan;
    return plan ? { e: plan.e, n: plan.n, z: paired.place.height?.z ?? null, plan: plan.covariance } : null;
  }, [paired]);
  if (inForce) return station;
  // Without lock there is no height, and the place says so by having none; the plan is still the receiver's.
  return { place: both, stale: both === null };
}
