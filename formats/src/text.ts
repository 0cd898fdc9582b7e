import { fail, ok, type Result } from '@idle-marker/core';

export type TextError = { readonly code: 'EMPTY_FILE' } | { readonly code: 'NOT_TEXT' };

export interface DecodedText {
  readonly text: string;
  /** The bytes state no encoding and are no UTF-8: read as Windows-1252, as older programs write. */
  readonly assumed: boolean;
}

/** Control signs that stand in no text; among them tell a picture or a packed file. */
const isNoText = (text: string): boolean => {
  for (let i = 0; i < text.length; i++) {
    const code = text.charCodeAt(i);
    if (code < 9 || (code > 13 && code < 32 && code !== 26)) return true;
  }
  return false;
};

/**
 * Bytes to text: by the byte order mark of UTF-8 or UTF-16, else UTF-8, else Windows-1252. Bytes of 0 without a mark are
 * no text.
 */
export function decodedText(bytes: Uint8Array): Result<DecodedText, TextError> {
  if (bytes.length === 0) return fail({ code: 'EMPTY_FILE' });
  const [a, b] = bytes;
  const marked = a === 0xff && b === 0xfe ? 'utf-16le' : a === 0xfe && b === 0xff ? 'utf-16be' : null;
  if (marked) return decoded(bytes, marked, false);
  if (bytes.includes(0)) return fail({ code: 'NOT_TEXT' });
  const utf8 = decoded(bytes, 'utf-8', false);
  if (utf8.ok) return utf8;
  const guessed = decoded(bytes, 'windows-1252', true);
  return guessed.ok && isNoText(guessed.value.text.slice(0, 4096)) ? fail({ code: 'NOT_TEXT' }) : guessed;
}

function decoded(bytes: Uint8Array, encoding: string, assumed: boolean): Result<DecodedText, TextError> {
  try {
    return ok({ text: new TextDecoder(encoding, { fatal: true }).decode(bytes), assumed });
  } catch {
    return fail({ code: 'NOT_TEXT' });
  }
}

export function textOf(bytes: Uint8Array): Result<string, TextError> {
  const read = decodedText(bytes);
  return read.ok ? ok(read.value.text) : read;
}
