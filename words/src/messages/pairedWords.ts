/** Messages of pairedWords. */
export const pairedWords = {
  noCorrections: 'no corrections',
  notFixed: 'not fixed',
  noReceiver: 'No receiver',
  switchItOnOrLinkItWithout:
    'Switch it on, or link it. Without it there is no plan here, for the instrument has no place of its own.',
  theReceiverIsNotFixed: 'The receiver is not fixed',
  theReceiverHasNoCorrectionsToWork: 'The receiver has no corrections to work with',
  itsPlanIsGoodToDecimetresAt:
    'Its plan is good to decimetres at best. Stand where the sky is open, and wait until it says fixed.',
  noCorrectionsYet: 'No corrections yet',
  correctionsAreSOld: 'Corrections are {seconds} s old',
  startTheCorrectionLinkOrLookWhat:
    'Start the correction link, or look what became of it: radio, telephone network, base. Its plan drifts without them.',
  switchTiltCompensationOff: 'Switch tilt compensation off',
  apartNow: ', {smallLength} apart now',
  theReceiverTakesTheLeanOutOf:
    'The receiver takes the lean out of its own place and gives the tip. The instrument measures a prism that hangs beside the tip and lower, and cannot know it: the two would be of different places{aside}. Off, and a plumb pole, both are of one.',
  thePoleLeansBy: 'The pole leans by {coarseAngle}',
  thatPutsThePlanAsideAndThe:
    'That puts the plan {smallLength} aside and the height {smallLength2} too low. Look at the bubble: nothing takes it out in this way of working.',
  noHeightOfTheInstrumentYet: 'No height of the instrument yet',
  sightABenchmarkAndASecondOne:
    'Sight a benchmark, and a second one. A design point or a point of a road is no benchmark.',
  lockLostNoHeight: 'Lock lost: no height',
  theInstrumentDoesNotFollowThePrism: 'The instrument does not follow the prism: no height',
  theReceiverHasAHeightOfIts:
    'The receiver has a height of its own, centimetres worse; it is not put in place of the one that is missing. Let the sight get free, and search.',
  theLastHeightIsOld: 'The last height is old',
  itIsOfAnotherPlaceByNow: 'It is of another place by now. Wait for the next reading.',
  antennaHeightAndTargetHeightDoNot: 'Antenna height and target height do not belong together',
  theTwoHeightsDoNotAgree: 'The two heights do not agree',
  theReceiverReadsTheInstrumentUpTo:
    'The receiver reads {smallLength} {difference} the instrument; up to {smallLength2} is what their precisions explain',
  lookAtTheTargetHeightTheAntenna:
    '{said}. Look at the target height, the antenna height, the benchmark and its spot, and whether the receiver is fitted to this site; then sight a second benchmark.',
  tooLarge: 'too large',
  tooSmall: 'too small',
  withTheOffsetOfThisPairThe:
    'With the offset of this pair the antenna height that was entered is {smallLength} {misfit} for the target height. Was a section put in, or the other height forgotten?',
  nothingProvesThePlanYet: 'Nothing proves the plan yet',
  putThePoleOnAMarkThat:
    'Put the pole on a mark that is known in plan. A base with wrong coordinates, or a calibration of another site, shifts every mark alike, and nothing else would show it.',
  oneBenchmarkNothingChecksTheHeight: 'One benchmark: nothing checks the height',
  aWrongSpotOrAWrongFigure:
    'A wrong spot or a wrong figure puts every height out by the same amount. Put the pole on a second benchmark before the first mark.',
  stopThePlanFailsOnAKnown: 'Stop: the plan fails on a known mark',
  isItTheRightMarkThePole:
    'Is it the right mark, the pole plumb, the receiver fixed? If it repeats, sight another known mark: either this mark has moved, or the receiver is not in the coordinates of this site.',
  stopTheHeightFailsOnABenchmark: 'Stop: the height fails on a benchmark',
  isItTheRightSpotTheRight:
    'Is it the right spot, the right target height? If it repeats, sight a third benchmark: two agreeing ones tell whether the benchmark or the instrument has moved.',
  planProveItAgainBeforeYouLeave: 'Plan: prove it again before you leave',
  marksWereSetSinceTheLastKnown:
    'Marks were set since the last known mark. A receiver can find a wrong fix in between.',
  heightABenchmarkAgainBeforeYouPack: 'Height: a benchmark again before you pack up',
  marksWereSetSinceTheLastOne: 'Marks were set since the last one. An instrument that sank or was bumped shows there.',
  planUnchecked: 'Plan unchecked',
  heightUnchecked: 'Height unchecked',
  planFailed: 'Plan failed',
  heightFailed: 'Height failed',
  planDue: 'Plan due',
  benchmarkDue: 'Benchmark due',
  asksForMoreThanTheReceiverCan: '{name} asks for more than the receiver can promise',
  withinIsAskedInPlanTheReceiver:
    'Within {smallLength} is asked in plan; the receiver is good to {smallLength2} (95 %). Use it for work that takes that, or station the instrument in plan for this.',
  offInPlanByTheReceiver: '{smallLength} off in plan by the receiver ({smallLength2} {dE}, {smallLength3} {dN})',
  itsListedHeightByTheInstrument: '{smallLength} {dZ} its listed height by the instrument',
  hasNeitherPlanNorHeightToCompare: '{name} has neither plan nor height to compare with.',
  measures: '{name} measures {parts}.',
  aReceiverThatWasCalibratedToThe:
    'A receiver that was calibrated to the site lies on a plane, or a tilted surface, through the marks at its corners. There it fits; in between it follows that plane, and whatever the true ground of heights does between the corners stays in every reading: often one to three centimetres, the same at one place all day.',
  anInstrumentThatWasStationedFrom:
    'An instrument that was stationed from benchmarks carries their heights along a line of sight. It does not know of any plane; its error grows with the distance, and is millimetres within a few hundred metres.',
  soADifferenceThatIsConstantAt:
    'So a difference that is constant at one place, and changes slowly across the site, is the calibration. One that jumps is a lost fix, a wrong target or antenna height, or an instrument that moved. The height on the stake is always the instrument’s.',
} as const;
