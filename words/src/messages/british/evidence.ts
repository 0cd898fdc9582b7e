import type { BritishOf } from './britishOf.ts';
import type { evidence as whole } from '../evidence.ts';

export const evidence: BritishOf<typeof whole> = {
  giveAPlaceAHeightOrBoth: 'Enter a place, a level, or both.',
  standardDeviationInHeight: 'SD in level',
  usableInHeight: 'Use for level',
  centreOfTheNailHead: 'centre of the nail head',
  heightFromIfElsewhere: 'Source of level, if different',
  labelOnTheKerb: 'label on the kerb',
  inHeight: 'Moved in level',
  theChartOfTheProofs: 'The chart of the check sights',
  proofsOffInPlanMmTheDashed: 'Check sights: error in plan ({unit}). Dashed line: class tolerance.',
  proofsOffInHeightMmPlusIs: 'Check sights: level difference ({unit}). Plus: above the listed level.',
  inHeight2: ', {smallLength} in level',
  hub: ' · peg {length}',
  notShotAgainAfterDriving: 'not observed again after driving',
};
