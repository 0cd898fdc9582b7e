/** Messages of pairedWords. */
export const pairedWords = {
  noCorrections: 'no corrections',
  notFixed: 'not fixed',
  noReceiver: 'No receiver',
  switchItOnOrLinkItWithout:
    'Turn it on or connect it. This setup gives elevations only, so without the receiver there is no plan position.',
  theReceiverIsNotFixed: 'The receiver isn’t fixed',
  theReceiverHasNoCorrectionsToWork: 'The receiver has no corrections to work with',
  itsPlanIsGoodToDecimetresAt:
    'Its plan is good to decimeters at best. Stand where the sky is open, and wait until it says fixed.',
  noCorrectionsYet: 'No corrections yet',
  correctionsAreSOld: 'Corrections are {seconds} s old',
  startTheCorrectionLinkOrLookWhat:
    'Start the correction link, or look what became of it: radio, telephone network, base. Its plan drifts without them.',
  switchTiltCompensationOff: 'Switch tilt compensation off',
  apartNow: ', {smallLength} apart now',
  theReceiverTakesTheLeanOutOf:
    'With tilt compensation, the receiver reports the pole tip, but the instrument measures the leaning prism: two different points{aside}. Turn it off and plumb the pole, and both measure the same point.',
  thePoleLeansBy: 'The pole leans by {coarseAngle}',
  thatPutsThePlanAsideAndThe:
    'That puts the plan {smallLength} aside and the elevation {smallLength2} too low. Look at the bubble: nothing takes it out in this way of working.',
  noHeightOfTheInstrumentYet: 'No height of the instrument yet',
  sightABenchmarkAndASecondOne:
    'Sight a benchmark, and a second one. A design point or a point of a road is no benchmark.',
  lockLostNoHeight: 'Lock lost: no elevation',
  theInstrumentDoesNotFollowThePrism: 'Instrument not tracking: no elevation',
  theReceiverHasAHeightOfIts:
    'The receiver’s own elevation is centimeters worse and is never used instead. Clear the line of sight and search.',
  theLastHeightIsOld: 'Last elevation is out of date',
  itIsOfAnotherPlaceByNow: 'The pole has moved since. Wait for the next shot.',
  antennaHeightAndTargetHeightDoNot: 'Antenna height and target height don’t belong together',
  theTwoHeightsDoNotAgree: 'The two elevations don’t agree',
  theReceiverReadsTheInstrumentUpTo:
    'The receiver reads {smallLength} {difference} the instrument; up to {smallLength2} is what their precisions explain',
  lookAtTheTargetHeightTheAntenna:
    '{said}. Look at the target height, the antenna height, the benchmark and its spot, and whether the receiver is fitted to this site; then sight a second benchmark.',
  tooLarge: 'too large',
  tooSmall: 'too small',
  withTheOffsetOfThisPairThe:
    'With the offset of this pair the antenna height that was entered is {smallLength} {misfit} for the target height. Was a section put in, or the other height forgotten?',
  nothingProvesThePlanYet: 'Plan not checked yet',
  putThePoleOnAMarkThat:
    'Put the pole on a mark that is known in plan. A base with wrong coordinates, or a calibration of another site, shifts every mark alike, and nothing else would show it.',
  oneBenchmarkNothingChecksTheHeight: 'One benchmark: nothing checks the elevation',
  aWrongSpotOrAWrongFigure:
    'A wrong spot or a wrong figure puts every elevation out by the same amount. Put the pole on a second benchmark before the first mark.',
  stopThePlanFailsOnAKnown: 'Stop: the plan fails on a known mark',
  isItTheRightMarkThePole:
    'Is it the right mark, the pole plumb, the receiver fixed? If it repeats, sight another known mark: either this mark has moved, or the receiver isn’t in the coordinates of this site.',
  stopTheHeightFailsOnABenchmark: 'Stop: the elevation fails on a benchmark',
  isItTheRightSpotTheRight:
    'Is it the right spot, the right target height? If it repeats, sight a third benchmark: two agreeing ones tell whether the benchmark or the instrument has moved.',
  planProveItAgainBeforeYouLeave: 'Plan: prove it again before you leave',
  marksWereSetSinceTheLastKnown:
    'Marks were set since the last known mark. A receiver can find a wrong fix in between.',
  heightABenchmarkAgainBeforeYouPack: 'Elevation: a benchmark again before you pack up',
  marksWereSetSinceTheLastOne: 'Marks were set since the last one. An instrument that sank or was bumped shows there.',
  planUnchecked: 'Plan unchecked',
  heightUnchecked: 'Elevation unchecked',
  planFailed: 'Plan failed',
  heightFailed: 'Elevation failed',
  planDue: 'Plan check due',
  benchmarkDue: 'Benchmark check due',
  asksForMoreThanTheReceiverCan: '{name} needs better than GNSS accuracy',
  withinIsAskedInPlanTheReceiver:
    'Within {smallLength} is asked in plan; the receiver is good to {smallLength2} (95 %). Use it for work that takes that, or station the instrument in plan for this.',
  offInPlanByTheReceiver: '{smallLength} off in plan by the receiver ({smallLength2} {dE}, {smallLength3} {dN})',
  itsListedHeightByTheInstrument: '{smallLength} {dZ} its listed elevation by the instrument',
  hasNeitherPlanNorHeightToCompare: '{name} has neither plan nor elevation to compare with.',
  measures: '{name} measures {parts}.',
  aReceiverThatWasCalibratedToThe:
    'A site calibration fits a tilted plane through the calibration marks. It is right at those marks; between them, whatever the height datum does that a plane doesn’t stays in every reading: often 1 to 3 cm, the same at one spot all day.',
  anInstrumentThatWasStationedFrom:
    'An instrument that was stationed from benchmarks carries their elevations along a line of sight. It doesn’t know of any plane; its error grows with the distance, and is millimeters within a few hundred meters.',
  soADifferenceThatIsConstantAt:
    'So a difference that is constant at one place, and changes slowly across the site, is the calibration. One that jumps is a lost fix, a wrong target or antenna height, or an instrument that moved. The elevation on the stake is always the instrument’s.',
} as const;
