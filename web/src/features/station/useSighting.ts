import { useRef, useState } from 'react';
import { stationOfResection, type ResectionResult } from '@idle-marker/core';
import type { Fact } from '@idle-marker/contract';
import { groupSights } from '@idle-marker/records';
import { useMisnamed, type Misnamed } from '../../pole/useMisnamed.ts';
import { useShooting, type Shooting } from '../../pole/takeSight.ts';
import { useSite } from '../../site/SiteContext.tsx';
import type { Draft } from '../../pole/useDraft.ts';

const MM = 1e-3;
/** The range of a few readings stays under this many standard deviations, 99 times out of 100. */
const SPREAD_FACTOR = 5;

/** Largest minus smallest of a series to one mark, across or along; null for a single reading. */
function seriesSpread(series: readonly Fact<'sight'>[]): number | null {
  const spread = groupSights(series, () => ({ plan: true, height: true }))[0]?.spread;
  return spread ? Math.max(spread.across, spread.along) : null;
}

export interface Sighting {
  readonly shooting: Shooting;
  /** Mark that is chosen to be sighted. */
  readonly chosen: string | null;
  choose(mark: string | null): void;
  sight(mark: string): Promise<'taken' | 'doubted' | 'nothing'>;
  /** The marks one after the other, in the order given; those that come to nothing are named. */
  sightAll(marks: readonly string[]): Promise<void>;
  /** Marks of the last such walk that gave no sight. */
  readonly notFound: readonly string[];
  readonly misnamed: Misnamed;
  rename(): Promise<void>;
  /** How far the readings of the last averaged sight lay apart, when that is more than pole and instrument explain. */
  readonly unsteady: { readonly name: string; readonly spread: number } | null;
}

/** Taking sights for a station; one that fits another mark better is asked about. */
/**
 * `readings`: so many are taken of one sight; all are kept, and their mean counts. `way`: quick ones while following,
 * or every second one in the other face.
 */
export function useSighting(
  occupation: Fact<'occupation'>,
  draft: Draft,
  before: ResectionResult | null,
  readings: number,
  way: 'careful' | 'tracking' | 'faces' = 'careful',
): Sighting {
  const { state } = useSite();
  const shooting = useShooting();
  const misnamed = useMisnamed();
  const [chosen, choose] = useState<string | null>(null);
  const [notFound, setNotFound] = useState<readonly string[]>([]);
  const stopped = useRef(false);
  const [unsteady, setUnsteady] = useState<Sighting['unsteady']>(null);
  // A sight that is taken again counts like the one before: what was left out stays out.
  const likeTheOneBefore = (sight: Fact<'sight'>, mark: string) => {
    const earlier = draft.groups.find((group) => group.mark === mark)?.sights[0];
    if (earlier) draft.setUse([sight], draft.usageOf(earlier));
  };
  const sight = async (markId: string): Promise<'taken' | 'doubted' | 'nothing'> => {
    const mark = state.control.find((each) => each.id === markId);
    if (!mark) return 'nothing';
    choose(markId);
    misnamed.keep();
    setUnsteady(null);
    const series: Fact<'sight'>[] = [];
    for (let i = 0; i < readings; i++) {
      const taken = await shooting.shoot(
        'station',
        { kind: 'control', mark: markId },
        { name: mark.revision.body.name },
        {
          tracking: way === 'tracking',
          face: way === 'faces' && i % 2 === 1 ? 2 : 1,
        },
      );
      if (!taken) break;
      likeTheOneBefore(taken, markId);
      series.push(taken);
    }
    const taken = series.at(-1);
    if (!taken) return 'nothing';
    const spread = seriesSpread(series);
    if (
      spread !== null &&
      spread > SPREAD_FACTOR * Math.hypot(taken.body.targetCentringSdMm, occupation.body.instrument.distSdMm) * MM
    ) {
      setUnsteady({ name: mark.revision.body.name, spread });
    }
    choose(null);
    return before && misnamed.look(occupation, stationOfResection(before), taken) ? 'doubted' : 'taken';
  };
  const sightAll = async (marks: readonly string[]) => {
    stopped.current = false;
    setNotFound([]);
    for (const mark of marks) {
      if (stopped.current) return;
      const got = await sight(mark);
      if (got === 'nothing' && !stopped.current)
        setNotFound((before) => [...before, state.control.find((each) => each.id === mark)?.revision.body.name ?? '?']);
      if (got === 'doubted') return;
    }
  };
  const rename = async () => {
    const renamed = await misnamed.rename();
    if (renamed?.body.target.kind === 'control') likeTheOneBefore(renamed, renamed.body.target.mark);
  };
  const cancel = () => {
    stopped.current = true;
    shooting.cancel();
  };
  return { shooting: { ...shooting, cancel }, chosen, choose, sight, sightAll, notFound, misnamed, rename, unsteady };
}
