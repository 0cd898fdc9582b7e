import { compassWord, formatLength, RADIANS_PER_DEGREE, type LengthUnit, type Metres } from '@idle-marker/core';
import { msg } from './message.ts';
import { smallLength } from './small.ts';
import { LENGTH_DECIMALS, unitAbbreviationWords } from './vocabulary.ts';

/** How a pile leans, and what the ground under the pole does to its place. */
export function rakeWords(
  rake: { readonly azimuthDeg: number; readonly ratio: number },
  level: Metres | null,
  groundZ: Metres | null,
  unit: LengthUnit,
): string {
  const toe = compassWord(rake.azimuthDeg * RADIANS_PER_DEGREE);
  const leans = msg('rakes.thePileLeans1InItsToe', { ratio: rake.ratio, toe });
  if (level === null) return leans;
  const at = `${formatLength(level, unit, LENGTH_DECIMALS)} ${unitAbbreviationWords()[unit]}`;
  if (groundZ === null) return msg('rakes.itsPlaceHoldsAtOnOtherGround', { leans, at });
  const above = groundZ - level;
  const shift = smallLength(above / rake.ratio, unit);
  if (!/[1-9]/.test(shift)) return msg('rakes.theGroundIsAtTheLevelThat', { leans });
  return msg('rakes.theGroundIsThePlaceLiesThe', {
    leans,
    smallLength: smallLength(above, unit),
    above: above > 0 ? 'above' : 'below',
    at,
    shift,
    above2: above > 0 ? msg('rakes.awayFrom') : 'toward',
  });
}
