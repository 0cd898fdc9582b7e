import type { BritishOf } from './britishOf.ts';
import type { outline as whole } from '../outline.ts';

export const outline: BritishOf<typeof whole> = {
  theStationsOfTheRoadAreMissing: 'The chainages of the road are missing: make the package along the road again.',
  giveTheHeightOfThePileHeads: 'Enter the level of the pile heads: where a raked pile comes through depends on it.',
};
