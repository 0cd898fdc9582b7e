import type { Move, StakeResult, Viewpoint } from '@idle-marker/core';
import type { Fact } from '@idle-marker/contract';
import type { AcceptedSolution, RoundStop } from '@idle-marker/records';
import type { MarkActs } from '../../pole/useMarkActs.tsx';
import type { DueItem } from '../../pole/view/DueLine.tsx';
import type { Round } from '../../pole/useRound.ts';
import type { Staking } from '../../pole/useStaking.ts';
import type { WayOfWorking } from '../../pole/ways.ts';

/** One mark and the pole before it: the same on the desk and in the hand. */
export interface MarkScene {
  readonly work: Fact<'package'>;
  readonly stop: RoundStop;
  readonly round: Round;
  readonly staking: Staking;
  readonly way: WayOfWorking;
  onWay(way: WayOfWorking): void;
  readonly solution: AcceptedSolution;
  readonly viewpoint: Viewpoint;
  onViewpoint(viewpoint: Viewpoint): void;
  readonly lineAzimuth: number;
  /** The live figure, or the last shot. */
  readonly shown: StakeResult | null;
  readonly isLive: boolean;
  readonly move: Move | null;
  readonly trail: readonly Move[];
  readonly stale: boolean;
  /** The plan is shown instead of the scales. */
  readonly onPlan: boolean;
  onView(onPlan: boolean): void;
  readonly due: readonly DueItem[];
  readonly acts: MarkActs;
}
