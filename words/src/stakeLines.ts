import { formatLength, type AngleMark, type CornerMeaning, type LengthUnit } from '@idle-marker/core';
import { isNothing, writtenLength, type Rounding } from './rounding.ts';
import { stringWords } from './road.ts';
import { LENGTH_DECIMALS, MEANING, UNIT_ABBREVIATION } from './vocabulary.ts';

/** How a mark at an angle stands to the two lines that meet there. */
export function angleWords({ part, toCorner }: AngleMark, unit: LengthUnit): string {
  if (part !== 'inside') return part === 'back' ? 'square to the line behind' : 'square to the line ahead';
  return `off both lines: to the corner it is ${formatLength(toCorner, unit, LENGTH_DECIMALS)} ${UNIT_ABBREVIATION[unit]}, not the offset. Strap along both lines`;
}

/** "CUT 0.120" or "FILL 0.332" or "ON GRADE": never a bare sign. */
export function cutFillWords(cutFill: number | null, unit: LengthUnit, rounding: Rounding = 'finest'): string {
  if (cutFill === null) return 'no height';
  if (isNothing(cutFill, unit, rounding)) return 'ON GRADE';
  return `${cutFill > 0 ? 'CUT' : 'FILL'} ${writtenLength(Math.abs(cutFill), unit, rounding)}`;
}

interface HubPlace {
  readonly offset: number;
  readonly corner: string;
  readonly meaning: CornerMeaning;
  readonly offFace: readonly string[] | null;
  readonly alsoOffFace: readonly string[] | null;
  readonly onLine: readonly string[] | null;
  readonly road?:
    | { readonly name: string; readonly to: string; readonly side: 'on' | 'left' | 'right'; readonly why: string; readonly angle?: AngleMark | undefined }
    | undefined;
}

/** Where a mark stands against what it leads to: "Offset hub, 2.000 m off C5–A5, on the line A5–A1, outside face". */
export function hubPlaceWords({ offset, corner, meaning, offFace, alsoOffFace, onLine, road }: HubPlace, unit: LengthUnit): string {
  if (road) {
    const string = stringWords(road.to);
    const where =
      offset === 0 ? `On ${string}` : `Offset hub, ${formatLength(offset, unit, LENGTH_DECIMALS)} ${UNIT_ABBREVIATION[unit]} ${road.side} of ${string}`;
    const angle = road.angle ? `, ${angleWords(road.angle, unit)}` : '';
    return `${where} at ${corner} of ${road.name}${road.why ? `: ${road.why}` : ''}${angle}`;
  }
  const what = MEANING[meaning];
  if (offset === 0) return `On ${corner} itself, ${what}`;
  const off = offFace ? `off ${offFace.join('–')}` : onLine ? `beyond ${corner}` : `beside ${corner}`;
  const and = alsoOffFace ? ` and ${alsoOffFace.join('–')}` : onLine ? `, on the line ${onLine.join('–')}` : '';
  return `Offset hub, ${formatLength(offset, unit, LENGTH_DECIMALS)} ${UNIT_ABBREVIATION[unit]} ${off}${and}, ${what}`;
}
