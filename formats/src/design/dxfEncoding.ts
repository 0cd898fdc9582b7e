/**
 * Letters of a DXF drawing: UTF-8 from release 2007 on, before that by the code page that its header names. Source: DXF
 * reference, "HEADER section" (`$ACADVER`, `$DWGCODEPAGE`).
 */
import { fail, ok, type Result } from '@idle-marker/core';
import { decodedText, type DecodedText, type TextError } from '../text.ts';

/** So many bytes hold the header of any drawing. */
const HEADER_BYTES = 1 << 16;
const UTF8_SINCE = 'AC1021';

const PAGES: Readonly<Record<string, string>> = {
  '874': 'windows-874',
  '932': 'shift_jis',
  '936': 'gbk',
  '949': 'euc-kr',
  '950': 'big5',
};

/** The encoding of a code page; null for one that is not known. */
function encodingOf(page: string): string | null {
  const number = /(\d{3,5})\s*$/.exec(page)?.[1];
  if (number === undefined) return null;
  if (/^125[0-8]$/.test(number)) return `windows-${number}`;
  return PAGES[number] ?? null;
}

const variable = (header: string, name: string, code: number): string | null =>
  new RegExp(`\\$${name}\\s*\\n\\s*${code}\\s*\\n([^\\n]*)`).exec(header)?.[1]?.trim() ?? null;

export function dxfTextOf(bytes: Uint8Array): Result<DecodedText, TextError> {
  if (bytes.length === 0) return fail({ code: 'EMPTY_FILE' });
  if (bytes[0] === 0xff || bytes[0] === 0xfe || bytes.includes(0)) return decodedText(bytes);
  const header = new TextDecoder('latin1').decode(bytes.subarray(0, HEADER_BYTES)).replace(/\r\n?/g, '\n');
  const version = variable(header, 'ACADVER', 1);
  const page = variable(header, 'DWGCODEPAGE', 3);
  if (version !== null && version >= UTF8_SINCE) return decodedText(bytes);
  const encoding = page === null ? null : encodingOf(page);
  if (encoding === null) return decodedText(bytes);
  return ok({ text: new TextDecoder(encoding).decode(bytes), assumed: false });
}
