import type { Move, StakeResult, Viewpoint } from '@idle-marker/core';
import type { MarkBodyProps } from '../../pole/MarkBody.tsx';
import type { MarkActs } from '../../pole/useMarkActs.tsx';

/** One mark and the pole before it: the same on the desk and in the hand. */
export interface MarkScene extends Omit<MarkBodyProps, 'groundZ' | 'pole' | 'onCare' | 'onChosen'> {
  onViewpoint(viewpoint: Viewpoint): void;
  /** The live figure, or the last shot. */
  readonly shown: StakeResult | null;
  readonly isLive: boolean;
  readonly move: Move | null;
  readonly trail: readonly Move[];
  readonly stale: boolean;
  /** The plan is shown instead of the scales. */
  readonly onPlan: boolean;
  onView(onPlan: boolean): void;
  readonly acts: MarkActs;
}
