import { feetInchesParts } from './fixedText.ts';
import { type LengthUnit, type Metres, METRES_PER_UNIT } from './unit.ts';

export const lengthToMetres = (value: number, unit: LengthUnit): Metres => value * METRES_PER_UNIT[unit];
export const lengthFromMetres = (length: Metres, unit: LengthUnit): number => length / METRES_PER_UNIT[unit];

const UNIT_SUFFIX: Readonly<Record<string, LengthUnit>> = {
  m: 'metre',
  ft: 'foot',
  usft: 'usSurveyFoot',
  'us ft': 'usSurveyFoot',
};

/** Inches: whole, with decimals, a fraction, or whole and a fraction. */
const INCHES = String.raw`(?:(\d*\.\d+|\d+\.?)?(?:[\s-]*(\d+)\/(\d+))?)`;
const FEET_ALONE = /^(-?)(\d+(?:\.\d*)?|\.\d+)\s*'$/;
const INCHES_ALONE = new RegExp(`^(-?)${INCHES}\\s*"$`);
/** After feet with their mark the inches need none. */
const FEET_AND_INCHES = new RegExp(`^(-?)(\\d+)\\s*'[\\s-]*${INCHES}\\s*"?$`);
/** As drawings in feet have it; elsewhere it could as well be a difference. */
const FEET_DASH_INCHES = /^(-?)(\d+)-(\d+)(?:[\s-]+(\d+)\/(\d+))?$/;

/** Inches of a match from one group on; null when there are none, or the fraction is none. */
function inchesIn(match: RegExpExecArray, from: number): number | null {
  const [whole, numerator, denominator] = match.slice(from, from + 3);
  if (whole === undefined && numerator === undefined) return null;
  if (denominator !== undefined && Number(denominator) === 0) return null;
  return Number(whole ?? 0) + (numerator === undefined ? 0 : Number(numerator) / Number(denominator));
}

/** Feet with their inches, as marks say; null when the text has none. */
function markedFeet(text: string): number | null {
  const feet = FEET_ALONE.exec(text);
  if (feet) return Number(`${feet[1]}${feet[2]}`);
  const inches = INCHES_ALONE.exec(text);
  const alone = inches && inchesIn(inches, 2);
  if (inches && alone !== null) return (inches[1] === '-' ? -alone : alone) / 12;
  const both = FEET_AND_INCHES.exec(text);
  const more = both && inchesIn(both, 3);
  if (!both || more === null) return null;
  const size = Number(both[2]) + more / 12;
  return both[1] === '-' ? -size : size;
}

/** Feet of “5-6 1/2”; null when the text is not of that form, or its inches make a foot. */
function dashedFeet(text: string): number | null {
  const match = FEET_DASH_INCHES.exec(text);
  if (!match) return null;
  const [, sign, feet, whole, numerator, denominator] = match;
  const fraction = numerator === undefined ? 0 : Number(numerator) / Number(denominator);
  if (!(fraction < 1) || Number(whole) >= 12) return null;
  const size = Number(feet) + (Number(whole) + fraction) / 12;
  return sign === '-' ? -size : size;
}

const plainMarks = (text: string): string =>
  text.trim().replace(/[−–]/g, '-').replace(/[’′]/g, "'").replace(/[”″]/g, '"').replace(',', '.');
const footOf = (unit: LengthUnit): LengthUnit => (unit === 'metre' ? 'foot' : unit);

const SPOKEN_PARTS: Readonly<Record<string, number>> = { tenth: 10, hundredth: 100, thousandth: 1000 };

/**
 * Reads a length as a person types it, in `unit` unless a suffix says otherwise: `1.5`, `1.5 m`, `4.92 ft`, `4' 11
 * 1/16"`, `5' 6`, `.5'`, `11-1/2"`. Feet and inches are feet of the site (or international feet on a metric site); `5-6
 * 1/2` is feet and inches on sites in feet alone. As people say it: `4 and 35 hundredths`, `3 tenths`. Returns metres,
 * or null when the text is not a length, or could be two (`twoReadings`).
 */
export function parseLength(text: string, unit: LengthUnit): Metres | null {
  const trimmed = plainMarks(text);
  const plain = /^(-?\d+(?:\.\d*)?|-?\.\d+)\s*(m|ft|us ?ft)?$/i.exec(trimmed);
  if (plain) {
    const suffix = plain[2]?.toLowerCase();
    return lengthToMetres(Number(plain[1]), suffix === undefined ? unit : UNIT_SUFFIX[suffix]!);
  }
  const spoken = /^(?:(\d+)(?:\s+and)?\s+)?(\d+)\s+(tenth|hundredth|thousandth)s?$/i.exec(trimmed);
  if (spoken)
    return lengthToMetres(Number(spoken[1] ?? 0) + Number(spoken[2]) / SPOKEN_PARTS[spoken[3]!.toLowerCase()]!, unit);
  const feet = markedFeet(trimmed) ?? (unit !== 'metre' && trimmed.includes('/') ? dashedFeet(trimmed) : null);
  return feet === null ? null : lengthToMetres(feet, footOf(unit));
}

/**
 * Blanks inside of a length: between inches and their fraction, between feet and inches that are marked or have a
 * fraction.
 */
const INNER_BLANKS = /(?<=\d)\s+(?=\d+\/\d)|(?<=['’′])\s+(?=[\d.]+(?:[\s-]+\d+\/\d+)?\s*["”″]|\d+[\s-]+\d+\/\d)/g;
const HELD = '\u0000';

/** Words and lengths apart by blanks, each length whole: `line 5' 6 1/2"` has two parts. */
export const apartByBlanks = (text: string): string[] =>
  text
    .trim()
    .replace(INNER_BLANKS, HELD)
    .split(/\s+/)
    .map((part) => part.replaceAll(HELD, ' '));

/** A text that could be meant in two ways: feet and inches, or one figure less another, in the unit of the site. */
export interface TwoReadings {
  readonly feetAndInches: Metres;
  readonly difference: Metres;
}

/** Both readings of a text such as `5-6 1/2` where it is not clear which was meant; null where it is. */
export function twoReadings(text: string, unit: LengthUnit): TwoReadings | null {
  const trimmed = plainMarks(text);
  const feet = dashedFeet(trimmed);
  if (feet === null || parseLength(text, unit) !== null) return null;
  const [, sign, first, whole, numerator = '0', denominator = '1'] = FEET_DASH_INCHES.exec(trimmed)!;
  const less = Number(first) * (sign === '-' ? -1 : 1) - (Number(whole) + Number(numerator) / Number(denominator));
  return { feetAndInches: lengthToMetres(feet, footOf(unit)), difference: lengthToMetres(less, unit) };
}

/**
 * Writes a length with fixed decimals and a true minus sign. Nothing rounds to "−0".
 * Groups of three digits before the point are parted by a thin space when there are more than four.
 */
export function formatLength(length: Metres, unit: LengthUnit, decimals: number): string {
  return groupDigits(lengthFromMetres(length, unit).toFixed(decimals));
}

/** The same with a sign always shown, for differences. */
export function formatSigned(value: number, decimals: number): string {
  const text = Math.abs(value).toFixed(decimals);
  if (Number(text) === 0) return text;
  return `${value < 0 ? '−' : '+'}${text}`;
}

function groupDigits(fixed: string): string {
  const negative = fixed.startsWith('-') && Number(fixed) !== 0;
  const [whole = '', fraction] = fixed.replace('-', '').split('.');
  const grouped = whole.length > 3 ? whole.replace(/\B(?=(\d{3})+$)/g, '\u2009') : whole;
  return `${negative ? '−' : ''}${grouped}${fraction === undefined ? '' : `.${fraction}`}`;
}

/** Feet, inches and the nearest fraction of an inch: 4′ 11 1/16″. `denominator` is a power of two. */
export function formatFeetInches(length: Metres, unit: LengthUnit, denominator = 16): string {
  const footUnit: LengthUnit = unit === 'metre' ? 'foot' : unit;
  const parts = feetInchesParts(lengthFromMetres(length, footUnit), denominator);
  const fraction = parts.numerator > 0 ? ` ${parts.numerator}/${parts.denominator}` : '';
  return `${parts.isNegative ? '−' : ''}${parts.feet}′ ${parts.inches}${fraction}″`;
}

/**
 * How many characters of a written length a reading of that noise carries: digits worth less than half its
 * standard deviation only flicker. Never cuts before the first decimal.
 *
 * @param text as `formatLength` writes it
 * @param noise standard deviation, metres
 */
export function steadyDigits(text: string, noise: Metres, unit: LengthUnit): number {
  const point = text.indexOf('.');
  if (point < 0) return text.length;
  const decimals = text.length - point - 1;
  return point + 1 + Math.min(decimals, carriedDecimals(noise, unit));
}

/** Decimals that a figure of this standard deviation carries, one at least: half of it is still told. */
export const carriedDecimals = (sd: Metres, unit: LengthUnit): number =>
  Math.max(1, Math.floor(-Math.log10(Math.max(lengthFromMetres(sd, unit) / 2, 1e-12)) + 1e-9));

/** Coordinates from here on are long enough to be shortened, and are shortened by whole multiples of this. */
const LONG_COORDINATE = 100_000;
const LEAD_STEP = 10_000;

/**
 * The leading part that all of some coordinates share and that can be left away in a list, in the given unit;
 * 0 when they are short or share none.
 */
export function sharedLead(values: readonly Metres[], unit: LengthUnit): number {
  const numbers = values.map((value) => lengthFromMetres(value, unit));
  if (numbers.length === 0 || !numbers.some((value) => Math.abs(value) >= LONG_COORDINATE)) return 0;
  const least = Math.min(...numbers);
  const lead = Math.floor(least / LEAD_STEP) * LEAD_STEP;
  return Math.max(...numbers) - lead < LONG_COORDINATE ? lead : 0;
}
