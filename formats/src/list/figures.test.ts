import { describe, expect, it } from '@jest/globals';
import fc from 'fast-check';
import { tableOf } from './cells.ts';
import { decimalOf, figureOf } from './figures.ts';

const grouped = (digits: string, by: string) => digits.replace(/\B(?=(\d{3})+$)/g, by);

describe('figures of a list', () => {
  it('come back as they were written, whatever parts thousands and decimals', () => {
    fc.assert(
      fc.property(
        fc.array(fc.record({ whole: fc.nat(9_999_999), part: fc.nat(99) }), { minLength: 1, maxLength: 20 }),
        fc.constantFrom<'.' | ','>('.', ','),
        fc.constantFrom('', 'other', ' ', "'"),
        (figures, decimal, parting) => {
          const by = parting === 'other' ? (decimal === '.' ? ',' : '.') : parting;
          const texts = figures.map(
            ({ whole, part }) => `${grouped(String(whole), by)}${decimal}${String(part).padStart(2, '0')}`,
          );
          const found = decimalOf(texts, null);
          expect(found).toEqual({ ok: true, value: { decimal, assumed: false } });
          figures.forEach(({ whole, part }, i) =>
            expect(figureOf(texts[i]!, decimal)).toBeCloseTo(whole + part / 100, 9),
          );
        },
      ),
    );
  });
  it('with both signs are refused, with one of each', () => {
    expect(decimalOf(['1,5', '2.25'], null)).toEqual({
      ok: false,
      error: { code: 'DECIMAL_MIXED', comma: '1,5', point: '2.25' },
    });
    expect(decimalOf(['1,5', '2.25'], '.')).toMatchObject({ ok: true });
  });
  it('with commas before three digits alone are decimal, and said to be assumed so', () => {
    expect(decimalOf(['512,345', '12,400'], null)).toEqual({ ok: true, value: { decimal: ',', assumed: true } });
    expect(decimalOf(['1,512,345', '12,400'], null)).toEqual({ ok: true, value: { decimal: '.', assumed: false } });
  });
  it.each(['', 'x', '1.2.3', '1,2', '12,34.5', '--1', '0x10', '1e', 'NaN', 'Infinity'])('%j is none', (text) => {
    expect(figureOf(text, '.')).toBeNull();
  });
});

describe('the cells of a list', () => {
  it('keep the lines that they stand on, with comments, a named separator and breaks inside of quotes', () => {
    const { rows, separator } = tableOf('sep=;\r\n# made up\r\na;b\r\n\r\n"x\ny";2\r\nz;3\r\n');
    expect(separator).toBe(';');
    expect(rows.map(({ row, cells }) => [row, cells.length])).toEqual([
      [3, 2],
      [5, 2],
      [7, 2],
    ]);
  });
  it('are parted by blanks where nothing else does, though figures have commas', () => {
    expect(tableOf('P1  12,5   7,25\nP2 1,5 2,5').rows[1]!.cells).toEqual(['P2', '1,5', '2,5']);
    expect(tableOf('P1,12.5,7').rows[0]!.cells).toEqual(['P1', '12.5', '7']);
    expect(tableOf('a\tb, c').rows[0]!.cells).toEqual(['a', 'b, c']);
  });
});
