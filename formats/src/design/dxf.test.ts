import { readFileSync } from 'node:fs';
import { describe, expect, it } from '@jest/globals';
import { gridFromLines, namedCorners, readDxf, type Drawing } from '../index.ts';

const pairs = (...codes: (readonly [number, string | number])[]) => codes.map(([code, value]) => `${code}\n${value}`).join('\n');
const line = (layer: string, e1: number, n1: number, e2: number, n2: number) =>
  pairs([0, 'LINE'], [8, layer], [10, e1], [20, n1], [30, 0], [11, e2], [21, n2], [31, 0]);
const drawing = (entities: readonly string[], unit?: number) =>
  [
    ...(unit === undefined ? [] : [pairs([0, 'SECTION'], [2, 'HEADER'], [9, '$INSUNITS'], [70, unit], [0, 'ENDSEC'])]),
    pairs([0, 'SECTION'], [2, 'ENTITIES']),
    ...entities,
    pairs([0, 'ENDSEC'], [0, 'EOF']),
    '',
  ].join('\n');
const read = (text: string, unit: Parameters<typeof readDxf>[1] = 'metre'): Drawing => {
  const result = readDxf(text, unit);
  if (!result.ok) throw new Error(result.error.code);
  return result.value;
};

describe('drawings', () => {
  it('give closed polylines, and lines that join up, as outlines', () => {
    const square = pairs([0, 'LWPOLYLINE'], [8, 'SLAB'], [90, 4], [70, 1], [10, 0], [20, 0], [10, 10], [20, 0], [10, 10], [20, 8], [10, 0], [20, 8]);
    const joined = [line('WALL', 20, 0, 26, 0), line('WALL', 26, 5, 26, 0), line('WALL', 26, 5, 20, 5), line('WALL', 20, 5, 20, 0)];
    const { outlines } = read(drawing([square, ...joined]));
    expect(outlines).toMatchObject([
      { layer: 'SLAB', area: 80 },
      { layer: 'WALL', area: 30 },
    ]);
    expect(outlines[1]!.corners).toHaveLength(4);
  });

  it('take the unit from the header, and ask when there is none', () => {
    expect(read(drawing([line('A', 0, 0, 1000, 0)], 4))).toMatchObject({ unitFromFile: 'millimetres', lines: [{ to: { e: 1 } }] });
    expect(read(drawing([line('A', 0, 0, 3937, 0)]), 'usSurveyFoot').lines[0]!.to.e).toBeCloseTo(1200, 9);
    expect(read(drawing([line('A', 0, 0, 1, 0)])).unitFromFile).toBeNull();
  });

  it('list what they left out, sides with a bulge too', () => {
    const bulged = pairs([0, 'LWPOLYLINE'], [8, 'KERB'], [90, 3], [70, 1], [10, 0], [20, 0], [42, 0.5], [10, 10], [20, 0], [10, 10], [20, 8]);
    const circle = pairs([0, 'CIRCLE'], [8, 'DETAIL'], [10, 0], [20, 0], [40, 1]);
    expect(read(drawing([line('A', 0, 0, 1, 0), bulged, circle, circle])).leftOut).toEqual([
      { what: 'LWPOLYLINE', layer: 'KERB', count: 1 },
      { what: 'CIRCLE', layer: 'DETAIL', count: 2 },
    ]);
  });

  it.each([
    ['nothing at all', 'NOT_DXF'],
    ['<svg/>', 'NOT_DXF'],
    [drawing([]), 'EMPTY_DRAWING'],
  ])('%# are refused', (text, code) => {
    expect(readDxf(text, 'metre')).toMatchObject({ ok: false, error: { code } });
  });
});

describe('the demo drawing', () => {
  const hall = read(readFileSync(`${import.meta.dirname}/../../../demo/ternhaven/ticket-hall.dxf`, 'utf8'));

  it('has the hall with its corners named, and its grid', () => {
    const outline = hall.outlines.find((each) => each.layer === 'WALL-OUTSIDE')!;
    expect(namedCorners(outline.corners, hall.texts).map((corner) => corner.name)).toEqual(['A1', 'D1', 'D4', 'C4', 'C5', 'A5']);
    const grid = gridFromLines('GRID', hall.lines, hall.texts);
    if (!grid.ok) throw new Error(grid.error.code);
    expect([...grid.value.first].sort()).toEqual(['A', 'B', 'C', 'D']);
    expect([...grid.value.second].sort()).toEqual(['1', '2', '3', '4', '5']);
    expect(grid.value.crossings).toHaveLength(20);
    const b3 = grid.value.crossings.find((each) => each.name === 'B3')!;
    const turn = (12 * Math.PI) / 180;
    expect(b3.e).toBeCloseTo(4150 + 7.2 * Math.cos(turn) + 12 * Math.sin(turn), 3);
    expect(b3.n).toBeCloseTo(8080 - 7.2 * Math.sin(turn) + 12 * Math.cos(turn), 3);
  });

  it('gives its grid by directions and spacings, from which the drawn crossings come again', () => {
    const grid = gridFromLines('GRID', hall.lines, hall.texts);
    if (!grid.ok) throw new Error(grid.error.code);
    const { definition, misfit } = grid.value;
    expect(definition.letters).toMatchObject({ labels: ['A', 'B', 'C', 'D'], spacings: [7.2, 7.2, 7.2] });
    expect(definition.numbers).toMatchObject({ labels: ['1', '2', '3', '4', '5'], spacings: [6, 6, 6, 6] });
    expect(misfit).toBeLessThan(0.001);
    // One line turned by half a degree at most still counts to the family; the misfit tells.
    const bent = hall.lines.map((line) =>
      line.layer === 'GRID' && line === hall.lines.find((each) => each.layer === 'GRID') ? { ...line, to: { e: line.to.e + 0.05, n: line.to.n } } : line,
    );
    const uneven = gridFromLines('GRID', bent, hall.texts);
    if (!uneven.ok) throw new Error(uneven.error.code);
    expect(uneven.value.misfit).toBeGreaterThan(0.005);
  });

  it('has no grid on a layer that is none', () => {
    expect(gridFromLines('NAMES', hall.lines, hall.texts)).toMatchObject({ ok: false, error: { code: 'GRID_TOO_FEW_LINES' } });
    const star = [0, 1, 2].flatMap((i) => [
      { layer: 'S', from: { e: 0, n: 0 }, to: { e: Math.sin(i), n: Math.cos(i) } },
      { layer: 'S', from: { e: 5, n: 0 }, to: { e: 5 + Math.sin(i), n: Math.cos(i) } },
    ]);
    expect(gridFromLines('S', star, [])).toMatchObject({ ok: false, error: { code: 'GRID_MANY_DIRECTIONS', directions: 3 } });
  });
});
