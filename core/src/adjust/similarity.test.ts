import { describe, expect, it } from '@jest/globals';
import fc from 'fast-check';
import { planDistance } from '../plane/point.ts';
import { fitSimilarity, transformed, type PointPair } from './similarity.ts';

const coordinate = fc.double({ min: -200, max: 200, noNaN: true });
const point = fc.record({ e: coordinate, n: coordinate });
const points = fc
  .array(point, { minLength: 3, maxLength: 8 })
  .filter((all) => all.some((a) => planDistance(a, all[0]!) > 20));
const similarity = fc.record({
  scale: fc.double({ min: 0.9, max: 1.1, noNaN: true }),
  rotation: fc.double({ min: -3, max: 3, noNaN: true }),
  shift: fc.record({
    e: fc.double({ min: -1e6, max: 1e6, noNaN: true }),
    n: fc.double({ min: -1e6, max: 1e6, noNaN: true }),
  }),
});
const fitted = (pairs: readonly PointPair[], held: number | null = null) => {
  const fit = fitSimilarity(pairs, held);
  if (!fit.ok) throw new Error(fit.error.code);
  return fit.value;
};

describe('a similarity', () => {
  it('is found again from points that it moved, far away from the origin too', () => {
    fc.assert(
      fc.property(points, similarity, point, (sources, true_, elsewhere) => {
        const fit = fitted(sources.map((source) => ({ source, target: transformed(true_, source) })));
        expect(fit.scale).toBeCloseTo(true_.scale, 9);
        expect(fit.maxResidual).toBeLessThan(1e-6);
        expect(planDistance(transformed(fit, elsewhere), transformed(true_, elsewhere))).toBeLessThan(
          1e-6 * (1 + planDistance(elsewhere, sources[0]!)),
        );
      }),
    );
  });

  it('leaves residuals that no small change of it would make smaller', () => {
    fc.assert(
      fc.property(
        points,
        similarity,
        fc.infiniteStream(fc.double({ min: -0.05, max: 0.05, noNaN: true })),
        (sources, true_, noise) => {
          const off = () => noise.next().value as number;
          const pairs = sources.map((source) => {
            const { e, n } = transformed({ ...true_, shift: { e: 0, n: 0 } }, source);
            return { source, target: { e: e + off(), n: n + off() } };
          });
          const squares = (candidate: Parameters<typeof transformed>[0]) =>
            pairs.reduce(
              (sum, { source, target }) => sum + planDistance(transformed(candidate, source), target) ** 2,
              0,
            );
          const fit = fitted(pairs);
          const best = squares(fit);
          const steps = [
            { ...fit, scale: fit.scale + 1e-5 },
            { ...fit, rotation: fit.rotation - 1e-5 },
            { ...fit, shift: { ...fit.shift, e: fit.shift.e + 1e-4 } },
            { ...fit, shift: { ...fit.shift, n: fit.shift.n - 1e-4 } },
          ];
          for (const step of steps) expect(squares(step)).toBeGreaterThanOrEqual(best - 1e-12);
          const held = fitted(pairs, 1);
          expect(held.scale).toBe(1);
          expect(squares(held)).toBeGreaterThanOrEqual(best - 1e-12);
        },
      ),
    );
  });

  it('tells nothing about its quality from two points, and something with the scale held', () => {
    const pairs = [
      { source: { e: 0, n: 0 }, target: { e: 10, n: 10 } },
      { source: { e: 0, n: 100 }, target: { e: 10, n: 110.01 } },
    ];
    expect(fitted(pairs)).toMatchObject({ degreesOfFreedom: 0, standardDeviation: null });
    expect(fitted(pairs, 1)).toMatchObject({
      degreesOfFreedom: 1,
      maxResidual: expect.closeTo(0.005, 9),
      standardDeviation: expect.closeTo(Math.sqrt(5e-5), 9),
    });
  });

  it('is refused without two places', () => {
    const here = { source: { e: 1, n: 1 }, target: { e: 2, n: 2 } };
    expect(fitSimilarity([here], null)).toEqual({ ok: false, error: { code: 'TOO_FEW_PAIRS', given: 1 } });
    expect(fitSimilarity([here, here], 1)).toEqual({ ok: false, error: { code: 'COINCIDENT_POINTS' } });
    expect(fitSimilarity([here, { source: { e: 9, n: 9 }, target: here.target }], null)).toMatchObject({ ok: false });
  });
});
