import type { BritishOf } from './britishOf.ts';
import type { olderControl as whole } from '../olderControl.ts';

export const olderControl: BritishOf<typeof whole> = {
  inHeight: 'in level',
  inHeight2: ', {length} in level',
  inPlanAndInHeight: ' in plan and {length} in level',
};
