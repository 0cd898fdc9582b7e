/** Heights of stations whose place is held otherwise, from perfect readings of a forward model of the tests' own. */
import { describe, expect, it } from '@jest/globals';
import fc from 'fast-check';
import { listed, observe, PRECISION, REDUCTION, SETUP, type TrueStation } from '../../test/perfect.ts';
import { stationOnAssumedDirection } from './assumedDirection.ts';
import type { HeightFrom } from './heldHeight.ts';
import { obstaclesTo } from './acceptance.ts';
import { heightStation } from './heightStation.ts';
import { knownStation, type KnownStationInput } from './knownStation.ts';
import { stationOverMark } from './overMark.ts';
import { largestRatio } from './resection.ts';

const MARKS = [
  ['A', { e: 4042, n: 8038, z: 4.2 }],
  ['B', { e: 4118, n: 8021, z: 4.6 }],
  ['C', { e: 4236, n: 8033, z: 5.0 }],
] as const;
const STATION: TrueStation = { e: 4150, n: 8090, z: 5, orientation: 1 };
const CLASS = { plan: 0.01, height: 0.01, leastMarks: 3 };

/** `own`: the listed height of the mark under the instrument less the true one; `off`: the same of benchmarks. */
const input = (
  own: number | null,
  off: Readonly<Record<string, number>> = {},
  marks = ['A', 'B', 'C'],
): Omit<KnownStationInput, 'heightFrom'> => ({
  instrument: PRECISION,
  station: {
    name: 'S',
    e: STATION.e,
    n: STATION.n,
    z: own === null ? null : STATION.z + own,
    sdPlan: 0.002,
    sdZ: own === null ? null : 0.002,
  },
  setup: { ...SETUP, instrumentCentringSd: 0.001 },
  reduction: REDUCTION,
  points: MARKS.map(([name, place]) => listed(name, { ...place, z: place.z + (off[name] ?? 0) })),
  observations: MARKS.filter(([name]) => marks.includes(name)).map(([name, place]) => observe(STATION, name, place)),
});

function over(of: ReturnType<typeof input>, heightFrom: HeightFrom | null = 'mark') {
  const solved = stationOverMark(of, null, { heightFrom });
  if (!solved.ok) throw new Error(solved.error.code);
  const { result, judgement } = solved.value;
  const obstacles = obstaclesTo(solved.value, CLASS, true);
  return {
    result,
    judgement,
    codes: judgement.because.map((reason) => reason.code),
    obstacles: obstacles.map((each) => each.code),
  };
}

describe('a known station with its height from benchmarks', () => {
  it('has the height part of a height station from the same sights, and keeps its plan', () => {
    fc.assert(
      fc.property(
        fc.double({ min: -1, max: 1, noNaN: true }),
        fc.double({ min: -0.02, max: 0.02, noNaN: true }),
        (own, off) => {
          const of = input(own, { B: off });
          const [held, plain, alone] = [
            knownStation({ ...of, heightFrom: 'benchmarks' }),
            knownStation(of),
            heightStation(of),
          ];
          if (!held.ok || !plain.ok || !alone.ok) throw new Error('no station');
          const { height } = alone.value;
          expect(held.value).toMatchObject({
            z: height.z,
            sdZ: height.sdZ,
            sdTrunnionZ: height.sdTrunnionZ,
            height,
            orientation: plain.value.orientation,
          });
          expect(held.value.stationHeightDifference).toBeCloseTo(height.z - of.station.z!, 9);
          held.value.observations.forEach(({ dZ, sdDZ }, i) => {
            const residual = height.residuals[i]!;
            expect(dZ).toBeCloseTo(residual.residual, 9);
            expect(sdDZ).toBeCloseTo(residual.sd * Math.sqrt(residual.redundancy), 9);
          });
        },
      ),
      { numRuns: 30 },
    );
  });

  it('says nothing of a single benchmark against itself, and is refused without one', () => {
    const one = knownStation({
      ...input(0),
      heightFrom: 'benchmarks',
      observations: input(0).observations.map((each, i) => ({ ...each, useHeight: i === 0 })),
    });
    if (!one.ok) throw new Error(one.error.code);
    expect(one.value.observations.map((each) => each.sdDZ === null)).toEqual([true, false, false]);
    const none = { ...input(0), observations: input(0).observations.map((each) => ({ ...each, useHeight: false })) };
    expect(knownStation({ ...none, heightFrom: 'benchmarks' })).toMatchObject({
      ok: false,
      error: { code: 'TOO_FEW_OBSERVATIONS', path: ['observations'] },
    });
    expect(knownStation({ ...input(null), heightFrom: 'benchmarks' })).toMatchObject({
      ok: true,
      value: { stationHeightDifference: null },
    });
  });
});

describe('a station over a mark', () => {
  it('takes its height from the mark, from benchmarks, or from both, and says which', () => {
    const of = input(0.003);
    const [mark, benchmarks, both] = [over(of, 'mark'), over(of, 'benchmarks'), over(of, 'both')];
    expect(mark.result.height!.z).toBe(of.station.z);
    expect(benchmarks.result.height!.z).toBeCloseTo(STATION.z, 6);
    expect(both.result.height!.z).toBeGreaterThan(benchmarks.result.height!.z);
    expect(both.result.height!.z).toBeLessThan(mark.result.height!.z);
    expect(both.result.height!.sdTrunnionZ).toBeLessThan(
      Math.min(mark.result.height!.sdTrunnionZ, benchmarks.result.height!.sdTrunnionZ),
    );
    for (const [each, from] of [
      [mark, 'mark'],
      [benchmarks, 'benchmarks'],
      [both, 'both'],
    ] as const) {
      const said = each.judgement.because.find((reason) => reason.code === 'HEIGHTS_AGREE');
      expect(said).toMatchObject({ from, benchmarks: ['A', 'B', 'C'], station: 'S' });
      expect((said as { dZ: number }).dZ).toBeCloseTo(-0.003, 6);
      expect(each.obstacles).toEqual([]);
    }
  });

  it('weighs the mark as one more benchmark whose rod is the instrument’s height', () => {
    const [a] = MARKS;
    const of = { ...input(0.004, {}, ['A']), setup: { ...input(0).setup, instrumentHeightSd: 0.003 } };
    const { result } = over(of, 'both');
    const alone = heightStation(of);
    if (!alone.ok) throw new Error(alone.error.code);
    const byMark = 1 / (0.002 ** 2 + 0.003 ** 2);
    const bySight = 1 / alone.value.height.sdTrunnionZ ** 2;
    const share = byMark / (byMark + bySight);
    expect(result.height!.z).toBeCloseTo(STATION.z + 0.004 * share, 9);
    expect(result.height!.sdTrunnionZ).toBeCloseTo(Math.sqrt(1 / (byMark + bySight)), 9);
    // On the ground the instrument's height comes in only with what was read through its axis.
    const ground = share ** 2 * 0.002 ** 2 + (1 - share) ** 2 * (1 / bySight + 0.003 ** 2);
    expect(result.height!.sdZ).toBeCloseTo(Math.sqrt(ground), 9);
    expect(a[0]).toBe('A');
  });

  it('blames the mark under it when the benchmarks agree with each other, and nobody else', () => {
    const mark = over(input(-0.3));
    expect(mark.judgement.verdict).toBe('refused');
    expect(mark.judgement.because).toContainEqual(
      expect.objectContaining({ code: 'OCCUPIED_HEIGHT_OFF', station: 'S', isUsed: true }),
    );
    expect(mark.codes).not.toContain('BACKSIGHT_HEIGHT_OFF');
    expect(mark.obstacles).toEqual(['OCCUPIED_HEIGHT_MISFIT']);
    expect(mark.judgement.doThis.map((step) => step.code)).toContain('HEIGHT_FROM_BENCHMARKS');
    const benchmarks = over(input(-0.3), 'benchmarks');
    const said = benchmarks.judgement.because.find((reason) => reason.code === 'OCCUPIED_HEIGHT_OFF');
    expect(said).toMatchObject({ isUsed: false });
    expect((said as { dZ: number }).dZ).toBeCloseTo(0.3, 4);
    expect(benchmarks.obstacles).toEqual([]);
    expect(benchmarks.judgement.verdict).toBe('checked');
    expect(over(input(-0.3), 'both').obstacles).toContain('OCCUPIED_HEIGHT_MISFIT');
  });

  it.each(['mark', 'benchmarks', 'both'] as const)(
    'blames the one benchmark that the others and the mark contradict, with the height from %s',
    (from) => {
      const { judgement, obstacles } = over(input(0, { B: 0.05 }), from);
      expect(
        judgement.because.flatMap((reason) => (reason.code === 'BACKSIGHT_HEIGHT_OFF' ? [reason.name] : [])),
      ).toEqual(['B']);
      expect(obstacles).toEqual(['MARK_HEIGHT_MISFIT']);
    },
  );

  it.each(['mark', 'benchmarks', 'both'] as const)(
    'blames nobody where one stands against one, with the height from %s',
    (from) => {
      const { codes, judgement } = over(input(-0.3, {}, ['A']), from);
      expect(codes).toContain('HEIGHTS_DISAGREE');
      expect(judgement.because).toContainEqual(expect.objectContaining({ names: ['S', 'A'] }));
      expect(judgement.verdict).toBe('refused');
    },
  );

  it('has no height in plan alone, and says that it was not asked for one', () => {
    const { result, judgement } = over(input(0), null);
    expect(result.height).toBeNull();
    expect(judgement.because).toContainEqual({ code: 'NO_HEIGHT', why: 'NOT_USED' });
    expect(over(input(null, {}, ['A'])).judgement.because).toContainEqual({ code: 'NO_HEIGHT', why: 'NOT_USED' });
  });

  it('finds the height of benchmarks where the mark has none, and says that one checks nothing', () => {
    const { result, judgement } = over(input(null), 'benchmarks');
    expect(result.height!.z).toBeCloseTo(STATION.z, 6);
    expect(judgement.reliability!.height!.unnoticed).toHaveLength(3);
    expect(over(input(null, {}, ['A']), 'benchmarks').judgement.because).toContainEqual({
      code: 'HEIGHT_UNCHECKED',
      name: 'A',
    });
  });
});

describe('a typed direction', () => {
  const typed = (turned: number, of = input(0)) => {
    const solved = stationOnAssumedDirection({ ...of, azimuth: STATION.orientation + turned, circle: 0 });
    if (!solved.ok) throw new Error(solved.error.code);
    return { ...solved.value, obstacles: obstaclesTo(solved.value, CLASS, true) };
  };

  it('is borne out by sights that fit, and stays unchecked', () => {
    const { judgement, result } = typed(0);
    expect(judgement.verdict).toBe('unchecked');
    expect(judgement.because).toContainEqual(
      expect.objectContaining({ code: 'TYPED_DIRECTION_FITS', names: ['A', 'B', 'C'] }),
    );
    expect(result.observations.every((each) => each.direction === null && each.distance === null)).toBe(true);
    for (const point of result.points)
      expect(point).toMatchObject({ dE: expect.closeTo(0, 5), dN: expect.closeTo(0, 5), dZ: expect.closeTo(0, 5) });
  });

  it('is contradicted with the place where it is worst', () => {
    const { judgement, obstacles } = typed(0.001);
    const said = judgement.because.find((reason) => reason.code === 'TYPED_DIRECTION_OFF');
    // A is the farthest, 120 m away; by the typed direction everything is seen too far right.
    expect(said).toMatchObject({
      name: 'A',
      isUsed: true,
      angle: expect.closeTo(-0.001, 6),
      across: expect.closeTo(-0.12, 2),
    });
    expect(judgement.verdict).toBe('refused');
    expect(largestRatio(typed(0.001).result, 'A')!).toBeGreaterThan(20);
    expect(obstacles).toContainEqual(expect.objectContaining({ code: 'MARK_MISFIT', name: 'A', isUsed: false }));
  });

  it('tells a mark whose distance or height does not fit', () => {
    const far = {
      ...input(0),
      points: input(0).points.map((each) =>
        each.name === 'C' ? { ...each, e: each.e! + 0.05, z: each.z! + 0.05 } : each,
      ),
    };
    const { judgement } = typed(0, far);
    expect(judgement.because).toContainEqual(expect.objectContaining({ code: 'BACKSIGHT_OFF', name: 'C' }));
    expect(judgement.because).toContainEqual(expect.objectContaining({ code: 'BACKSIGHT_HEIGHT_OFF', name: 'C' }));
  });
});
