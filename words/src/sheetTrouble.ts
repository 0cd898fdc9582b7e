/** What has become of marks that a crew already builds from: what to tell it. */
export const SHEET_TROUBLE = {
  inDoubt: 'in doubt: do not build from it',
  destroyed: 'said to be gone',
  moved: 'said to have been hit or moved: do not build from it',
  setTwice: 'set twice: ask which stake stands before building from it',
  setAgain: 'set again: its figures are others now',
  planChanged: 'set for an earlier revision: do not build from it',
  stationFell: 'set from a station that is not checked by the rules of today',
  rewritten: 'stake written anew, the mark itself is as it was',
  withdrawn: 'withdrawn: do not build from it',
} as const;

type Trouble = keyof typeof SHEET_TROUBLE;

/** What nobody may build from comes first. */
const WORST_FIRST: readonly Trouble[] = ['inDoubt', 'destroyed', 'moved', 'planChanged', 'withdrawn', 'setTwice', 'stationFell', 'setAgain', 'rewritten'];

/** Marks by what has become of them, in one sentence. */
export function sheetTroubleWords(marks: readonly { readonly name: string; readonly trouble: Trouble }[]): string {
  const kinds = WORST_FIRST.filter((kind) => marks.some(({ trouble }) => trouble === kind));
  return `${kinds
    .map(
      (kind) =>
        `${marks
          .filter(({ trouble }) => trouble === kind)
          .map(({ name }) => name)
          .join(', ')}: ${SHEET_TROUBLE[kind]}`,
    )
    .join('. ')}.`;
}
