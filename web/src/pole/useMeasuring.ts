import { useState } from 'react';
import type { SimulatedPlace, SitePoint } from '@idle-marker/core';
import type { Fact, FactBody } from '@idle-marker/contract';
import { asBuiltBody, meanPlace } from '@idle-marker/records';
import { msg } from '@idle-marker/words';
import { useShooting, type Shooting, type SightWay } from './takeSight.ts';
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
  readonly fault: string | null;
  /** What the last one was kept without. */
  readonly remark: string | null;
  /** Why nothing was kept has been read. */
  clear(): void;
  take(what: Measured): Promise<Fact<'asBuilt'> | null>;
}

/** Shoots what stands there as often as asked, and keeps the mean with its spread. */
export function useMeasuring(): Measuring {
  const { state, inForce, say } = useSite();
  const shooting = useShooting();
  const [fault, setFault] = useState<string | null>(null);
  const [remark, setRemark] = useState<string | null>(null);
  const take = async ({
    shots,
    onto,
    against,
    onFace,
    note = '',
    ...about
  }: Measured): Promise<Fact<'asBuilt'> | null> => {
    if (!inForce) return null;
    setFault(null);
    setRemark(null);
    const sights: Fact<'sight'>[] = [];
    for (let i = 0; i < Number(shots); i++) {
      const sight = await shooting.shoot('asBuilt', { kind: 'spot', name: about.name }, onto, {
        ...(onFace === undefined ? {} : { onFace }),
      });
      if (!sight) break;
      sights.push(sight);
    }
    if (sights.length === 0) return null;
    const mean = meanPlace(state, inForce, sights);
    if (!mean) {
      setFault(msg('pole.theReadingHasNoDistanceNothingCan'));
      return null;
    }
    const found = typeof against === 'function' ? await against(mean.place) : against;
    if (typeof against === 'function' && found === null)
      setRemark(msg('pole.isKeptAsAPointByItself', { name: about.name }));
    const [fact] = await say({
      type: 'asBuilt',
      body: asBuiltBody(inForce, sights, mean, {
        ...about,
        against: found,
        note: typeof note === 'function' ? note() : note,
      }),
    });
    return fact as Fact<'asBuilt'>;
  };
  const clear = () => {
    setFault(null);
    shooting.clear();
  };
  return { shooting, fault, remark, clear, take };
}
