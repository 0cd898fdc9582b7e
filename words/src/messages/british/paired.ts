import type { BritishOf } from './britishOf.ts';
import type { paired as whole } from '../paired.ts';

export const paired: BritishOf<typeof whole> = {
  marksOfTheControlListOnlyWhat:
    'Marks of the control list only. What is to be set, or a point of a road, is no TBM, however near its level looks.',
  heightTheOneItCameFrom: 'level (used for this setup)',
  heightInstrument: 'Level (instrument)',
  fromThePrismsCentreUpToThe: 'From the prism’s centre up to the receiver’s reference point, 0 to 2 m.',
  receiverAboveThePrismsCentre: 'Receiver {receiver}, {length} {unit} above the prism’s centre.',
  heightMm: 'Calibration residual, level (mm)',
  whatTheCalibrationLeftAtTheMarks:
    'What the calibration left at the marks it was fitted to, as its report says. It is in every reading alike, so it counts in what is promised and in how far the two levels may differ.',
  setTheInstrumentUpForHeightsAlone: 'Start a level-only setup first',
  withAReceiverOnThePoleThe:
    'With a receiver on the pole the instrument gives level only: it may stand anywhere that sees a TBM and the work. Choose level only when you set it up.',
  whyTheTwoHeightsDiffer: 'Why the two levels differ',
  switchTheReceiverOff: 'Switch receiver off',
  switchTheReceiverOn: 'Switch receiver on',
  heightOfTheReceiver: 'Receiver level',
  andForHeightMm: 'Stated accuracy, level (mm)',
  useThisReadingForTheNextShot: 'Use for next reading',
  asKeyedInAtTheShot: 'as keyed in at the reading',
  noHeight: '{lock}: no level',
  receiverAndPrismAreOnePairOffset: 'Receiver and prism are one pair: offset and both levels agree',
  theInstrumentHasSightedABenchmark: 'First TBM sighted',
  andASecondOneWhichChecksThe: 'Second TBM sighted and agrees',
  sightABenchmark: 'Sight a TBM',
  isItTheRightSpotAndThe:
    'Is it the right spot, and the level that is written there? Sight them again, then leave one out.',
  planHeight: '{name}: {smallLength} plan, {smallLength2} level',
  oneBenchmark: 'one TBM',
  benchmarks: '{benchmarks} TBMs',
  withOneBenchmarkTheHeightsAre: 'With one TBM the levels are provisional until a second one is proved with the pole.',
  heightsComeOnceTheInstrumentFollowsThe: 'Levels come once the instrument tracks the prism.',
  heightWithin: 'level 95 %: {smallLength}',
  noHeightNow: 'no level',
};
