import type { LengthUnit } from '@idle-marker/core';
import { msg, worded } from '@idle-marker/words';

/** The length units as they are chosen from. */
export const lengthChoices = worded((): readonly (readonly [LengthUnit, string])[] => [
  ['metre', msg('field.metres')],
  ['foot', msg('field.feetInternational03048M')],
  ['usSurveyFoot', msg('field.usSurveyFeet12003937M')],
]);
