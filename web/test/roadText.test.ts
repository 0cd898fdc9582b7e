import { describe, expect, it } from '@jest/globals';
import fc from 'fast-check';
import { alignmentOf } from '@idle-marker/core';
import { roadOf } from '@idle-marker/records';
import {
  readEquations,
  readProfile,
  readStrings,
  readWay,
  writeEquations,
  writeIntersections,
  writeProfile,
  writeStrings,
} from '../src/features/design/roadText.ts';
import {
  elementPart,
  equationPart,
  intersectionPart,
  kerbPart,
  profilePart,
  startPart,
  stringPart,
} from '../src/features/design/roadCells.ts';
import { cellsPasted } from '../src/field/CellTable.tsx';
import { ruleDraft } from '../src/packages/RuleFields.tsx';
import { unitsOf } from '../src/field/useUnits.ts';

const metric = {
  units: unitsOf({ lengthUnit: 'metre', angleUnit: 'dms', axisOrder: 'EN' }),
  style: { unit: 'metre', format: 'thousand' },
} as const;
const feet = {
  units: unitsOf({ lengthUnit: 'usSurveyFoot', angleUnit: 'dms', axisOrder: 'NE' }),
  style: { unit: 'usSurveyFoot', format: 'hundred' },
} as const;
const value = <T>(result: { ok: true; value: T } | { ok: false; error: string }): T => {
  if (!result.ok) throw new Error(result.error);
  return result.value;
};
const error = (result: { ok: boolean; error?: string }) => (result.ok ? null : result.error);

describe('a road as text', () => {
  it('takes intersection points with curves and spirals, and writes them again', () => {
    const text = '4018, 8052\n4140, 8036, radius 80, spirals 30 25\n4230, 8130, radius 60\n4300, 8140';
    const way = value(readWay(text, metric));
    expect(way.elements.map(({ kind }) => kind)).toEqual([
      'line',
      'spiral',
      'curve',
      'spiral',
      'line',
      'curve',
      'line',
    ]);
    expect(writeIntersections(way.intersections!, metric)).toBe(text);
    const north = value(readWay('8052, 4018\n8036, 4140; radius 20\n8130, 4230', feet));
    expect(north.intersections![1]).toMatchObject({
      n: 8036 * (1200 / 3937),
      e: 4140 * (1200 / 3937),
      radius: 20 * (1200 / 3937),
    });
  });

  it('takes a start and one element after the other', () => {
    const way = value(
      readWay(
        'start 4018, 8052, direction 97\nline 92\nspiral 30 to 80 left\ncurve 62 radius 80 left\nspiral 30 from 80 left',
        metric,
      ),
    );
    expect(way.intersections).toBeNull();
    const made = alignmentOf({ startStation: 0, elements: way.elements, equations: [] });
    expect(made.ok && made.value.length).toBeCloseTo(214, 6);
    expect(made.ok && made.value.elements[2]!.curvatureStart).toBeCloseTo(-1 / 80, 9);
  });

  it.each([
    ['', 'Enter the horizontal alignment: its intersection points, or a start and its elements.'],
    ['4018', 'Line 1, “4018”, isn’t two coordinates, with a radius and spirals where wanted.'],
    ['1, 2\n3, 4, wide 5\n6, 9', 'Line 2, “3, 4, wide 5”, has “wide 5”, which is neither a radius nor spirals.'],
    ['1, 2\n3, 4, radius x\n6, 9', 'Line 2, “3, 4, radius x”, has a radius that is no length.'],
    [
      '0, 0\n0, 50, radius 60\n200, 50',
      'Between points 1 and 2 the curves need 10.000 m more than there is: take smaller radii or shorter spirals.',
    ],
    ['start 1, 2', 'Line 1, “start 1, 2”, isn’t “start”, two coordinates and a direction.'],
    ['start 1, 2, 90\nturn 5', 'Line 2, “turn 5”, begins with none of line, curve and spiral.'],
    [
      'start 1, 2, 90\ncurve 5 left',
      'Line 2, “curve 5 left”, needs a radius and left or right: “curve 62 radius 80 left”.',
    ],
    [
      'start 1, 2, 90\nspiral 5 to 80',
      'Line 2, “spiral 5 to 80”, needs the radius that it comes from or goes to, and left or right: “spiral 30 to 80 left”.',
    ],
    ['start 1, 2, 90', 'Enter at least one element after the start.'],
    ['start 1, 2, 90\nline', 'Line 2, “line”, has no length after its first word.'],
  ])('says which line is wrong: %j', (text, sentence) => {
    expect(error(readWay(text, metric))).toBe(sentence);
  });

  it('takes jumps of the stations, one after the other', () => {
    const text = '0+200 = 0+500\n0+600 = 1+000 down';
    const read = value(readEquations(text, metric));
    expect(read).toEqual([
      { at: 200, ahead: 500, counts: 1 },
      { at: 300, ahead: 1000, counts: -1 },
    ]);
    expect(writeEquations(read, metric)).toBe(text);
    expect(error(readEquations('200 to 500', metric))).toBe('Line 1, “200 to 500”, isn’t “0+200 = 0+500”.');
  });

  it('takes heights with every kind of curve', () => {
    const text = '0+000, 4.72\n0+110, 6.15, curve 70\n0+232, 4.93, curve 40 30\n0+300, 5.6, radius 1500\n0+380, 6.26';
    const read = value(readProfile(text, metric));
    expect(read.map(({ rounding }) => rounding?.kind ?? null)).toEqual([
      null,
      'parabola',
      'unsymmetricParabola',
      'circular',
      null,
    ]);
    expect(writeProfile(read, metric)).toBe(text);
    expect(value(readProfile('12+50, 10', feet))[0]).toMatchObject({
      station: 1250 * (1200 / 3937),
      z: 10 * (1200 / 3937),
    });
    expect(error(readProfile('0+110', metric))).toBe(
      'Line 1, “0+110”, isn’t a station and an elevation, with a curve where wanted.',
    );
    expect(error(readProfile('0+110, 5, bend 3', metric))).toContain('has “bend 3”, which is neither');
  });

  it('takes strings and kerbs with tables, and writes them again', () => {
    const text = [
      'left edge; left 3.25; fall 2.5 @ 0+000, 3.5 @ 0+122',
      'right edge; right 3.25 @ 0+000, 3.75 @ 0+122; fall 2.5',
      'walk; left 5.25; above left edge: 0.16',
      'verge; left 7; fall from walk: 4',
      'left kerb; kerb on left edge; face 0.02; top 0.12 @ 0+000, 0.02 @ 0+140; back 0.15; back top 0.1',
    ].join('\n');
    const read = value(readStrings(text, metric));
    expect(read.strings[0]!.offset).toEqual([{ station: 0, value: -3.25 }]);
    expect(read.strings[2]).toMatchObject({
      from: 'left edge',
      height: { rule: 'difference', values: [{ value: 0.16 }] },
    });
    expect(read.strings[3]).toMatchObject({ from: 'walk', height: { rule: 'fall' } });
    expect(read.kerbs[0]).toMatchObject({
      backOffset: 0.15,
      backHeight: [{ value: 0.1 }],
      topHeight: [{ value: 0.12 }, { station: 140, value: 0.02 }],
    });
    expect(writeStrings(read, metric)).toBe(text);
    expect(error(readStrings('edge; 3.25; fall 2.5', metric))).toContain(
      'Line 1, “edge; 3.25; fall 2.5”, isn’t a string such as',
    );
    expect(error(readStrings('k; kerb on edge; top 0.1', metric))).toContain('isn’t a curb such as');
  });

  it('reads feet and inches with blanks in them, and offers both readings of what could be two', () => {
    const foot = 1200 / 3937;
    const way = value(readWay(`start 8052, 4018, direction 97\nline 50-6 1/2\ncurve 62' 3 1/4" radius 80 left`, feet));
    const made = alignmentOf({ startStation: 0, elements: way.elements, equations: [] });
    expect(made.ok && made.value.length).toBeCloseTo((50 + 6.5 / 12 + 62 + 3.25 / 12) * foot, 9);
    const both =
      /Line 2, “line 5-6 1\/2”, .*“5-6 1\/2” can be read in two ways: 5′ 6 1\/2″, which is 1\.689 m, or one figure less another, −1\.500 m/;
    expect(error(readWay('start 4018, 8052, direction 97\nline 5-6 1/2', metric))).toMatch(both);
    expect(error(readProfile('0+110, 5-6 1/2', metric))).toMatch(/^Line 1, .* can be read in two ways: 5′ 6 1\/2″/);
    expect(error(readStrings('edge; left 5-6 1/2; fall 2.5', metric))).toMatch(
      /^Line 1, .* can be read in two ways: 5′ 6 1\/2″/,
    );
    expect(error(readStrings('5-6 1/2; 3.25; fall 2.5', metric))).not.toContain('two ways');
  });
});

describe('stations that were asked for', () => {
  it('are written as they are shown, beyond a jump too', () => {
    const road = roadOf({
      name: 'Road',
      startStation: 0,
      elements: [{ kind: 'line', start: { e: 0, n: 0 }, end: { e: 400, n: 0 } }],
      equations: [{ at: 200, ahead: 500, counts: 1 }],
      profile: null,
      strings: [],
      kerbs: [],
      corridor: 20,
      shift: 0,
    });
    if (!road.ok) throw new Error(road.error.code);
    const rule = {
      from: 150,
      to: 300,
      interval: 10,
      byRadius: [{ upTo: 80, interval: 5 }],
      equalParts: { parts: 4 },
      special: false,
      extra: [210],
      direction: 'down',
    } as const;
    expect(ruleDraft(rule, road.value, metric.units, metric.style)).toMatchObject({
      from: { text: '0+150', exact: 150 },
      to: { text: '0+600', exact: 300 },
      interval: { text: '10', exact: 10 },
      closer: { text: '5', exact: 5 },
      upTo: { text: '80', exact: 80 },
      curves: 'parts',
      figure: { text: '4' },
      extra: { text: '0+510', exact: [210] },
      direction: 'down',
    });
  });
});

describe('a road as a table', () => {
  const figure = fc.integer({ min: 1, max: 99_999 }).map((n) => String(n / 100));
  const station = fc.integer({ min: 0, max: 999 }).map((n) => `0+${String(n).padStart(3, '0')}`);
  const name = fc.constantFrom('left edge', 'walk', 'gutter');
  const hand = fc.constantFrom('left', 'right');
  const orNone = (each: fc.Arbitrary<string>) => fc.oneof(fc.constant(''), each);
  const table = fc
    .tuple(figure, orNone(fc.tuple(figure, station).map(([f, s]) => `, ${f} @ ${s}`)))
    .map((each) => each.join(''));

  it.each([
    ['points', intersectionPart, fc.tuple(figure, figure, orNone(figure), figure, figure)],
    ['start', startPart, fc.tuple(figure, figure, fc.constant('97°'))],
    [
      'a line',
      elementPart,
      fc.tuple(fc.constant('line'), figure, fc.constant(''), fc.constant(''), fc.constant('left')),
    ],
    ['a curve', elementPart, fc.tuple(fc.constant('curve'), figure, figure, fc.constant(''), hand)],
    ['a spiral', elementPart, fc.tuple(fc.constant('spiral'), figure, figure, orNone(figure), hand)],
    ['equations', equationPart, fc.tuple(station, station, fc.constantFrom('up', 'down'))],
    ['a grade point', profilePart, fc.tuple(station, figure, fc.constant('none'), fc.constant(''), fc.constant(''))],
    [
      'one with a curve',
      profilePart,
      fc.tuple(station, figure, fc.constantFrom('curve', 'radius'), figure, fc.constant('')),
    ],
    ['one with two lengths', profilePart, fc.tuple(station, figure, fc.constant('lengths'), figure, figure)],
    ['strings', stringPart, fc.tuple(name, hand, table, fc.constantFrom('fall', 'above'), orNone(name), table)],
    ['kerbs', kerbPart, fc.tuple(name, name, figure, table, figure, orNone(table))],
  ] as const)('%s: a row comes back from its line as it was', (_, part, row) => {
    const { toLine, fromLine, columns } = part(metric);
    fc.assert(
      fc.property(row as fc.Arbitrary<string[]>, (cells) => {
        expect(fromLine(toLine(cells))).toEqual(cells);
        cells.forEach((cell, i) => {
          const column = columns[i]!;
          if (cell !== '' && !column.options) expect([cell, column.check?.(cell) ?? null]).toEqual([cell, null]);
        });
      }),
    );
  });

  it('a line that no cell can show stays text, and a comma in a cell is asked about', () => {
    expect(intersectionPart(metric).fromLine('4018, 8052, radius 80, hump 3')).toBeNull();
    expect(profilePart(metric).fromLine('0+110, 6.15, curve 70, 3')).toBeNull();
    expect(stringPart(metric).fromLine('left edge; middle 3')).toBeNull();
    expect(intersectionPart(metric).columns[0]!.check!('4018,5')).toBe('use a decimal point');
    expect(equationPart(metric).columns[0]!.check!('here')).toMatch(/^not a station such as/);
  });

  it('a block from a spreadsheet is cells by tabs, a list by semicolons or commas', () => {
    expect(cellsPasted('1\t2\r\n3\t\r\n')).toEqual([
      ['1', '2'],
      ['3', ''],
    ]);
    expect(cellsPasted('a; 1,5; 2')).toEqual([['a', '1,5', '2']]);
    expect(cellsPasted('4018, 8052')).toEqual([['4018', '8052']]);
  });
});
