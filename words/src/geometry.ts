import { formatLength, type LengthUnit, type GeometryGrade, type GeometryRemark } from '@idle-marker/core';
import { coarseAngle } from './angles.ts';
import type { Naming } from './judgement.ts';
import { smallLength } from './small.ts';
import { UNIT_ABBREVIATION } from './vocabulary.ts';

export const GRADE_OF_GEOMETRY: Readonly<Record<GeometryGrade, string>> = { good: 'good', fair: 'fair', weak: 'weak', veryWeak: 'very weak' };

/** How the control lies about the station, and what to do about it. */
export function geometryWords(remark: GeometryRemark, naming: Naming): string {
  switch (remark.code) {
    case 'SHORT_SIGHT':
      return `${naming.nameOf(remark.name)} is only ${smallLength(remark.distance, naming.unit)} away: a millimetre there turns everything. Sight a farther one.`;
    case 'ONE_SIDE':
      return `All marks lie on one side; ${coarseAngle(remark.gap, naming.angleUnit)} of the horizon are empty. A mark behind you would help most.`;
    case 'ONE_LINE':
      return 'Station and marks lie nearly on one line: a shift across it hardly shows. Sight a mark off the line.';
    case 'ONE_WALL':
      return 'All marks stand on one line, perhaps one wall: if it moved, all of them are wrong together and nothing shows it. Add one on something else.';
    case 'WORK_FAR':
      return `${remark.name} is ${remark.times.toFixed(1)} times as far as the farthest control: errors grow outwards. Sight farther control, or prove out there.`;
    case 'WORK_OUTSIDE':
      return `${remark.count} of ${remark.of} marks to set lie outside the control: the figures of the station say little out there. Prove on a mark on that side.`;
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
  const length = (metres: number, decimals: number) => `${formatLength(metres, unit, decimals)} ${UNIT_ABBREVIATION[unit]}`;
  switch (cure.code) {
    case 'LEGS':
      return `Worst at ${worst ?? 'a mark'}. The pole on legs would meet it.`;
    case 'LOW_PRISM':
      return `Worst at ${worst ?? 'a mark'}. Legs and a prism at ${length(cure.targetHeight, 1)} would meet it.`;
    case 'SHORTER_SIGHTS':
      return `Worst at ${worst ?? 'a mark'}. Even with legs and a low prism only marks within ${length(cure.within, 0)} meet it: stand nearer.`;
    case 'NOTHING_FROM_HERE':
      return 'Nothing meets it from here: another stand, more control, a better instrument, or a template from two grid marks.';
  }
}
