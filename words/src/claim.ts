/** What is said of an accepted station, on whichever screen or paper: what it rests on, and which part nothing has proved. */
import type { Part } from '@idle-marker/core';
import { listOf } from './lists.ts';

/** What a station rests on; `fits` is said of good sights alone. */
export type BasisWord = 'nothing' | 'provisional' | 'unchecked' | 'fits';

const BASIS: Readonly<Record<BasisWord, string>> = {
  nothing: 'Its direction was typed: no sight shows that it is right.',
  provisional: 'It was accepted against what its class asks.',
  unchecked: 'Its own sights do not check it: a mistake that matters could go unseen.',
  fits: 'Its own sights fit, which does not show that they are right.',
};

export const partsWords = (parts: readonly Part[]): string => parts.join(' and ');

/** "unproven", or the part that is: "height unproven"; "unchecked" of a station that its own sights do not check either. */
export const unprovenShort = (parts: readonly Part[], unchecked = false): string =>
  unchecked ? 'unchecked' : parts.length === 1 ? `${parts[0]!} unproven` : 'unproven';

/** "This station is unproven.", or which part of it is. */
export const thisUnproven = (parts: readonly Part[], unchecked = false): string =>
  unchecked
    ? 'This station is unchecked: nothing shows yet that it is right.'
    : parts.length === 1
      ? `The ${parts[0]!} of this station is unproven.`
      : 'This station is unproven.';

/** What a mark has to have to prove the parts: "a mark", "a mark with a height". */
const markFor = (parts: readonly Part[]): string =>
  parts.length === 1 && parts[0] === 'height' ? 'a mark with a height that it did not use' : 'a mark that it did not use';

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
    title: height ? `The height of ${name} is unproven` : unproven.length === 1 ? `${name} is unproven in plan` : `${name} is unproven`,
    // Once the plan is proved, what its sights do is no question any more.
    text: !height
      ? BASIS[basis]
      : failed.includes('plan')
        ? 'A proof speaks against its plan, and nothing independent has shown its height.'
        : 'Its plan is proved; nothing independent has shown its height.',
    todo: `Sight ${markFor(unproven)} before the first stake.`,
  };
}

/** The same before the first mark: a title that says what to do. */
export const proveFirstTitle = ({ name, unproven }: Pick<UnprovenStation, 'name' | 'unproven'>): string =>
  `Prove ${unproven.length === 1 && unproven[0] === 'height' ? `the height of ${name}` : name} before the first mark`;

/** That the provision of a station can go. */
export const liftWords = (name: string, marks: readonly string[]): { readonly title: string; readonly text: string; readonly reason: string } => ({
  title: `${name} need not be provisional any more`,
  text: `It was made from ${listOf(marks)}, of our own making, and has been proved on given marks since: that proves ${marks.length === 1 ? 'the mark' : 'the marks'}, too.`,
  reason: `proved on given marks, and ${listOf(marks)} with it`,
});
