import { useState } from 'react';
import { azimuth, moveFor, planDistance, RADIANS_PER_DEGREE, type MoveInput, type Viewpoint } from '@idle-marker/core';
import { pairedStake, toleranceOf, type ShotPlace, classOf } from '@idle-marker/records';
import { pairedPromiseWords } from '@idle-marker/words';
import { useSite } from '../../site/SiteContext.tsx';
import { useUnits } from '../../field/useUnits.ts';
import { useIsCarried } from '../../pole/view/hand.ts';
import { useKey } from '../../ui/useKey.ts';
import { useRound } from '../../pole/useRound.ts';
import { useStaking } from '../../pole/useStaking.ts';
import { useViewpoint } from '../../pole/ways.ts';
import { planPromise, usePairedNow, type PairedSet } from '../../pole/usePaired.ts';
import { usePairedShooting } from '../../pole/usePairedShooting.ts';
import { usePairedSource } from './usePairedSource.ts';

/** The instrument has no place here, so nothing is told as seen from it or toward it. */
export const VIEWPOINTS: readonly Viewpoint[] = ['alongLine', 'north'];

const NO_MARK_TOLERANCE = 0.01;

export const moveInput = (stake: ShotPlace): MoveInput => ({
  ...stake,
  moveOut: 0,
  moveRightFromInstrument: 0,
  moveRightFromPole: 0,
});

/** What PairedWork shows, and what its buttons do. */
export function usePairedWork({ set }: Pick<{ readonly set: PairedSet }, 'set'>) {
  const { state } = useSite();
  const units = useUnits();
  const isCarried = useIsCarried();
  const round = useRound();
  const { work, stop } = round;
  const plan = stop?.plan ?? null;
  const tolerance = work ? toleranceOf(state, work) : NO_MARK_TOLERANCE;
  const source = usePairedSource(set, tolerance);
  const proving = usePairedShooting(set);
  const staking = useStaking(round, 'follow', source);
  const now = usePairedNow(set, tolerance);
  const [pairing, setPairing] = useState(false);
  const [onPlan, setOnPlan] = useState(false);
  const [seen, setViewpoint] = useViewpoint();
  const viewpoint = VIEWPOINTS.includes(seen) ? seen : plan?.road ? 'alongLine' : 'north';
  const { accepted } = set;
  const { shooting } = staking;
  const lineAzimuth = plan?.road
    ? plan.road.azimuthDeg * RADIANS_PER_DEGREE
    : plan && planDistance(plan.design, plan.place) > 0
      ? azimuth(plan.design, plan.place)
      : 0;
  const live = now && plan ? pairedStake(now.place, plan) : null;
  const shown = live ?? staking.shot?.stake ?? null;
  const move = shown ? moveFor(viewpoint, moveInput(shown), lineAzimuth) : null;
  const distance = shown && Math.hypot(shown.deltaE, shown.deltaN);
  const groundZ = now?.place.height?.z ?? staking.shot?.stake.measured.z ?? null;
  const busy = shooting.doing !== null || proving.shooting.doing !== null;
  const { due } = staking;
  const stands = due === 'next' || due === 'shootHub';
  // What a person has to put right before anything is kept; while the pole is carried it is never plumb.
  const faults = (now?.faults ?? []).filter(
    ({ code }) => code !== 'NO_AXIS' && !(code === 'NOT_PLUMB' && now?.link.pole.walking),
  );
  const ready = accepted !== null && plan !== null;
  const blocked = faults.some(({ code }) => code !== 'NOT_LOCKED' && code !== 'HEIGHT_OLD');
  useKey('n', isCarried || busy ? null : round.next);
  useKey(' ', isCarried || busy || !ready || (blocked && due !== 'set' && due !== 'next') ? null : staking.act);
  const promised = now && now.faults.every(({ code }) => code !== 'NOT_FIXED') ? planPromise(now.place) : null;
  const asked = work && classOf(state, work.body.class);
  const promise = promised !== null && asked ? pairedPromiseWords(promised, asked, units.lengthUnit) : null;
  const trouble = shooting.trouble ?? proving.shooting.trouble;
  const noise = now?.place.plan ? Math.sqrt(now.place.plan.covariance.ee) : 0;
  const pole = shown?.measured ?? null;
  return {
    isCarried,
    state,
    units,
    round,
    work,
    stop,
    plan,
    tolerance,
    proving,
    staking,
    now,
    pairing,
    setPairing,
    onPlan,
    setOnPlan,
    setViewpoint,
    viewpoint,
    accepted,
    shooting,
    lineAzimuth,
    live,
    move,
    distance,
    groundZ,
    busy,
    due,
    stands,
    faults,
    ready,
    blocked,
    promise,
    trouble,
    noise,
    pole,
  };
}

export type PairedWorkModel = ReturnType<typeof usePairedWork>;
