import { formatLength, type LengthUnit, type LikelyPoint } from '@idle-marker/core';
import { msg } from './message.ts';
import { unitAbbreviationWords } from './vocabulary.ts';

/** Why a reading is thought to be to another mark. */
export function misnamedWords(
  named: string,
  likely: string,
  { distance, namedDistance }: LikelyPoint,
  unit: LengthUnit,
): string {
  const length = (metres: number, decimals: number) =>
    `${formatLength(metres, unit, decimals)} ${unitAbbreviationWords()[unit]}`;
  return msg('naming.theReadingLandsFromButFromThe', {
    length: length(namedDistance, 2),
    named,
    length2: length(distance, 2),
    likely,
  });
}

/** What the book says of a reading that was entered under the wrong name. */
export const misnamedReason = (named: string, likely: string): string =>
  msg('naming.theSightWasToNotToIt', { likely, named });
