import { describe, expect, it } from '@jest/globals';
import { pointMarks } from './pointMarks.ts';

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
