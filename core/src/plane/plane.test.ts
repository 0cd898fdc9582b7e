import { describe, expect, it } from '@jest/globals';
import fc from 'fast-check';
import { alongOff, intersectLines, pointAlongOff } from './line.ts';
import { azimuth, carriedAlong, compassWord, planDistance, polar } from './point.ts';
import { distanceToPolygon, insidePolygon, signedArea } from './polygon.ts';

const coordinate = fc.double({ min: -1e5, max: 1e5, noNaN: true });
const point = fc.record({ e: coordinate, n: coordinate });
const turn = fc.double({ min: 0, max: 2 * Math.PI, noNaN: true, maxExcluded: true });

describe('azimuths', () => {
  it.each([
    [{ e: 0, n: 1 }, 0, 'north'],
    [{ e: 1, n: 1 }, Math.PI / 4, 'north-east'],
    [{ e: 1, n: 0 }, Math.PI / 2, 'east'],
    [{ e: 1, n: -1 }, (3 * Math.PI) / 4, 'south-east'],
    [{ e: 0, n: -1 }, Math.PI, 'south'],
    [{ e: -1, n: -1 }, (5 * Math.PI) / 4, 'south-west'],
    [{ e: -1, n: 0 }, (3 * Math.PI) / 2, 'west'],
    [{ e: -1, n: 1 }, (7 * Math.PI) / 4, 'north-west'],
  ])('count clockwise from north (%#)', (to, expected, word) => {
    expect(azimuth({ e: 0, n: 0 }, to)).toBeCloseTo(expected, 12);
    expect(compassWord(expected)).toBe(word);
  });

  it('lead back by half a turn', () => {
    fc.assert(
      fc.property(point, turn, fc.double({ min: 1, max: 1e4, noNaN: true }), (from, direction, distance) => {
        const to = polar(from, direction, distance);
        expect(planDistance(from, to)).toBeCloseTo(distance, 6);
        const there = azimuth(from, to);
        const back = azimuth(to, from);
        expect(Math.cos(there - back)).toBeCloseTo(-1, 9);
      }),
    );
  });

  it('call a direction just west of north north', () => {
    expect(compassWord(2 * Math.PI - 1e-9)).toBe('north');
    expect(compassWord(-0.1)).toBe('north');
  });
});

describe('what is carried along', () => {
  it('keeps its distance, and turns clockwise with what it hangs on', () => {
    expect(carriedAlong({ e: 100, n: 110 }, { e: 100, n: 100 }, { e: 101, n: 99 }, Math.PI / 2)).toEqual({
      e: expect.closeTo(111, 9),
      n: expect.closeTo(99, 9),
    });
    fc.assert(
      fc.property(point, point, point, fc.double({ min: -3, max: 3, noNaN: true }), (at, from, to, turn) => {
        const there = carriedAlong(at, from, to, turn);
        expect(planDistance(to, there)).toBeCloseTo(planDistance(from, at), 6);
        const back = carriedAlong(there, to, from, -turn);
        expect(planDistance(back, at)).toBeLessThan(1e-6);
      }),
    );
  });
});

describe('distances along and off a line', () => {
  it('are those of the point that they lead to', () => {
    fc.assert(
      fc.property(
        point,
        turn,
        fc.double({ min: 1, max: 1e3, noNaN: true }),
        coordinate,
        coordinate,
        (start, direction, length, along, off) => {
          const end = polar(start, direction, length);
          const place = pointAlongOff(start, end, along, off)!;
          const back = alongOff(place, start, end)!;
          expect(back.along).toBeCloseTo(along, 4);
          expect(back.off).toBeCloseTo(off, 4);
        },
      ),
    );
  });

  it('are positive to the right of the way', () => {
    expect(alongOff({ e: 3, n: 4 }, { e: 0, n: 0 }, { e: 0, n: 10 })).toEqual({ along: 4, off: 3 });
    expect(alongOff({ e: -3, n: 4 }, { e: 0, n: 0 }, { e: 0, n: 10 })).toEqual({ along: 4, off: -3 });
  });

  it('do not exist for a line without length', () => {
    expect(alongOff({ e: 1, n: 1 }, { e: 2, n: 2 }, { e: 2, n: 2 })).toBeNull();
    expect(pointAlongOff({ e: 2, n: 2 }, { e: 2, n: 2 }, 1, 1)).toBeNull();
  });
});

describe('crossings', () => {
  it('lie on both lines', () => {
    fc.assert(
      fc.property(
        point,
        point,
        turn,
        fc.double({ min: 0.05, max: Math.PI - 0.05, noNaN: true }),
        (a, b, first, between) => {
          const [a2, b2] = [polar(a, first, 100), polar(b, first + between, 100)];
          const crossing = intersectLines(a, a2, b, b2)!;
          for (const [from, to] of [
            [a, a2],
            [b, b2],
          ] as const)
            expect(Math.abs(alongOff(crossing, from, to)!.off)).toBeLessThan(1e-3);
        },
      ),
    );
  });

  it('are none for parallel lines and for lines without length', () => {
    expect(intersectLines({ e: 0, n: 0 }, { e: 0, n: 10 }, { e: 5, n: 0 }, { e: 5, n: 10 })).toBeNull();
    expect(intersectLines({ e: 0, n: 0 }, { e: 0, n: 0 }, { e: 5, n: 0 }, { e: 6, n: 10 })).toBeNull();
  });
});

describe('polygons', () => {
  const square = [
    { e: 0, n: 0 },
    { e: 10, n: 0 },
    { e: 10, n: 10 },
    { e: 0, n: 10 },
  ];

  it('have an area that is positive when they run counterclockwise, wherever they lie', () => {
    fc.assert(
      fc.property(point, ({ e, n }) => {
        const moved = square.map((corner) => ({ e: corner.e + e, n: corner.n + n }));
        expect(signedArea(moved)).toBeCloseTo(100, 4);
        expect(signedArea([...moved].reverse())).toBeCloseTo(-100, 4);
      }),
    );
    expect(signedArea([])).toBe(0);
  });

  it('tell inside from outside, also in a notch', () => {
    const notched = [...square.slice(0, 2), { e: 10, n: 10 }, { e: 5, n: 3 }, { e: 0, n: 10 }];
    expect(insidePolygon({ e: 5, n: 2 }, notched)).toBe(true);
    expect(insidePolygon({ e: 5, n: 8 }, notched)).toBe(false);
    expect(insidePolygon({ e: 11, n: 5 }, notched)).toBe(false);
  });

  it('are as far as their nearest side or corner', () => {
    expect(distanceToPolygon({ e: 12, n: 5 }, square)).toBeCloseTo(2, 12);
    expect(distanceToPolygon({ e: 13, n: 14 }, square)).toBeCloseTo(5, 12);
    expect(distanceToPolygon({ e: 4, n: 5 }, square)).toBeCloseTo(4, 12);
  });
});
