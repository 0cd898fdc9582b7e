/** Messages of sheetTrouble. */
export const sheetTrouble = {
  inDoubtDoNotBuildFromIt: 'in doubt: do not build from it',
  saidToBeGone: 'said to be gone',
  saidToHaveBeenHitOrMoved: 'said to have been hit or moved: do not build from it',
  stakeWrittenAnewTheMarkItselfIs: 'stake written anew, the mark itself is as it was',
  withdrawnDoNotBuildFromIt: 'withdrawn: do not build from it',
  setTwiceAskWhichStakeStandsBefore: 'set twice: ask which stake stands before building from it',
  setAgainItsFiguresAreOthersNow: 'set again: its figures are others now',
  setForAnEarlierRevisionDoNot: 'set for an earlier revision: do not build from it',
  setFromAStationThatIsNot: 'set from a station that is not checked by the rules of today',
} as const;
