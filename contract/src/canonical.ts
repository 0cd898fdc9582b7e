import { sha256 } from '@noble/hashes/sha2.js';
import { bytesToHex, utf8ToBytes } from '@noble/hashes/utils.js';

/**
 * JSON text with sorted keys and no blanks: the same content gives the same text, whoever wrote it.
 * Digests are taken over it (RFC 8785 in spirit; numbers as ECMAScript writes them).
 */
export function canonicalJson(value: unknown): string {
  if (Array.isArray(value)) return `[${value.map(canonicalJson).join(',')}]`;
  if (value !== null && typeof value === 'object') {
    const entries = Object.entries(value)
      .filter(([, each]) => each !== undefined)
      .sort(([a], [b]) => (a < b ? -1 : 1));
    return `{${entries.map(([key, each]) => `${JSON.stringify(key)}:${canonicalJson(each)}`).join(',')}}`;
  }
  return JSON.stringify(value);
}

/** SHA-256 of the canonical text, in hexadecimal. A plain-JavaScript hash, so that it works on plain http too. */
export const digestOf = (value: unknown): string => bytesToHex(sha256(utf8ToBytes(canonicalJson(value))));

/** SHA-256 of bytes as they are, in hexadecimal. */
export const digestOfBytes = (bytes: Uint8Array): string => bytesToHex(sha256(bytes));
