import type { BritishOf } from './britishOf.ts';
import type { pairedWords as whole } from '../pairedWords.ts';

export const pairedWords: BritishOf<typeof whole> = {
  switchItOnOrLinkItWithout:
    'Turn it on or connect it. This setup gives levels only, so without the receiver there is no plan position.',
  itsPlanIsGoodToDecimetresAt:
    'Its plan is good to decimetres at best. Stand where the sky is open, and wait until it says fixed.',
  thatPutsThePlanAsideAndThe:
    'That puts the plan {smallLength} aside and the level {smallLength2} too low. Look at the bubble: nothing takes it out in this way of working.',
  sightABenchmarkAndASecondOne: 'Sight a TBM, and a second one. A design point or a point of a road is no TBM.',
  lockLostNoHeight: 'Lock lost: no level',
  theInstrumentDoesNotFollowThePrism: 'Instrument not tracking: no level',
  theReceiverHasAHeightOfIts:
    'The receiver’s own level is centimetres worse and is never used instead. Clear the line of sight and search.',
  theLastHeightIsOld: 'Last level is out of date',
  itIsOfAnotherPlaceByNow: 'The pole has moved since. Wait for the next reading.',
  theTwoHeightsDoNotAgree: 'The two levels don’t agree',
  lookAtTheTargetHeightTheAntenna:
    '{said}. Look at the target height, the antenna height, the TBM and its spot, and whether the receiver is fitted to this site; then sight a second TBM.',
  oneBenchmarkNothingChecksTheHeight: 'One TBM: nothing checks the level',
  aWrongSpotOrAWrongFigure:
    'A wrong spot or a wrong figure puts every level out by the same amount. Put the pole on a second TBM before the first mark.',
  stopTheHeightFailsOnABenchmark: 'Stop: the level fails on a TBM',
  isItTheRightSpotTheRight:
    'Is it the right spot, the right target height? If it repeats, sight a third TBM: two agreeing ones tell whether the TBM or the instrument has moved.',
  heightABenchmarkAgainBeforeYouPack: 'Level: a TBM again before you pack up',
  heightUnchecked: 'Level unchecked',
  heightFailed: 'Level failed',
  benchmarkDue: 'TBM check due',
  itsListedHeightByTheInstrument: '{smallLength} {dZ} its listed level by the instrument',
  hasNeitherPlanNorHeightToCompare: '{name} has neither plan nor level to compare with.',
  anInstrumentThatWasStationedFrom:
    'An instrument that was stationed from TBMs carries their levels along a line of sight. It doesn’t know of any plane; its error grows with the distance, and is millimetres within a few hundred metres.',
  soADifferenceThatIsConstantAt:
    'So a difference that is constant at one place, and changes slowly across the site, is the calibration. One that jumps is a lost fix, a wrong target or antenna height, or an instrument that moved. The level on the stake is always the instrument’s.',
};
