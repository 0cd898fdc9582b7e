import { useEffect, useRef, useState } from 'react';
import type { StakeResult } from '@idle-marker/core';
import type { Fact, FactBody } from '@idle-marker/contract';
import {
  allSetAnew,
  isDriven,
  isRoughCorner,
  markBody,
  markKey,
  readingOf,
  stakeAt,
  toleranceOf,
  type ShotPlace,
} from '@idle-marker/records';
import { msg, hubOutsideWords, keptWords, stationErrorSentence } from '@idle-marker/words';
import { currentLink, useLinkKind } from '../link/linkStore.ts';
import { useShooting, type Shooting } from './takeSight.ts';
import { useSite } from '../site/SiteContext.tsx';
import { speakNow } from './useSpokenMove.ts';
import { useUnits } from '../field/useUnits.ts';
import type { Round } from './useRound.ts';
import type { WayOfWorking } from './ways.ts';

/** One shot at a planned place: what was kept, and what is left to go. */
export interface Taken<S extends ShotPlace> {
  readonly sight: Fact<'sight'>;
  /** Where a receiver gave the plan. */
  readonly position?: Fact<'position'>;
  readonly stake: S;
}

export interface Shot<S extends ShotPlace> extends Taken<S> {
  readonly shots: number;
}

/** By what marks are set: a station alone, or a receiver and an instrument together. */
export interface StakingSource<S extends ShotPlace> {
  /** What the marks hang on; null while nothing can be set. */
  readonly solution: Fact<'solution'> | null;
  readonly shooting: Shooting;
  /**
   * @param hub the mark that stands there, when it is its driven hub that is shot; null when the shot came to nothing
   */
  take(
    work: Fact<'package'>,
    plan: Plan,
    hub: Fact<'mark'> | null,
  ): Promise<Taken<S> | { readonly fault: string } | null>;
}

type Plan = FactBody<'package'>['plans'][number];

/** What comes next at this mark: shoot the pole, set the mark, shoot the driven hub, or go on. */
export type Due = 'shoot' | 'rough' | 'set' | 'shootHub' | 'next';

export interface Staking<S extends ShotPlace = StakeResult> {
  readonly due: Due;
  readonly tolerance: number;
  readonly shot: Shot<S> | null;
  /** Where the driven hub was shot, when that was outside of the tolerance. */
  readonly out: S | null;
  /** Whether the hub that was driven stands firm; kept with its shot. */
  readonly firm: boolean | undefined;
  setFirm(firm: boolean): void;
  /** What was kept last, where marks are kept and left with one key. */
  readonly kept: string | null;
  /** A shot inside the tolerance is kept at once, and the next mark is gone to. */
  readonly isOneKey: boolean;
  /** Why the last step came to nothing, or that the hub is out. */
  readonly fault: { readonly title: string; readonly text: string } | null;
  readonly shooting: Shooting;
  clear(): void;
  shoot(): Promise<void>;
  set(as: 'rough' | 'set'): Promise<void>;
  /** The hub that stands is pulled; its place is looked for again. */
  pull(): void;
  /** Does what is due. */
  act(): void;
}

/** A station by itself: plan and height of one sight. */
export function useStationSource(): StakingSource<StakeResult> {
  const { state, inForce } = useSite();
  const kind = useLinkKind();
  const shooting = useShooting();
  return {
    solution: inForce?.fact ?? null,
    shooting,
    take: async (work, plan, hub) => {
      if (!inForce) return null;
      const target = { kind: 'plan', package: work.id, key: plan.key } as const;
      const sight = await shooting.shoot(
        hub ? 'driven' : 'mark',
        target,
        hub && kind === 'simulator' ? { name: plan.name } : null,
      );
      if (!sight) return null;
      const result = stakeAt(state, inForce, plan, readingOf(sight.body), hub?.body.groundZ ?? null);
      return result.ok ? { sight, stake: result.value } : { fault: stationErrorSentence(result.error) };
    },
  };
}

/** A paint cross for the excavator need not be nearer. */
const ROUGHLY = 0.3;

const off = ({ deltaE, deltaN }: Pick<ShotPlace, 'deltaE' | 'deltaN'>): number => Math.hypot(deltaE, deltaN);

/** The steps of one mark, from the first shot to the hub that was shot after driving. */
export function useStaking<S extends ShotPlace>(
  { work, stop, choose, next }: Round,
  way: WayOfWorking,
  source: StakingSource<S>,
): Staking<S> {
  const { state, say } = useSite();
  const units = useUnits();
  const { shooting, solution } = source;
  const [shot, setShot] = useState<Shot<S> | null>(null);
  const [fault, setFault] = useState<Staking<S>['fault']>(null);
  const [pulled, setPulled] = useState(false);
  const [out, setOut] = useState<S | null>(null);
  const [firm, setFirm] = useState<boolean | undefined>(undefined);
  const [kept, setKept] = useState<string | null>(null);
  const plan = stop?.plan ?? null;
  const mark = stop?.mark ?? null;
  useEffect(() => {
    setShot(null);
    setFault(null);
    setPulled(false);
    setOut(null);
    setFirm(undefined);
  }, [plan?.key, solution?.id]);
  const tolerance = work ? toleranceOf(state, work) : 0;
  const driven = work === null || isDriven(work.body);
  const isOneKey = way === 'oneKey' && !driven;
  const shotWithin = shot !== null && off(shot.stake) <= tolerance;
  // What nobody should build from is set again, not shot again.
  const stands =
    mark !== null &&
    mark.body.state !== 'rough' &&
    !pulled &&
    !stop!.outdated &&
    stop!.report === null &&
    stop!.standing !== 'inDoubt';
  // A corner itself is painted and never driven: digging takes it away.
  const onCorner = plan !== null && isRoughCorner(plan);
  const roughly = (onCorner || (way === 'rough' && mark === null)) && shot !== null && off(shot.stake) <= ROUGHLY;
  const due: Due = roughly
    ? 'rough'
    : shotWithin && !onCorner
      ? 'set'
      : shot || !stands
        ? 'shoot'
        : mark.body.state === 'confirmed'
          ? 'next'
          : 'shootHub';

  // Where it is played, the pole walks on by itself.
  const { walk } = shooting;
  const onward = useRef<Promise<unknown> | null>(null);
  const inHand = useRef(false);
  const keptKey = useRef<string | null>(null);
  useEffect(() => {
    keptKey.current = null;
  }, [plan?.key, mark?.id]);
  useEffect(() => {
    if (!isOneKey || !plan || mark !== null || kept === null || currentLink()?.kind !== 'simulator') return;
    onward.current = walk(plan.place).finally(() => {
      onward.current = null;
    });
    // oxlint-disable-next-line react/exhaustive-deps -- once for each mark
  }, [plan?.key, isOneKey]);

  const shoot = async () => {
    if (!solution || !plan || !work) return;
    // A second press at once is not meant for what was kept by the first.
    if (inHand.current || (mark === null && keptKey.current === plan.key)) return;
    inHand.current = true;
    try {
      // A pole that is on its way is shot where it comes to stand.
      await onward.current;
      await shootAndKeep();
    } finally {
      inHand.current = false;
    }
  };
  const shootAndKeep = async () => {
    if (!plan || !work) return;
    setFault(null);
    setOut(null);
    // A hub that stands is shot as a hub, also when it was confirmed before: it may have been driven deeper since.
    const hub = due === 'shootHub' || due === 'next' ? mark : null;
    const taken = await source.take(work, plan, hub);
    if (!taken) return;
    if ('fault' in taken) setFault({ title: msg('pole.theShotGivesNoPlace'), text: taken.fault });
    else if (hub) await confirm(taken, hub);
    else {
      const made = { ...taken, shots: (shot?.shots ?? 0) + 1 };
      // What is outside is never kept by a key that does it all.
      if (isOneKey && off(made.stake) <= tolerance) await keep(made, 'set');
      else setShot(made);
    }
  };
  const set = async (as: 'rough' | 'set') => {
    if (shot) await keep(shot, as);
  };
  const keep = async (made: Shot<S>, as: 'rough' | 'set') => {
    if (!plan || !work || !solution) return;
    if (isOneKey) keptKey.current = plan.key;
    const current = currentLink();
    if (as === 'set' && driven && current?.kind === 'simulator') current.driveHub(plan.name);
    const { z } = made.stake.measured;
    // What is painted or scribed is where it was shot: nothing is driven that could move it.
    const isDone = as === 'set' && !driven;
    const setting = { ...made, solution, work, plan, hubZ: isDone ? z : null, groundZ: z };
    // Set anew in the place of all that stand, where two tablets have set it before.
    const others = allSetAnew(state, markKey(state.packageRoots.get(work.id)!, plan.key), plan.name);
    await say(
      {
        type: 'mark',
        body: markBody(state, { ...setting, state: isDone ? 'confirmed' : as, supersedes: mark?.id ?? null }),
      },
      ...others,
    ).catch((error: unknown) => {
      keptKey.current = null;
      throw error;
    });
    choose(plan.key);
    setShot(null);
    setPulled(false);
    if (as === 'rough' || isDone) next();
    if (!isDone) return;
    const said = keptWords(plan.name, made.stake, units.lengthUnit);
    setKept(said);
    speakNow(said);
  };
  const confirm = async (taken: Taken<S>, hub: Fact<'mark'>) => {
    const { stake } = taken;
    const within = off(stake) <= tolerance;
    choose(plan!.key);
    const { groundZ, shots } = hub.body;
    const setting = {
      ...taken,
      solution: solution!,
      work: work!,
      plan: plan!,
      hubZ: stake.measured.z,
      groundZ,
      shots: shots + 1,
      firm,
    };
    await say({
      type: 'mark',
      body: markBody(state, { ...setting, state: within ? 'confirmed' : 'set', supersedes: hub.id }),
    });
    if (within) return;
    setOut(stake);
    setFault({
      title: msg('pole.outsideTheTolerance'),
      text: hubOutsideWords(off(stake), tolerance, units.lengthUnit),
    });
  };
  return {
    due,
    kept,
    isOneKey,
    tolerance,
    shot,
    fault,
    shooting,
    out,
    firm,
    setFirm,
    clear: () => setFault(null),
    shoot,
    set,
    pull: () => {
      setPulled(true);
      setFault(null);
    },
    act: () => void (due === 'rough' ? set('rough') : due === 'set' ? set('set') : due === 'next' ? next() : shoot()),
  };
}
