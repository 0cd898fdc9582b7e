/** How good both sources are at this moment, where the plan comes from a receiver; and why there is no height. */
import { NORMAL_95_FACTOR, type LengthUnit, type Metres } from '@idle-marker/core';
import { msg, smallLength } from '@idle-marker/words';
import { useSite } from '../site/SiteContext.tsx';
import { planPromise, usePairedNow, usePairedSet, type PairedNow } from './usePaired.ts';

/** "plan ± 14 mm · elevation ± 4 mm"; a part that is not there is said to be missing. */
export function sourcesWords(now: PairedNow | null, unit: LengthUnit): string {
  const plan = now && planPromise(now.place);
  const height = now?.place.height ?? null;
  return [
    plan === null ? null : msg('paired.planWithin', { smallLength: smallLength(plan, unit) }),
    height === null
      ? msg('paired.noHeightNow')
      : msg('paired.heightWithin', { smallLength: smallLength(NORMAL_95_FACTOR * Math.sqrt(height.variance), unit) }),
  ]
    .filter((each) => each !== null)
    .join(' · ');
}

/** The ground is shot within this: farther off plumb than half of it nothing is kept. */
export const GROUND: Metres = 0.05;

/** Null while a station gives the place, or nothing does. */
export function usePairedSources(): NonNullable<ReturnType<typeof usePairedNow>> | null {
  const { inForce } = useSite();
  const now = usePairedNow(usePairedSet(), GROUND);
  return inForce ? null : now;
}
