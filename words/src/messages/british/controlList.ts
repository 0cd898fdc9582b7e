import type { BritishOf } from './britishOf.ts';
import type { controlList as whole } from '../controlList.ts';

export const controlList: BritishOf<typeof whole> = {
  roleSdHeight: 'SD level, mm',
  millimeters: 'millimetres',
  centimeters: 'centimetres',
  decimeters: 'decimetres',
  kilometers: 'kilometres',
  row1IsNoHeaderPutA:
    'Row 1 (“{firstRow}”) is no header. Put a first row that names the columns, such as name, E, N, level.',
  columnsForEastingAndNorthingAreNeeded:
    'Columns for easting and northing are needed both (E, N), or one for the level.',
  theLinearUnitIsNotKnownHere: 'The linear unit “{text}” isn’t known here: metre, foot and US survey foot are.',
  hasNeitherAPlaceNorAHeight: 'has neither a place nor a level',
  sdInHeightMm: 'SD in level {before} → {after} {unit}',
  usedInHeight: 'used in level',
  keptForProofs: 'kept for check sights',
};
