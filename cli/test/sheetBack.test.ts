/** A cut sheet as CSV holds all that the sheet has, and is a list of its marks for who reads it so. */
import { describe, expect, it } from '@jest/globals';
import fc from 'fast-check';
import Papa from 'papaparse';
import { lengthFromMetres } from '@idle-marker/core';
import { METRES_PER_FILE_UNIT, readControlCsv, undefused } from '@idle-marker/formats';
import { sheetCsv } from '@idle-marker/press';
import type { CutSheetRow, NumberedSheet } from '@idle-marker/records';
import { SHEET } from './sheet.ts';

const length = fc.double({ min: -9e5, max: 9e5, noNaN: true });
const text = fc
  .string({ unit: fc.constantFrom(...`abÄжλ"'#,;=+-@ |\n′″’`), minLength: 1, maxLength: 12 })
  .map((each) => each.trim())
  .filter((each) => each !== '' && !each.includes('\n'));
const row = fc
  .record({
    name: text,
    corner: text,
    offset: length,
    hubZ: fc.option(length),
    groundZ: fc.option(length),
    designZ: fc.option(length),
    e: length,
    n: length,
    stakeText: fc.array(text, { maxLength: 3 }),
  })
  .map(({ e, n, ...said }): CutSheetRow => ({
    ...SHEET.rows[0]!,
    ...said,
    cutFill: said.hubZ === null || said.designZ === null ? null : said.hubZ - said.designZ,
    place: { e, n },
  }));
const sheet = fc
  .record({
    lengthUnit: fc.constantFrom('metre' as const, 'foot' as const, 'usSurveyFoot' as const),
    axes: fc.constantFrom('EN' as const, 'NE' as const),
    package: text,
    rows: fc.uniqueArray(row, { minLength: 1, maxLength: 5, selector: ({ name }) => name }),
  })
  .map((said): NumberedSheet => ({ ...SHEET, ...said }));

describe('a cut sheet as CSV', () => {
  it('read back as a list gives each mark with its place and the height of its hub', () => {
    fc.assert(
      fc.property(sheet, fc.boolean(), (each, head) => {
        const read = readControlCsv(sheetCsv(each, { head }), { unit: null, xIsNorth: null });
        if (!read.ok) throw new Error(JSON.stringify(read.error));
        const { rows, order, unit } = read.value;
        expect([order, unit]).toEqual([each.axes, { metre: 'm', foot: 'ft', usSurveyFoot: 'ftUS' }[each.lengthUnit]]);
        expect(rows.map(({ name, issues }) => [name, issues])).toEqual(each.rows.map(({ name }) => [name, []]));
        rows.forEach(({ e, n, z }, i) => {
          const { place, hubZ } = each.rows[i]!;
          const step = 0.00051 * METRES_PER_FILE_UNIT[unit];
          expect(Math.abs(e! - place.e)).toBeLessThan(step);
          expect(Math.abs(n! - place.n)).toBeLessThan(step);
          expect(z === null).toBe(hubZ === null);
          expect(Math.abs((z ?? 0) - (hubZ ?? 0))).toBeLessThan(step);
        });
      }),
      { numRuns: 100 },
    );
  });

  it('has every height, offset and word of the sheet under its heading', () => {
    fc.assert(
      fc.property(sheet, (each) => {
        const { data } = Papa.parse<Record<string, string>>(sheetCsv(each, { head: false }).trimEnd(), {
          header: true,
        });
        const figure = (metres: number | null) =>
          metres === null
            ? ''
            : lengthFromMetres(metres, each.lengthUnit)
                .toFixed(3)
                .replace(/^-(0\.000)$/, '$1');
        const unit = { metre: 'm', foot: 'ft', usSurveyFoot: 'US ft' }[each.lengthUnit];
        const plain = (said: string) => said.replace(/[′’]/g, "'").replace(/″/g, '"');
        data.forEach((read, i) => {
          const { offset, groundZ, hubZ, designZ, corner, stakeText } = each.rows[i]!;
          expect([
            read[`Ground elevation (${unit})`],
            read[`Hub elevation (${unit})`],
            read[`Design elevation (${unit})`],
          ]).toEqual([groundZ, hubZ, designZ].map(figure));
          expect(read[`Offset (${unit})`]).toBe(figure(offset));
          expect(undefused(read['Offset to']!)).toBe(`${plain(corner)}, outside face`);
          expect(undefused(read['Stake text']!)).toBe(plain(stakeText.join(' | ')));
        });
      }),
      { numRuns: 100 },
    );
  });
});
