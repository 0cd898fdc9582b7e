import type { BritishOf } from './britishOf.ts';
import type { sites as whole } from '../sites.ts';

export const sites: BritishOf<typeof whole> = {
  metricAbout: 'metres, degrees, easting then northing',
};
