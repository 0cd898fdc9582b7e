import { describe, expect, it } from '@jest/globals';
import fc from 'fast-check';
import { bulgedArc, lengthOfSide, reachOfSide } from './bulge.ts';

const angle = fc.double({ min: -3.1, max: 3.1, noNaN: true });

describe('an arc by its bulge', () => {
  it('is the arc that it was made from, as long and in as small a box', () => {
    fc.assert(
      fc.property(angle, fc.double({ min: 0.05, max: 6, noNaN: true }), fc.boolean(), (start, span, isLeft) => {
        const turn = isLeft ? span : -span;
        const at = (a: number) => ({ e: 40 + 7 * Math.cos(a), n: -3 + 7 * Math.sin(a) });
        const [from, to, bulge] = [at(start), at(start + turn), Math.tan(turn / 4)];
        const arc = bulgedArc(from, to, bulge);
        expect(Math.hypot(arc.centre.e - 40, arc.centre.n + 3)).toBeLessThan(1e-6);
        expect([arc.radius, arc.angle]).toEqual([expect.closeTo(7, 6), expect.closeTo(turn, 9)]);
        expect(lengthOfSide(from, to, bulge)).toBeCloseTo(7 * span, 6);
        const places = Array.from({ length: 2001 }, (_, i) => at(start + (turn * i) / 2000));
        const reach = [from, ...reachOfSide(from, to, bulge)];
        for (const axis of ['e', 'n'] as const) {
          expect(Math.max(...reach.map((each) => each[axis]))).toBeCloseTo(Math.max(...places.map((p) => p[axis])), 4);
          expect(Math.min(...reach.map((each) => each[axis]))).toBeCloseTo(Math.min(...places.map((p) => p[axis])), 4);
        }
      }),
    );
  });
  it('that is straight is its chord', () => {
    const [from, to] = [
      { e: 0, n: 0 },
      { e: 3, n: 4 },
    ];
    expect(lengthOfSide(from, to, 0)).toBe(5);
    expect(reachOfSide(from, to, 0)).toEqual([to]);
  });
});
