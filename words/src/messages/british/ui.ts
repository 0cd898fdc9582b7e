import type { BritishOf } from './britishOf.ts';
import type { ui as whole } from '../ui.ts';

export const ui: BritishOf<typeof whole> = {
  finerThanTheReadingIsGood: 'Beyond the accuracy of this reading',
};
