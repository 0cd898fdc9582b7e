/** Messages of proof. */
export const proof = {
  withinToleranceButMoreThanChance: 'within tolerance, but more than chance',
  notMeasured: 'not measured',
  inPlanOfTheLineOfSight:
    '{smallLength} in plan ({smallLength2} {dAlong}, {smallLength3} {dAcross} of the line of sight)',
  itsListedHeight: 'its listed height',
  whereItsTopWas: 'where its top was',
  measures: '{name} measures {parts}.',
  planAndHeight: 'plan and height',
  stopTheProofFailsIn: 'Stop: the proof fails in {what}',
  isItTheRightMarkTheRight:
    'Is it the right mark, the right target height, the pole plumb? Sight it again. If it repeats, sight a third mark: two agreeing ones tell whether the mark or the instrument has moved.',
  nothingWasCompared: 'Nothing was compared',
  thisMarkHasNeitherPlanNorHeight: 'This mark has neither plan nor height that can be used. Sight another.',
  withinToleranceButMoreThanChance2: 'Within tolerance, but more than chance',
  itMayGoOnYetTheDifference:
    'It may go on, yet the difference is larger than the instrument’s noise explains. Sight it a second time.',
  thisOneIsGoodAnEarlierOne: 'This one is good, an earlier one was not',
  nothingHasAnsweredTheProofThatFailed:
    'Nothing has answered the proof that failed in {parts}: sight a third mark, which tells whether that mark or the instrument has moved.',
  nothingHasMovedSince: 'Nothing has moved since',
  thisMarkWasUsedByTheStation:
    'This mark was used by the station itself, so the sight shows that it still stands as it did, not that it was right. Sight an unused mark too.',
  theStationHoldsIn: 'The station holds in {part}',
  nothingHasProvedItsHeightYetSight:
    'Nothing has proved its height yet: sight a mark with a height that it did not use, before anything gets a cut or a fill.',
  nothingHasProvedItsPlanYetSight: 'Nothing has proved its plan yet: sight a mark that it did not use in plan.',
  theStationHolds: 'The station holds',
  goOn: 'Go on.',
  sightOneMarkThatDidNotUse:
    'Sight one mark{unproven} that {station} did not use: nothing independent has proved its {unproven2} yet.',
  soFarOnlyMarksThatItUsed: 'so far only marks that it used were sighted again',
  nothingIndependentHasProvedItYet: 'nothing independent has proved it yet',
  sightOneMarkThatDidNotUse2: 'Sight one mark that {station} did not use: {because}.',
  sightAThirdMarkFromOneWas:
    'Sight a third mark from {station}: one was good, one was not, and it must be told which is right.',
  theMark: 'the mark',
  sightAgainFromAProvenStation: 'Sight {mark} again from a proven station: {why}.',
  setAgain: 'Set {mark} again: {why}.',
  somethingHasMovedSinceItWasSet: 'Something has moved since it was set',
  eitherThisMarkOrTheInstrumentProve:
    'Either this mark or the instrument. Prove the station on an unused mark now: that tells which.',
  itIsNotWhereItWasSet: 'It is not where it was set',
  holdThePolePlumbAndSightIt:
    'Hold the pole plumb and sight it again. If it repeats, the list of what would clear it says which mark comes next.',
  sightAnotherMark: 'Sight another mark.',
  markAndInstrumentStandAsTheyDid: 'Mark and instrument stand as they did',
  itShowsThatNothingMovedSinceNot: 'It shows that nothing moved since, not that the station was right.',
  itIsWhereItWasSet: 'It is where it was set',
  itsStationStoodRightWhenItWas: 'Its station stood right when it was set, if this one does.',
  inPlan: 'in plan',
  inHeight: 'in height',
  cantBeComputedWithoutItInDoubt: 'can’t be computed without it: in doubt',
  insideItsToleranceStands: 'inside its tolerance, stands',
  plan: 'plan {level} ({axes})',
  height: 'height {figure} {name}',
  withAHeight: ' with a height',
} as const;
