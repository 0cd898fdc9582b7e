import type { BritishOf } from './britishOf.ts';
import type { judgement as whole } from '../judgement.ts';

export const judgement: BritishOf<typeof whole> = {
  theHeightOfDoesNotFit: 'The level of {name} doesn’t fit',
  itStandsThanListedAHeavedMark:
    'It stands {length} {dZ} than listed. A heaved mark shifts the station’s level by its share; it tilts nothing.',
  distancesInFeetWereTakenForMetres: 'Distances in feet were taken for metres',
  distancesInMetresWereTakenForFeet: 'Distances in metres were taken for feet',
  theMisfitGrowsWithDistanceAndTurns:
    'The residual grows with distance and turns nothing: grid and ground distances are mixed, or the scale factor is wrong. Levels don’t mind.',
  theHeightMisfitGrowsWithDistance: 'The level residual grows with distance',
  theseMarksHaveHeightsAndNoneIs: 'These marks have levels, but none is used: marks set from here get no cut or fill.',
  noHeightYet: 'No level yet',
  noneOfTheseMarksGivesAHeight: 'None of these marks gives a level. Sight one that has one, or work in plan alone.',
  theyCheckEachOthersDirectionsAPoor:
    'They check each other’s directions. A poor centring over the mark shows only as far as they disagree.',
  measuredItsListedHeightItsTargetHeight:
    'Measured {length} {dZ} its listed level: its target height, or the mark itself; what else is known of the level agrees.',
  theHeightOfDoesNotFit2: 'The level of {station} doesn’t fit',
  theStationsHeightComesFromThe: 'The station’s level comes from the TBMs, so that neither matters here.',
  theHeightsOfDisagree: 'The levels of {names} disagree',
  aThirdHeightWouldTell: 'A third level would tell.',
  sightAnotherBenchmark: 'Sight another TBM.',
  theHeightsAgree: 'The levels agree',
  theStationsHeightComesFromByStands:
    'The station’s level comes from {from}. By {names}, {station} stands {length} {dZ} its listed level: no more than chance.',
  overAMarkEveryHeightIsWrong:
    'Over a mark every level is wrong by the instrument’s height when it isn’t given. Measure it from the mark to the tilting axis, or work in plan alone.',
  theHeightOfIsHardlyChecked: 'The level of {list} is hardly checked',
  upToOfAMistakeInIt:
    'Up to {aboutLength} of an error in it would go unseen and put the station’s level {aboutLength2} off. Sight another mark with a level.',
  oneMarkGivesTheHeight: 'One mark gives the level',
  everythingHangsOnTheHeightOfA: 'Everything depends on the level of {name}. A second one would check it.',
  leaveOutOfHeightAndTellWhoever: '{repeated} leave {name} out of level and tell whoever owns the control.',
  ifItIsRightTakeTheHeight: 'If it is right, take the level from the TBMs, and tell whoever owns the control.',
  theHeightOfCouldBeWrongUnseen:
    'the level of {list} could be wrong unseen and put the station’s level {aboutLength} off; up to {length} may stay hidden',
  goodToInHeight95TheClass: 'good to {length} in level (95 %), the class asks for {length2}',
  itHasNoHeight: 'it has no level',
  theHeightsDisagreeTimesWhatTheyShould: 'the levels disagree, {s0} times what they should',
  isOffInHeightAndStillUsed: '{name} is {length} off in level and still used',
  byTheBenchmarksStandsThanListedAnd:
    'by the TBMs {name} stands {length} {dZ} than listed, and the level is taken from it',
  theHeightsOfDisagreeByUpTo: 'the levels of {list} disagree by up to {length}',
  theyWereReadInMetres: 'They were read in metres',
};
