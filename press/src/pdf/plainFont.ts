/**
 * A font without the compression of the web: whoever reads a compressed one has to unpack a whole table for every
 * letter. Source: W3C, "WOFF File Format 1.0"; its tables in the form of "OpenType font file", ISO/IEC 14496-22.
 */
import { inflateSync } from 'node:zlib';

const WOFF = 0x774f4646;
const HEADER = 44;
const ENTRY = 20;

/** Bytes of an OpenType font; what is none of the compressed ones is given back as it is. */
export function plainFont(bytes: Buffer): Buffer {
  if (bytes.readUInt32BE(0) !== WOFF) return bytes;
  const count = bytes.readUInt16BE(12);
  const tables = Array.from({ length: count }, (_, i) => {
    const at = HEADER + ENTRY * i;
    const [offset, packed, length] = [
      bytes.readUInt32BE(at + 4),
      bytes.readUInt32BE(at + 8),
      bytes.readUInt32BE(at + 12),
    ];
    const data = bytes.subarray(offset, offset + packed);
    return {
      tag: bytes.subarray(at, at + 4),
      checksum: bytes.readUInt32BE(at + 16),
      data: packed < length ? inflateSync(data) : data,
    };
  });
  const head = Buffer.alloc(12 + 16 * count);
  const log = Math.floor(Math.log2(count));
  head.writeUInt32BE(bytes.readUInt32BE(4), 0);
  head.writeUInt16BE(count, 4);
  head.writeUInt16BE(2 ** log * 16, 6);
  head.writeUInt16BE(log, 8);
  head.writeUInt16BE((count - 2 ** log) * 16, 10);
  const parts: Uint8Array[] = [head];
  let offset = head.length;
  tables.forEach(({ tag, checksum, data }, i) => {
    const at = 12 + 16 * i;
    tag.copy(head, at);
    head.writeUInt32BE(checksum, at + 4);
    head.writeUInt32BE(offset, at + 8);
    head.writeUInt32BE(data.length, at + 12);
    const padding = Buffer.alloc((4 - (data.length % 4)) % 4);
    parts.push(data, padding);
    offset += data.length + padding.length;
  });
  return Buffer.concat(parts);
}
