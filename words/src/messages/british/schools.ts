import type { BritishOf } from './britishOf.ts';
import type { schools as whole } from '../schools.ts';

export const schools: BritishOf<typeof whole> = {
  aFewSingleShotsThenTheTape: 'a few single readings, then the tape',
  paintAllOfThemRoughlyFirstAnd: 'paint all of them roughly first, and set the pegs later',
  heightsAgainstTheFloorOrTrueHeights: 'Levels from FFL, or true?',
  trueHeights: 'true levels',
  howFarOffDoHubsStand: 'How far off do pegs stand?',
  toWhatOfAKerbIsThe: 'Kerb offset: face, back or flow line?',
  toItsFaceWithTheGradeTo: 'to its face, with the level to its top',
  byPackageOffsetAndHeightEachName:
    'By package: offset and level each name their own part, on the screen and on the stake.',
  whichWayDoesALathFace: 'Which way does a stake face?',
  towardWhatItOffsetsTo: 'towards what it offsets to',
  turnedHalfwayTowardItToBeRead: 'turned halfway towards it, to be read from the road',
  whereDoesAHeightComeFrom: 'Where does a level come from?',
  aBenchmarkThroughTheStation: 'a TBM, through the station',
  levelsThatAreRun: 'spirit levelling',
  theSourceStandsBesideEveryHeightWith:
    'Every level shows its source and accuracy; one source never silently replaces another.',
  stationAlong: 'Chainage along',
};
