import { RADIANS_PER_DEGREE, type GeometryGrade, type GeometryRemark } from '@idle-marker/core';
import type { Naming } from './judgement.ts';
import { smallLength } from './small.ts';

export const GRADE_OF_GEOMETRY: Readonly<Record<GeometryGrade, string>> = { good: 'good', fair: 'fair', weak: 'weak', veryWeak: 'very weak' };

/** How the control lies about the station, and what to do about it. */
export function geometryWords(remark: GeometryRemark, naming: Naming): string {
  switch (remark.code) {
    case 'SHORT_SIGHT':
      return `${naming.nameOf(remark.name)} is only ${smallLength(remark.distance, naming.unit)} away: a millimetre there turns everything. Sight a farther one.`;
    case 'ONE_SIDE':
      return `All marks lie on one side; ${Math.round(remark.gap / RADIANS_PER_DEGREE)}° of the horizon are empty. A mark behind you would help most.`;
    case 'ONE_LINE':
      return 'Station and marks lie nearly on one line: a shift across it hardly shows. Sight a mark off the line.';
    case 'WORK_FAR':
      return `${remark.name} is ${remark.times.toFixed(1)} times as far as the farthest control: errors grow outwards. Sight farther control, or prove out there.`;
    case 'WORK_OUTSIDE':
      return `${remark.count} of ${remark.of} marks to set lie outside the control: the figures of the station say little out there. Prove on a mark on that side.`;
  }
}
