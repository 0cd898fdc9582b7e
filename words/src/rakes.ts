import { compassWord, formatLength, RADIANS_PER_DEGREE, type LengthUnit, type Metres } from '@idle-marker/core';
import { smallLength } from './small.ts';
import { LENGTH_DECIMALS, UNIT_ABBREVIATION } from './vocabulary.ts';

/** How a pile leans, and what the ground under the pole does to its place. */
export function rakeWords(
  rake: { readonly azimuthDeg: number; readonly ratio: number },
  level: Metres | null,
  groundZ: Metres | null,
  unit: LengthUnit,
): string {
  const toe = compassWord(rake.azimuthDeg * RADIANS_PER_DEGREE);
  const leans = `The pile leans 1 in ${rake.ratio}, its toe to the ${toe}.`;
  if (level === null) return leans;
  const at = `${formatLength(level, unit, LENGTH_DECIMALS)} ${UNIT_ABBREVIATION[unit]}`;
  if (groundZ === null) return `${leans} Its place holds at ${at}: on other ground the figures follow the shot.`;
  const above = groundZ - level;
  const shift = smallLength(above / rake.ratio, unit);
  if (!/[1-9]/.test(shift)) return `${leans} The ground is at the level that it was drawn for.`;
  return `${leans} The ground is ${smallLength(above, unit)} ${above > 0 ? 'above' : 'below'} ${at}: the place lies ${shift} ${above > 0 ? 'away from' : 'toward'} the toe, and the figures are for that.`;
}
