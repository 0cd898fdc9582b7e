import { describe, expect, it } from '@jest/globals';
import fc from 'fast-check';
import { ELLIPSE_95_FACTOR, ellipseOf, scaleEllipse } from './ellipse.ts';
import { fitOf } from './globalTest.ts';
import { invertNormal, solveNormal } from './normalMatrix.ts';

const entry = fc.double({ min: -10, max: 10, noNaN: true });

/** A positive definite matrix: B'B plus something on the diagonal. */
const positive = (size: number) =>
  fc.array(entry, { minLength: size * size, maxLength: size * size }).map((b) => {
    const matrix = new Float64Array(size * size);
    for (let i = 0; i < size; i++)
      for (let j = 0; j < size; j++) {
        let sum = i === j ? 1 : 0;
        for (let k = 0; k < size; k++) sum += b[k * size + i]! * b[k * size + j]!;
        matrix[i * size + j] = sum;
      }
    return matrix;
  });

describe('normal equations', () => {
  it.each([2, 3, 4])('of %i unknowns are inverted', (size) => {
    fc.assert(
      fc.property(positive(size), (matrix) => {
        const { inverse, reciprocalCondition } = invertNormal(matrix, size)!;
        expect(reciprocalCondition).toBeGreaterThan(0);
        expect(reciprocalCondition).toBeLessThanOrEqual(1 + 1e-12);
        for (let i = 0; i < size; i++)
          for (let j = 0; j < size; j++) {
            let sum = 0;
            for (let k = 0; k < size; k++) sum += matrix[i * size + k]! * inverse[k * size + j]!;
            expect(sum).toBeCloseTo(i === j ? 1 : 0, 6);
          }
      }),
    );
  });

  it('are solved to the same as by the inverse', () => {
    fc.assert(
      fc.property(positive(3), fc.array(entry, { minLength: 3, maxLength: 3 }), (matrix, right) => {
        const step = new Float64Array(3);
        expect(solveNormal(matrix, Float64Array.from(right), 3, step, new Float64Array(9), new Float64Array(3))).toBe(
          true,
        );
        const { inverse } = invertNormal(matrix, 3)!;
        for (let i = 0; i < 3; i++)
          expect(step[i]).toBeCloseTo(
            [0, 1, 2].reduce((sum, k) => sum + inverse[i * 3 + k]! * right[k]!, 0),
            6,
          );
      }),
    );
  });

  it('that are singular have no inverse', () => {
    expect(invertNormal(Float64Array.of(1, 1, 1, 1), 2)?.reciprocalCondition ?? 0).toBeLessThan(1e-12);
    expect(invertNormal(Float64Array.of(0, 0, 0, 1), 2)).toBeNull();
    expect(
      solveNormal(
        Float64Array.of(1, 2, 2, 1),
        Float64Array.of(1, 1),
        2,
        new Float64Array(2),
        new Float64Array(4),
        new Float64Array(2),
      ),
    ).toBe(false);
  });
});

describe('error ellipses', () => {
  it('keep trace and determinant of the covariance, and turn with it', () => {
    const variance = fc.double({ min: 0.1, max: 10, noNaN: true });
    fc.assert(
      fc.property(variance, variance, fc.double({ min: -0.99, max: 0.99, noNaN: true }), (ee, nn, correlation) => {
        const en = correlation * Math.sqrt(ee * nn);
        const { a, b, azimuth } = ellipseOf(ee, nn, en);
        expect(a).toBeGreaterThanOrEqual(b);
        expect(a * a + b * b).toBeCloseTo(ee + nn, 9);
        expect(a * a * b * b).toBeCloseTo(ee * nn - en * en, 8);
        // The variance in the direction of the long axis is that of the long axis.
        const [s, c] = [Math.sin(azimuth), Math.cos(azimuth)];
        expect(s * s * ee + 2 * s * c * en + c * c * nn).toBeCloseTo(a * a, 8);
      }),
    );
  });

  it('point north for an error in north and east for one in east', () => {
    expect(ellipseOf(1, 4, 0).azimuth).toBeCloseTo(0, 12);
    expect(ellipseOf(4, 1, 0).azimuth).toBeCloseTo(Math.PI / 2, 12);
    expect(ellipseOf(1, 1, 0.5).azimuth).toBeCloseTo(Math.PI / 4, 12);
  });

  it('enclose 95 % at 2.4477 times their axes', () => {
    expect(ELLIPSE_95_FACTOR).toBeCloseTo(2.4477, 4);
    expect(scaleEllipse({ a: 2, b: 1, azimuth: 0.3 }, 3)).toEqual({ a: 6, b: 3, azimuth: 0.3 });
  });
});

describe('the overall fit', () => {
  it('uses the published bounds of chi-square for ten degrees of freedom', () => {
    // Ghilani, "Adjustment Computations", table of chi-square: 3.247 and 20.483.
    const { globalTest } = fitOf(10, 10);
    expect(globalTest!.lower).toBeCloseTo(0.3247, 4);
    expect(globalTest!.upper).toBeCloseTo(2.0483, 4);
    expect(globalTest!.verdict).toBe('accepted');
  });

  it('says above, below, or nothing when nothing is left over', () => {
    expect(fitOf(30, 10).globalTest!.verdict).toBe('aboveUpper');
    expect(fitOf(1, 10).globalTest!.verdict).toBe('belowLower');
    expect(fitOf(0, 0)).toEqual({ dof: 0, s0: null, globalTest: null });
    expect(fitOf(40, 10).s0).toBeCloseTo(2, 12);
  });
});
