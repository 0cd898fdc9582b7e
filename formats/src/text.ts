import { fail, ok, type Result } from '@idle-marker/core';

export type TextError = { readonly code: 'EMPTY_FILE' } | { readonly code: 'NOT_TEXT' };

/** Bytes to text: UTF-8 with or without mark. Anything with a NUL byte, or that is not UTF-8, is not text. */
export function textOf(bytes: Uint8Array): Result<string, TextError> {
  if (bytes.length === 0) return fail({ code: 'EMPTY_FILE' });
  if (bytes.includes(0)) return fail({ code: 'NOT_TEXT' });
  try {
    return ok(new TextDecoder('utf-8', { fatal: true }).decode(bytes));
  } catch {
    return fail({ code: 'NOT_TEXT' });
  }
}
