import type { BritishOf } from './britishOf.ts';
import type { station as whole } from '../station.ts';

export const station: BritishOf<typeof whole> = {
  onlyIfTheGroundUnderTheInstrument:
    'Only if the ground under the instrument is marked. It is listed as usable, for check sights alone, with the precision it has here.',
  heightsAlone: 'level only',
  heightsWithThePlanFromAReceiver: 'GNSS plan, instrument level',
  coloursAtTheMarksToSet: 'Colours at the marks to set',
  aProofOfFailed: 'Check sight failed at station {name}',
  marksSetSinceTheLastGoodProof:
    'Marks set since the last good check sight are in doubt. See Prove for what to do next.',
  tiltingAxisGoodTo95: 'instrument level ± {smallLength} (95 %){heightFrom}',
  aProofLasts30MinutesAtMost: ': a check sight lasts 30 minutes at most',
  aProofIsDueAtOnceAfter: 'A check sight is due right after this.',
  nothingThatWasSetOrMeasuredFrom: 'Nothing that was set or measured from here waits for a check sight.',
  azimuth: 'Bearing',
  eNHeight: '{axes}, level {elevation}',
  heightOfTheStationFromIt: 'Instrument level from this sight',
  onAFreeStationTheMarksGive: 'In a resection this only changes the ground level under the tripod.',
  whatWasReadStaysAsItWas: 'The original reading is kept; only the entry is corrected.',
  theMarksHangOnTheEvidenceOf: 'From now on the marks depend on that station’s check sights.',
  itsCentreIsAboveThePolesMark:
    'Its centre is {length} {unit} above the pole’s mark; {ownHeights, plural, one {# sight was} other {# sights were}} reckoned with another. Correct the target height too.',
  insteadOfALevelHowFar: 'Range for trig levelling',
  aHeightIsGoodTo95: 'Level accuracy (95 %)',
  theBenchmarksAloneLeaveMoreThanSight: 'The TBMs alone leave more than {small}: sight another one, or run a level.',
  whileThePoleIsFollowedItIs: 'While the prism is tracked, the scatter of its level is shown here.',
  theLastReadingsOfTheStandingPole: 'Scatter of the last readings: {small} (95 %).',
  fromSatellitesAloneAHeightMovesBy: '{noise} GNSS levels alone vary by about {small}.',
  theHeightsThatAreNotTakenAre:
    'The levels that aren’t taken are compared. Both together give the weighted mean: for levels that agree.',
  takeTheHeightFromTheBenchmarks: 'Take the level from the TBMs',
  isListedAtNowItsHistoryHas: '{name} is listed at {figure} now; its history has both levels.',
  onlyALineOfSightToA:
    'Only a line of sight to a TBM and to the work counts: control in plan need not be seen, nor the figure be a good one.',
  noBenchmarkOfTheListHasA: 'No listed TBM has coordinates, so sights to them can’t be assessed.',
  noPlaceSeesABenchmarkAndAny: 'No place sees a TBM and any of it within {length} {unit}.',
  seesOfPlacesTheFarthestAt:
    'sees {count}{benchmarks, plural, one { TBM} other { TBMs}} ({names}), {seen} of {targets} places, the farthest at {length} {unit}',
  heightsStayWithin95UpToAreas:
    'Levels stay within {smallLength} (95 %) up to {length} {unit}. Sight-blocking areas drawn under Work are considered; check on site for anything not drawn.',
  planWithTheBenchmarksTheInstrumentHas: 'Plan with the TBMs. The instrument has no place here, only a level.',
  heightsOnly: 'Level only',
  tiltingAxis: 'Height of collimation',
  readTheHeight: 'Measure level{spot}',
  noHeightYet: 'No level yet',
  benchmarksAgree: '{benchmarks} TBMs agree{isChecked}',
  oneBenchmarkReadWithTwoTargetHeights: 'One TBM, read with two target heights',
  oneBenchmarkNothingChecksIt: 'One TBM: nothing checks it',
  isItTheRightSpotNailFlange:
    'Is it the right spot (nail, flange, nut), and the level that is written there? Read it again, then leave one out.',
  theTargetHeightIsCheckedByThat:
    'The target height is checked by that; the TBM itself isn’t. A second one would be better.',
  aWrongSpotOrAWrongFigure:
    'A wrong spot or a wrong figure puts every level out by the same amount, and no residual shows it. Sight a second one, or this one with another target height.',
  heightsReadFromHere: 'Levels measured from here',
  heightsFromHere: 'Levels from here',
  thenReadItEachOneIsKept:
    'Then read it. Each one is kept with the TBMs it depends on; sight a TBM again before you pack up.',
  theHeightOfWasTakenBack: 'the level of {name} was withdrawn',
  itGivesThePlanAndTheInstrument:
    'It gives the plan, and the instrument goes on giving the levels: marks can be set from anywhere that sees a TBM and the work.',
  noMarkOnTheListHasA: 'No mark on the list has a level yet.',
  aBenchmarkThatIsNotListed: 'Add unlisted TBM…',
  leaveOutOfHeight: 'Leave out of level',
  theDemoInstrumentLevelsItselfWhenYou:
    'The demo instrument levels itself when you start. To practise, put the tripod down and bring it in by the foot screws.',
  theTripodMovesSoonerHereAProof:
    'The tripod moves sooner here: a check sight is due every 30 minutes. Stand low and wide, tighten levers and set screws, and average several readings.',
  benchmarksToSightForTheHeight: 'TBMs to sight for the level',
  keptForProofs: 'reserved for check sights',
  measureItReadings: 'Measure mark, {readings} readings',
  heightsAloneFromBenchmarks: 'Level only, from TBMs',
  neitherAWrongMarkUnderTheTripod:
    'Neither a wrong mark under the tripod nor a poor centring shows in its own figures; with one backsight a single distance is all that is tested.',
  standWhereTheSightIsBestThere:
    'Stand where the sight is best: there is no place, only the height of the tilting axis. Two TBMs check each other.',
  forHeightsAloneSightABenchmarkBetter: 'For level only: sight a TBM, better two.',
  centredToWithinMm: 'Centring accuracy (mm)',
  assumedGoodForAJobInA:
    'Assumed direction: fine for a local coordinate system. Nothing checks it, and everything set from it is labelled assumed.',
  allHeightsHangOnItMeasureIt: 'All levels depend on it: measure it twice, to the millimetre.',
  heightsComeFromTheBenchmarksAndRefer: 'Not used here: levels come from the TBMs.',
  onAFreeStationHeightsComeFrom:
    'On a resection levels come from the marks and refer to the axis; this only gives the ground below it.',
  inHeight: '{name} in level',
  ht: 'Level',
  thePoleAtMovedWhileItWas: 'Pole moved during the reading to {name}',
  readingsOfEachSight: 'Readings per sight',
  oneCarefulReading: 'Single reading',
  carefulForControlOfSeveralAllAre:
    'Every reading is kept; their mean is used and their spread shown. A tracking reading gets half the weight.',
  planMmHeightMm: '{name}: plan {plan}, level {elevation}',
  planOnlyHeightsAreNotUsed: 'Plan only (no levels)',
  takeTheHeightFromBenchmarksAlone: 'Use TBM levels',
  theHeightsOfTheSightsSoFar:
    'The levels of the sights so far are left out and the plan stays; then sight a TBM, better two. One that isn’t listed can be added on the spot.',
  heightOf: 'level of {names}',
  overAMarkWithAHeightZero:
    'Over a mark with a level, zero puts every level out by the instrument’s height: measure it.',
  assumedAzimuth: 'Assumed bearing',
};
