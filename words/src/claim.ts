/**
 * What is said of an accepted station, on whichever screen or paper: what it rests on, and which part nothing has
 * proved.
 */
import type { Part } from '@idle-marker/core';
import { msg, worded } from './message.ts';
import { listOf } from './lists.ts';

/** What a station rests on; `fits` is said of good sights alone. */
export type BasisWord = 'nothing' | 'provisional' | 'unchecked' | 'fits';

const basisWords = worded((): Readonly<Record<BasisWord, string>> => ({
  nothing: msg('claim.itsDirectionWasTypedNoSightShows'),
  provisional: msg('claim.itWasAcceptedAgainstWhatItsClass'),
  unchecked: msg('claim.itsOwnSightsDoNotCheckIt'),
  fits: msg('claim.itsOwnSightsFitWhichDoesNot'),
}));

/** A part of a station or a mark, inside of a sentence. */
export const partWord = (part: Part): string => (part === 'plan' ? msg('claim.plan') : msg('claim.elevation'));
export const partsWords = (parts: readonly Part[]): string => parts.map(partWord).join(' and ');

/**
 * "unproven", or the part that is: "height unproven"; "unchecked" of a station that its own sights do not check either.
 */
export const unprovenShort = (parts: readonly Part[], unchecked = false): string =>
  unchecked
    ? 'unchecked'
    : parts.length === 1
      ? msg('claim.unproven', { parts: partWord(parts[0]!) })
      : msg('claim.notProven');

/** "This station is unproven.", or which part of it is. */
export const thisUnproven = (parts: readonly Part[], unchecked = false): string =>
  unchecked
    ? msg('claim.thisStationIsUncheckedNothingShowsYet')
    : parts.length === 1
      ? msg('claim.theOfThisStationIsUnproven', { parts: partWord(parts[0]!) })
      : msg('claim.thisStationIsUnproven');

/** What a mark has to have to prove the parts: "a mark", "a mark with a height". */
const markFor = (parts: readonly Part[]): string =>
  parts.length === 1 && parts[0] === 'height' ? msg('claim.aMarkWithAHeightThatIt') : msg('claim.aMarkThatItDidNotUse');

export interface UnprovenStation {
  readonly name: string;
  readonly basis: BasisWord;
  readonly unproven: readonly Part[];
  /** Parts in which a proof speaks against it. */
  readonly failed?: readonly Part[];
}

/** A station, or a part of it, that nothing independent has shown to be right. */
export function unprovenWords({ name, basis, unproven, failed = [] }: UnprovenStation): {
  readonly title: string;
  readonly text: string;
  readonly todo: string;
} {
  const height = unproven.length === 1 && unproven[0] === 'height';
  return {
    title: height
      ? msg('claim.theHeightOfIsUnproven', { name })
      : unproven.length === 1
        ? msg('claim.isUnprovenInPlan', { name })
        : msg('claim.isUnproven', { name }),
    // Once the plan is proved, what its sights do is no question any more.
    text: !height
      ? basisWords()[basis]
      : failed.includes('plan')
        ? msg('claim.aProofSpeaksAgainstItsPlanAnd')
        : msg('claim.itsPlanIsProvedNothingIndependentHas'),
    todo: msg('claim.sightBeforeTheFirstStake', { markFor: markFor(unproven) }),
  };
}

/** The same before the first mark: a title that says what to do. */
export const proveFirstTitle = ({ name, unproven }: Pick<UnprovenStation, 'name' | 'unproven'>): string =>
  msg('claim.proveBeforeTheFirstMark', {
    unproven: unproven.length === 1 && unproven[0] === 'height' ? msg('claim.theHeightOf', { name }) : name,
  });

/** That the provision of a station can go. */
export const liftWords = (
  name: string,
  marks: readonly string[],
): { readonly title: string; readonly text: string; readonly reason: string } => ({
  title: msg('claim.needNotBeProvisionalAnyMore', { name }),
  text: msg('claim.itWasMadeFromOfOurOwn', { list: listOf(marks), marks: marks.length }),
  reason: msg('claim.provedOnGivenMarksAndWithIt', { list: listOf(marks) }),
});
