import type { BritishOf } from './britishOf.ts';
import type { outline as whole } from '../outline.ts';

export const outline: BritishOf<typeof whole> = {
  theStationsOfTheRoadAreMissing: 'The chainages of the road are missing: make the package along the road again.',
  sayHowFarAndWhitherThePiles: 'Enter the rake of the piles, its bearing, and the level they are marked at.',
  giveTheHeightOfThePileHeads: 'Enter the level of the pile heads: where a raked pile comes through depends on it.',
};
