/** What can be said of a station and what to do about it, as codes with figures; sentences are made elsewhere. */
import type { Metres, Radians } from '../quantity/unit.ts';
import type { Explanation } from './explain/explanation.ts';
import type { HeightFrom } from './heldHeight.ts';
import type { NoiseSource } from './noiseSource.ts';
import type { Unnoticed } from './reliability.ts';

export type Verdict = 'checked' | 'unchecked' | 'refused';

/** How two explanations that fit alike could be told apart. */
export type TellApart =
  | { readonly by: 'SIGHT_AGAIN'; readonly name: string }
  | { readonly by: 'CHECK_TARGET'; readonly name: string }
  | { readonly by: 'OTHER_DISTANCE' }
  | { readonly by: 'ANOTHER_MARK' };

export type Reason =
  /** Two marks: one distance between them is compared, a shift across their line does not show. */
  | { readonly code: 'TWO_MARKS'; readonly names: readonly string[] }
  /** More names than places: what stands on one post moves together, and two places check nothing. */
  | { readonly code: 'FEW_PLACES'; readonly places: readonly (readonly string[])[] }
  /** Enough places, but a mistake in one of them would do more than the work bears before it were noticed. */
  | { readonly code: 'HARDLY_CHECKED'; readonly of: Unnoticed }
  /** Checked, but what would stay unseen is more than the tolerance. */
  | { readonly code: 'PARTLY_HIDDEN'; readonly of: Unnoticed; readonly allowed: Metres }
  /** What nobody would notice is known, but the station is not known well enough for the class. */
  | { readonly code: 'TOO_COARSE'; readonly radius95: Metres }
  | { readonly code: 'FITS'; readonly marks: number; readonly largest: Metres }
  /** One explanation that stands out; `others` marks agree within `othersWithin` without it. */
  | {
      readonly code: 'EXPLAINED';
      readonly explanation: Explanation;
      readonly share: number;
      readonly others: number;
      readonly othersWithin: Metres | null;
    }
  | {
      readonly code: 'CANNOT_TELL';
      readonly first: Explanation;
      readonly second: Explanation | null;
      readonly apart: TellApart;
    }
  /** So many times the misfits that were stated; `look`: where to look first. */
  | { readonly code: 'NOISIER_THAN_STATED'; readonly s0: number; readonly look: NoiseSource }
  | { readonly code: 'HEIGHT_GROWS'; readonly perMetre: number }
  /** Sighted again and again: all readings count together. */
  | { readonly code: 'SIGHTED_OFTEN'; readonly name: string; readonly times: number }
  /** No mark gives one; they do and it is not used; or this way of stationing gives none. */
  | { readonly code: 'NO_HEIGHT'; readonly why: 'NONE' | 'NOT_USED' | 'METHOD' }
  | { readonly code: 'HEIGHT_UNCHECKED'; readonly name: string }
  /** A height that is wrong would do more than the work bears before it were noticed. */
  | {
      readonly code: 'HEIGHT_HARDLY_CHECKED';
      readonly names: readonly string[];
      readonly noticed: Metres;
      readonly effect: Metres;
    }
  /** Over a mark: the direction is forced to fit, one distance (measured minus listed) is all that is tested. */
  | {
      readonly code: 'OVER_ONE_BACKSIGHT';
      readonly station: string;
      readonly name: string;
      readonly distanceOff: Metres | null;
    }
  | { readonly code: 'OVER_SEVERAL_BACKSIGHTS'; readonly station: string; readonly marks: number }
  | { readonly code: 'BACKSIGHT_OFF'; readonly name: string; readonly distanceOff: Metres | null }
  | { readonly code: 'BACKSIGHTS_DISAGREE'; readonly s0: number }
  | { readonly code: 'BACKSIGHT_HEIGHT_OFF'; readonly name: string; readonly dZ: Metres }
  /**
   * The benchmarks agree, and put the mark under the instrument by so much higher than it is listed; or the
   * instrument's height is wrong.
   */
  | {
      readonly code: 'OCCUPIED_HEIGHT_OFF';
      readonly station: string;
      readonly dZ: Metres;
      readonly benchmarks: readonly string[];
      readonly isUsed: boolean;
    }
  /** Heights that disagree, and it can't be told which is wrong: each by so much from the mean of all. */
  | { readonly code: 'HEIGHTS_DISAGREE'; readonly names: readonly string[]; readonly largest: Metres }
  /**
   * Where the height comes from, when all that is known of it agrees; `dZ`: benchmarks less the mark under the
   * instrument.
   */
  | {
      readonly code: 'HEIGHTS_AGREE';
      readonly from: HeightFrom;
      readonly benchmarks: readonly string[];
      readonly station: string;
      readonly dZ: Metres;
    }
  /** Heights are taken from the mark under the instrument, whose height above it was not given. */
  | { readonly code: 'NO_INSTRUMENT_HEIGHT' }
  /** The direction was typed: nothing is tested. */
  | { readonly code: 'ASSUMED_DIRECTION'; readonly station: string }
  /**
   * A sight to a mark of known place puts the typed direction so far off, at that mark; positive: it is listed to the
   * right of where it is seen.
   */
  | {
      readonly code: 'TYPED_DIRECTION_OFF';
      readonly name: string;
      readonly across: Metres;
      readonly angle: Radians;
      readonly isUsed: boolean;
    }
  /** Marks that bear the typed direction out, and the largest difference there. */
  | { readonly code: 'TYPED_DIRECTION_FITS'; readonly names: readonly string[]; readonly largest: Metres }
  /** The station is carried forward: it is as good as the one before and the new mark. */
  | {
      readonly code: 'CARRIED_FORWARD';
      readonly from: string;
      readonly distanceOff: Metres | null;
      readonly heightOff: Metres | null;
    }
  /** Points on lines: how many surplus sights there are, and the largest distance off a line. */
  | { readonly code: 'ON_LINES'; readonly surplus: number; readonly largest: Metres }
  | { readonly code: 'LINE_OFF'; readonly name: string; readonly off: Metres };

export type Step =
  | { readonly code: 'CHECK_NAME'; readonly name: string; readonly other: string | null }
  | { readonly code: 'CHECK_TARGET'; readonly name: string }
  | { readonly code: 'CHECK_PRISM' }
  | { readonly code: 'CHECK_UNIT' }
  | { readonly code: 'CHECK_SCALE' }
  | { readonly code: 'LEVEL_POLE'; readonly name: string }
  | { readonly code: 'SIGHT_AGAIN'; readonly name: string }
  /** `repeated`: it was sighted again already, and came out the same. */
  | { readonly code: 'LEAVE_OUT_PLAN'; readonly name: string; readonly repeated: boolean }
  | { readonly code: 'LEAVE_OUT_HEIGHT'; readonly name: string; readonly repeated: boolean }
  /** Leaving it out would leave too few marks to check anything. */
  | { readonly code: 'OTHER_CONTROL' }
  /** The listed mark, or the direction for a new one, that leaves the least hidden, and how little that is. */
  | {
      readonly code: 'SIGHT_ANOTHER';
      readonly name: string | null;
      readonly azimuth: Radians | null;
      readonly effect: Metres | null;
    }
  /** No listed mark would make it checked: then a proof has to. */
  | { readonly code: 'PROVE_ON'; readonly name: string | null }
  | { readonly code: 'LEVEL_INSTRUMENT' }
  | { readonly code: 'CHECK_INSTRUMENT_HEIGHT' }
  | { readonly code: 'HEIGHT_FROM_BENCHMARKS' }
  | { readonly code: 'ACCEPT' };
