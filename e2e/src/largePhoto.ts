/** A true picture that is as large as a camera makes them at their worst: nothing in it is pressed together. */
import { crc32, deflateSync } from 'node:zlib';

function chunk(kind: string, data: Buffer): Buffer {
  const named = Buffer.concat([Buffer.from(kind, 'latin1'), data]);
  const [length, sum] = [Buffer.alloc(4), Buffer.alloc(4)];
  length.writeUInt32BE(data.length);
  sum.writeUInt32BE(crc32(named));
  return Buffer.concat([length, named, sum]);
}

/** PNG of `side` by `side` points, three bytes each (Portable Network Graphics, W3C). */
export function largePhoto(side: number): Buffer {
  const head = Buffer.alloc(13);
  head.writeUInt32BE(side, 0);
  head.writeUInt32BE(side, 4);
  head.set([8, 2, 0, 0, 0], 8);
  const row = 1 + side * 3;
  const points = Buffer.alloc(row * side, 0x60);
  for (let i = 0; i < side; i++) points[i * row] = 0;
  return Buffer.concat([
    Buffer.from([0x89, 0x50, 0x4e, 0x47, 0x0d, 0x0a, 0x1a, 0x0a]),
    chunk('IHDR', head),
    chunk('IDAT', deflateSync(points, { level: 0 })),
    chunk('IEND', Buffer.alloc(0)),
  ]);
}
