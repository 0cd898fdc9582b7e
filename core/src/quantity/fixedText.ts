/**
 * Lengths, stations and angles as texts in plain characters, for files, sheets and whatever is read back: the screen's
 * own signs and spaces are put in elsewhere. Rounding is to the nearest, exact ties away from zero, on the exact value;
 * nothing is ever minus zero. Parsing is strict: a figure that could be meant in two ways is refused with null.
 */
import { exactCount } from './exactCount.ts';
import type { LengthUnit } from './unit.ts';
import { METRES_PER_UNIT } from './unit.ts';

/** How stations are written: 12+34.56 with hundreds before the sign, 1+234.567 with thousands, or as a plain number. */
export type StationFormat = 'hundred' | 'thousand' | 'plain';

const signed = (isNegative: boolean, text: string): string => (isNegative ? `-${text}` : text);

/** Fixed decimals; `toFixed` judges the exact value and takes ties away from zero once the sign is off. */
function fixed(value: number, decimals: number): { readonly isNegative: boolean; readonly text: string } {
  const text = Math.abs(value).toFixed(decimals);
  return { isNegative: value < 0 && Number(text) !== 0, text };
}

export interface FeetInchesParts {
  readonly isNegative: boolean;
  readonly feet: number;
  readonly inches: number;
  /** Reduced fraction of an inch; 0 over 1 when there is none. */
  readonly numerator: number;
  readonly denominator: number;
}

const commonDivisor = (a: number, b: number): number => (b === 0 ? a : commonDivisor(b, a % b));

/** Feet to feet, inches and the nearest fraction of an inch. */
export function feetInchesParts(feet: number, denominator: number): FeetInchesParts {
  const count = exactCount(feet, 12 * denominator);
  const ticks = Math.abs(count);
  const divisor = commonDivisor(denominator, ticks % denominator);
  return {
    isNegative: count < 0,
    feet: Math.floor(ticks / (12 * denominator)),
    inches: Math.floor((ticks % (12 * denominator)) / denominator),
    numerator: (ticks % denominator) / divisor,
    denominator: denominator / divisor,
  };
}

/** -3'-4 1/2" */
export function plainFeetInches(feet: number, denominator: number): string {
  const parts = feetInchesParts(feet, denominator);
  const fraction = parts.numerator > 0 ? ` ${parts.numerator}/${parts.denominator}` : '';
  return signed(parts.isNegative, `${parts.feet}'-${parts.inches}${fraction}"`);
}

const INCHES = String.raw`(?:(\d+(?:\.\d+)?)|(?:(\d+)\s+)?(\d+)/(\d+))\s*"`;
const FEET_ONLY = /^(\d+(?:\.\d+)?)\s*'?$/;
const INCHES_ONLY = new RegExp(`^${INCHES}$`);
const FEET_AND_INCHES = new RegExp(String.raw`^(\d+)\s*'\s*-?\s*${INCHES}$`);

function inchesOf(
  decimal: string | undefined,
  whole: string | undefined,
  numerator: string | undefined,
  denominator: string | undefined,
): number | null {
  if (decimal !== undefined) return Number(decimal);
  if (!(Number(numerator) < Number(denominator))) return null;
  return Number(whole ?? 0) + Number(numerator) / Number(denominator);
}

/**
 * Feet from F', I", F' with I", or a plain number of feet; a leading minus is for the whole. Null when it is none of
 * these.
 */
export function parseFeetInches(text: string): number | null {
  const trimmed = text.replace(/′/g, "'").replace(/″/g, '"').trim();
  const isNegative = trimmed.startsWith('-');
  const body = isNegative ? trimmed.slice(1).trimStart() : trimmed;
  const size = unsignedFeet(body);
  return size === null ? null : isNegative && size > 0 ? -size : size;
}

function unsignedFeet(body: string): number | null {
  const feet = FEET_ONLY.exec(body);
  if (feet) return Number(feet[1]);
  const inches = INCHES_ONLY.exec(body);
  if (inches) {
    const size = inchesOf(inches[1], inches[2], inches[3], inches[4]);
    return size === null ? null : size / 12;
  }
  const both = FEET_AND_INCHES.exec(body);
  if (!both) return null;
  const size = inchesOf(both[2], both[3], both[4], both[5]);
  return size === null || size >= 12 ? null : Number(both[1]) + size / 12;
}

const DIGITS_AFTER_PLUS: Readonly<Record<Exclude<StationFormat, 'plain'>, number>> = { hundred: 2, thousand: 3 };

export function formatStation(value: number, format: StationFormat, decimals: number): string {
  const { isNegative, text } = fixed(value, decimals);
  if (format === 'plain') return signed(isNegative, text);
  const [whole = '', fraction] = text.split('.');
  const digits = DIGITS_AFTER_PLUS[format];
  const padded = whole.padStart(digits + 1, '0');
  return signed(
    isNegative,
    `${padded.slice(0, -digits)}+${padded.slice(-digits)}${fraction === undefined ? '' : `.${fraction}`}`,
  );
}

/** A station as written, or a plain number in any format; null when it is neither. */
export function parseStation(text: string, format: StationFormat): number | null {
  const trimmed = text.trim();
  if (/^-?[0-9]+(\.[0-9]+)?$/.test(trimmed)) return Number(trimmed);
  if (format === 'plain') return null;
  const parts = new RegExp(String.raw`^(-?)([0-9]+)\+([0-9]{${DIGITS_AFTER_PLUS[format]}}(?:\.[0-9]+)?)$`).exec(
    trimmed,
  );
  return parts ? Number(`${parts[1]}${parts[2]}${parts[3]}`) : null;
}

export interface SexagesimalParts {
  readonly isNegative: boolean;
  readonly degrees: number;
  readonly minutes: number;
  /** With the decimals asked for. */
  readonly seconds: string;
}

/**
 * Degrees to degrees, minutes and seconds, carried over. `asAzimuth` wraps to the full turn, before and after rounding.
 */
export function sexagesimalParts(degrees: number, decimals: number, asAzimuth = false): SexagesimalParts {
  const scale = 10 ** decimals;
  const turn = 360 * 3600 * scale;
  const count = exactCount(asAzimuth ? degrees - 360 * Math.floor(degrees / 360) : degrees, 3600 * scale);
  const ticks = asAzimuth ? count % turn : Math.abs(count);
  const ofMinute = ticks % (60 * scale);
  const seconds = `${Math.floor(ofMinute / scale)}`.padStart(2, '0');
  return {
    isNegative: count < 0,
    degrees: Math.floor(ticks / (3600 * scale)),
    minutes: Math.floor(ticks / (60 * scale)) % 60,
    seconds: decimals === 0 ? seconds : `${seconds}.${String(ofMinute % scale).padStart(decimals, '0')}`,
  };
}

/** 123°45'06.8" */
export function plainDms(degrees: number, decimals: number, asAzimuth = false): string {
  const parts = sexagesimalParts(degrees, decimals, asAzimuth);
  return signed(parts.isNegative, `${parts.degrees}°${String(parts.minutes).padStart(2, '0')}'${parts.seconds}"`);
}

const DMS = new RegExp(
  String.raw`^(\d+(?:\.\d+)?)(?:(?:\s*[°-]\s*|\s+)(\d+(?:\.\d+)?)(?:(?:\s*['-]\s*|\s+)(\d+(?:\.\d+)?)\s*"?|\s*'?)|\s*°?)$`,
);

/** Decimal degrees from one to three parts; only the last may have decimals, minutes and seconds stay below 60. */
export function parseDms(text: string): number | null {
  const trimmed = text.replace(/′/g, "'").replace(/″/g, '"').trim();
  const isNegative = trimmed.startsWith('-');
  const parts = DMS.exec(isNegative ? trimmed.slice(1).trimStart() : trimmed);
  if (!parts) return null;
  const given = parts.slice(1).filter((part) => part !== undefined);
  if (given.slice(0, -1).some((part) => part.includes('.')) || given.slice(1).some((part) => Number(part) >= 60))
    return null;
  const [degrees, minutes = 0, seconds = 0] = given.map(Number);
  const size = degrees! + minutes / 60 + seconds / 3600;
  return isNegative && size > 0 ? -size : size;
}

/** Degrees as a plain number of gon. */
export function plainGon(degrees: number, decimals: number, asAzimuth = false): string {
  const scale = 10 ** decimals;
  const count = exactCount(asAzimuth ? degrees - 360 * Math.floor(degrees / 360) : degrees, 10 * scale, 9);
  const ticks = String(asAzimuth ? count % (400 * scale) : Math.abs(count)).padStart(decimals + 1, '0');
  const text = decimals === 0 ? ticks : `${ticks.slice(0, -decimals)}.${ticks.slice(-decimals)}`;
  return signed(count < 0, text);
}

/** Decimal degrees from a plain number of gon. */
export function parseGon(text: string): number | null {
  const trimmed = text.trim();
  return /^-?[0-9]+(\.[0-9]+)?$/.test(trimmed) ? (Number(trimmed) * 9) / 10 : null;
}

export type CutFillFormat =
  { readonly unit: 'm' | 'ft'; readonly decimals: number } | { readonly unit: 'ftIn'; readonly denominator: number };

/** `value` in the printed unit, positive for cut. What rounds to nothing is on grade. */
export function plainCutFill(value: number, format: CutFillFormat): string {
  const letter = value > 0 ? 'C' : 'F';
  const size = Math.abs(value);
  if (format.unit === 'ftIn')
    return exactCount(size, 12 * format.denominator) === 0
      ? 'ON GRADE'
      : `${letter} ${plainFeetInches(size, format.denominator)}`;
  const { text } = fixed(size, format.decimals);
  return Number(text) === 0 ? 'ON GRADE' : `${letter} ${text} ${format.unit}`;
}

export const convertLength = (value: number, from: LengthUnit, to: LengthUnit): number =>
  (value * METRES_PER_UNIT[from]) / METRES_PER_UNIT[to];
