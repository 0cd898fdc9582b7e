import { describe, expect, it } from '@jest/globals';
import fc from 'fast-check';
import {
  againstPath,
  azimuth,
  batterShift,
  bulgeOf,
  drawnSide,
  measuredAgainstSide,
  boltMarks,
  boltsOf,
  distanceToPolygon,
  insidePolygon,
  marksAlongPath,
  movedOutline,
  pathOf,
  planDistance,
  pointOnPath,
  rakedAt,
  rakedLength,
  signedArea,
  type PathCorner,
} from '../index.ts';

const good = <T, E>(result: { ok: true; value: T } | { ok: false; error: E }): T => {
  if (!result.ok) throw new Error(JSON.stringify(result.error));
  return result.value;
};
const at = (name: string, e: number, n: number, rest: Partial<PathCorner> = {}): PathCorner => ({
  name,
  e,
  n,
  ...rest,
});
const label = (chainage: number) => String(Number(chainage.toFixed(2)));

describe('a path of straight sides and arcs', () => {
  // A quarter circle of radius 10 turning left: bulge tan(90°/4), positive to the left.
  const bend = [at('A', 0, 0), at('B', 20, 0, { bulge: Math.tan(Math.PI / 8) }), at('C', 30, 10), at('D', 30, 25)];

  it('has the length of its sides and arcs', () => {
    expect(good(pathOf(bend, false)).length).toBeCloseTo(20 + 5 * Math.PI + 15, 9);
  });
  it('has points on the arc, and to a side of it toward or away from the centre', () => {
    const path = good(pathOf(bend, false));
    const middle = pointOnPath(path, 20 + 2.5 * Math.PI, 0)!;
    expect(planDistance(middle, { e: 20, n: 10 })).toBeCloseTo(10, 9);
    expect(planDistance(pointOnPath(path, 20 + 2.5 * Math.PI, -3)!, { e: 20, n: 10 })).toBeCloseTo(7, 9);
    expect(middle.azimuth).toBeCloseTo(Math.PI / 4, 9);
  });
  it('says chainage and offset of what was set out from it', () => {
    const path = good(pathOf(bend, false));
    fc.assert(
      fc.property(
        fc.double({ min: 0.01, max: path.length - 0.01, noNaN: true }),
        fc.double({ min: -4, max: 4, noNaN: true }),
        (chainage, offset) => {
          const found = againstPath(path, pointOnPath(path, chainage, offset)!);
          expect(found.chainage).toBeCloseTo(chainage, 6);
          expect(found.offset).toBeCloseTo(offset, 6);
          expect(found.position).toBe('on');
        },
      ),
    );
  });
  it('one side by itself: an arc by its radius, read along and off, its height between its ends', () => {
    const [from, to] = [
      { e: 0, n: 0, z: 5 },
      { e: 10, n: 10, z: 6 },
    ];
    const bulge = bulgeOf(from, to, 10, 'left')!;
    expect(bulge).toBeCloseTo(Math.tan(Math.PI / 8), 12);
    expect(bulgeOf(from, to, 10, 'right')).toBeCloseTo(-bulge, 12);
    expect([bulgeOf(from, to, 7, 'left'), bulgeOf(from, from, 7, 'left'), bulgeOf(from, to, -10, 'left')]).toEqual([
      null,
      null,
      null,
    ]);
    // The centre is at (0, 10); half-way round, two metres outside of it, that is to the right of a way that turns
    // left.
    const middle = { e: 12 * Math.sin(Math.PI / 4), n: 10 - 12 * Math.cos(Math.PI / 4), z: 5.6 };
    const found = measuredAgainstSide({ from, to, bulge }, middle)!;
    expect(found).toMatchObject({
      position: 'on',
      chainage: expect.closeTo(2.5 * Math.PI, 6),
      offset: expect.closeTo(2, 6),
    });
    expect(found.heightDifference).toBeCloseTo(0.1, 9);
    expect(found.azimuth).toBeCloseTo(Math.PI / 4, 6);
    expect(measuredAgainstSide({ from, to, bulge }, { e: -3, n: 1, z: 5 })).toMatchObject({
      position: 'before',
      heightDifference: null,
    });
    expect(measuredAgainstSide({ from, to: { e: 0, n: 20, z: 7 }, bulge: 0 }, { e: 1, n: 30, z: 8.25 })).toMatchObject({
      position: 'after',
      offset: 1,
      heightDifference: 0.25,
      azimuth: 0,
    });
    const drawn = drawnSide({ from, to, bulge });
    expect(drawn.length).toBeCloseTo(5 * Math.PI, 9);
    for (const place of drawn.places) expect(planDistance(place, { e: 0, n: 10 })).toBeCloseTo(10, 9);
    expect(drawnSide({ from, to, bulge: 0 }).places).toHaveLength(2);
    expect(drawnSide({ from, to: from, bulge: 0 }).length).toBe(0);
  });
  it('is carried on beyond its ends, and says so', () => {
    const path = good(pathOf(bend, false));
    expect(againstPath(path, { e: -5, n: 1 })).toMatchObject({ position: 'before', chainage: -5, offset: -1 });
    expect(againstPath(path, { e: 29, n: 30 })).toMatchObject({ position: 'after', offset: -1 });
  });
  it('has heights between its corners, and none where a corner has none', () => {
    const sloping = good(pathOf([at('A', 0, 0, { z: 5 }), at('B', 0, 40, { z: 6 }), at('C', 10, 40)], false));
    expect(pointOnPath(sloping, 10, 0)!.z).toBeCloseTo(5.25, 12);
    expect(pointOnPath(sloping, 45, 0)!.z).toBeNull();
  });
  it('is marked at an interval from its start and at its corners, each once', () => {
    const marks = good(marksAlongPath(bend, false, { spacing: { interval: 10 }, offset: 2, label }));
    expect(marks.map(({ corner }) => corner)).toEqual(['A', 'A+10', 'B', 'A+30', 'C', 'A+40', 'A+50', 'D']);
    for (const mark of marks) expect(planDistance(mark.place, mark.designPlace)).toBeCloseTo(2, 9);
    const path = good(pathOf(bend, false));
    for (const mark of marks.slice(0, -1)) expect(againstPath(path, mark.place).offset).toBeCloseTo(2, 6);
  });
  it('is divided into equal parts', () => {
    const marks = good(
      marksAlongPath([at('A', 0, 0), at('B', 0, 9)], false, { spacing: { parts: 3 }, offset: 0, label }),
    );
    expect(marks.map(({ place }) => place.n)).toEqual([0, 3, 6, 9].map((n) => expect.closeTo(n, 9)));
  });
  it.each([
    [[at('A', 0, 0)], 1, { code: 'PATH_TOO_FEW_CORNERS', given: 1 }],
    [[at('A', 0, 0), at('B', 0, 0)], 1, { code: 'PATH_SIDE_WITHOUT_LENGTH', from: 'A', to: 'B' }],
    [[at('A', 0, 0), at('B', 0, 9)], 0, { code: 'INTERVAL_NOT_POSITIVE', interval: 0 }],
    [[at('A', 0, 0), at('B', 0, 9000)], 0.5, { code: 'TOO_MANY_POINTS', points: 18000 }],
  ])('%# is refused with what is wrong', (corners, interval, error) => {
    expect(marksAlongPath(corners, false, { spacing: { interval }, offset: 0, label })).toEqual({ ok: false, error });
  });
});

describe('an outline moved by a thickness', () => {
  const hall = [at('1', 0, 0), at('2', 12, 0), at('3', 12, 5), at('4', 7, 5), at('5', 7, 9), at('6', 0, 9)];

  it('has every side parallel at that distance, whichever way it was drawn, and comes back', () => {
    fc.assert(
      fc.property(fc.double({ min: -1.5, max: 3, noNaN: true }), fc.boolean(), (outward, turned) => {
        const corners = turned ? [...hall].reverse() : hall;
        const moved = good(movedOutline(corners, outward));
        expect(moved.map(({ name }) => name)).toEqual(corners.map(({ name }) => name));
        for (const corner of moved) {
          if (Math.abs(outward) < 1e-6) continue;
          expect(insidePolygon(corner, corners)).toBe(outward < 0);
          expect(distanceToPolygon(corner, corners)).toBeGreaterThan(Math.abs(outward) * 0.999);
        }
        const back = good(movedOutline(moved, -outward));
        back.forEach((corner, i) => expect(planDistance(corner, corners[i]!)).toBeLessThan(1e-9));
        if (Math.abs(outward) > 1e-3)
          expect(Math.abs(signedArea(moved)) > Math.abs(signedArea(corners))).toBe(outward > 0);
      }),
    );
  });
  it('is refused where a side would vanish or turn round, with the side', () => {
    expect(movedOutline(hall, -2.6)).toEqual({ ok: false, error: { code: 'MOVED_TOO_FAR', side: ['2', '3'] } });
  });
  it('is refused for what an outline is refused for', () => {
    expect(movedOutline([hall[0]!, hall[2]!, hall[1]!, hall[5]!], 1)).toMatchObject({
      ok: false,
      error: { code: 'OUTLINE_CROSSES_ITSELF' },
    });
  });
  it('stands out by its batter below, and back above', () => {
    expect(batterShift(0.1, 6, 3.5)).toBeCloseTo(0.25, 12);
    expect(batterShift(0.1, 6, 8)).toBeCloseTo(-0.2, 12);
  });
});

describe('groups of bolts', () => {
  it('lie about their centre, in the pattern’s direction', () => {
    const azimuthOf = Math.PI / 6;
    const bolts = boltsOf(
      { e: 100, n: 50 },
      { kind: 'rectangle', along: 0.4, across: 0.3, alongCount: 2, acrossCount: 2, azimuth: azimuthOf },
    );
    expect(bolts).toHaveLength(4);
    expect(planDistance(bolts[0]!, bolts[1]!)).toBeCloseTo(0.3, 12);
    expect(planDistance(bolts[0]!, bolts[2]!)).toBeCloseTo(0.4, 12);
    expect(planDistance(bolts[0]!, bolts[3]!)).toBeCloseTo(0.5, 12);
    expect(azimuth(bolts[0]!, bolts[2]!)).toBeCloseTo(azimuthOf, 9);
    expect(bolts.reduce((sum, { e }) => sum + e, 0) / 4).toBeCloseTo(100, 12);
  });
  it('go evenly round a circle, the first in its direction', () => {
    const bolts = boltsOf({ e: 0, n: 0 }, { kind: 'circle', diameter: 0.8, count: 8, azimuth: Math.PI / 2 });
    expect(bolts[0]).toEqual({ e: expect.closeTo(0.4, 12), n: expect.closeTo(0, 12) });
    bolts.forEach((bolt, i) =>
      expect(planDistance(bolt, bolts[(i + 1) % 8]!)).toBeCloseTo(0.8 * Math.sin(Math.PI / 8), 12),
    );
  });
  it('have their centre lines marked, four to a group, crossing in its centre', () => {
    const marks = good(
      boltMarks([at('P1', 5, 5), at('P2', 9, 5)], { kind: 'circle', diameter: 0.5, count: 4, azimuth: 1 }, 0.6),
    );
    expect(marks).toHaveLength(16);
    expect(new Set(marks.map(({ key }) => key)).size).toBe(16);
    const [along, right, back] = ['along', 'right', 'back'].map(
      (way) => marks.find(({ key }) => key === `P1/${way}`)!.place,
    );
    expect((along!.e + back!.e) / 2).toBeCloseTo(5, 12);
    expect(azimuth({ e: 5, n: 5 }, right!)).toBeCloseTo(1 + Math.PI / 2, 9);
  });
  it.each([
    [{ kind: 'circle', diameter: 0, count: 4, azimuth: 0 } as const, 'size'],
    [{ kind: 'circle', diameter: 1, count: 1, azimuth: 0 } as const, 'count'],
    [{ kind: 'rectangle', along: 1, across: 1, alongCount: 2.5, acrossCount: 2, azimuth: 0 } as const, 'count'],
  ])('%# are refused', (pattern, why) => {
    expect(boltMarks([at('P1', 0, 0)], pattern, 0)).toEqual({ ok: false, error: { code: 'PATTERN_IMPOSSIBLE', why } });
  });
});

describe('a raked pile', () => {
  const rake = { azimuth: Math.PI / 2, ratio: 4 };
  it('comes through a higher level on the side away from its toe', () => {
    expect(rakedAt({ e: 10, n: 0 }, 2, rake, 4)).toEqual({ e: expect.closeTo(9.5, 12), n: expect.closeTo(0, 12) });
    expect(rakedAt({ e: 10, n: 0 }, 2, rake, 0)).toEqual({ e: expect.closeTo(10.5, 12), n: expect.closeTo(0, 12) });
  });
  it('is longer than it is deep', () => {
    expect(rakedLength(rake, 2, -6)).toBeCloseTo((8 * Math.sqrt(17)) / 4, 12);
  });
});
