import { describe, expect, it } from '@jest/globals';
import { chiSquareProbability, chiSquareQuantile } from './chiSquare.ts';

describe('chi-square', () => {
  // Percentage points as printed in statistical tables.
  it.each([
    [0.95, 1, 3.841],
    [0.95, 2, 5.991],
    [0.975, 5, 12.833],
    [0.025, 5, 0.831],
    [0.999, 2, 13.816],
    [0.95, 30, 43.773],
    [0.025, 1, 0.000982],
  ])('the %s point for %s degrees of freedom is %s', (p, dof, table) => {
    expect(chiSquareQuantile(p, dof)).toBeCloseTo(table, table < 0.01 ? 6 : 3);
  });

  it('has quantile and probability as inverses', () => {
    for (const dof of [1, 2, 3, 7, 20, 101])
      for (const p of [0.001, 0.025, 0.5, 0.9, 0.999])
        expect(chiSquareProbability(chiSquareQuantile(p, dof), dof)).toBeCloseTo(p, 12);
  });
});
