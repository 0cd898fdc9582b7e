import { useState } from 'react';
import type { SimulatedPlace, SitePoint } from '@idle-marker/core';
import type { Fact, FactBody } from '@idle-marker/contract';
import { asBuiltBody, meanPairedPlace, meanPlace, type MeanPlace } from '@idle-marker/records';
import { msg } from '@idle-marker/words';
import { useShooting, type Shooting, type SightWay } from './takeSight.ts';
import { usePairedSet } from './usePaired.ts';
import { GROUND } from './usePairedSources.ts';
import { usePairedShooting, type PairedShot } from './usePairedShooting.ts';
import { useSite } from '../site/SiteContext.tsx';

/** How often a thing is shot for one mean. */
export const SHOTS = ['1', '3', '5'] as const;
export type Shots = (typeof SHOTS)[number];

type Against = FactBody<'asBuilt'>['against'];

export interface Measured {
  readonly name: string;
  readonly code: string;
  /** What it is compared with, or how that is found once its place is known; null when it can not be. */
  readonly against: Against | ((place: SitePoint) => Promise<Against>);
  readonly supersedes: string | null;
  /** Or how it is said once the thing was measured. */
  readonly note?: string | (() => string);
  /** Shots to be averaged. */
  readonly shots: Shots;
  /** Held against a face instead of carried on the pole: which target. */
  readonly onFace?: SightWay['onFace'];
  /** What the simulated pole goes to, and where that is when it does not know it; null to stay where it is. */
  readonly onto: { readonly name: string; readonly hub?: Omit<SimulatedPlace, 'name'> } | null;
}

export interface Measuring {
  readonly shooting: Shooting;
  /** There is a station, or a receiver with accepted heights. */
  readonly canMeasure: boolean;
  readonly fault: string | null;
  /** What the last one was kept without. */
  readonly remark: string | null;
  /** Why nothing was kept has been read. */
  clear(): void;
  take(what: Measured): Promise<Fact<'asBuilt'> | null>;
}

/** Shots of one thing, and what their mean hangs on. */
interface ShotsMade {
  readonly solution: Fact<'solution'>;
  readonly sights: readonly Fact<'sight'>[];
  readonly positions: readonly Fact<'position'>[];
  readonly mean: MeanPlace | null;
}

/**
 * Shoots what stands there as often as asked, and keeps the mean with its spread: from a station, or with a receiver and
 * an instrument together where there is none.
 */
export function useMeasuring(): Measuring {
  const { state, inForce, say } = useSite();
  const alone = useShooting();
  const set = usePairedSet();
  const both = usePairedShooting(set);
  const [fault, setFault] = useState<string | null>(null);
  const [remark, setRemark] = useState<string | null>(null);
  const accepted = inForce ? null : (set?.accepted ?? null);
  const shooting = accepted ? both.shooting : alone;
  const shot = async ({
    name,
    onFace,
    onto,
    shots,
  }: Pick<Measured, 'name' | 'onFace' | 'onto' | 'shots'>): Promise<ShotsMade | null> => {
    const target = { kind: 'spot', name } as const;
    if (inForce) {
      const sights: Fact<'sight'>[] = [];
      for (let i = 0; i < Number(shots); i++) {
        const sight = await alone.shoot('asBuilt', target, onto, onFace === undefined ? {} : { onFace });
        if (!sight) break;
        sights.push(sight);
      }
      return { solution: inForce.fact, sights, positions: [], mean: meanPlace(state, inForce, sights) };
    }
    if (!accepted) return null;
    const taken: PairedShot[] = [];
    for (let i = 0; i < Number(shots); i++) {
      const one = await both.shoot('asBuilt', target, onto, GROUND);
      if (!one) break;
      taken.push(one);
    }
    return {
      solution: accepted.solution,
      sights: taken.map(({ sight }) => sight),
      positions: taken.map(({ position }) => position),
      mean: meanPairedPlace(state, accepted, taken),
    };
  };
  const take = async ({ against, note = '', ...about }: Measured): Promise<Fact<'asBuilt'> | null> => {
    setFault(null);
    setRemark(null);
    const made = await shot(about);
    if (!made || made.sights.length === 0) return null;
    if (!made.mean) {
      setFault(msg('pole.theReadingHasNoDistanceNothingCan'));
      return null;
    }
    const { name, code, supersedes } = about;
    const found = typeof against === 'function' ? await against(made.mean.place) : against;
    if (typeof against === 'function' && found === null) setRemark(msg('pole.isKeptAsAPointByItself', { name }));
    const [fact] = await say({
      type: 'asBuilt',
      body: asBuiltBody(made.solution, made.sights, made.mean, {
        name,
        code,
        supersedes,
        against: found,
        note: typeof note === 'function' ? note() : note,
        ...(made.positions.length > 0 ? { positions: made.positions.map(({ id }) => id) } : {}),
      }),
    });
    return fact as Fact<'asBuilt'>;
  };
  const clear = () => {
    setFault(null);
    shooting.clear();
  };
  return { shooting, canMeasure: inForce !== null || accepted !== null, fault, remark, clear, take };
}
