/** What a made-up site says of itself, for the tests of what is written. */
import type { SiteAbout } from './siteAbout.ts';

export const ABOUT: SiteAbout = {
  site: 'Quay & co',
  coordinateSystem: 'Quay grid',
  heightDatum: 'bolt at the gate',
  unit: 'metre',
  axes: 'EN',
  scaleFactor: 0.9999,
  at: '2031-05-06T08:00:00.000Z',
  by: 'Rosa <Quint>',
  stations: [{ name: 'S1', standing: 'accepted, K1, K2' }],
  lines: ['Site: Quay & co', 'Station S1: accepted, K1, K2'],
};
