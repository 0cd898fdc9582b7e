import { describe, expect, it } from '@jest/globals';
import fc from 'fast-check';
import { planDistance } from '../plane/point.ts';
import { tapedPairs, tapesTo } from './tapeBack.ts';

const A = { e: 0, n: 0, name: 'A' };
const B = { e: 4, n: 0, name: 'B' };

describe('two tapes', () => {
  it('give a 3-4-5 corner back, with the side it lies on', () => {
    // Looking east from A to B, north is to the left.
    expect(tapesTo({ e: 4, n: 3 }, A, B)).toMatchObject({
      fromA: 5,
      fromB: 3,
      apart: 4,
      side: 'left',
      crossing: expect.closeTo(Math.asin(0.8), 12),
      spread: expect.closeTo(1.25, 12),
    });
    expect(tapesTo({ e: 4, n: -3 }, A, B)!.side).toBe('right');
  });
  it('know a point in line, between the marks and beyond either', () => {
    expect(tapesTo({ e: 1, n: 0 }, A, B)!.side).toBe('between');
    expect(tapesTo({ e: 6, n: 0.01 }, A, B)!.side).toBe('beyondB');
    expect(tapesTo({ e: -2, n: 0 }, A, B)!.side).toBe('beyondA');
  });
  it('are none from a mark that is the point itself, or from two marks in one place', () => {
    expect(tapesTo(A, A, B)).toBeNull();
    expect(tapesTo({ e: 4, n: 3 }, A, { e: 0.1, n: 0 })).toBeNull();
  });
  it('lead back to the point, wherever it is', () => {
    const metre = fc.integer({ min: -30_000, max: 30_000 }).map((mm) => mm / 1000);
    fc.assert(
      fc.property(metre, metre, metre, metre, (e, n, be, bn) => {
        const [point, b] = [
          { e, n },
          { e: be, n: bn },
        ];
        const tapes = tapesTo(point, A, b);
        fc.pre(tapes !== null && (tapes.side === 'left' || tapes.side === 'right') && tapes.crossing > 0.05);
        const { fromA, fromB, apart, side } = tapes;
        const along = (fromA ** 2 - fromB ** 2 + apart ** 2) / (2 * apart);
        const off = Math.sqrt(Math.max(0, fromA ** 2 - along ** 2)) * (side === 'right' ? 1 : -1);
        const [ue, un] = [b.e / apart, b.n / apart];
        expect(planDistance({ e: along * ue + off * un, n: along * un - off * ue }, point)).toBeLessThan(1e-6);
      }),
    );
  });
});

describe('pairs of recoveries', () => {
  it('come best first, and leave out what no tape reaches', () => {
    const point = { e: 0, n: 0 };
    const marks = [
      { name: 'N', e: 0, n: 5 },
      { name: 'S', e: 0, n: -4 },
      { name: 'E', e: 6, n: 0 },
      { name: 'NNE', e: 0.6, n: 5 },
    ];
    const pairs = tapedPairs(point, marks);
    expect([pairs[0]!.a.name, pairs[0]!.b.name, pairs[0]!.tapes.side]).toEqual(['N', 'S', 'between']);
    expect(new Set(pairs.slice(1, 3).flatMap(({ a, b }) => [a.name, b.name]))).toEqual(new Set(['N', 'S', 'E']));
    expect(pairs.at(-1)).toMatchObject({ good: false });
  });
});
