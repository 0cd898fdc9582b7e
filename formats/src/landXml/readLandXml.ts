/**
 * The bytes of a LandXML file, decoded and read piece by piece: a hundred megabytes never stand in memory as one text.
 */
import { fail, type Result } from '@idle-marker/core';
import type { LandXmlDesign } from './landXmlDesign.ts';
import type { LandXmlFault } from './landXmlFault.ts';
import { LandXmlReader } from './landXmlReader.ts';

const PIECE_BYTES = 1 << 20;

export function readLandXml(
  bytes: Uint8Array,
  onProgress?: (done: number, total: number) => void,
): Result<LandXmlDesign, LandXmlFault> {
  if (bytes.length === 0) return fail({ code: 'XML_EMPTY' });
  const reader = new LandXmlReader();
  const encoding = encodingOf(bytes);
  const decoder = new TextDecoder(encoding, { fatal: true });
  for (let at = 0; at < bytes.length; at += PIECE_BYTES) {
    const end = Math.min(at + PIECE_BYTES, bytes.length);
    const text = decoded(decoder, bytes.subarray(at, end), end < bytes.length);
    if (text === null) return fail({ code: 'XML_ENCODING', encoding });
    if (!reader.write(text)) break;
    onProgress?.(end, bytes.length);
  }
  return reader.finish();
}

/** Null where the bytes are not text in that encoding. */
function decoded(decoder: InstanceType<typeof TextDecoder>, bytes: Uint8Array, stream: boolean): string | null {
  try {
    return decoder.decode(bytes, { stream });
  } catch {
    return null;
  }
}

/** By the mark at its beginning, or as its first line says; UTF-8 where neither does. */
function encodingOf(bytes: Uint8Array): string {
  if (bytes[0] === 0xff && bytes[1] === 0xfe) return 'utf-16le';
  if (bytes[0] === 0xfe && bytes[1] === 0xff) return 'utf-16be';
  const said = /^[^>]{0,200}encoding\s*=\s*["']([A-Za-z0-9._-]+)["']/
    .exec(String.fromCharCode(...bytes.subarray(0, 200)))?.[1]
    ?.toLowerCase();
  return said !== undefined && ['iso-8859-1', 'windows-1252', 'us-ascii'].includes(said) ? 'windows-1252' : 'utf-8';
}
