import { sexagesimalParts } from './fixedText.ts';
import { type AngleUnit, type Radians, RADIANS_PER_DEGREE, RADIANS_PER_GON } from './unit.ts';

const TURN = 2 * Math.PI;

/** Wraps an angle into [0, 2π). */
export function wrapTurn(angle: Radians): Radians {
  const wrapped = angle % TURN;
  const positive = wrapped < 0 ? wrapped + TURN : wrapped;
  // A tiny negative angle plus a full turn rounds to exactly the full turn.
  return positive >= TURN ? 0 : positive;
}

/** Wraps an angle difference into (-π, π]. */
export function wrapHalfTurn(angle: Radians): Radians {
  const wrapped = wrapTurn(angle);
  return wrapped > Math.PI ? wrapped - TURN : wrapped;
}

const radiansPer = (unit: AngleUnit): number => (unit === 'gon' ? RADIANS_PER_GON : RADIANS_PER_DEGREE);

/** Decimal degrees or gon to radians. `dms` takes decimal degrees here: its text form is read by `parseAngle`. */
export const angleToRadians = (value: number, unit: AngleUnit): Radians => value * radiansPer(unit);
export const angleFromRadians = (angle: Radians, unit: AngleUnit): number => angle / radiansPer(unit);

/**
 * Reads an angle as a person types it: `143 27 08`, `143°27'08.5"`, `143.4522` (degrees), or gon.
 * Minutes and seconds must be below 60 and only the last part may have decimals.
 * Returns radians, or null when the text is not such an angle.
 */
export function parseAngle(text: string, unit: AngleUnit): Radians | null {
  const trimmed = text.trim().replace(/[−–]/g, '-').replace(/,/g, '.');
  if (unit === 'gon') return /^-?\d+(\.\d*)?$/.test(trimmed) ? Number(trimmed) * RADIANS_PER_GON : null;
  const parts = /^(-?)(\d+(?:\.\d*)?)(?:[°\s]+(\d+(?:\.\d*)?)(?:['′\s]+(\d+(?:\.\d*)?))?["″'′\s]*)?°?$/.exec(trimmed);
  if (!parts) return null;
  const [, sign, degreesText, minutesText, secondsText] = parts;
  if (minutesText !== undefined && degreesText!.includes('.')) return null;
  if (secondsText !== undefined && minutesText!.includes('.')) return null;
  const minutes = Number(minutesText ?? 0);
  const seconds = Number(secondsText ?? 0);
  if (minutes >= 60 || seconds >= 60) return null;
  const degrees = Number(degreesText) + minutes / 60 + seconds / 3600;
  return (sign === '-' ? -degrees : degrees) * RADIANS_PER_DEGREE;
}

/**
 * The two meanings of bare decimals where angles are written in degrees, minutes and seconds: `21.4249` is 21°42′49″
 * packed as some instruments show it, or 21.4249°. Null where the text has one meaning, or none.
 */
export function sexagesimalOrDecimal(text: string): { readonly packed: Radians; readonly decimal: Radians } | null {
  const parts = /^(-?)(\d+)\.(\d+)$/.exec(text.trim().replace(/[−–]/g, '-').replace(',', '.'));
  if (!parts) return null;
  const [, sign, degrees, decimals] = parts as unknown as [string, string, string, string];
  const digits = decimals.padEnd(4, '0');
  const minutes = Number(digits.slice(0, 2));
  const seconds = Number(`${digits.slice(2, 4)}.${digits.slice(4) || '0'}`);
  if (minutes >= 60 || seconds >= 60) return null;
  const turn = sign === '-' ? -RADIANS_PER_DEGREE : RADIANS_PER_DEGREE;
  const packed = (Number(degrees) + minutes / 60 + seconds / 3600) * turn;
  const decimal = Number(`${degrees}.${decimals}`) * turn;
  return packed === decimal ? null : { packed, decimal };
}

/** The minutes or seconds of a sexagesimal angle that go beyond 59; null when none do. */
export function sexagesimalExcess(
  text: string,
): { readonly part: 'minutes' | 'seconds'; readonly value: number } | null {
  const parts = /^\s*[-−]?\d+[°\s]+(\d+(?:[.,]\d*)?)(?:['′\s]+(\d+(?:[.,]\d*)?))?/.exec(text);
  if (!parts) return null;
  const [minutes, seconds] = [parts[1], parts[2]].map((part) => Number((part ?? '0').replace(',', '.')));
  if (minutes! >= 60) return { part: 'minutes', value: minutes! };
  return seconds! >= 60 ? { part: 'seconds', value: seconds! } : null;
}

/**
 * Writes an angle for a person. `decimals` are those of the last part (seconds for `dms`).
 * Rounding carries over: 59.96″ at one decimal becomes the next minute, never 60″.
 */
export function formatAngle(angle: Radians, unit: AngleUnit, decimals: number): string {
  const value = angleFromRadians(angle, unit);
  if (unit === 'gon') return `${value.toFixed(decimals)} gon`;
  if (unit === 'degree') return `${value.toFixed(decimals)}°`;
  const { isNegative, degrees, minutes, seconds } = sexagesimalParts(value, decimals);
  return `${isNegative ? '−' : ''}${degrees}°${String(minutes).padStart(2, '0')}′${seconds}″`;
}
