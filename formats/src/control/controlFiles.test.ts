import { describe, expect, it } from '@jest/globals';
import fc from 'fast-check';
import { readControlList } from './controlList.ts';
import { controlCsv, controlLandXml, type WrittenMark } from './writeControl.ts';

const OPTIONS = { unit: 'metre', xIsNorth: false } as const;
const STAMP = { date: '2031-05-06', time: '08:00:00', version: 12 };
const land = (inside: string, units = '<Units><Metric linearUnit="meter"/></Units>') =>
  `<?xml version="1.0"?><LandXML version="1.2">${units}${inside}</LandXML>`;
const read = (text: string) => {
  const list = readControlList(text, OPTIONS);
  if (!list.ok) throw new Error(list.error.code);
  return list.value;
};
const codeOf = (text: string) => {
  const list = readControlList(text, OPTIONS);
  return list.ok ? null : list.error.code;
};

describe('control points of a LandXML file', () => {
  it('are northing, easting and height, in the unit of the file', () => {
    const points =
      '<CgPoints><CgPoint name="K&amp;1" desc="nail">3038.8\n 2042.3 14.2</CgPoint><CgPoint name="K2">1 2</CgPoint><CgPoint pntRef="K2"/></CgPoints>';
    expect(read(land(points)).rows).toMatchObject([
      { row: 1, name: 'K&1', n: 3038.8, e: 2042.3, z: 14.2, note: 'nail', issues: [] },
      { row: 2, name: 'K2', n: 1, e: 2, z: null },
    ]);
    const feet = read(land(points, '<Units><Imperial linearUnit="USSurveyFoot"/></Units>'));
    expect(feet).toMatchObject({ unit: 'ftUS', unitFromFile: true });
    expect(feet.rows[1]!.n).toBeCloseTo(1200 / 3937, 12);
  });

  it('are read with any prefix of the namespace', () => {
    expect(
      read(
        '<l:LandXML xmlns:l="http://www.landxml.org/schema/LandXML-1.2"><l:CgPoints><l:CgPoint name="A">1 2 3</l:CgPoint></l:CgPoints></l:LandXML>',
      ).rows,
    ).toHaveLength(1);
  });

  it('name the point that is wrong', () => {
    const rows = read(
      land(
        '<CgPoints><CgPoint name="A">1 x 3</CgPoint><CgPoint name="">1 2</CgPoint><CgPoint name="B">7</CgPoint></CgPoints>',
      ),
    ).rows;
    expect(rows.map((row) => row.issues[0]!.code)).toEqual(['NOT_A_NUMBER', 'NO_NAME', 'HALF_A_PLACE']);
  });

  it('are refused where the file is no LandXML, broken, or declares entities', () => {
    expect(codeOf('<gpx><wpt/></gpx>')).toBe('OTHER_XML');
    expect(codeOf(land('<CgPoints><CgPoint name="A">1 2'))).toBe('XML');
    expect(
      codeOf(
        '<!DOCTYPE LandXML [<!ENTITY x SYSTEM "file:///etc/passwd">]><LandXML><CgPoints><CgPoint name="A">&x;</CgPoint></CgPoints></LandXML>',
      ),
    ).toBe('XML');
    expect(codeOf('<LandXML>'.repeat(200))).toBe('XML');
    expect(codeOf(land('<CgPoints/>'))).toBe('NO_ROWS');
    expect(
      codeOf(
        land('<CgPoints><CgPoint name="A">1 2</CgPoint></CgPoints>', '<Units><Imperial linearUnit="chain"/></Units>'),
      ),
    ).toBe('UNKNOWN_UNIT');
  });
});

describe('a control list written for others', () => {
  const coordinate = fc.double({ min: -1e6, max: 1e6, noNaN: true });
  const marks = fc.array(
    fc.record({
      name: fc.stringMatching(/^[A-Z][A-Za-z0-9 <&"]{0,10}[A-Z0-9]$/),
      e: coordinate,
      n: coordinate,
      z: fc.option(coordinate),
    }),
    { minLength: 1, maxLength: 6 },
  );
  const written = (list: readonly Pick<WrittenMark, 'name' | 'e' | 'n' | 'z'>[]): WrittenMark[] =>
    list.map((mark) => ({
      ...mark,
      sdHMm: 2,
      sdZMm: mark.z === null ? null : 2,
      kind: 'pin',
      condition: 'secure',
      note: 'by the "gate" & kerb',
    }));

  it('reads back the same, as CSV and as LandXML, in every unit', () => {
    fc.assert(
      fc.property(marks, fc.constantFrom('metre' as const, 'foot' as const, 'usSurveyFoot' as const), (list, unit) => {
        for (const text of [controlCsv(written(list), unit), controlLandXml(written(list), unit, STAMP)]) {
          const back = read(text);
          expect(back.unit).toBe({ metre: 'm', foot: 'ft', usSurveyFoot: 'ftUS' }[unit]);
          back.rows.forEach((row, i) => {
            expect(row.issues).toEqual([]);
            expect(row.name.replace(/^'/, '')).toBe(list[i]!.name);
            expect(Math.abs(row.e! - list[i]!.e)).toBeLessThan(1e-4);
            expect(Math.abs(row.n! - list[i]!.n)).toBeLessThan(1e-4);
            expect(row.z === null).toBe(list[i]!.z === null);
          });
        }
      }),
      { numRuns: 60 },
    );
  });
});
