/** How finely a crew reads: what is written is rounded for them, what is kept is exact. */
import {
  exactCount,
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
  asWritten(metres, unit, rounding) === 0;

/**
 * A length as it stands written, in metres again: what another figure written beside it has to add up with. Halves of
 * the last place turn as they do in `writtenLength`.
 */
export function asWritten(metres: Metres, unit: LengthUnit, rounding: Rounding): Metres {
  const perUnit = rounding === 'sixteenth' ? 12 * 16 : 10 ** DECIMALS[rounding];
  return lengthToMetres(exactCount(lengthFromMetres(metres, unit), perUnit) / perUnit, unit);
}

/**
 * Hub above design as whoever subtracts the two written elevations finds it: a crew that checks the figures of a stake
 * or a sheet must come to the same. Off by less than the last decimal; null where either is missing.
 */
export function cutFillAsWritten(hubZ: Metres | null, designZ: Metres | null, unit: LengthUnit): Metres | null {
  if (hubZ === null || designZ === null) return null;
  const shown = lengthFromMetres(asWritten(hubZ, unit, 'finest') - asWritten(designZ, unit, 'finest'), unit);
  // Without the dust of the subtraction, which could turn a last digit.
  return lengthToMetres(Number(shown.toFixed(LENGTH_DECIMALS)), unit);
}
