/** Lengths and angles, read and written. */
export {
  METRES_PER_UNIT,
  RADIANS_PER_DEGREE,
  RADIANS_PER_SECOND,
  type AngleUnit,
  type LengthUnit,
  type Metres,
  type Radians,
} from './unit.ts';
export {
  angleFromRadians,
  angleToRadians,
  formatAngle,
  parseAngle,
  sexagesimalExcess,
  sexagesimalOrDecimal,
  wrapHalfTurn,
  wrapTurn,
} from './angle.ts';
export { exactCount } from './exactCount.ts';
export {
  formatFeetInches,
  formatLength,
  formatSigned,
  lengthFromMetres,
  lengthToMetres,
  parseLength,
  sharedLead,
  carriedDecimals,
  steadyDigits,
  apartByBlanks,
  twoReadings,
} from './length.ts';
export {
  convertLength,
  feetInchesParts,
  formatStation,
  parseDms,
  parseFeetInches,
  parseGon,
  parseStation,
  plainCutFill,
  plainDms,
  plainFeetInches,
  plainGon,
  type StationFormat,
} from './fixedText.ts';
