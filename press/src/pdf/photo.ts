/** Whether a photo is whole enough to be put on a page: what came as a picture may have been cut short on its way. */
import { inflateSync } from 'node:zlib';

/** A photo that comes to more than this when it is unpacked is no photo. */
const MOST_UNPACKED_BYTES = 200e6;
const PNG_SIGNATURE_BYTES = 8;

export function canBePrinted(bytes: Buffer): boolean {
  try {
    return bytes[0] === 0x89 ? isWholePng(bytes) : hasJpegFrame(bytes);
  } catch {
    return false;
  }
}

/** Its data has to be there and to unpack (Portable Network Graphics, W3C). Throws where the chunks end too early. */
function isWholePng(bytes: Buffer): boolean {
  const data: Buffer[] = [];
  for (let at = PNG_SIGNATURE_BYTES; at + 8 <= bytes.length;) {
    const length = bytes.readUInt32BE(at);
    const kind = bytes.toString('latin1', at + 4, at + 8);
    if (at + 12 + length > bytes.length) return false;
    if (kind === 'IDAT') data.push(bytes.subarray(at + 8, at + 8 + length));
    if (kind === 'IEND')
      return data.length > 0 && inflateSync(Buffer.concat(data), { maxOutputLength: MOST_UNPACKED_BYTES }).length > 0;
    at += 12 + length;
  }
  return false;
}

/** Its segments lead to a frame with a size (ITU-T T.81). */
function hasJpegFrame(bytes: Buffer): boolean {
  for (let at = 2; at + 9 <= bytes.length && bytes[at] === 0xff;) {
    const marker = bytes[at + 1]!;
    const isFrame = marker >= 0xc0 && marker <= 0xcf && ![0xc4, 0xc8, 0xcc].includes(marker);
    if (isFrame) return bytes.readUInt16BE(at + 5) > 0 && bytes.readUInt16BE(at + 7) > 0;
    at += 2 + bytes.readUInt16BE(at + 2);
  }
  return false;
}
