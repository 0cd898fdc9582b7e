/** What kind of picture some bytes are, told from the bytes themselves: what a client calls them counts for nothing. */
import type { IMAGE_TYPES } from '@idle-marker/contract';

export type ImageType = (typeof IMAGE_TYPES)[number];

const startsWith = (bytes: Buffer, signature: readonly number[], at = 0): boolean =>
  signature.every((value, i) => bytes[at + i] === value);
const ascii = (text: string): number[] => [...text].map((letter) => letter.charCodeAt(0));

/** Signatures as in the formats' own specifications; null for anything else. */
export function imageTypeOf(bytes: Buffer): ImageType | null {
  if (startsWith(bytes, [0xff, 0xd8, 0xff])) return 'image/jpeg';
  if (startsWith(bytes, [0x89, ...ascii('PNG\r\n'), 0x1a, 0x0a])) return 'image/png';
  if (startsWith(bytes, ascii('RIFF')) && startsWith(bytes, ascii('WEBP'), 8)) return 'image/webp';
  return null;
}
