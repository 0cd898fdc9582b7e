import { describe, expect, it } from '@jest/globals';
import { planDistance } from '../plane/point.ts';
import { insidePolygon, segmentMeetsPolygon } from '../plane/polygon.ts';
import { heightStands } from './heightStands.ts';

/** A road from west to east, a hall south of it, and a benchmark on either side of the hall. */
const ROAD = Array.from({ length: 21 }, (_, i) => ({ e: 10 * i, n: 50 }));
const HALL = [
  { e: 60, n: 0 },
  { e: 140, n: 0 },
  { e: 140, n: 40 },
  { e: 60, n: 40 },
];
const WEST = { e: 20, n: 10 };
const EAST = { e: 180, n: 10 };

describe('where to stand for heights alone', () => {
  it('sees two benchmarks and the whole road when some place does', () => {
    const [best] = heightStands({
      benchmarks: [WEST, EAST],
      targets: ROAD,
      hiding: [HALL],
      keepOut: [{ outline: HALL, margin: 1 }],
      reach: 200,
    });
    expect(best!.benchmarks).toEqual([0, 1]);
    expect(best!.seen).toBe(21);
    for (const mark of [WEST, EAST]) expect(segmentMeetsPolygon(best!, mark, HALL)).toBe(false);
    expect(insidePolygon(best!, HALL)).toBe(false);
  });

  it('stays in reach, and says how far the farthest is', () => {
    for (const stand of heightStands({ benchmarks: [WEST, EAST], targets: ROAD, hiding: [], keepOut: [], reach: 70 })) {
      expect(stand.farthest).toBeLessThanOrEqual(70);
      for (const i of stand.benchmarks) expect(planDistance(stand, [WEST, EAST][i]!)).toBeLessThanOrEqual(70);
    }
  });

  it('proposes places that lie apart, and none where no benchmark is seen', () => {
    const stands = heightStands({ benchmarks: [WEST], targets: ROAD, hiding: [HALL], keepOut: [], reach: 300 });
    expect(stands.length).toBeGreaterThan(2);
    for (const [i, one] of stands.entries())
      for (const other of stands.slice(i + 1)) expect(planDistance(one, other)).toBeGreaterThan(20);
    expect(heightStands({ benchmarks: [], targets: ROAD, hiding: [], keepOut: [], reach: 300 })).toEqual([]);
    expect(heightStands({ benchmarks: [WEST], targets: ROAD, hiding: [], keepOut: [], reach: 2 })).toEqual([]);
  });
});
