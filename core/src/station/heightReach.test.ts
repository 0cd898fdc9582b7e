import { expect, it } from '@jest/globals';
import fc from 'fast-check';
import { heightReach, heightSdAt, RADIANS_PER_SECOND } from '../index.ts';

const asked = (seconds: number, axisSd = 0.0005, targetHeightSd = 0.001) => ({
  precision: { angleSd: seconds * RADIANS_PER_SECOND },
  axisSd,
  targetHeightSd,
});

it('grows with the distance by the angle, and by the square of it through refraction', () => {
  // 3″ over 100 m are 1.454 mm; refraction known to 0.15 leaves 0.118 mm there.
  expect(heightSdAt(100, asked(3, 0, 0))).toBeCloseTo(Math.hypot(0.0014544, 0.0001177), 6);
  expect(heightSdAt(0, asked(3))).toBeCloseTo(Math.hypot(0.0005, 0.001), 12);
  expect(heightSdAt(2000, asked(0, 0, 0)) / heightSdAt(1000, asked(0, 0, 0))).toBeCloseTo(4, 9);
});

it('reaches to where it is still good to the limit, and not a metre farther', () => {
  fc.assert(
    fc.property(
      fc.double({ min: 0.5, max: 10, noNaN: true }),
      fc.double({ min: 0.0015, max: 0.02, noNaN: true }),
      (seconds, limit) => {
        const reach = heightReach(limit, asked(seconds));
        expect(heightSdAt(reach, asked(seconds))).toBeLessThanOrEqual(limit * (1 + 1e-9));
        expect(heightSdAt(reach + 1, asked(seconds))).toBeGreaterThan(limit);
      },
    ),
  );
  expect(heightReach(0.001, asked(1))).toBe(0);
});
