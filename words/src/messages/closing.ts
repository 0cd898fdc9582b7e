/** Messages of closing. */
export const closing = {
  andMore: '{names} and {names2} more',
  theClosingProofOfIsMissing: 'Closing check shot missing at {station}',
  noGoodProofCameAfterOneSight:
    '{listed}: no good check shot since. One sight to an unused mark verifies{marks, plural, one { it} other { them all}}.',
  aProofOfFailedInAndNothing: 'A check shot of {station} failed in {parts} and is still unanswered',
  untilThenNothingMayBeBuiltFrom: ' Until then nothing may be built from what was measured since: {listed}.',
  sightThatMarkAgainThenAThird:
    'Sight that mark again, then a third one: it tells whether the mark or the instrument has moved.{measured}',
  measuredAndInDoubt: 'Measured, and in doubt',
  measureAgainFromAStationThatIs:
    '{listed}: measure{measured, plural, one { it} other { them}} again from a station that is proved.',
  leftWithoutALastProof: '{station} closed without a final check shot',
  sightTheLastOfThemAgainFrom: '{listed}: sight the last of them again from the next station.',
  measuredAndNotHeldMeasureOneOf:
    '{listed}: measured, and not verified; measure one of them again from the next station.',
  theBenchmarksOfDisagree: 'The benchmarks of {station} disagree',
  readFromHeightsOfWhichOneIs: '{listed}: read from elevations of which one is wrong. Sight another benchmark.',
  nothingChecksTheHeightsOf: 'Nothing checks the elevations of {station}',
  readFromOneBenchmarkASecondOne: '{listed}: read from one benchmark. A second one would check them.',
  isStillSetUp: '{station} is still set up',
  closeItWhenTheInstrumentLeaves:
    'Close the setup when you take the instrument down. A station can’t be trusted overnight.',
  inDoubt: 'In doubt',
  nobodyMayBuildFrom: '{listed}: nobody may build from{marks, plural, one { it} other { them}}.',
  notShotAfterDriving: 'Not checked after driving',
  withoutItTheStakeHasNoCut: '{listed}: without it the stake has no cut or fill.',
  tell: 'Tell {who}',
  cutSheetRevisionIsNotAsIt: 'Cut sheet {number}, revision {revision}, has changed since: {listed}.',
  isNotHandedOver: '{package} isn’t handed over',
  heldAndOnNoSheetYet: '{marks, plural, one {# mark is} other {# marks are}} verified and on no sheet yet.',
  toSet: '{marks, plural, one {# mark} other {# marks}} to set.',
  controlToLookAt: 'Control to look at',
  calledDoubtfulHaveSurveyedAnewOrPut:
    '{listed}: doubtful. Have{marks, plural, one { it} other { them}} surveyed again, or retire{marks, plural, one { it} other { them}}.',
  notStoredYet: '{entries, plural, one {# entry is} other {# entries are}} not stored yet',
  theyAreKeptOnThisDeviceAlone: 'They are stored on this device only. Connect to the server before you leave.',
  settingUpAndStationing: 'Setting up and stationing',
  marking: 'Marking',
  workPackagesSheetsAndNotes: 'Work packages, sheets and notes',
  waiting: 'Waiting',
} as const;
