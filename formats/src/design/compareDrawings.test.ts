import { describe, expect, it } from '@jest/globals';
import { compareDrawings, placeDrawing, type Drawing, type DrawnPath, type RawDrawing } from '../index.ts';

const path = (layer: string, corners: readonly (readonly [number, number])[], closed = true): DrawnPath => ({
  layer,
  closed,
  corners: corners.map(([e, n]) => ({ e, n, z: null, bulge: 0 })),
});
const drawing = (paths: readonly DrawnPath[], rest: Partial<RawDrawing> = {}): Drawing =>
  placeDrawing(
    {
      unit: null,
      paths,
      points: [],
      circles: [],
      texts: [],
      surfaces: [],
      alignments: [],
      warnings: [],
      leftOut: [],
      ...rest,
    },
    { metresPerUnit: 1, similarity: null },
  );
const near = (e: number, n: number) => ({ e: expect.closeTo(e, 9), n: expect.closeTo(n, 9) });

const hall = [
  [0, 0],
  [20, 0],
  [20, 10],
  [0, 10],
] as const;
const shed = [
  [40, 0],
  [45, 0],
  [45, 5],
] as const;

describe('a replaced drawing', () => {
  it('tells which corners moved and by how much, the farthest first', () => {
    const moved = compareDrawings(
      drawing([path('WALL', hall), path('WALL', shed)]),
      drawing([
        path('WALL', [
          [0, 0],
          [20.03, 0],
          [20.05, 10],
          [0, 10],
        ]),
        path('WALL', shed),
      ]),
    );
    expect(moved.moved.map(({ from, by }) => [from.e, from.n, Math.round(by * 1000)])).toEqual([
      [20, 10, 50],
      [20, 0, 30],
    ]);
    expect(moved.unchanged).toBe(5);
    expect(moved).toMatchObject({ gone: [], come: [] });
    expect(moved.placeOf({ e: 20.0004, n: 0 })).toEqual(near(20.03, 0));
    expect(moved.placeOf({ e: 0, n: 10 })).toEqual(near(0, 10));
    expect(moved.placeOf({ e: 7, n: 7 })).toBeNull();
  });

  it('is followed when its ring begins elsewhere or runs the other way', () => {
    const other = [
      [0, 10.03],
      [20, 10.03],
      [20, 0],
      [0, 0],
    ] as const;
    const change = compareDrawings(drawing([path('WALL', hall)]), drawing([path('WALL', other)]));
    expect(change.moved).toHaveLength(2);
    for (const { by } of change.moved) expect(by).toBeCloseTo(0.03, 9);
    expect(change.placeOf({ e: 20, n: 10 })).toEqual(near(20, 10.03));
  });

  it('counts what came and went by layer', () => {
    const change = compareDrawings(
      drawing([path('WALL', hall), path('OLD', shed)]),
      drawing([
        path('WALL', hall),
        path(
          'NEW',
          [
            [0, 0],
            [1, 1],
          ],
          false,
        ),
      ]),
    );
    expect(change).toMatchObject({
      moved: [],
      gone: [{ layer: 'OLD', elements: 1 }],
      come: [{ layer: 'NEW', elements: 1 }],
      unchanged: 4,
    });
  });

  it('pairs points by their names and circles by their size', () => {
    const points = (e: number) => [
      { layer: 'P', at: { e, n: 0 }, z: null, name: 'B1' },
      { layer: 'P', at: { e: 1, n: 0 }, z: null, name: 'B2' },
    ];
    const circles = (n: number) => [{ layer: 'C', centre: { e: 5, n }, radius: 0.5 }];
    const change = compareDrawings(
      drawing([], { points: points(0), circles: circles(0) }),
      drawing([], { points: points(0.8), circles: circles(0.1) }),
    );
    expect(change.placeOf({ e: 0, n: 0 })).toEqual(near(0.8, 0));
    expect(change.placeOf({ e: 1, n: 0 })).toEqual(near(1, 0));
    expect(change.placeOf({ e: 5, n: 0 })).toEqual(near(5, 0.1));
  });

  it('means the side that moved where it meets one that stays', () => {
    const sides = (n: number) => [
      path(
        'WALL',
        [
          [0, 0],
          [20, n],
        ],
        false,
      ),
      path(
        'WALL',
        [
          [20, 0],
          [20, 10],
        ],
        false,
      ),
    ];
    expect(compareDrawings(drawing(sides(0)), drawing(sides(0.03))).placeOf({ e: 20, n: 0 })).toEqual(near(20, 0.03));
  });
});
