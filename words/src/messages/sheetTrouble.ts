/** Messages of sheetTrouble. */
export const sheetTrouble = {
  inDoubtDoNotBuildFromIt: 'in doubt: don’t build from it',
  saidToBeGone: 'reported gone',
  saidToHaveBeenHitOrMoved: 'reported hit or moved: don’t build from it',
  stakeWrittenAnewTheMarkItselfIs: 'stake rewritten, the mark itself is as it was',
  withdrawnDoNotBuildFromIt: 'withdrawn: don’t build from it',
  setTwiceAskWhichStakeStandsBefore: 'set twice: ask which stake stands before building from it',
  setAgainItsFiguresAreOthersNow: 'set again: its figures are others now',
  setForAnEarlierRevisionDoNot: 'set for an earlier revision: don’t build from it',
  setFromAStationThatIsNot: 'set from a station that isn’t checked under today’s rules',
} as const;
