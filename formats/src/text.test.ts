import { describe, expect, it } from '@jest/globals';
import fc from 'fast-check';
import Papa from 'papaparse';
import { csvText, decodedText, textOf } from './index.ts';

const bytes = (text: string) => new TextEncoder().encode(text);

describe('text from a file', () => {
  it('is read as UTF-8, with or without its mark', () => {
    expect(textOf(bytes('name,E,N'))).toEqual({ ok: true, value: 'name,E,N' });
    expect(textOf(Uint8Array.of(0xef, 0xbb, 0xbf, 0x61))).toEqual({ ok: true, value: 'a' });
    expect(textOf(bytes('Größe'))).toEqual({ ok: true, value: 'Größe' });
  });

  it('is read as UTF-16 by its mark, and as Windows-1252 where it can be nothing else, which is told', () => {
    expect(decodedText(Uint8Array.of(0xff, 0xfe, 0xb1, 0x03))).toEqual({
      ok: true,
      value: { text: 'α', assumed: false },
    });
    expect(decodedText(Uint8Array.of(0xfe, 0xff, 0x03, 0xb1))).toEqual({
      ok: true,
      value: { text: 'α', assumed: false },
    });
    expect(decodedText(Uint8Array.of(0x48, 0xf6, 0x68, 0x65))).toEqual({
      ok: true,
      value: { text: 'Höhe', assumed: true },
    });
  });

  it.each([
    [new Uint8Array(), 'EMPTY_FILE'],
    [Uint8Array.of(0x50, 0x4b, 3, 4, 0, 0), 'NOT_TEXT'],
    [Uint8Array.of(0xff, 0xd8, 0x10, 0x4a, 0x46, 0x49, 0x46), 'NOT_TEXT'],
  ])('that is none is refused (%#)', (content, code) => {
    expect(textOf(content)).toEqual({ ok: false, error: { code } });
  });
});

describe('CSV that is written', () => {
  it('comes back from another reader as it went in', () => {
    const cell = fc.string().filter((text) => !/^'*[=+\-@\t\r]/.test(text) && !text.includes('\r'));
    fc.assert(
      fc.property(fc.array(fc.array(cell, { minLength: 3, maxLength: 3 }), { minLength: 1 }), (rows) => {
        const { data } = Papa.parse<string[]>(csvText(['a', 'b', 'c'], rows), { skipEmptyLines: false });
        expect(data.slice(1, -1)).toEqual(rows);
      }),
    );
  });

  it.each(['=1+1', '+cmd', '-2+3', '@SUM(A1)', '\tx', '=HYPERLINK("http://x")'])(
    'never lets a spreadsheet take %j for a formula',
    (text) => {
      const [, [cell]] = Papa.parse<string[]>(csvText(['a'], [[text]])).data as [string[], string[]];
      expect(cell).toBe(`'${text}`);
    },
  );

  it('writes numbers as numbers, signed ones too, and nothing for nothing', () => {
    expect(csvText(['a', 'b', 'c', 'd'], [[-3, '-0.120', null, 0]])).toBe('a,b,c,d\r\n-3,-0.120,,0\r\n');
  });
});
