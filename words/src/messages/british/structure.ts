import type { BritishOf } from './britishOf.ts';
import type { structure as whole } from '../structure.ts';

export const structure: BritishOf<typeof whole> = {
  noReadingYetOver: 'No reading over {name} yet',
  onlyHasHubsBesideTheWorkMeasure: '{name} only has pegs beside the work; measure the things themselves as points.',
  shootThe: 'Observe the {edgeWord}{withLean}',
  lowAndHigh: 'Yes: readings low and high',
  reckonTheShotsOfWithThisTarget: 'Reckon the readings of {name} with this target',
  shotsWithin: '· {sights} readings within {smallLength}',
  whateverThePoleTouchesAlongAndOff: 'Chainage along and offset of any point from a line.',
  heightWhereItStarts: 'Start level',
  emptyNoHeights: 'Leave empty for no levels.',
  heightWhereItEnds: 'End level',
  itsOuterSideAwayFromTheCentre: 'its outer side, away from the centre',
  theSideOfItsCentre: 'the side of its centre',
  noHeightAgainstTheLine: 'No level on this line',
};
