import { describe, expect, it } from '@jest/globals';
import fc from 'fast-check';
import {
  alongOff,
  distanceToPolygon,
  insidePolygon,
  linePairs,
  planDistance,
  type Corner,
  type HubPlan,
} from '../index.ts';

const corner = (name: string, e: number, n: number): Corner => ({ name, e, n });
const pairs = (corners: readonly Corner[], offset: number, step = 1): HubPlan[] => {
  const found = linePairs(corners, offset, step);
  if (!found.ok) throw new Error(found.error.code);
  return found.value;
};
const RECTANGLE = [corner('A', 0, 0), corner('B', 20, 0), corner('C', 20, 10), corner('D', 0, 10)];
/** An L: the corner at R looks inward. */
const ANGLE = [
  corner('P', 0, 0),
  corner('Q', 12, 0),
  corner('R', 12, 5),
  corner('S', 6, 5),
  corner('T', 6, 9),
  corner('U', 0, 9),
];

describe('pairs beyond the ends of every side', () => {
  it('of a rectangle are two a side, on the side carried on, whichever way it is drawn', () => {
    const found = pairs(RECTANGLE, 2);
    expect(found.map(({ key }) => key)).toEqual(['B-A', 'A-B', 'C-B', 'B-C', 'D-C', 'C-D', 'A-D', 'D-A']);
    expect(found.find(({ key }) => key === 'A-B')).toMatchObject({
      corner: 'B',
      place: { e: 22, n: expect.closeTo(0, 9) },
      offset: 2,
      onLine: ['A', 'B'],
      clear: true,
    });
    expect(new Set(pairs([...RECTANGLE].reverse(), 2).map(({ key }) => key))).toEqual(
      new Set(found.map(({ key }) => key)),
    );
  });

  it('go on through the work at a corner that looks inward, by whole steps, and say how far they stand', () => {
    const found = pairs(ANGLE, 1.5, 1);
    // Side R-S carried on beyond S runs through the work and comes out at U-P; six metres on, and clear of it by half
    // the offset.
    const hub = found.find(({ key }) => key === 'R-S')!;
    expect(hub).toMatchObject({ clear: true, offset: 7.5, corner: 'S' });
    expect(hub.place).toEqual({ e: expect.closeTo(-1.5, 9), n: expect.closeTo(5, 9) });
  });

  it('take sides that are one straight line as one', () => {
    const found = pairs([corner('A', 0, 0), corner('M', 10, 0), ...RECTANGLE.slice(1)], 2);
    expect(found).toHaveLength(8);
    expect(found.some(({ corner: each }) => each === 'M')).toBe(false);
  });

  it('whatever the outline: a string between the two is the side, and no hub that is clear stands in the work', () => {
    fc.assert(
      fc.property(
        fc.array(fc.tuple(fc.double({ min: 5, max: 40, noNaN: true }), fc.double({ min: 0, max: 0.9, noNaN: true })), {
          minLength: 3,
          maxLength: 9,
        }),
        fc.double({ min: 0.5, max: 4, noNaN: true }),
        (spokes, offset) => {
          // A star round the origin crosses itself nowhere.
          const outline = spokes.map(([radius, share], i) => {
            const direction = (2 * Math.PI * (i + share * 0.8)) / spokes.length;
            return corner(`C${i}`, radius * Math.sin(direction), radius * Math.cos(direction));
          });
          const found = linePairs(outline, offset, 1);
          if (!found.ok) return;
          for (const hub of found.value) {
            const [from, to] = hub.onLine!.map((name) => outline.find((each) => each.name === name)!) as [
              Corner,
              Corner,
            ];
            const { along, off } = alongOff(hub.place, from, to)!;
            expect(Math.abs(off)).toBeLessThan(1e-9 * (1 + along));
            expect(along).toBeCloseTo(planDistance(from, to) + hub.offset, 6);
            expect(hub.offset).toBeGreaterThanOrEqual(offset);
            if (!hub.clear) continue;
            expect(insidePolygon(hub.place, outline)).toBe(false);
            expect(distanceToPolygon(hub.place, outline)).toBeGreaterThanOrEqual(offset / 2 - 1e-9);
          }
        },
      ),
    );
  });

  it('are refused for what is no outline', () => {
    expect(linePairs(RECTANGLE.slice(0, 2), 2, 1)).toMatchObject({
      ok: false,
      error: { code: 'OUTLINE_TOO_FEW_CORNERS' },
    });
    expect(linePairs(RECTANGLE, 0, 1)).toMatchObject({ ok: false, error: { code: 'OFFSET_NOT_POSITIVE' } });
  });
});
