/** Stations other than the free one, from perfect readings of a forward model of the tests' own. */
import { describe, expect, it } from '@jest/globals';
import fc from 'fast-check';
import {
  exactStation,
  listed,
  observe,
  perfectReading,
  PRECISION,
  REDUCTION,
  SETUP,
  type TrueStation,
} from '../../test/perfect.ts';
import { wrapHalfTurn } from '../quantity/angle.ts';
import { heightStation } from './heightStation.ts';
import { knownStation, type KnownStationInput } from './knownStation.ts';
import { stationOverMark } from './overMark.ts';
import { largestRatio, resection } from './resection.ts';
import { traverse, type TraverseInput } from './traverse.ts';

const MARKS = [
  ['A', { e: 4042, n: 8038, z: 4.2 }],
  ['B', { e: 4118, n: 8021, z: 4.6 }],
  ['C', { e: 4236, n: 8033, z: 5.0 }],
] as const;
const orientation = fc.double({ min: 0, max: 2 * Math.PI, noNaN: true, maxExcluded: true });

const known = (station: TrueStation, marks = MARKS.map(([name]) => name as string)): KnownStationInput => ({
  instrument: PRECISION,
  station: { name: 'S', e: station.e, n: station.n, z: station.z, sdPlan: 0.002, sdZ: 0.002 },
  setup: { ...SETUP, instrumentCentringSd: 0.001 },
  reduction: REDUCTION,
  points: MARKS.map(([name, place]) => listed(name, place)),
  observations: MARKS.filter(([name]) => marks.includes(name)).map(([name, place]) => observe(station, name, place)),
});
const solved = (input: KnownStationInput) => {
  const result = knownStation(input);
  if (!result.ok) throw new Error(result.error.code);
  return result.value;
};

describe('a station over a known mark', () => {
  it('finds its orientation, whatever the circle was set to', () => {
    fc.assert(
      fc.property(orientation, (o) => {
        const result = solved(known({ e: 4150, n: 8090, z: 5, orientation: o }));
        expect(wrapHalfTurn(result.orientation - o)).toBeCloseTo(0, 8);
        for (const each of result.observations) {
          expect(each.distanceCheck).toBeCloseTo(0, 6);
          expect(each.dE).toBeCloseTo(0, 6);
          expect(each.dN).toBeCloseTo(0, 6);
          expect(each.dZ).toBeCloseTo(0, 6);
        }
      }),
    );
  });

  it('is refused when nothing has a standard deviation, since nothing could be weighed', () => {
    const input = known({ e: 4150, n: 8090, z: 5, orientation: 1 });
    const exact: KnownStationInput = {
      ...input,
      instrument: { angleSd: 0, distanceSd: 0, distanceSdRatio: 0 },
      station: { ...input.station, sdPlan: 0 },
      setup: { ...input.setup, instrumentCentringSd: 0 },
      points: input.points.map((point) => ({ ...point, sdPlan: 0, sdHeight: 0 })),
      observations: input.observations.map((each) => ({ ...each, targetCentringSd: 0, targetHeightSd: 0 })),
    };
    expect(knownStation(exact)).toMatchObject({ ok: false, error: { code: 'UNDETERMINED', reason: 'unweighted' } });
    expect(heightStation(exact)).toMatchObject({ ok: false, error: { code: 'UNDETERMINED', reason: 'unweighted' } });
    expect(resection({ ...exact, freeScale: false })).toMatchObject({
      ok: false,
      error: { code: 'UNDETERMINED', reason: 'unweighted' },
    });
  });

  it('is oriented better by three backsights than by one', () => {
    const place = { e: 4150, n: 8090, z: 5, orientation: 1 };
    const one = solved(known(place, ['A']));
    const three = solved(known(place));
    expect(three.sdOrientation).toBeLessThan(one.sdOrientation);
    expect(one.fit.dof).toBe(0);
    expect(three.fit.dof).toBe(2);
  });

  it('shows a backsight that was moved, with its size at the target', () => {
    const place = { e: 4150, n: 8090, z: 5, orientation: 1 };
    const input = known(place);
    const moved = {
      ...input,
      points: input.points.map((point) => (point.name === 'B' ? { ...point, e: point.e! + 0.05 } : point)),
    };
    const largest = [...solved(moved).observations].sort(
      (a, b) => Math.abs(b.direction!.residualAtTarget) - Math.abs(a.direction!.residualAtTarget),
    )[0]!;
    expect(largest.reduced.point).toBe('B');
    expect(solved(moved).fit.globalTest!.verdict).toBe('aboveUpper');
  });

  it('has the height in the ratio of a mark, too', () => {
    const input = known({ e: 4150, n: 8090, z: 5, orientation: 1 });
    const raised = {
      ...input,
      points: input.points.map((point) => (point.name === 'B' ? { ...point, z: point.z! - 0.305 } : point)),
    };
    const over = stationOverMark(raised);
    if (!over.ok) throw new Error(over.error.code);
    const { result } = over.value;
    expect(result.points.find((point) => point.name === 'B')!.leaveOneOutHeight).toMatchObject({ exceeds: true });
    expect(largestRatio(result, 'B')!).toBeGreaterThan(20);
    expect(largestRatio(result, 'A')!).toBeLessThan(3.3);
  });

  it.each([
    [
      'a backsight that is not listed',
      (input: KnownStationInput) => ({ ...input, points: input.points.slice(1) }),
      'MISSING_COORDINATES',
    ],
    [
      'a backsight at the station itself',
      (input: KnownStationInput) => ({ ...input, points: input.points.map((p) => ({ ...p, e: 4150, n: 8090 })) }),
      'COINCIDENT_POINTS',
    ],
    [
      'a name that stands twice',
      (input: KnownStationInput) => ({ ...input, points: [...input.points, input.points[0]!] }),
      'DUPLICATE_NAME',
    ],
    ['no backsight', (input: KnownStationInput) => ({ ...input, observations: [] }), 'TOO_FEW_OBSERVATIONS'],
  ])('is refused with %s', (_what, change, code) => {
    expect(knownStation(change(known({ e: 4150, n: 8090, z: 5, orientation: 1 })))).toMatchObject({
      ok: false,
      error: { code },
    });
  });
});

describe('a height from benchmarks', () => {
  const station: TrueStation = { e: 4150, n: 8090, z: 5.123, orientation: 2 };
  const input = (shift = 0) => ({
    instrument: PRECISION,
    setup: SETUP,
    reduction: REDUCTION,
    points: MARKS.map(([name, place]) => ({
      ...listed(name, place),
      e: null,
      n: null,
      z: place.z + (name === 'C' ? shift : 0),
    })),
    observations: MARKS.map(([name, place]) => observe(station, name, place)),
  });

  it('is that of the ground under the instrument, without any coordinates', () => {
    const result = heightStation(input());
    if (!result.ok) throw new Error(result.error.code);
    expect(result.value.height.z).toBeCloseTo(5.123, 6);
    expect(result.value.height.sdZ).toBeGreaterThan(result.value.height.sdTrunnionZ);
    for (const point of result.value.points) expect(point.dZ).toBeCloseTo(0, 6);
  });

  it('names the benchmark that sank', () => {
    const result = heightStation(input(0.03));
    if (!result.ok) throw new Error(result.error.code);
    const worst = [...result.value.points].sort(
      (a, b) => Math.abs(b.leaveOneOutHeight!.w) - Math.abs(a.leaveOneOutHeight!.w),
    )[0]!;
    expect(worst.name).toBe('C');
    expect(worst.leaveOneOutHeight).toMatchObject({ exceeds: true });
    expect(worst.leaveOneOutHeight!.dZ).toBeCloseTo(-0.03, 4);
  });

  it('needs a sight with a distance to a mark with a height', () => {
    const bare = input();
    expect(
      heightStation({ ...bare, observations: bare.observations.map((each) => ({ ...each, slope: null })) }),
    ).toMatchObject({
      ok: false,
      error: { code: 'TOO_FEW_OBSERVATIONS' },
    });
  });
});

describe('carrying a station forward', () => {
  const first: TrueStation = { e: 4100, n: 8100, z: 5, orientation: 0.4 };
  const second: TrueStation = { e: 4180, n: 8130, z: 6, orientation: 3.3 };
  const covariance = [
    [4e-6, 0, 0],
    [0, 4e-6, 0],
    [0, 0, 4e-10],
  ] as const;
  const input = (): TraverseInput => ({
    instrument: PRECISION,
    station: { ...exactStation(first), name: 'S1', covariance, sdTrunnionZ: 0.001 },
    setup: SETUP,
    reduction: REDUCTION,
    points: [listed('A', MARKS[0][1])],
    foresight: { ...perfectReading(first, second), point: 'S2' },
    nextSetup: { ...SETUP, instrumentCentringSd: 0.001 },
    backsight: { ...perfectReading(second, first), point: 'S1' },
  });
  const carried = (from: TraverseInput) => {
    const result = traverse(from);
    if (!result.ok) throw new Error(result.error.code);
    return result.value;
  };

  it('finds the next stand and its orientation from the sight back', () => {
    const { newPoint, nextStation, backsightCheck } = carried(input());
    expect(newPoint.measured.e).toBeCloseTo(second.e, 6);
    expect(newPoint.measured.n).toBeCloseTo(second.n, 6);
    expect(newPoint.measured.z).toBeCloseTo(second.z, 6);
    expect(wrapHalfTurn(nextStation.orientation - second.orientation)).toBeCloseTo(0, 8);
    expect(backsightCheck.distance).toBeCloseTo(0, 6);
    expect(backsightCheck.dZ).toBeCloseTo(0, 6);
  });

  it('finds the same from a listed mark, and is then oriented independently', () => {
    const mark = { ...input(), backsight: { ...perfectReading(second, MARKS[0][1]), point: 'A' } };
    expect(wrapHalfTurn(carried(mark).nextStation.orientation - second.orientation)).toBeCloseTo(0, 8);
  });

  it('is never better than the station that it came from', () => {
    const { newPoint } = carried(input());
    expect(newPoint.sdE).toBeGreaterThan(0.002);
    expect(newPoint.sdN).toBeGreaterThan(0.002);
    expect(newPoint.sdZ).toBeGreaterThan(0.001);
  });

  it.each([
    [
      'a foresight without a distance',
      (from: TraverseInput) => ({ ...from, foresight: { ...from.foresight, slope: null } }),
      'INVALID_NUMBER',
    ],
    [
      'a backsight that is not listed',
      (from: TraverseInput) => ({ ...from, backsight: { ...from.backsight, point: 'Z' } }),
      'MISSING_COORDINATES',
    ],
    [
      'a zenith straight up',
      (from: TraverseInput) => ({ ...from, foresight: { ...from.foresight, zenith: 0 } }),
      'INVALID_ZENITH',
    ],
  ])('is refused with %s', (_what, change, code) => {
    expect(traverse(change(input()))).toMatchObject({ ok: false, error: { code } });
  });
});
