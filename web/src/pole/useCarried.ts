/** What the prism is carried on now, what it was at the sight before, and what looks like a slip between the two. */
import { noticeTargetHeight } from '@idle-marker/core';
import type { Fact } from '@idle-marker/contract';
import { isFixed, type CarriedPole, type SiteState } from '@idle-marker/records';
import { targetHeightWords } from '@idle-marker/words';
import { useSite } from '../site/SiteContext.tsx';
import { useUnits } from '../field/useUnits.ts';

const lastSight = (state: SiteState): Fact<'sight'> | null =>
  [...state.sights.values()].findLast(
    ({ body }) => body.target.kind !== 'direction' && !isFixed(state, body.target) && body.targetHeight !== 0,
  ) ?? null;

/** A sentence about a height that is about to be used; null when nothing is odd about it. */
export function useHeightNotice(): (height: number, target: CarriedPole['target']) => string | null {
  const { state } = useSite();
  const units = useUnits();
  return (height, target) => {
    const before = lastSight(state)?.body ?? null;
    const notice = noticeTargetHeight({
      height,
      ownHeight: target?.ownHeight ?? null,
      before: before && { height: before.targetHeight, ownHeight: before.carried?.ownHeight ?? null },
      newTarget: before !== null && (before.carried?.target ?? null) !== (target?.item ?? null),
    });
    return notice && targetHeightWords(notice, units.lengthUnit);
  };
}
