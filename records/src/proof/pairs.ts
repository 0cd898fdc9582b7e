/** Control pair by pair, from the sights of one set-up. */
import { controlPairs, reduceObservations, type ControlPair } from '@idle-marker/core';
import type { Fact } from '@idle-marker/contract';
import { controlPointOf, groupSights, precisionOf, reductionOf } from '../station/observations.ts';
import { stationSights } from '../station/stationDraft.ts';
import type { SiteState } from '../site/state.ts';

export function pairsOf(state: SiteState, occupation: Fact<'occupation'>): ControlPair[] {
  const groups = groupSights(stationSights(state, occupation.id), () => ({ plan: true, height: true }));
  const reduced = reduceObservations(
    groups.map((group) => group.observation),
    precisionOf(occupation.body),
    reductionOf(state.settings),
  );
  return controlPairs(reduced, new Map(state.control.map((mark) => [mark.id, controlPointOf(mark.revision.body)])));
}
