import { describe, expect, it } from '@jest/globals';
import * as fontkit from 'fontkit';
import { readFileSync } from 'node:fs';
import { createRequire } from 'node:module';
import { plainFont } from '../src/pdf/plainFont.ts';

const file = createRequire(import.meta.url).resolve('@fontsource/barlow/files/barlow-latin-400-normal.woff');

describe('a font without the compression of the web', () => {
  it('has the same letters, widths and pictures', () => {
    const packed = fontkit.openSync(file) as fontkit.Font;
    const plain = fontkit.create(plainFont(readFileSync(file))) as fontkit.Font;
    expect([plain.postscriptName, plain.unitsPerEm, plain.numGlyphs]).toEqual([
      packed.postscriptName,
      packed.unitsPerEm,
      packed.numGlyphs,
    ]);
    expect(plain.characterSet).toEqual(packed.characterSet);
    for (const letter of ['A', 'g', '7', '½']) {
      const [before, after] = [packed, plain].map((font) => font.glyphForCodePoint(letter.codePointAt(0)!));
      expect([after!.advanceWidth, after!.path.toSVG()]).toEqual([before!.advanceWidth, before!.path.toSVG()]);
      expect(after!.path.toSVG().length).toBeGreaterThan(10);
    }
  });

  it('that has none is left as it is', () => {
    const plain = plainFont(readFileSync(file));
    expect(plainFont(plain)).toBe(plain);
  });
});
