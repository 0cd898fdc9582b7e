import { formatLength, type LengthUnit, type Metres } from '@idle-marker/core';
import { UNIT_ABBREVIATION } from './vocabulary.ts';

/** A question about a place that was said in words. */
export function placeDoubtWords(doubt: { readonly code: 'OUTSIDE' | 'MIRRORED'; readonly distance: Metres }, unit: LengthUnit): string {
  const away = `${formatLength(doubt.distance, unit, 2)} ${UNIT_ABBREVIATION[unit]}`;
  return doubt.code === 'MIRRORED'
    ? `This lies ${away} outside of every outline; to the other side of the line it would lie inside. Is the side right?`
    : `This lies ${away} outside of every outline. Is that meant?`;
}
