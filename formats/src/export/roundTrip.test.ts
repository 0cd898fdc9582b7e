/** What is written of a site is read back by this project with nothing lost. */
import { describe, expect, it } from '@jest/globals';
import fc from 'fast-check';
import { readRawDrawing } from '../design/readDrawing.ts';
import {
  pointsCsv,
  readControlCsv,
  siteDxf,
  siteGeoJson,
  siteLandXml,
  type SiteAbout,
  type SitePoint,
} from '../index.ts';

const coordinate = fc.double({ min: -1e6, max: 1e6, noNaN: true });
const word = fc
  .string({ unit: fc.constantFrom(...`abÄжλ"'#,;=+-@ <&%\\U5Mcd`), minLength: 1, maxLength: 12 })
  .map((each) => each.trim())
  .filter((each) => each !== '');
const points = fc.array(
  fc.record({
    name: word,
    group: fc.constantFrom('control' as const, 'marks' as const, 'asBuilt' as const),
    code: fc.oneof(fc.constant(''), word),
    note: fc.oneof(fc.constant(''), word),
    e: coordinate,
    n: coordinate,
    z: fc.option(coordinate),
  }),
  { minLength: 1, maxLength: 6 },
);
type Short = Pick<SitePoint, 'name' | 'group' | 'code' | 'note' | 'e' | 'n' | 'z'>;
const whole = (point: Short): SitePoint => ({
  designZ: null,
  offset: null,
  cutFill: null,
  dEMm: null,
  dNMm: null,
  station: 'S1',
  standing: 'verified',
  at: '2031-05-06T08:00:00.000Z',
  ...point,
});
const abouts = fc.record({
  unit: fc.constantFrom('metre' as const, 'foot' as const, 'usSurveyFoot' as const),
  axes: fc.constantFrom('EN' as const, 'NE' as const),
  site: word,
  coordinateSystem: fc.oneof(fc.constant(''), word),
});
const aboutOf = (said: Pick<SiteAbout, 'unit' | 'axes' | 'site' | 'coordinateSystem'>): SiteAbout => ({
  ...said,
  heightDatum: 'bolt',
  scaleFactor: 0.9998,
  at: '2031-05-06T08:00:00.000Z',
  by: 'Rosa',
  stations: [{ name: 'S1', standing: 'accepted' }],
  lines: [`Site: ${said.site}`, 'Written by "Rosa", 5\' high'],
});

interface Back {
  readonly name: string | null;
  readonly code: string;
  readonly e: number;
  readonly n: number;
  readonly z: number | null;
}

function drawn(file: string | Uint8Array): readonly Back[] {
  const read = readRawDrawing(typeof file === 'string' ? new TextEncoder().encode(file) : file, null);
  if (!read.ok) throw new Error(JSON.stringify(read.error));
  const { metres } = read.value.unit!;
  return read.value.points.map(({ name, code = '', at, z }) => ({
    name,
    code,
    e: at.e * metres,
    n: at.n * metres,
    z: z === null ? null : z * metres,
  }));
}

function listed(text: string): readonly Back[] {
  const read = readControlCsv(text, { unit: null, xIsNorth: null });
  if (!read.ok) throw new Error(JSON.stringify(read.error));
  return read.value.rows.map(({ name, code, e, n, z, issues }) => {
    expect(issues).toEqual([]);
    return { name, code, e: e!, n: n!, z };
  });
}

const byName = <T extends { readonly name: string | null }>(list: readonly T[]) =>
  [...list].sort((a, b) => ((a.name ?? '') < (b.name ?? '') ? -1 : (a.name ?? '') > (b.name ?? '') ? 1 : 0));

describe('points of a site', () => {
  it('come back with their names, codes and heights from every file that they are written to', () => {
    fc.assert(
      fc.property(points, abouts, (list, said) => {
        const about = aboutOf(said);
        const unique = [...new Map(list.map((point) => [point.name, point])).values()];
        const all = unique.map(whole);
        const files: readonly (readonly Back[])[] = [
          listed(pointsCsv(all, ['name', 'e', 'n', 'z', 'code'], about)),
          listed(pointsCsv(all, ['code', 'n', 'e', 'name', 'z', 'group'], { ...about, lines: [] })),
          drawn(siteDxf(all, [], about)),
          drawn(siteGeoJson(all, [], about)),
          drawn(siteLandXml(all, [], about)),
        ];
        for (const back of files) {
          expect(byName(back).map(({ name, code }) => [name, code])).toEqual(
            byName(all).map(({ name, code }) => [name, code]),
          );
          byName(back).forEach((point, i) => {
            const { e, n, z } = byName(all)[i]!;
            expect(Math.hypot(point.e - e, point.n - n)).toBeLessThan(2e-4);
            expect(point.z === null).toBe(z === null);
            expect(Math.abs((point.z ?? 0) - (z ?? 0))).toBeLessThan(2e-4);
          });
        }
      }),
      { numRuns: 150 },
    );
  });
});

const drawnLines = fc.array(
  fc.record({
    name: word,
    closed: fc.boolean(),
    // Corners a metre apart at least: what lies on one spot is no line.
    points: fc.uniqueArray(fc.record({ e: coordinate, n: coordinate }), {
      minLength: 3,
      maxLength: 7,
      selector: ({ e, n }) => `${Math.round(e)} ${Math.round(n)}`,
      comparator: (a, b) => a === b,
    }),
  }),
  { minLength: 1, maxLength: 4 },
);

describe('lines of a design', () => {
  it('come back corner by corner, closed as they were, from every drawing that they are written to', () => {
    fc.assert(
      fc.property(drawnLines, abouts, (lines, said) => {
        for (const file of [siteDxf([], lines, aboutOf(said)), siteGeoJson([], lines, aboutOf(said))]) {
          const read = readRawDrawing(typeof file === 'string' ? new TextEncoder().encode(file) : file, null);
          if (!read.ok) throw new Error(JSON.stringify(read.error));
          const { paths, unit } = read.value;
          expect(paths.map(({ closed, corners }) => [closed, corners.length])).toEqual(
            lines.map(({ closed, points: corners }) => [closed, corners.length]),
          );
          paths.forEach(({ corners }, i) =>
            corners.forEach(({ e, n, z, bulge }, k) => {
              const { e: e0, n: n0 } = lines[i]!.points[k]!;
              expect(Math.hypot(e * unit!.metres - e0, n * unit!.metres - n0)).toBeLessThan(2e-4);
              expect([z, bulge]).toEqual([null, 0]);
            }),
          );
        }
      }),
      { numRuns: 100 },
    );
  });
});

describe('a list as a drawing', () => {
  const list = (rows: number) =>
    `Point,E (m),N (m)\n${Array.from({ length: rows }, (_, i) => `${i},${i},1\n`).join('')}`;

  it('may have more points than a list of control, and is told the limit as what it is', () => {
    expect(drawn(list(60_000))).toHaveLength(60_000);
    const read = readRawDrawing(new TextEncoder().encode(list(200_001)), null);
    expect(read).toMatchObject({
      ok: false,
      error: { code: 'LIST', issue: { code: 'TOO_MANY_ROWS', rows: 200_001, most: 200_000 } },
    });
  });
});
