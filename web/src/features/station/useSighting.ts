import { useState } from 'react';
import { stationOfResection, type ResectionResult } from '@idle-marker/core';
import type { Fact } from '@idle-marker/contract';
import { useMisnamed, type Misnamed } from '../../link/useMisnamed.ts';
import { useShooting, type Shooting } from '../../link/takeSight.ts';
import { useSite } from '../../site/SiteContext.tsx';
import type { Draft } from './useDraft.ts';

export interface Sighting {
  readonly shooting: Shooting;
  /** Mark that is chosen to be sighted. */
  readonly chosen: string | null;
  choose(mark: string | null): void;
  sight(mark: string): Promise<void>;
  readonly misnamed: Misnamed;
  rename(): Promise<void>;
}

/** Taking sights for a station; one that fits another mark better is asked about. */
export function useSighting(occupation: Fact<'occupation'>, draft: Draft, before: ResectionResult | null): Sighting {
  const { state } = useSite();
  const shooting = useShooting();
  const misnamed = useMisnamed();
  const [chosen, choose] = useState<string | null>(null);
  // A sight that is taken again counts like the one before: what was left out stays out.
  const likeTheOneBefore = (sight: Fact<'sight'>, mark: string) => {
    const earlier = draft.groups.find((group) => group.mark === mark)?.sights[0];
    if (earlier) draft.setUse([sight], draft.usageOf(earlier));
  };
  const sight = async (markId: string) => {
    const mark = state.control.find((each) => each.id === markId);
    if (!mark) return;
    choose(markId);
    misnamed.keep();
    const taken = await shooting.shoot('station', { kind: 'control', mark: markId }, { name: mark.revision.body.name });
    if (!taken) return;
    likeTheOneBefore(taken, markId);
    choose(null);
    if (before) misnamed.look(occupation, stationOfResection(before), taken);
  };
  const rename = async () => {
    const renamed = await misnamed.rename();
    if (renamed?.body.target.kind === 'control') likeTheOneBefore(renamed, renamed.body.target.mark);
  };
  return { shooting, chosen, choose, sight, misnamed, rename };
}
