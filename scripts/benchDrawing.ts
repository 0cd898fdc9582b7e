/**
 * A DXF drawing of 60 MB, read, placed and made ready to be painted: `npm run bench:drawing`, which gives it 400 MB of
 * heap and no more.
 */
import { OpenDrawing } from '@idle-marker/formats';

const MEGABYTES = 60;

/** Lines, polylines with an arc, points and texts, in 61 layers. */
function largeDrawing(): Uint8Array {
  const bytes = new Uint8Array(MEGABYTES * 1e6 + 10_000);
  const encoder = new TextEncoder();
  let at = 0;
  const write = (text: string) => {
    at += encoder.encodeInto(text, bytes.subarray(at)).written;
  };
  write('0\nSECTION\n2\nHEADER\n9\n$ACADVER\n1\nAC1015\n9\n$INSUNITS\n70\n6\n0\nENDSEC\n0\nSECTION\n2\nENTITIES\n');
  for (let i = 0; at < MEGABYTES * 1e6; i++) {
    const [x, y] = [(i % 1000) * 1.37, Math.floor(i / 1000) * 1.53];
    const place = (de: number, dn: number, code = 10) =>
      `${code}\n${(x + de).toFixed(4)}\n${code + 10}\n${(y + dn).toFixed(4)}\n`;
    write(`0\nLINE\n5\n${i.toString(16)}\n100\nAcDbEntity\n8\nL${i % 40}\n100\nAcDbLine\n`);
    write(`${place(0, 0)}30\n0.0\n${place(1, 1, 11)}31\n0.0\n`);
    if (i % 3 === 0) {
      write(`0\nLWPOLYLINE\n5\n${i.toString(16)}a\n8\nP${i % 20}\n90\n5\n70\n1\n`);
      for (let k = 0; k < 5; k++) write(`${place(k, k % 2)}42\n${k === 2 ? 0.4 : 0}\n`);
    }
    if (i % 4 === 0) {
      write(`0\nPOINT\n8\nPOINTS\n${place(0, 0)}30\n${(i % 7) / 10}\n`);
      write(`0\nTEXT\n8\nNAMES\n${place(0, 0)}40\n0.2\n1\nP${i}\n`);
    }
  }
  write('0\nENDSEC\n0\nEOF\n');
  return bytes.slice(0, at);
}

const seconds = (since: number) => `${((performance.now() - since) / 1000).toFixed(1)} s`;

const bytes = largeDrawing();
const begun = performance.now();
let told = 0;
const read = OpenDrawing.read(bytes, { siteUnit: 'metre', similarity: null }, () => told++);
if (!read.ok) throw new Error(JSON.stringify(read.error));
console.log(`${(bytes.length / 1e6).toFixed(0)} MB of DXF read in ${seconds(begun)}, progress told ${told} times`);
const summed = performance.now();
const { elements } = read.value.summary('metre');
console.log(`${elements} elements counted in ${seconds(summed)}`);
const painted = performance.now();
console.log(`${read.value.layerLines().length} tiles ready to be painted in ${seconds(painted)}`);
console.log(`heap ${(process.memoryUsage().heapTotal / 1e6).toFixed(0)} MB`);
