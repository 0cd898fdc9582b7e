import { formatLength, type LengthUnit, type GeometryGrade, type GeometryRemark } from '@idle-marker/core';
import { msg, worded } from './message.ts';
import { coarseAngle } from './angles.ts';
import type { Naming } from './judgement.ts';
import { smallLength } from './small.ts';
import { unitAbbreviationWords } from './vocabulary.ts';

export const gradeOfGeometryWords = worded((): Readonly<Record<GeometryGrade, string>> => ({
  good: 'good',
  fair: 'fair',
  weak: 'weak',
  veryWeak: msg('geometry.veryWeak'),
}));

/** How the control lies about the station, and what to do about it. */
export function geometryWords(remark: GeometryRemark, naming: Naming): string {
  switch (remark.code) {
    case 'SHORT_SIGHT':
      return msg('geometry.isOnlyAwayAMillimetreThereTurns', {
        name: naming.nameOf(remark.name),
        smallLength: smallLength(remark.distance, naming.unit),
      });
    case 'ONE_SIDE':
      return msg('geometry.allMarksLieOnOneSideOf', { coarseAngle: coarseAngle(remark.gap, naming.angleUnit) });
    case 'ONE_LINE':
      return msg('geometry.stationAndMarksLieNearlyOnOne');
    case 'ONE_WALL':
      return msg('geometry.allMarksStandOnOneLinePerhaps');
    case 'WORK_FAR':
      return msg('geometry.isTimesAsFarAsTheFarthest', { name: remark.name, times: remark.times.toFixed(1) });
    case 'WORK_OUTSIDE':
      return msg('geometry.ofMarksToSetLieOutsideThe', { count: remark.count, ofValue: remark.of });
  }
}

/** What would meet a class that this station, with this pole, does not meet at every mark. */
export function cureWords(
  cure:
    | { readonly code: 'LEGS' | 'NOTHING_FROM_HERE' }
    | { readonly code: 'LOW_PRISM'; readonly targetHeight: number }
    | { readonly code: 'SHORTER_SIGHTS'; readonly within: number },
  worst: string | null,
  unit: LengthUnit,
): string {
  const length = (metres: number, decimals: number) =>
    `${formatLength(metres, unit, decimals)} ${unitAbbreviationWords()[unit]}`;
  switch (cure.code) {
    case 'LEGS':
      return msg('geometry.worstAtThePoleOnLegsWould', { worst: worst ?? 'a mark' });
    case 'LOW_PRISM':
      return msg('geometry.worstAtLegsAndAPrismAt', { worst: worst ?? 'a mark', length: length(cure.targetHeight, 1) });
    case 'SHORTER_SIGHTS':
      return msg('geometry.worstAtEvenWithLegsAndA', { worst: worst ?? 'a mark', length: length(cure.within, 0) });
    case 'NOTHING_FROM_HERE':
      return msg('geometry.nothingMeetsItFromHereAnotherStand');
  }
}
