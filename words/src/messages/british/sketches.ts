import type { BritishOf } from './britishOf.ts';
import type { sketches as whole } from '../sketches.ts';

export const sketches: BritishOf<typeof whole> = {
  heightsAreTrueHeights: 'Levels are reduced levels.',
  heightsAreTrueHeightsSiteZeroIs: 'Levels are true levels; site datum is {writtenLength} {unit}.',
};
