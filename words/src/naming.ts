import { formatLength, type LengthUnit, type LikelyPoint } from '@idle-marker/core';
import { UNIT_ABBREVIATION } from './vocabulary.ts';

/** Why a reading is thought to be to another mark. */
export function misnamedWords(named: string, likely: string, { distance, namedDistance }: LikelyPoint, unit: LengthUnit): string {
  const length = (metres: number, decimals: number) => `${formatLength(metres, unit, decimals)} ${UNIT_ABBREVIATION[unit]}`;
  return `The reading lands ${length(namedDistance, 2)} from ${named}, but ${length(distance, 2)} from ${likely}. The reading itself stays as it is; only its name changes.`;
}

/** What the book says of a reading that was entered under the wrong name. */
export const misnamedReason = (named: string, likely: string): string => `the sight was to ${likely}, not to ${named}; it is entered again under that name`;
