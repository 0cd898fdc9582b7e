import type { BritishOf } from './britishOf.ts';
import type { stakes as whole } from '../stakes.ts';

export const stakes: BritishOf<typeof whole> = {
  looksHalfwayAtTheThing: 'faces halfway towards the work',
};
