import { describe, expect, it } from '@jest/globals';
import { clothoidEnd, clothoidSeries, placeOnSeries } from './clothoid.ts';

/** By Simpson's rule in steps so small that it is exact to a billionth. */
function byQuadrature(direction: number, curvature: number, rate: number, length: number) {
  const steps = 4000;
  let [e, n] = [0, 0];
  for (let i = 0; i <= steps; i++) {
    const s = (length * i) / steps;
    const weight = i === 0 || i === steps ? 1 : i % 2 === 1 ? 4 : 2;
    const theta = direction + curvature * s + (rate * s * s) / 2;
    e += weight * Math.sin(theta);
    n += weight * Math.cos(theta);
  }
  return { e: (e * length) / steps / 3, n: (n * length) / steps / 3 };
}

describe('clothoids', () => {
  it.each([
    // M. Abramowitz, I. A. Stegun, Handbook of Mathematical Functions, table 7.7.
    [0.5, 0.4923442, 0.0647324],
    [1, 0.7798934, 0.4382591],
    [2, 0.4882534, 0.3434157],
  ])('give the integrals of Fresnel: C and S of %d', (x, c, s) => {
    // Along the tangent C, across it S, with the curvature growing by π a unit of length.
    const end = clothoidEnd({ e: 0, n: 0 }, 0, 0, Math.PI, x);
    expect(end.n).toBeCloseTo(c, 7);
    expect(end.e).toBeCloseTo(s, 7);
  });

  it.each([
    [0.3, 0, 1 / (180 * 60), 60],
    [2.9, 1 / 75, -1 / (75 * 35), 35],
    [5.5, -1 / 40, -1 / (40 * 90), 90],
    [1, 0.2, 0.01, 40],
  ])(
    'agree with quadrature: direction %d, curvature %d changing by %d, over %d m',
    (direction, curvature, rate, length) => {
      const end = clothoidEnd({ e: 100, n: 200 }, direction, curvature, rate, length);
      const other = byQuadrature(direction, curvature, rate, length);
      expect(end.e - 100).toBeCloseTo(other.e, 8);
      expect(end.n - 200).toBeCloseTo(other.n, 8);
    },
  );

  it('are a straight line and a circle at their limits', () => {
    expect(clothoidEnd({ e: 0, n: 0 }, Math.PI / 2, 0, 0, 50)).toMatchObject({
      e: expect.closeTo(50, 12),
      n: expect.closeTo(0, 12),
    });
    const quarter = clothoidEnd({ e: 0, n: 0 }, 0, 1 / 20, 0, 10 * Math.PI);
    expect([quarter.e, quarter.n]).toEqual([expect.closeTo(20, 10), expect.closeTo(20, 10)]);
  });

  it('are read off a series on both sides of its origin', () => {
    const series = clothoidSeries({ e: 5, n: 6 }, 1.2, 0.004, 0.0001);
    const ahead = placeOnSeries(series, 20);
    const behind = placeOnSeries(series, -20);
    const there = byQuadrature(1.2, 0.004, 0.0001, 20);
    expect(ahead.e - 5).toBeCloseTo(there.e, 10);
    expect(ahead.n - 6).toBeCloseTo(there.n, 10);
    // Backwards the same line runs the other way, and its curvature changes its sign.
    const back = byQuadrature(1.2 + Math.PI, -0.004, 0.0001, 20);
    expect(behind.e - 5).toBeCloseTo(back.e, 10);
    expect(behind.n - 6).toBeCloseTo(back.n, 10);
  });
});
