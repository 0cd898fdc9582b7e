import { createContext, useContext } from 'react';
import {
  formatAngle,
  formatLength,
  lengthFromMetres,
  lengthToMetres,
  parseAngle,
  parseLength,
  sexagesimalOrDecimal,
  type AngleUnit,
  type LengthUnit,
} from '@idle-marker/core';
import { LENGTH_DECIMALS, unitAbbreviationWords } from '@idle-marker/words';

/** How this site writes and reads lengths and angles. */
export interface Units {
  readonly lengthUnit: LengthUnit;
  readonly angleUnit: AngleUnit;
  /** Abbreviation of the length unit. */
  readonly unit: string;
  readonly axes: readonly ['e', 'n'] | readonly ['n', 'e'];
  length(metres: number | null, decimals?: number): string;
  angle(radians: number | null, decimals?: number): string;
  /** Plain text for an input field. */
  edit(metres: number | null): string;
  readLength(text: string): number | null;
  /** A round length of the site's own unit, metres: defaults and examples are round wherever one works. */
  round(metres: number, feet: number): number;
  /** Null also for what could be meant in two ways. */
  readAngle(text: string): number | null;
}

export const NONE = '–';

export function unitsOf(settings: { lengthUnit: LengthUnit; angleUnit: AngleUnit; axisOrder: 'EN' | 'NE' }): Units {
  const { lengthUnit, angleUnit } = settings;
  return {
    lengthUnit,
    angleUnit,
    unit: unitAbbreviationWords()[lengthUnit],
    axes: settings.axisOrder === 'EN' ? ['e', 'n'] : ['n', 'e'],
    length: (metres, decimals = LENGTH_DECIMALS) =>
      metres === null ? NONE : formatLength(metres, lengthUnit, decimals),
    angle: (radians, decimals = angleUnit === 'dms' ? 0 : 4) =>
      radians === null ? NONE : formatAngle(radians, angleUnit, decimals),
    edit: (metres) => (metres === null ? '' : String(Number(lengthFromMetres(metres, lengthUnit).toFixed(4)))),
    round: (metres, feet) => (lengthUnit === 'metre' ? metres : lengthToMetres(feet, lengthUnit)),
    readLength: (text) => parseLength(text, lengthUnit),
    // What could be meant in two ways is asked about, not guessed.
    readAngle: (text) => (angleUnit === 'dms' && sexagesimalOrDecimal(text) ? null : parseAngle(text, angleUnit)),
  };
}

/** The units of whatever is open; fields know no site. */
export const UnitsContext = createContext<Units | null>(null);

export function useUnits(): Units {
  const units = useContext(UnitsContext);
  if (!units) throw new Error('useUnits outside of units');
  return units;
}
