/**
 * A value while it is edited: the text that stands in its field, and what exactly it is as long as nobody has edited
 * that text. Texts are rounded for people; what was drawn, measured or computed must not come back rounded because a
 * dialog was opened.
 */
import { parseLength, type LengthUnit } from '@idle-marker/core';
import { smallFigure, smallUnit } from '@idle-marker/words';

export interface Draft<T> {
  readonly text: string;
  /** Not there once the text was edited: then the text is what counts. */
  readonly exact?: T;
}

/** A value as it was, with the text that shows it. */
export const written = <T>(exact: T, text: string): Draft<T> => ({ text, exact });
/** What a person has typed. */
export const typed = (text: string): Draft<never> => ({ text });

/** The exact value where there is one, else what the text reads as. */
export const valueOf = <T>(draft: Draft<T>, read: (text: string) => T): T =>
  'exact' in draft ? draft.exact : read(draft.text);

interface LengthTexts {
  edit(metres: number | null): string;
  readLength(text: string): number | null;
}

/** Of a figure that is kept in millimetres, shown in the small unit of the site. */
export const smallDraft = (mm: number | null | undefined, unit: LengthUnit): Draft<number> =>
  mm === null || mm === undefined ? typed('') : written(mm, smallFigure(mm, unit));

/** What a surveyed mark is listed as good to where nobody says: two millimetres, seven thousandths of a foot. */
export const usualSd = (unit: LengthUnit): Draft<number> => smallDraft(unit === 'metre' ? 2 : 2.134, unit);

/** Metres of a text in the small unit of the site; on sites in feet of one in inches, too, where it has their mark. */
function readSmall(text: string, unit: LengthUnit): number {
  const figure = text.trim() === '' ? NaN : Number(text.replace(',', '.').replace('−', '-'));
  if (!Number.isNaN(figure) || unit === 'metre') return figure / smallUnit(unit).perMetre;
  return parseLength(text, unit) ?? NaN;
}

/** Millimetres, to a thousandth; not a number for what is none. */
export const smallOf = (draft: Draft<number>, unit: LengthUnit): number =>
  valueOf(draft, (text) => Math.round(readSmall(text, unit) * 1e6) / 1e3);

/** Of a length in metres; empty for null. */
export const lengthDraft = (metres: number | null | undefined, units: LengthTexts): Draft<number> =>
  metres === null || metres === undefined ? typed('') : written(metres, units.edit(metres));

/** Metres; null for what is no length. */
export const lengthOf = (draft: Draft<number | null>, units: LengthTexts): number | null =>
  valueOf<number | null>(draft, units.readLength);
