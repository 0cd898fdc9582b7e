/** A control list in whatever open form it comes: CSV, or the points of a LandXML file. */
import { ok, type Result } from '@idle-marker/core';
import { decodedText, type TextError } from '../text.ts';
import { readControlCsv, type ControlCsvOptions, type ControlList, type FileIssue } from './controlCsv.ts';
import { looksLikeXml, readControlLandXml } from './controlLandXml.ts';

export const readControlList = (text: string, options: ControlCsvOptions): Result<ControlList, FileIssue> =>
  looksLikeXml(text) ? readControlLandXml(text, options) : readControlCsv(text, options);

/** The same from bytes: that their encoding was guessed is told. */
export function readControlBytes(
  bytes: Uint8Array,
  options: ControlCsvOptions,
): Result<ControlList, FileIssue | TextError> {
  const text = decodedText(bytes);
  if (!text.ok) return text;
  const list = readControlList(text.value.text, options);
  return list.ok && text.value.assumed
    ? ok({ ...list.value, warnings: [...list.value.warnings, 'ENCODING_ASSUMED'] })
    : list;
}
