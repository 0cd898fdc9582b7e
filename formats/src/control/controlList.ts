/** A control list in whatever open form it comes: CSV, or the points of a LandXML file. */
import type { Result } from '@idle-marker/core';
import { readControlCsv, type ControlCsvOptions, type ControlList, type FileIssue } from './controlCsv.ts';
import { looksLikeXml, readControlLandXml } from './controlLandXml.ts';

export const readControlList = (text: string, options: ControlCsvOptions): Result<ControlList, FileIssue> =>
  looksLikeXml(text) ? readControlLandXml(text, options) : readControlCsv(text, options);
