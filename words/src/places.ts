import { formatLength, type LengthUnit, type Metres } from '@idle-marker/core';
import { msg } from './message.ts';
import { unitAbbreviationWords } from './vocabulary.ts';

/** A question about a place that was said in words. */
export function placeDoubtWords(
  doubt: { readonly code: 'OUTSIDE' | 'MIRRORED'; readonly distance: Metres },
  unit: LengthUnit,
): string {
  const away = `${formatLength(doubt.distance, unit, 2)} ${unitAbbreviationWords()[unit]}`;
  return doubt.code === 'MIRRORED'
    ? msg('places.thisLiesOutsideOfEveryOutlineTo', { away })
    : msg('places.thisLiesOutsideOfEveryOutlineIs', { away });
}
