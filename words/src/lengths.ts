import { formatFeetInches, formatLength, twoReadings, type LengthUnit } from '@idle-marker/core';
import { msg } from './message.ts';
import { LENGTH_DECIMALS, unitAbbreviationWords } from './vocabulary.ts';

/** Why a length such as “5-6 1/2” is not taken, with both readings offered; null where it has no two. */
export function twoReadingsWords(text: string, unit: LengthUnit): string | null {
  const readings = twoReadings(text, unit);
  if (!readings) return null;
  const length = (metres: number) => `${formatLength(metres, unit, LENGTH_DECIMALS)} ${unitAbbreviationWords()[unit]}`;
  const feet = formatFeetInches(readings.feetAndInches, unit);
  return msg('lengths.canBeReadInTwoWaysWhich', {
    text: text.trim(),
    feet,
    length: length(readings.feetAndInches),
    length2: length(readings.difference),
  });
}
