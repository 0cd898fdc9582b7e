import { describe, expect, it } from '@jest/globals';
import fc from 'fast-check';
import { crossCircles, crossLineCircle, crossLines } from './crossing.ts';
import { alongOff } from './line.ts';
import { planDistance, polar } from './point.ts';

const coordinate = fc.double({ min: -1e3, max: 1e3, noNaN: true });
const point = fc.record({ e: coordinate, n: coordinate });
const turn = fc.double({ min: 0, max: 2 * Math.PI, noNaN: true });
const radius = fc.double({ min: 0.5, max: 500, noNaN: true });

describe('a line and a circle', () => {
  it('cross on both, in the direction of the line', () => {
    fc.assert(
      fc.property(point, turn, point, radius, (from, direction, centre, size) => {
        const line = { from, to: polar(from, direction, 10) };
        const { points } = crossLineCircle(line, { centre, radius: size })!;
        const alongs = points.map((each) => {
          const { along, off } = alongOff(each, line.from, line.to)!;
          expect(Math.abs(off)).toBeLessThan(1e-6);
          expect(Math.abs(planDistance(each, centre) - size)).toBeLessThan(2e-6);
          expect(each.onSegment).toBe(along > -1e-6 && along < 10 + 1e-6);
          return along;
        });
        expect([...alongs].sort((a, b) => a - b)).toEqual(alongs);
      }),
    );
  });

  it('touch, miss, and need a direction', () => {
    const circle = { centre: { e: 0, n: 0 }, radius: 5 };
    expect(crossLineCircle({ from: { e: -1, n: 5 }, to: { e: 9, n: 5 } }, circle)).toEqual({
      status: 'one',
      points: [{ e: 0, n: 5, onSegment: true }],
    });
    expect(crossLineCircle({ from: { e: -1, n: 5.001 }, to: { e: 9, n: 5.001 } }, circle)!.status).toBe('none');
    expect(crossLineCircle({ from: { e: 1, n: 1 }, to: { e: 1, n: 1 } }, circle)).toBeNull();
  });
});

describe('two circles', () => {
  it('cross on both, first to the right of the way from one centre to the other', () => {
    fc.assert(
      fc.property(point, radius, point, radius, (a, ra, b, rb) => {
        const { status, points } = crossCircles({ centre: a, radius: ra }, { centre: b, radius: rb });
        for (const each of points) {
          // Nearly touching circles cross at a flat angle: the place is as good as the square root of the distance.
          expect(Math.abs(planDistance(each, a) - ra)).toBeLessThan(1e-5);
          expect(Math.abs(planDistance(each, b) - rb)).toBeLessThan(1e-5);
        }
        if (status === 'two') expect(alongOff(points[0]!, a, b)!.off).toBeGreaterThan(0);
      }),
    );
  });

  it('touch from outside and from inside, lie apart, lie in each other, are one', () => {
    const at = (e: number, size: number) => ({ centre: { e, n: 0 }, radius: size });
    expect(crossCircles(at(0, 5), at(8, 3))).toEqual({ status: 'one', points: [{ e: 5, n: expect.closeTo(0, 9) }] });
    expect(crossCircles(at(0, 5), at(2, 3))).toEqual({ status: 'one', points: [{ e: 5, n: expect.closeTo(0, 9) }] });
    expect(crossCircles(at(0, 5), at(9, 3)).status).toBe('none');
    expect(crossCircles(at(0, 5), at(1, 3)).status).toBe('none');
    expect(crossCircles(at(0, 5), at(0, 5)).status).toBe('coincident');
    expect(crossCircles(at(0, 5), at(0, 4)).status).toBe('none');
  });
});

it('two lines on each other are told from two beside each other', () => {
  const line = { from: { e: 0, n: 0 }, to: { e: 4, n: 3 } };
  expect(crossLines(line, { from: { e: 8, n: 6 }, to: { e: 12, n: 9 } })!.status).toBe('coincident');
  expect(crossLines(line, { from: { e: 8, n: 6.1 }, to: { e: 12, n: 9.1 } })!.status).toBe('none');
  expect(crossLines(line, { from: { e: 1, n: 1 }, to: { e: 1, n: 1 } })).toBeNull();
});
