import { describe, expect, it } from '@jest/globals';
import fc from 'fast-check';
import { arcsAlong, bulgeThrough, isWhole, splineCorners } from './dxfCurves.ts';
import { after, AT_REST, FROM_BELOW, moved, movedCorners, tidied, type Motion } from './dxfShapes.ts';
import { multilineText, plainText } from './dxfText.ts';

const angle = fc.double({ min: -3, max: 3, noNaN: true });

describe('arcs', () => {
  it('through three places of a circle are that circle', () => {
    fc.assert(
      fc.property(angle, fc.double({ min: 0.05, max: 6, noNaN: true }), fc.boolean(), (start, span, left) => {
        const at = (a: number) => ({ e: 40 + 7 * Math.cos(a), n: -3 + 7 * Math.sin(a) });
        const turn = left ? span : -span;
        expect(bulgeThrough(at(start), at(start + turn / 2), at(start + turn))).toBeCloseTo(Math.tan(turn / 4), 6);
      }),
    );
    expect(bulgeThrough({ e: 0, n: 0 }, { e: 1, n: 1 }, { e: 2, n: 2 })).toBe(0);
  });
  it('along an ellipse are as long as it, within a fraction of a millimetre', () => {
    const corners = arcsAlong((a) => ({ e: 30 * Math.cos(a), n: 12 * Math.sin(a), z: 0 }), 0, 2 * Math.PI, 96);
    const length = corners.slice(0, -1).reduce((sum, corner, i) => {
      const next = corners[i + 1]!;
      const [chord, turn] = [Math.hypot(next.e - corner.e, next.n - corner.n), 4 * Math.atan(corner.bulge)];
      return sum + (turn === 0 ? chord : (chord / 2 / Math.abs(Math.sin(turn / 2))) * Math.abs(turn));
    }, 0);
    let exact = 0;
    const steps = 200_000;
    for (let i = 0; i < steps; i++) {
      const a = ((i + 0.5) * 2 * Math.PI) / steps;
      exact += (Math.hypot(30 * Math.sin(a), 12 * Math.cos(a)) * 2 * Math.PI) / steps;
    }
    expect(length).toBeCloseTo(exact, 4);
  });
});

describe('a spline', () => {
  const quarter = {
    degree: 2,
    knots: [0, 0, 0, 1, 1, 1],
    points: [
      { e: 10, n: 0, z: 1 },
      { e: 10, n: 10, z: 2 },
      { e: 0, n: 10, z: 3 },
    ],
    weights: [1, Math.SQRT1_2, 1],
  };
  it('with weights is the quarter circle that it was made to be', () => {
    for (const { e, n } of splineCorners(quarter)) expect(Math.hypot(e, n)).toBeCloseTo(10, 9);
    expect(splineCorners(quarter).at(-1)).toMatchObject({ e: expect.closeTo(0, 6), n: expect.closeTo(10, 6) });
  });
  it('whose parts do not fit together is none', () => {
    expect(isWhole(quarter)).toBe(true);
    expect(isWhole({ ...quarter, knots: [0, 0, 1, 1] })).toBe(false);
    expect(isWhole({ ...quarter, knots: [0, 0, 0, 1, 0, 1] })).toBe(false);
    expect(isWhole({ ...quarter, weights: [1, 0, 1] })).toBe(false);
    expect(isWhole({ ...quarter, degree: 900 })).toBe(false);
  });
});

describe('what is in a block', () => {
  const motion = fc.record({ ee: angle, en: angle, ne: angle, nn: angle, e: angle, n: angle, zScale: angle, z: angle });
  it('comes to the same place step by step and at once', () => {
    fc.assert(
      fc.property(motion, motion, angle, angle, angle, (outer, inner, e, n, z) => {
        const [once, twice] = [moved(after(outer, inner), { e, n, z }), moved(outer, moved(inner, { e, n, z }))];
        expect(Math.hypot(once.e - twice.e, once.n - twice.n, once.z - twice.z)).toBeLessThan(1e-9);
      }),
    );
  });
  it('turns the other way where it is seen in a mirror, and is an arc no more where it is stretched', () => {
    const half = [
      { e: 0, n: 0, z: 4, bulge: 1 },
      { e: 2, n: 0, z: 4, bulge: 0 },
    ];
    expect(movedCorners(FROM_BELOW, half, false)).toEqual([
      { e: 0, n: 0, z: -4, bulge: -1 },
      { e: -2, n: 0, z: -4, bulge: 0 },
    ]);
    const stretched: Motion = { ...AT_REST, nn: 3 };
    const corners = movedCorners(stretched, half, false);
    expect(corners.length).toBeGreaterThan(10);
    expect(Math.min(...corners.map(({ n }) => n))).toBeCloseTo(-3, 6);
  });
  it('loses corners that say nothing, keeps the bulge of the side that is there, and closes itself', () => {
    const { corners, closed } = tidied(
      [
        { e: 0, n: 0, z: 0, bulge: 0 },
        { e: 4, n: 0, z: 0, bulge: 0.5 },
        { e: 4, n: 0, z: 0, bulge: 0.2 },
        { e: 4, n: 4, z: 0, bulge: 0 },
        { e: 0, n: 0, z: 0, bulge: 0 },
      ],
      false,
    );
    expect(closed).toBe(true);
    expect(corners.map(({ bulge, z }) => [bulge, z])).toEqual([
      [0, null],
      [0.2, null],
      [0, null],
    ]);
  });
});

describe('texts', () => {
  it('lose their formatting and keep their words', () => {
    expect(multilineText('{\\fArial|b1;North} wall\\Pface \\Lline\\l \\A1;A-1\\~x \\S3/4; \\\\ 5%%d')).toBe(
      'North wall\nface line A-1\u00a0x 3/4 \\ 5°'.replace('\u00a0', ' '),
    );
    expect(plainText('Caf\\U+00E9 %%c600 %%p2 %%uline%%u')).toBe('Café Ø600 ±2 line');
    expect(plainText('\\M+18140')).toBe('\u3000'.trim());
  });
});
