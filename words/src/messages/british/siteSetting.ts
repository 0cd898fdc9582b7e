import type { BritishOf } from './britishOf.ts';
import type { siteSetting as whole } from '../siteSetting.ts';

export const siteSetting: BritishOf<typeof whole> = {
  siteZero: 'site datum',
  whatHeightsAreCountedFrom: 'level datum',
  coloursOfPaint: 'colours of paint',
  howStationsAreWritten: 'how chainages are written',
};
