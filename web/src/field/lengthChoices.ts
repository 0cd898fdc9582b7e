import type { LengthUnit } from '@idle-marker/core';
import { msg } from '@idle-marker/words';

/** The length units as they are chosen from. */
export const LENGTH_CHOICES: readonly (readonly [LengthUnit, string])[] = [
  ['metre', msg('field.metres')],
  ['foot', msg('field.feetInternational03048M')],
  ['usSurveyFoot', msg('field.usSurveyFeet12003937M')],
];
