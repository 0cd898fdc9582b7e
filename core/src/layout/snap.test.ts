import { describe, expect, it } from '@jest/globals';
import { pathOf, snapAt, type PathCorner, type SnapKind } from '../index.ts';

const ALL: ReadonlySet<SnapKind> = new Set([
  'point',
  'end',
  'crossing',
  'centre',
  'middle',
  'perpendicular',
  'extension',
  'on',
]);
const sidesOf = (...corners: PathCorner[]) => {
  const path = pathOf(corners, false);
  if (!path.ok) throw new Error(path.error.code);
  return path.value.sides;
};
const at = (e: number, n: number, bulge = 0): PathCorner => ({ name: `${e} ${n}`, e, n, bulge });
const near = (e: number, n: number) => ({ e: expect.closeTo(e, 9), n: expect.closeTo(n, 9) });

const wall = sidesOf(at(0, 0), at(10, 0));
const cross = sidesOf(at(4, -5), at(4, 5));
const bend = sidesOf(at(20, 0, Math.tan(Math.PI / 8)), at(30, 10));
const things = {
  sides: [...wall, ...cross, ...bend],
  circles: [{ centre: { e: 50, n: 50 }, radius: 2 }],
  points: [{ e: 7, n: 1 }],
};

describe('a touch on a drawing', () => {
  it.each<[string, [number, number], SnapKind, [number, number]]>([
    ['the end of a line', [0.2, 0.1], 'end', [0, 0]],
    ['the middle of a line', [5.1, 0.1], 'middle', [5, 0]],
    ['where two lines cross', [4.1, 0.2], 'crossing', [4, 0]],
    ['the centre of a circle', [50.2, 50], 'centre', [50, 50]],
    ['the centre of an arc', [20.2, 10.1], 'centre', [20, 10]],
    ['a point', [7.1, 0.9], 'point', [7, 1]],
    ['a place on a line when nothing else is near', [2.2, 0.3], 'on', [2.2, 0]],
    ['a place on a circle', [52.1, 50], 'on', [52, 50]],
  ])('means %s', (_, [e, n], kind, place) => {
    expect(snapAt({ e, n }, 0.5, things, null, ALL)).toEqual({ kind, ...near(...place) });
  });
  it('means the middle of an arc', () => {
    const middle = { e: 20 + 10 * Math.SQRT1_2, n: 10 - 10 * Math.SQRT1_2 };
    expect(snapAt({ e: middle.e + 0.1, n: middle.n }, 0.5, things, null, ALL)).toEqual({
      kind: 'middle',
      ...near(middle.e, middle.n),
    });
  });
  it('means the foot of the perpendicular from the place before', () => {
    expect(snapAt({ e: 8.1, n: 0.1 }, 0.3, { ...things, points: [] }, { e: 8, n: 6 }, ALL)).toEqual({
      kind: 'perpendicular',
      ...near(8, 0),
    });
  });
  it('means where two lines would meet if they were carried on', () => {
    const sides = [...sidesOf(at(0, 0), at(9, 0)), ...sidesOf(at(10, 1), at(10, 8))];
    expect(snapAt({ e: 10.1, n: 0.1 }, 0.3, { sides, circles: [], points: [] }, null, ALL)).toEqual({
      kind: 'extension',
      ...near(10, 0),
    });
  });
  it('means nothing where nothing is near, or what is near is switched off', () => {
    expect(snapAt({ e: 100, n: 100 }, 0.5, things, null, ALL)).toBeNull();
    expect(snapAt({ e: 0.2, n: 0.1 }, 0.5, things, null, new Set(['middle']))).toBeNull();
  });
});
