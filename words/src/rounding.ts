/** How finely a crew reads: what is written is rounded for them, what is kept is exact. */
import { formatFeetInches, formatLength, lengthFromMetres, type FigureRounding, type LengthUnit, type Metres } from '@idle-marker/core';
import { LENGTH_DECIMALS } from './vocabulary.ts';

export type Rounding = FigureRounding;

const DECIMALS: Readonly<Record<Exclude<Rounding, 'sixteenth'>, number>> = { finest: LENGTH_DECIMALS, hundredth: 2, tenth: 1 };

export const ROUNDING = (unit: LengthUnit): readonly (readonly [Rounding, string])[] =>
  unit === 'metre'
    ? [
        ['finest', 'to the millimetre'],
        ['hundredth', 'to the centimetre'],
      ]
    : [
        ['finest', 'to the thousandth of a foot'],
        ['hundredth', 'to the hundredth of a foot'],
        ['tenth', 'to the tenth of a foot'],
        ['sixteenth', 'in feet and inches, to the sixteenth'],
      ];

export const writtenLength = (metres: Metres, unit: LengthUnit, rounding: Rounding): string =>
  rounding === 'sixteenth' ? formatFeetInches(metres, unit) : formatLength(metres, unit, DECIMALS[rounding]);

/** Whether it is written as nothing. */
export const isNothing = (metres: Metres, unit: LengthUnit, rounding: Rounding): boolean =>
  rounding === 'sixteenth'
    ? Math.round(lengthFromMetres(Math.abs(metres), unit) * 12 * 16) === 0
    : Number(lengthFromMetres(Math.abs(metres), unit).toFixed(DECIMALS[rounding])) === 0;
