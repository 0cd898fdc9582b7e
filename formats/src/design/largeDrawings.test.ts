import { describe, expect, it } from '@jest/globals';
import fc from 'fast-check';
import type { DrawnLine } from './drawing.ts';
import { DrawnSides } from './drawnSides.ts';
import { joinedLines } from './joinedLines.ts';
import { namedCorners } from './namedCorners.ts';
import { OpenDrawing } from '../index.ts';

const at = (e: number, n: number) => ({ e, n, z: null });
const chain = (...places: (readonly [number, number])[]): DrawnLine[] =>
  places.slice(1).map((to, i) => ({ layer: 'A', from: at(...places[i]!), to: at(...to) }));
const square = (e: number, size: number) => chain([e, 0], [e + size, 0], [e + size, size], [e, size], [e, 0]);

const written = (groups: readonly (readonly [number, string | number])[]) =>
  new TextEncoder().encode(groups.map(([code, value]) => `${code}\n${value}\n`).join(''));
const opened = (...elements: (readonly [number, string | number])[]) => {
  const head = [
    [0, 'SECTION'],
    [2, 'HEADER'],
    [9, '$INSUNITS'],
    [70, 6],
    [0, 'ENDSEC'],
    [0, 'SECTION'],
    [2, 'ENTITIES'],
  ] as const;
  const read = OpenDrawing.read(written([...head, ...elements, [0, 'ENDSEC'], [0, 'EOF']]), {
    siteUnit: 'metre',
    similarity: null,
  });
  if (!read.ok) throw new Error(read.error.code);
  return read.value;
};

describe('lines that join', () => {
  it('make the same rings in whatever order and direction they were drawn', () => {
    const lines = [...square(0, 4), ...square(10, 3), ...chain([30, 0], [31, 0], [32, 1]), ...chain([4, 4], [9, 9])];
    fc.assert(
      fc.property(
        fc.shuffledSubarray([...lines.keys()], { minLength: lines.length }),
        fc.array(fc.boolean(), { minLength: lines.length, maxLength: lines.length }),
        (order, turned) => {
          const drawn = order.map((i, k) => {
            const { layer, from, to } = lines[i]!;
            return turned[k] ? { layer, from: to, to: from } : lines[i]!;
          });
          const areas = joinedLines(drawn).map(({ area }) => area);
          // A stick at a corner of the large one: it is a ring for who begins there, and nothing else.
          expect(areas.filter((area) => area === 9)).toHaveLength(1);
          expect(areas.every((area) => area === 9 || area === 16)).toBe(true);
        },
      ),
    );
  });

  it('make a ring that has a stick, from the corner with the stick, whoever came by before', () => {
    const [a, b, c, d] = square(0, 4) as [DrawnLine, DrawnLine, DrawnLine, DrawnLine];
    const stick = chain([0, 0], [-3, -3]);
    expect(joinedLines([b, c, d, a, ...stick]).map(({ area }) => area)).toEqual([16]);
  });

  it('are gone along once, though a long way was drawn from its end', () => {
    const way = chain(...Array.from({ length: 60_001 }, (_, i) => [i, Math.sin(i)] as const)).reverse();
    expect(joinedLines(way)).toEqual([]);
  });
});

describe('names beside places', () => {
  it('are those of the nearest text within reach, the first of two that are as near', () => {
    const place = fc.record({ e: fc.integer({ min: 0, max: 60 }), n: fc.integer({ min: 0, max: 60 }) });
    fc.assert(
      fc.property(fc.array(place, { minLength: 1, maxLength: 40 }), place, (places, corner) => {
        const [tenth, texts] = [
          (each: { e: number; n: number }) => ({ e: each.e / 10, n: each.n / 10 }),
          places.map((each, i) => ({ layer: 'T', at: { e: each.e / 10, n: each.n / 10 }, text: `T${i}` })),
        ];
        const away = texts.map((text) => Math.hypot(text.at.e - corner.e / 10, text.at.n - corner.n / 10));
        const least = Math.min(...away);
        const expected = least <= 1.5 ? texts[away.indexOf(least)]!.text : '1';
        expect(namedCorners([{ ...tenth(corner), z: null }], texts)[0]!.name).toBe(expected);
      }),
    );
  });
});

describe('a line of a drawing', () => {
  it('can be touched though two of its corners are all but one', () => {
    const drawing = opened(
      [0, 'LWPOLYLINE'],
      [8, 'WALL'],
      [90, 3],
      [70, 0],
      [10, 0],
      [20, 0],
      [10, 10],
      [20, 0],
      [10, 10.0004],
      [20, 0],
      [10, 10.0004],
      [20, 8],
    );
    expect(drawing.touched({ e: 5, n: 0.1 }, 0.5, [])).toMatchObject({ kind: 'path', layer: 'WALL' });
    expect(drawing.snap({ e: 10.1, n: 7.9 }, 0.5, null, ['end'], [])).toMatchObject({ kind: 'end', n: 8 });
  });

  it('is found by the place where it is, arcs by as far as they reach', () => {
    const half = {
      layer: 'A',
      closed: false,
      corners: [
        { ...at(0, 0), bulge: 1 },
        { ...at(10, 0), bulge: 0 },
      ],
    };
    const sides = new DrawnSides([half]);
    expect(sides.near({ e: 5, n: -5 }, 0.1, 10, () => true)).toHaveLength(1);
    expect(sides.near({ e: 5, n: -5 }, 0.1, 10, () => false)).toHaveLength(0);
    expect(sides.near({ e: 5, n: 5 }, 0.1, 10, () => true)).toHaveLength(0);
  });
});

describe('places that are asked about', () => {
  it('are found within a millimetre, with their height', () => {
    const drawing = opened(
      [0, 'POINT'],
      [8, 'P'],
      [10, 12.0004],
      [20, 7],
      [30, 3.25],
      [0, 'LINE'],
      [8, 'L'],
      [10, 0],
      [20, 0],
      [11, 5],
      [21, 5],
    );
    expect(
      drawing.found([
        { e: 12, n: 7 },
        { e: 5, n: 5.0008 },
        { e: 5, n: 5.01 },
      ]),
    ).toEqual([
      { isThere: true, z: 3.25 },
      { isThere: true, z: null },
      { isThere: false, z: null },
    ]);
  });
});
