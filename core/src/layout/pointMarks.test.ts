import { describe, expect, it } from '@jest/globals';
import fc from 'fast-check';
import { planDistance, polar } from '../plane/point.ts';
import { pointMarks, pointsWithRecoveries } from './pointMarks.ts';

describe('marks on points', () => {
  it('stand on the points, without an offset', () => {
    const marks = pointMarks([
      { name: 'P1', e: 1, n: 2 },
      { name: 'P2', e: 3, n: 4 },
    ]);
    expect(marks).toMatchObject({
      ok: true,
      value: [
        { key: 'P1', place: { e: 1, n: 2 }, offset: 0 },
        { key: 'P2', designPlace: { e: 3, n: 4 } },
      ],
    });
  });

  it('are refused without a point, or when a name stands twice', () => {
    expect(pointMarks([])).toEqual({ ok: false, error: { code: 'NO_POINTS' } });
    const twice = [
      { name: 'P1', e: 1, n: 2 },
      { name: 'P1', e: 3, n: 4 },
    ];
    expect(pointMarks(twice)).toEqual({ ok: false, error: { code: 'POINT_NAMED_TWICE', name: 'P1' } });
  });
});

describe('points with recovery marks', () => {
  const row = [0, 5, 10].map((along, i) => ({ name: `P${i + 1}`, ...polar({ e: 100, n: 200 }, 0.4, along) }));
  const marksOf = (points: typeof row, offset: number) => {
    const marks = pointsWithRecoveries(points, offset);
    if (!marks.ok) throw new Error(marks.error.code);
    return marks.value;
  };

  it('have the point in the middle of a string between them, square to the row', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0, max: 6.28, noNaN: true }),
        fc.double({ min: 0.2, max: 20, noNaN: true }),
        (turn, offset) => {
          const points = [0, 5, 12].map((along, i) => ({ name: `P${i}`, ...polar({ e: 0, n: 0 }, turn, along) }));
          const marks = marksOf(points, offset);
          expect(marks).toHaveLength(9);
          for (let i = 0; i < 9; i += 3) {
            const [centre, right, left] = [marks[i]!, marks[i + 1]!, marks[i + 2]!];
            expect(
              planDistance(
                { e: (right.place.e + left.place.e) / 2, n: (right.place.n + left.place.n) / 2 },
                centre.place,
              ),
            ).toBeLessThan(1e-9);
            expect(planDistance(right.place, centre.place)).toBeCloseTo(offset, 9);
            // Square to the row: as far from the one end of the row as its mirror image.
            expect(planDistance(right.place, points[0]!)).toBeCloseTo(planDistance(left.place, points[0]!), 9);
          }
        },
      ),
    );
  });

  it('keep their keys when the offset changes, and stand alone where there is no row', () => {
    expect(marksOf(row, 2).map((mark) => mark.key)).toEqual(marksOf(row, 3).map((mark) => mark.key));
    expect(marksOf(row.slice(0, 1), 2)[1]!.place).toEqual({ e: expect.closeTo(102, 9), n: expect.closeTo(200, 9) });
    expect(pointsWithRecoveries(row, 0)).toMatchObject({ ok: false, error: { code: 'OFFSET_NOT_POSITIVE' } });
    expect(pointsWithRecoveries([row[0]!, row[0]!], 2)).toMatchObject({
      ok: false,
      error: { code: 'POINT_NAMED_TWICE' },
    });
  });
});
