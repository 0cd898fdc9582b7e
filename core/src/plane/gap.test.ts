import { describe, expect, it } from '@jest/globals';
import fc from 'fast-check';
import { outlineGap, sharedPart } from './gap.ts';
import type { PlanPoint } from './point.ts';

const box = (e: number, n: number, width: number, height = width): PlanPoint[] => [
  { e, n },
  { e: e + width, n },
  { e: e + width, n: n + height },
  { e, n: n + height },
];

describe('the gap between two outlines', () => {
  it('is that of the nearest corner and edge, with both its ends', () => {
    const { gap, at, to, crosses, within } = outlineGap(box(0, 0, 10), box(12, 4, 3));
    expect([gap, crosses, within]).toEqual([2, false, null]);
    expect([at.e, to.e]).toEqual([10, 12]);
    expect(at.n).toBe(to.n);
  });

  it('is none where they touch, and touching is no crossing', () => {
    expect(outlineGap(box(0, 0, 10), box(10, 2, 3))).toMatchObject({ gap: 0, crosses: false, within: null });
    // A pool against a house wall, a fifth of a millimetre into it by rounding.
    expect(outlineGap(box(0, 0, 10), box(9.9998, 2, 3))).toMatchObject({ gap: 0, crosses: false });
    expect(outlineGap(box(0, 0, 10), box(0, 0, 10))).toMatchObject({ gap: 0, crosses: false, within: null });
  });

  it('knows an outline that runs into another from one that lies within it', () => {
    expect(outlineGap(box(0, 0, 10), box(9, 2, 3))).toMatchObject({ gap: 0, crosses: true });
    expect(outlineGap(box(2, 2, 3), box(0, 0, 10))).toMatchObject({ gap: 2, crosses: false, within: 'first' });
    expect(outlineGap(box(0, 0, 10), box(2, 2, 3))).toMatchObject({ gap: 2, within: 'second' });
    // On the boundary with one side, within it with the others.
    expect(outlineGap(box(0, 2, 3), box(0, 0, 10))).toMatchObject({ gap: 0, within: 'first' });
  });

  it('tells one thing that was drawn twice from two that run into one another', () => {
    expect(sharedPart(box(0, 0, 10), box(0.03, -0.02, 10))).toBeGreaterThan(0.95);
    expect(sharedPart(box(0, 0, 10), box(9, 2, 3))).toBeCloseTo(1 / 3, 1);
    expect(sharedPart(box(0, 0, 10), box(12, 2, 3))).toBe(0);
    expect(sharedPart(box(2, 2, 3), box(0, 0, 10))).toBe(1);
  });

  it('is the same whichever comes first, wherever the site lies, and of boxes what their sides say', () => {
    const side = fc.integer({ min: 1, max: 40 });
    fc.assert(
      fc.property(fc.integer({ min: -60, max: 60 }), fc.integer({ min: -60, max: 60 }), side, side, (e, n, a, b) => {
        const [one, other] = [box(0, 0, a), box(e, n, b)];
        const there = outlineGap(one, other);
        const back = outlineGap(other, one);
        expect([back.gap, back.crosses]).toEqual([there.gap, there.crosses]);
        const far = (points: PlanPoint[]) => points.map((each) => ({ e: each.e + 400_000, n: each.n + 6_000_000 }));
        expect(outlineGap(far(one), far(other)).gap).toBeCloseTo(there.gap, 6);
        const apart = (x: number, w: number, y: number, v: number) => Math.max(0, y - (x + w), x - (y + v));
        const expected = Math.hypot(apart(0, a, e, b), apart(0, a, n, b));
        if (expected > 0) expect(there.gap).toBeCloseTo(expected, 9);
      }),
    );
  });
});
