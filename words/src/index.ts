export { stationErrorSentence } from './stationErrors.ts';
export {
  HEIGHT_REFERENCE,
  HEIGHT_REFERENCE_SHORT,
  LENGTH_DECIMALS,
  MEANING,
  STANDING,
  STANDING_REASON,
  UNIT_ABBREVIATION,
  UNIT_NAME,
} from './vocabulary.ts';
export { cutFillWords, stakeWords, type StakeConvention } from './stakeLines.ts';
export { CAUTIONS } from './cautions.ts';
