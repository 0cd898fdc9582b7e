/** Names of LandXML as they stand in a file: with or without a prefix, and lengths by the words of its units. */
import type { LengthUnit } from '@idle-marker/core';

export const localName = (name: string): string => name.slice(name.indexOf(':') + 1);

/** Units of length that points and observations are given in, by their word in lower case. */
export const LENGTH_WORDS: Readonly<Record<string, LengthUnit>> = {
  meter: 'metre',
  metre: 'metre',
  foot: 'foot',
  ussurveyfoot: 'usSurveyFoot',
};
