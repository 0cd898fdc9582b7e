import type { LengthUnit } from '@idle-marker/core';

/** The length units as they are chosen from. */
export const LENGTH_CHOICES: readonly (readonly [LengthUnit, string])[] = [
  ['metre', 'Metres'],
  ['foot', 'Feet (international, 0.3048 m)'],
  ['usSurveyFoot', 'US survey feet (1200/3937 m)'],
];
