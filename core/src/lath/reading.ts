/**
 * What a crew has to know to read one stake: its figures and what they lead to. Metres; words and drawings are made
 * from it elsewhere.
 */
import type { PlanPoint } from '../plane/point.ts';
import type { Metres } from '../quantity/unit.ts';
import type { FigureRounding, StakeConvention, StakeTerm } from './convention.ts';
import type { AngleMark, CornerMeaning, HeightReference, PointOnMark } from './stakeText.ts';

/**
 * Which way leads from the mark to the thing: square to a face, along a line, straight to a point, square to a road, or
 * none.
 */
export type Reach =
  | { readonly way: 'face'; readonly from: string; readonly until: string }
  | { readonly way: 'line'; readonly from: string; readonly until: string }
  | { readonly way: 'straight' }
  | { readonly way: 'road'; readonly side: 'left' | 'right'; readonly angle: AngleMark | null }
  | { readonly way: 'on' };

/** A height that the mark is written for. */
export interface ReadHeight {
  readonly reference: HeightReference;
  /** The line of a road that it leads to, instead. */
  readonly string: string | null;
  /** From the point of the mark: positive, the thing is lower. */
  readonly cutFill: Metres;
}

/** A word or short form as it stands on a stake. */
export interface WordOnStake {
  readonly word: string;
  readonly means: StakeTerm | 'cut' | 'fill' | 'onGrade';
}

export interface StakeReading {
  readonly name: string;
  readonly carrier: StakeConvention['carrier'];
  readonly point: PointOnMark;
  readonly reach: Reach;
  /** Level distance as it is written on the stake. */
  readonly offset: Metres;
  /** Corner, or station of the road. */
  readonly to: string;
  readonly meaning: CornerMeaning;
  /** The line of a road that the offset leads to. */
  readonly string: string | null;
  readonly heights: readonly ReadHeight[];
  readonly place: PlanPoint;
  readonly design: PlanPoint;
  /** Lines of the thing to build near the mark, for the drawing. */
  readonly lines: readonly (readonly PlanPoint[])[];
  /** What is not as usual here, and what would be. */
  readonly unusual: readonly { readonly what: StakeTerm; readonly usual: readonly StakeTerm[] }[];
  readonly facing: StakeConvention['facing'];
  readonly colours: { readonly ribbon: string; readonly paint: string } | null;
  readonly tolerance: { readonly plan: Metres; readonly height: Metres } | null;
  readonly rounding: { readonly offset: FigureRounding; readonly height: FigureRounding };
  /** Words that stand on the stake, and what each means; absent on sheets of before they were kept. */
  readonly words?: readonly WordOnStake[];
}
