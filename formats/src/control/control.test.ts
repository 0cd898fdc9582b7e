import { describe, expect, it } from '@jest/globals';
import fc from 'fast-check';
import {
  csvText,
  compareControl,
  FOOT_RATIO,
  readControlCsv,
  readControlList,
  textOf,
  type ControlList,
} from '../index.ts';

const OPTIONS = { unit: 'metre', xIsNorth: false } as const;
const read = (text: string, options: Parameters<typeof readControlCsv>[1] = OPTIONS): ControlList => {
  const result = readControlCsv(text, options);
  if (!result.ok) throw new Error(result.error.code);
  return result.value;
};

describe('headers', () => {
  it.each([
    ['name,E,N,H', 'name,easting,northing,height'],
    ['Pt ID;Northing [m];Easting [m];Elev', 'semicolons, other order'],
    ['height_m\tN_m\tE_m\tmark', 'tabs, units after an underscore'],
  ])('%s is understood', (header) => {
    const separator = header.includes(';') ? ';' : header.includes('\t') ? '\t' : ',';
    const names = header.split(separator);
    const value = (name: string) =>
      /^(pt id|name|mark)$/i.test(name)
        ? 'K1'
        : /^e/i.test(name) && !/elev/i.test(name)
          ? '10.5'
          : /^n/i.test(name)
            ? '20.25'
            : '3';
    const list = read(`${header}\n${names.map(value).join(separator)}\n`);
    expect(list.rows[0]).toMatchObject({ row: 2, name: 'K1', e: 10.5, n: 20.25, z: 3, issues: [] });
  });

  it('takes the unit from the header, either foot', () => {
    expect(read('name,E (US ft),N (US ft)\nK1,3937,0\n')).toMatchObject({
      unit: 'ftUS',
      unitFromFile: true,
      rows: [{ e: 1200 }],
    });
    expect(read('name,E [ft],N [ft]\nK1,1000,0\n').rows[0]!.e).toBeCloseTo(304.8, 12);
  });

  it('asks which of X and Y is which', () => {
    expect(read('name,X,Y\nK1,1,2\n')).toMatchObject({ usesXY: true, rows: [{ e: 1, n: 2 }] });
    expect(read('name,X,Y\nK1,1,2\n', { unit: 'metre', xIsNorth: true }).rows[0]).toMatchObject({ e: 2, n: 1 });
  });

  it.each([
    ['', 'NO_ROWS'],
    ['name,E,N\n', 'NO_ROWS'],
    ['K1,10,20\n', 'NO_HEADER'],
    ['colour,shape\nred,round\n', 'NO_HEADER'],
    ['E,N\n1,2\n', 'MISSING_COLUMN'],
    ['name,E,H\nK1,2,3\n', 'MISSING_COLUMN'],
    ['name,E,easting,N\nK1,1,2,3\n', 'REPEATED_COLUMN'],
    ['name,E (m),N (ft)\nK1,1,2\n', 'MIXED_UNITS'],
  ])('%j is refused as %s', (text, code) => {
    expect(readControlCsv(text, OPTIONS)).toMatchObject({ ok: false, error: { code } });
  });
});

describe('rows', () => {
  it.each([
    [',1,2,', 'NO_NAME'],
    ['K1,abc,2,', 'NOT_A_NUMBER'],
    ['K1,NaN,2,', 'NOT_A_NUMBER'],
    ['K1,Infinity,2,', 'NOT_A_NUMBER'],
    ['K1,12.5 ft,2,', 'OTHER_UNIT'],
    ['K1,1,,', 'HALF_A_PLACE'],
    ['K1,,,', 'NO_COORDINATES'],
    ['K1', 'TOO_FEW_CELLS'],
  ])('%j has %s', (row, code) => {
    expect(read(`name,E,N,H\n${row}\n`).rows[0]!.issues.map((issue) => issue.code)).toContain(code);
  });

  it('read thousands, spaces, true minus signs and decimal commas', () => {
    expect(read('name,E,N\nK1,"4,218.334",−7 906.121\n').rows[0]).toMatchObject({
      e: 4218.334,
      n: -7906.121,
      issues: [],
    });
    expect(read('name;E;N\nK1;4218,334;7906,121\n').rows[0]).toMatchObject({ e: 4218.334, n: 7906.121, issues: [] });
  });

  it('count lines as an editor does, blank ones too', () => {
    expect(read('\uFEFFname,E,N\n\nK1,1,2\n').rows[0]!.row).toBe(3);
  });
});

describe('a list that is too much', () => {
  const refused = (text: string) => {
    const list = readControlList(text, { unit: 'metre', xIsNorth: false });
    return list.ok ? null : list.error;
  };

  it('is refused before it is taken apart: rows, empty ones too, and cells', () => {
    expect(refused(`name,E,N\n${'P,1,2\n'.repeat(50_001)}`)).toEqual({
      code: 'TOO_MANY_ROWS',
      rows: 50_001,
      most: 50_000,
    });
    expect(refused(`name,E,N\n${'\n'.repeat(5_000_000)}P,1,2`)).toMatchObject({
      code: 'TOO_MANY_ROWS',
      rows: 5_000_001,
    });
    expect(refused(`name,E,N\nP,1,2\nQ,1,2${',3'.repeat(500)}\n`)).toEqual({
      code: 'TOO_MANY_CELLS',
      row: 3,
      cells: 503,
      most: 200,
    });
  });

  it('is refused as LandXML where the first point too many stands, whatever follows', () => {
    const points = Array.from({ length: 100_000 }, (_, i) => `<CgPoint name="P${i}">1 2</CgPoint>`).join('');
    expect(refused(`<LandXML><CgPoints>${points}</ BROKEN`)).toEqual({
      code: 'TOO_MANY_ROWS',
      rows: null,
      most: 50_000,
    });
  });
});

describe('comparing a list', () => {
  const listed = [
    { name: 'K1', e: 4042, n: 8038 },
    { name: 'K2', e: 4118, n: 8021 },
    { name: 'K3', e: 4236, n: 8033 },
  ];
  const codes = (text: string) =>
    compareControl(read(text).rows, listed).map((remark) => `${remark.code}${'row' in remark ? ` ${remark.row}` : ''}`);

  it('points out names twice, however they are written', () => {
    expect(codes('name,E,N\nA 1,4000,8000\na1,4050,8000\n')).toEqual(['DUPLICATE_NAME 3']);
  });

  it('points out two marks closer than a metre, in the list and on the site', () => {
    expect(codes('name,E,N\nX,4042.5,8038.2\nY,4100,8100\nZ,4100.4,8100\n')).toEqual([
      'PROBABLY_TWICE 2',
      'PROBABLY_TWICE 4',
    ]);
  });

  it('is no more work where every mark stands in one place, as a column of zeros does', () => {
    const remarks = codes(`name,E,N\n${Array.from({ length: 20_000 }, (_, i) => `P${i},0,0\n`).join('')}`);
    expect(remarks).toHaveLength(19_999);
    expect(remarks.at(-1)).toBe('PROBABLY_TWICE 20001');
  }, 5000);

  it('finds the pairs closer than a metre that looking at all of them finds', () => {
    const coordinate = fc.double({ min: -3, max: 3, noNaN: true });
    fc.assert(
      fc.property(fc.array(fc.tuple(coordinate, coordinate), { minLength: 2, maxLength: 20 }), (places) => {
        const rows = read(
          `name,E,N\n${places.map(([e, n], i) => `P${i},${e.toFixed(6)},${n.toFixed(6)}\n`).join('')}`,
        ).rows;
        const twins = rows.filter((row, i) =>
          rows.slice(0, i).some((other) => Math.hypot(row.e! - other.e!, row.n! - other.n!) < 1),
        );
        const found = compareControl(rows, []).filter(({ code }) => code === 'PROBABLY_TWICE');
        expect(found.map((remark) => 'row' in remark && remark.row)).toEqual(twins.map(({ row }) => row));
      }),
    );
  });

  it('asks about easting and northing exchanged', () => {
    expect(codes('name,E,N\nX,8060,4100\nY,4100,8060\n')).toEqual(['PROBABLY_SWAPPED 2']);
  });

  it('sees that the two feet are mixed, either way, and nothing in ordinary differences', () => {
    const state = listed.map((mark) => ({ ...mark, e: mark.e + 600_000, n: mark.n + 200_000 }));
    const list = (factor: number, shift = 0) =>
      read(
        `name,E,N\n${state.map((mark) => `${mark.name},${mark.e * factor + shift},${mark.n * factor}`).join('\n')}\n`,
      ).rows;
    for (const factor of [FOOT_RATIO, 1 / FOOT_RATIO]) {
      const mixed = compareControl(list(factor), state).find((remark) => remark.code === 'FEET_MIXED');
      expect(mixed).toBeDefined();
      if (mixed?.code === 'FEET_MIXED') expect(mixed.factor * factor).toBeCloseTo(1, 12);
    }
    expect(compareControl(list(1, 0.02), state).some((remark) => remark.code === 'FEET_MIXED')).toBe(false);
    expect(compareControl(list(1, 3), state).some((remark) => remark.code === 'FEET_MIXED')).toBe(false);
  });
});

describe('text in and out', () => {
  it('knows what is no text', () => {
    expect(textOf(new Uint8Array())).toMatchObject({ error: { code: 'EMPTY_FILE' } });
    expect(textOf(new Uint8Array([80, 75, 0, 1]))).toMatchObject({ error: { code: 'NOT_TEXT' } });
    expect(textOf(new Uint8Array([0xff, 0xfe, 0x41]))).toMatchObject({ error: { code: 'NOT_TEXT' } });
  });

  it('writes no cell that a spreadsheet takes for a formula, and leaves numbers alone', () => {
    fc.assert(
      fc.property(fc.string(), (cell) => {
        const line = csvText(['a'], [[cell]])
          .split('\r\n')
          .slice(1)
          .join('\r\n');
        expect(line).not.toMatch(/^"?[=+@]/);
        expect(/^"?-(?!\d+(\.\d+)?"?\r)/.test(line)).toBe(false);
      }),
    );
    expect(csvText(['a', 'b'], [['-1.250', '=1+1']])).toBe("a,b\r\n-1.250,'=1+1\r\n");
  });
});
