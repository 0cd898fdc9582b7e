/** What the command line says of a file that it read. */
import { msg, worded } from './message.ts';

const faults = worded((): Readonly<Record<string, string>> => ({
  NO_NAME: msg('commands.faultNoName'),
  NOT_A_NUMBER: msg('commands.faultNotANumber'),
  HALF_A_PLACE: msg('commands.faultHalfAPlace'),
  NO_COORDINATES: msg('commands.faultNoCoordinates'),
  NAME_TWICE: msg('commands.faultNameTwice'),
}));

const warnings = worded((): Readonly<Record<string, string>> => ({
  DECIMAL_COMMA_ASSUMED: msg('commands.warnDecimal'),
  UNIT_OVERRIDDEN: msg('commands.warnUnitOverridden'),
  ENCODING_ASSUMED: msg('commands.warnEncoding'),
  UNIT_ASSUMED: msg('commands.warnUnitAssumed'),
  PAPER_SPACE_LEFT_OUT: msg('commands.warnPaperSpace'),
  INVISIBLE_LEFT_OUT: msg('commands.warnInvisible'),
  TILTED_LEFT_OUT: msg('commands.warnTilted'),
  GAP: msg('commands.warnGap'),
  RADIUS_DISAGREES: msg('commands.warnRadius'),
  LENGTH_DISAGREES: msg('commands.warnLength'),
  STATION_DISAGREES: msg('commands.warnStation'),
  ELEMENT_UNREADABLE: msg('commands.warnElement'),
}));

/** What is wrong with a row; the code itself where nothing is said of it. */
export const readFaultWords = (code: string): string => faults()[code] ?? code;
/** What to look at; the code itself where nothing is said of it. */
export const readWarningWords = (code: string): string => warnings()[code] ?? code;
