/** Messages of proof. */
export const proof = {
  withinToleranceButMoreThanChance: 'within tolerance, but more than chance',
  notMeasured: 'not measured',
  inPlanOfTheLineOfSight:
    '{smallLength} in plan ({smallLength2} {dAlong}, {smallLength3} {dAcross} of the line of sight)',
  itsListedHeight: 'its listed elevation',
  whereItsTopWas: 'where its top was',
  measures: '{name} measures {parts}.',
  planAndHeight: 'plan and elevation',
  stopTheProofFailsIn: 'Stop: check shot out of tolerance in {what}',
  isItTheRightMarkTheRight:
    'Is it the right mark, the right target height, the pole plumb? Sight it again. If it repeats, sight a third mark: two agreeing ones tell whether the mark or the instrument has moved.',
  nothingWasCompared: 'Nothing was compared',
  thisMarkHasNeitherPlanNorHeight: 'This mark has neither plan nor elevation that can be used. Sight another.',
  withinToleranceButMoreThanChance2: 'Within tolerance, but more than chance',
  itMayGoOnYetTheDifference:
    'You may go on, but the difference is larger than the instrument’s noise explains. Sight it a second time.',
  thisOneIsGoodAnEarlierOne: 'This one is good, an earlier one wasn’t',
  nothingHasAnsweredTheProofThatFailed:
    'Nothing has answered the check shot that failed in {parts}: sight a third mark, which tells whether that mark or the instrument has moved.',
  nothingHasMovedSince: 'Nothing has moved since',
  thisMarkWasUsedByTheStation:
    'The station used this mark, so this only shows that nothing moved, not that the station was right. Sight an unused mark too.',
  theStationHoldsIn: 'Station proven in {part}',
  nothingHasProvedItsHeightYetSight:
    'Nothing has proved its elevation yet: sight a mark with an elevation that it didn’t use, before anything gets a cut or a fill.',
  nothingHasProvedItsPlanYetSight: 'Nothing has proved its plan yet: sight a mark that it didn’t use in plan.',
  theStationHolds: 'Station proven',
  goOn: 'Go on.',
  sightOneMarkThatDidNotUse:
    'Sight one mark{unproven} that {station} didn’t use: nothing independent has proved its {unproven2} yet.',
  soFarOnlyMarksThatItUsed: 'so far only marks that it used were sighted again',
  nothingIndependentHasProvedItYet: 'nothing independent has proved it yet',
  sightOneMarkThatDidNotUse2: 'Sight one mark that {station} didn’t use: {because}.',
  sightAThirdMarkFromOneWas:
    'Sight a third mark from {station}: one was good and one wasn’t, and a third decides which is right.',
  theMark: 'the mark',
  sightAgainFromAProvenStation: 'Sight {mark} again from a proven station: {why}.',
  setAgain: 'Set {mark} again: {why}.',
  somethingHasMovedSinceItWasSet: 'The mark or the instrument has moved',
  eitherThisMarkOrTheInstrumentProve:
    'Either this mark or the instrument. Prove the station on an unused mark now: that tells which.',
  itIsNotWhereItWasSet: 'The mark has moved since it was set',
  holdThePolePlumbAndSightIt:
    'Hold the pole plumb and sight it again. If it repeats, the list of what would clear it says which mark comes next.',
  sightAnotherMark: 'Sight another mark.',
  markAndInstrumentStandAsTheyDid: 'Neither mark nor instrument has moved',
  itShowsThatNothingMovedSinceNot: 'It shows that nothing moved since, not that the station was right.',
  itIsWhereItWasSet: 'The mark is where it was set',
  itsStationStoodRightWhenItWas: 'Its station stood right when it was set, if this one does.',
  inPlan: 'in plan',
  inHeight: 'in elevation',
  cantBeComputedWithoutItInDoubt: 'can’t be computed without it: in doubt',
  insideItsToleranceStands: 'inside its tolerance, stands',
  plan: 'plan {level} ({axes})',
  height: 'elevation {figure} {name}',
  withAHeight: ' with an elevation',
} as const;
