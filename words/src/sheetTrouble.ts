import { msg, worded } from './message.ts';
/** What has become of marks that a crew already builds from: what to tell it. */
export const sheetTroubleTexts = worded(
  () =>
    ({
      inDoubt: msg('sheetTrouble.inDoubtDoNotBuildFromIt'),
      destroyed: msg('sheetTrouble.saidToBeGone'),
      moved: msg('sheetTrouble.saidToHaveBeenHitOrMoved'),
      setTwice: msg('sheetTrouble.setTwiceAskWhichStakeStandsBefore'),
      setAgain: msg('sheetTrouble.setAgainItsFiguresAreOthersNow'),
      planChanged: msg('sheetTrouble.setForAnEarlierRevisionDoNot'),
      stationFell: msg('sheetTrouble.setFromAStationThatIsNot'),
      rewritten: msg('sheetTrouble.stakeWrittenAnewTheMarkItselfIs'),
      withdrawn: msg('sheetTrouble.withdrawnDoNotBuildFromIt'),
    }) as const,
);

type Trouble = keyof ReturnType<typeof sheetTroubleTexts>;

/** What nobody may build from comes first. */
const WORST_FIRST: readonly Trouble[] = [
  'inDoubt',
  'destroyed',
  'moved',
  'planChanged',
  'withdrawn',
  'setTwice',
  'stationFell',
  'setAgain',
  'rewritten',
];

/** Marks by what has become of them, in one sentence. */
export function sheetTroubleWords(marks: readonly { readonly name: string; readonly trouble: Trouble }[]): string {
  const kinds = WORST_FIRST.filter((kind) => marks.some(({ trouble }) => trouble === kind));
  return `${kinds
    .map(
      (kind) =>
        `${marks
          .filter(({ trouble }) => trouble === kind)
          .map(({ name }) => name)
          .join(', ')}: ${sheetTroubleTexts()[kind]}`,
    )
    .join('. ')}.`;
}
