import type { BritishOf } from './britishOf.ts';
import type { control as whole } from '../control.ts';

export const control: BritishOf<typeof whole> = {
  elev: 'level',
  theSitesNameAnotherTheSameFigures:
    'The sites name another {differs}: the same coordinates may be a different point. Take a check sight on a copied mark before a station uses it.',
  heightTheLast:
    '{axes}; level {z}. {source}. {life, plural, one {# record} other {# records}}, the last {dayAndTime}.',
  trueHeights: 'Show reduced levels',
  againstSiteZero: 'Show above site datum',
  usedInHeight: 'Used in level',
  sdInHeightMm: 'SD in level',
  whatIsOnlyDrawnStandsWhereIt:
    'What is only drawn stands where it was built: it is listed as good to {built} and its level isn’t used. Prove a station made from it on a mark that was surveyed.',
  csvWithAHeaderRowNameE:
    'CSV or text, with a header row or without (name, E, N, level, in any order), or LandXML with CgPoints',
  standardDeviationInHeightWhereNoneIs: 'Default SD, level',
  leftAsideNotUnderstood: 'Columns not recognised: {ignoredColumns}.',
  heightHigherThanListed: 'level difference, + above listed',
  onePointAStationOrProofIn: 'One point per station or check sight, in order ({unit}).',
  againstSiteZero2: ', {length} above site datum',
  trueHeight: 'RL {length} {unit}{siteZero}',
  planAndHeight: 'plan and level',
  heightOff: 'Level difference ({unit})',
};
