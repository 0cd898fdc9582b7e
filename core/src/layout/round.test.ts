import { describe, expect, it } from '@jest/globals';
import fc from 'fast-check';
import { planDistance, type PlanPoint } from '../plane/point.ts';
import { uniform } from '../simulator/random.ts';
import { nearestFirst, walkingOrder, walkLength } from './round.ts';

const coordinate = fc.double({ min: -100, max: 100, noNaN: true });
const point = fc.record({ e: coordinate, n: coordinate });
const START = { e: 0, n: 0 };

/** The shortest walk by going through all orders, leaving those that are longer already. */
function shortest(places: readonly PlanPoint[]): number {
  const all = [START, ...places];
  const between = all.map((a) => all.map((b) => planDistance(a, b)));
  let best = walkLength(START, places, nearestFirst(START, places)) + 1e-9;
  const go = (here: number, left: readonly number[], length: number): void => {
    if (left.length === 0) best = Math.min(best, length);
    for (const next of left) {
      const longer = length + between[here]![next]!;
      if (longer < best)
        go(
          next,
          left.filter((each) => each !== next),
          longer,
        );
    }
  };
  go(
    0,
    places.map((_, i) => i + 1),
    0,
  );
  return best;
}

/** The textbook's own 2-opt, from the nearest-first order, until no exchange shortens the walk. */
function twoOpt(start: PlanPoint, places: readonly PlanPoint[]): number {
  let order = nearestFirst(start, places);
  for (let found = true; found;) {
    found = false;
    for (let i = 0; i < order.length - 1 && !found; i++)
      for (let j = i + 1; j < order.length && !found; j++) {
        const other = [...order.slice(0, i), ...order.slice(i, j + 1).reverse(), ...order.slice(j + 1)];
        if (walkLength(start, places, other) < walkLength(start, places, order) - 1e-9) {
          order = other;
          found = true;
        }
      }
  }
  return walkLength(start, places, order);
}

function seeded(seed: number, count: number): PlanPoint[] {
  let state = seed;
  const draw = () => {
    const next = uniform(state);
    ({ state } = next);
    return next.value * 100 - 50;
  };
  return Array.from({ length: count }, () => ({ e: draw(), n: draw() }));
}

describe('a walk', () => {
  it('goes to every place once, whatever the number', () => {
    fc.assert(
      fc.property(point, fc.array(point, { maxLength: 40 }), (start, places) => {
        expect([...walkingOrder(start, places)].sort((a, b) => a - b)).toEqual([...places.keys()]);
      }),
    );
  });

  it('is the shortest of all for few places', () => {
    for (let seed = 1; seed <= 50; seed++) {
      const places = seeded(seed, 1 + (seed % 10));
      expect(walkLength(START, places, walkingOrder(START, places))).toBeCloseTo(shortest(places), 6);
    }
  });

  it('is never longer than nearest first with stretches turned round, for many', () => {
    for (let seed = 1; seed <= 10; seed++) {
      const places = seeded(seed * 7, 12 + seed * 2);
      expect(walkLength(START, places, walkingOrder(START, places))).toBeLessThanOrEqual(twoOpt(START, places) + 1e-6);
    }
  });

  it('goes along a row, from its near end', () => {
    const row = Array.from({ length: 30 }, (_, i) => ({ e: ((i * 7) % 30) + 1, n: 0 }));
    expect(walkingOrder(START, row).map((i) => row[i]!.e)).toEqual(Array.from({ length: 30 }, (_, i) => i + 1));
  });

  it('stays with places that are one', () => {
    expect(walkingOrder(START, [START, START, START])).toHaveLength(3);
    expect(walkingOrder(START, [])).toEqual([]);
  });
});
