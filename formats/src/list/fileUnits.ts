/** Units that files state or people say, by short words. */
import { METRES_PER_UNIT, type LengthUnit, type Metres } from '@idle-marker/core';

export const METRES_PER_FILE_UNIT = {
  m: 1,
  mm: 0.001,
  cm: 0.01,
  dm: 0.1,
  km: 1000,
  in: METRES_PER_UNIT.foot / 12,
  ft: METRES_PER_UNIT.foot,
  ftUS: METRES_PER_UNIT.usSurveyFoot,
  yd: 3 * METRES_PER_UNIT.foot,
} as const satisfies Readonly<Record<string, Metres>>;
export type FileUnit = keyof typeof METRES_PER_FILE_UNIT;

export const isFileUnit = (text: string): text is FileUnit => Object.hasOwn(METRES_PER_FILE_UNIT, text);

export const FILE_UNIT_OF: Readonly<Record<LengthUnit, FileUnit>> = { metre: 'm', foot: 'ft', usSurveyFoot: 'ftUS' };

/** The word of a unit by its length; null for one that has none. */
export const fileUnitOf = (metres: Metres): FileUnit | null =>
  (Object.keys(METRES_PER_FILE_UNIT) as FileUnit[]).find(
    (unit) => Math.abs(METRES_PER_FILE_UNIT[unit] / metres - 1) < 1e-9,
  ) ?? null;

const WRITTEN: readonly (readonly [RegExp, FileUnit])[] = [
  [/^(us ?-?ft|us ?survey ?f(oo|ee)?t|usft|ftus|sft|us ?f(oo|ee)t|us_?ft)$/, 'ftUS'],
  [/^(ft|foot|feet|ift|intl? ?ft|international f(oo|ee)t)$/, 'ft'],
  [/^(m|metre|metres|meter|meters)$/, 'm'],
  [/^(mm|millimet(re|er)s?)$/, 'mm'],
  [/^(cm|centimet(re|er)s?)$/, 'cm'],
  [/^(dm|decimet(re|er)s?)$/, 'dm'],
  [/^(km|kilomet(re|er)s?)$/, 'km'],
  [/^(in|inch|inches)$/, 'in'],
  [/^(yd|yards?)$/, 'yd'],
];

/** A unit as people write it in a heading; null for what is none. */
export const writtenUnit = (text: string): FileUnit | null => {
  const word = text.trim().toLowerCase().replace(/\s+/g, ' ');
  return WRITTEN.find(([pattern]) => pattern.test(word))?.[1] ?? null;
};
