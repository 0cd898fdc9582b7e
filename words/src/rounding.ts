/** How finely a crew reads: what is written is rounded for them, what is kept is exact. */
import {
  formatFeetInches,
  formatLength,
  lengthFromMetres,
  lengthToMetres,
  type FigureRounding,
  type LengthUnit,
  type Metres,
} from '@idle-marker/core';
import { msg } from './message.ts';
import { LENGTH_DECIMALS } from './vocabulary.ts';

export type Rounding = FigureRounding;

const DECIMALS: Readonly<Record<Exclude<Rounding, 'sixteenth'>, number>> = {
  finest: LENGTH_DECIMALS,
  hundredth: 2,
  tenth: 1,
};

export const ROUNDING = (unit: LengthUnit): readonly (readonly [Rounding, string])[] =>
  unit === 'metre'
    ? [
        ['finest', msg('rounding.toTheMillimetre')],
        ['hundredth', msg('rounding.toTheCentimetre')],
      ]
    : [
        ['finest', msg('rounding.toTheThousandthOfAFoot')],
        ['hundredth', msg('rounding.toTheHundredthOfAFoot')],
        ['tenth', msg('rounding.toTheTenthOfAFoot')],
        ['sixteenth', msg('rounding.inFeetAndInchesToTheSixteenth')],
      ];

export const writtenLength = (metres: Metres, unit: LengthUnit, rounding: Rounding): string =>
  rounding === 'sixteenth' ? formatFeetInches(metres, unit) : formatLength(metres, unit, DECIMALS[rounding]);

/** Whether it is written as nothing. */
export const isNothing = (metres: Metres, unit: LengthUnit, rounding: Rounding): boolean =>
  rounding === 'sixteenth'
    ? Math.round(lengthFromMetres(Math.abs(metres), unit) * 12 * 16) === 0
    : Number(lengthFromMetres(Math.abs(metres), unit).toFixed(DECIMALS[rounding])) === 0;

/** A length as it stands written to the last decimal that is shown, in metres again. */
const asShown = (metres: Metres, unit: LengthUnit): Metres =>
  lengthToMetres(Number(formatLength(metres, unit, LENGTH_DECIMALS).replace(/\s/g, '').replace('−', '-')), unit);

/**
 * Hub above design as whoever subtracts the two written elevations finds it: a crew that checks the figures of a stake
 * or a sheet must come to the same. Off by less than the last decimal; null where either is missing.
 */
export function cutFillAsWritten(hubZ: Metres | null, designZ: Metres | null, unit: LengthUnit): Metres | null {
  if (hubZ === null || designZ === null) return null;
  const shown = lengthFromMetres(asShown(hubZ, unit) - asShown(designZ, unit), unit);
  // Without the dust of the subtraction, which could turn a last digit.
  return lengthToMetres(Number(shown.toFixed(LENGTH_DECIMALS)), unit);
}
