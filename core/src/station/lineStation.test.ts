import { describe, expect, it } from '@jest/globals';
import fc from 'fast-check';
import {
  lineStation,
  stationOnLines,
  type LineObservation,
  type LineStationInput,
  type SiteLine,
} from './lineStation.ts';
import { stationOnAssumedDirection } from './assumedDirection.ts';

const INSTRUMENT = { angleSd: 5e-6, distanceSd: 0.001, distanceSdRatio: 1.5e-6 };
const REDUCTION = {
  combinedScaleFactor: 1,
  refraction: 0.13,
  earthRadius: 6371000,
  prismConstant: 0,
  atmosphericRatio: 0,
};
const LINES: readonly SiteLine[] = [
  { name: 'A', from: { e: 1000, n: 2000 }, to: { e: 1000, n: 2060 }, sd: 0.002 },
  { name: 'D', from: { e: 1036, n: 2000 }, to: { e: 1036, n: 2060 }, sd: 0.002 },
  { name: '1', from: { e: 1000, n: 2000 }, to: { e: 1036, n: 2000 }, sd: 0.002 },
  { name: '5', from: { e: 1000, n: 2060 }, to: { e: 1036, n: 2060 }, sd: 0.002 },
];
const STAND = { e: 1021.5, n: 2017.25 };
const ORIENTATION = 0.83;

/** A sight to the point at `f` along a line, `off` beside it to its right. */
function sight(line: SiteLine, f: number, off = 0, stand = STAND, orientation = ORIENTATION): LineObservation {
  const length = Math.hypot(line.to.e - line.from.e, line.to.n - line.from.n);
  const [ue, un] = [(line.to.e - line.from.e) / length, (line.to.n - line.from.n) / length];
  const e = line.from.e + f * (line.to.e - line.from.e) + off * un;
  const n = line.from.n + f * (line.to.n - line.from.n) - off * ue;
  const distance = Math.hypot(e - stand.e, n - stand.n);
  return {
    line: line.name,
    face: 1,
    circle: (Math.atan2(e - stand.e, n - stand.n) - orientation + 4 * Math.PI) % (2 * Math.PI),
    zenith: Math.PI / 2,
    slope: distance,
    targetHeight: 1.5,
    targetHeightSd: 0.001,
    targetCentringSd: 0.001,
  };
}

const input = (observations: readonly LineObservation[], change: Partial<LineStationInput> = {}): LineStationInput => ({
  instrument: INSTRUMENT,
  reduction: REDUCTION,
  lines: LINES,
  observations,
  near: null,
  ...change,
});
const [A, D, ONE, FIVE] = LINES as unknown as [SiteLine, SiteLine, SiteLine, SiteLine];

const NO_SIGHTS = { reduction: REDUCTION, points: [], observations: [] };

describe('a station on lines', () => {
  it('is found from points anywhere along four lines, and checked', () => {
    const solved = stationOnLines(
      input([sight(A, 0.2), sight(D, 0.7), sight(ONE, 0.4), sight(FIVE, 0.9), sight(A, 0.8)]),
    );
    expect(solved.ok).toBe(true);
    if (!solved.ok) return;
    const { result, judgement, residuals } = solved.value;
    expect(result.e).toBeCloseTo(STAND.e, 6);
    expect(result.n).toBeCloseTo(STAND.n, 6);
    expect(result.orientation).toBeCloseTo(ORIENTATION, 8);
    expect(result.height).toBeNull();
    expect(judgement.verdict).toBe('checked');
    expect(residuals.every((each) => Math.abs(each.off) < 1e-6)).toBe(true);
  });

  it('names the sight that was not on its line', () => {
    const solved = stationOnLines(
      input([
        sight(A, 0.2),
        sight(D, 0.7),
        sight(ONE, 0.4),
        sight(FIVE, 0.9),
        sight(A, 0.9),
        sight(D, 0.1, 0.05),
        sight(ONE, 0.9),
      ]),
    );
    if (!solved.ok) throw new Error('no station');
    expect(solved.value.judgement.verdict).toBe('refused');
    const worst = solved.value.residuals.reduce((a, b) => (Math.abs(b.w ?? 0) > Math.abs(a.w ?? 0) ? b : a));
    expect(worst.line).toBe('D');
    expect(worst.exceeds).toBe(true);
  });

  it('that fits two places is refused until somebody says roughly where', () => {
    // Both lines go through one crossing: half a turn about it looks the same.
    const sights = [sight(A, 0.3), sight(ONE, 0.5), sight(A, 0.8)];
    expect(lineStation(input(sights))).toMatchObject({ ok: false, error: { code: 'UNDETERMINED', reason: 'twofold' } });
    const told = lineStation(input(sights, { near: { e: 1015, n: 2020 } }));
    if (!told.ok) throw new Error('no station');
    expect(told.value.e).toBeCloseTo(STAND.e, 5);
    expect(told.value.n).toBeCloseTo(STAND.n, 5);
  });

  it('can’t be had from parallel lines, from two sights, from a line that is not there, or without a distance', () => {
    expect(lineStation(input([sight(A, 0.1), sight(A, 0.6), sight(D, 0.4), sight(D, 0.9)]))).toMatchObject({
      ok: false,
      error: { code: 'UNDETERMINED', reason: 'rank' },
    });
    expect(lineStation(input([sight(A, 0.1), sight(ONE, 0.6)]))).toMatchObject({
      ok: false,
      error: { code: 'TOO_FEW_OBSERVATIONS', given: 2, needed: 3 },
    });
    const lost = [sight(A, 0.1), sight(ONE, 0.6), { ...sight(D, 0.3), line: 'Z' }];
    expect(lineStation(input(lost))).toMatchObject({
      ok: false,
      error: { code: 'MISSING_COORDINATES', path: ['observations', 2, 'line'], name: 'Z' },
    });
    const short = [sight(A, 0.1), sight(ONE, 0.6), { ...sight(D, 0.3), slope: null }];
    expect(lineStation(input(short))).toMatchObject({
      ok: false,
      error: { code: 'INVALID_NUMBER', path: ['observations', 2, 'slope'] },
    });
  });

  it('turns and shifts with the lines, and does not care for the order of sights', () => {
    fc.assert(
      fc.property(
        fc.double({ min: -3, max: 3, noNaN: true }),
        fc.integer({ min: -5000, max: 5000 }),
        fc.integer({ min: -5000, max: 5000 }),
        (turn, de, dn) => {
          const move = ({ e, n }: { e: number; n: number }) => ({
            e: e * Math.cos(turn) + n * Math.sin(turn) + de,
            n: n * Math.cos(turn) - e * Math.sin(turn) + dn,
          });
          const sights = [sight(A, 0.2), sight(D, 0.7), sight(ONE, 0.4), sight(FIVE, 0.9)];
          const moved = LINES.map((line) => ({ ...line, from: move(line.from), to: move(line.to) }));
          const here = lineStation(input(sights));
          const there = lineStation(input([...sights].reverse(), { lines: moved }));
          if (!here.ok || !there.ok) throw new Error('no station');
          const expected = move(here.value);
          expect(there.value.e).toBeCloseTo(expected.e, 5);
          expect(there.value.n).toBeCloseTo(expected.n, 5);
          expect(there.value.sumOfSquares).toBeCloseTo(here.value.sumOfSquares, 4);
        },
      ),
      { numRuns: 25 },
    );
  });
});

describe('a station with a typed direction', () => {
  const station = { name: 'K1', e: 10, n: 20, z: 5, sdPlan: 0.002, sdZ: 0.003 };
  const setup = { instrumentHeight: 1.6, instrumentHeightSd: 0.001, instrumentCentringSd: 0.001 };

  it('takes the direction as it was typed, and tests nothing', () => {
    const solved = stationOnAssumedDirection({
      ...NO_SIGHTS,
      instrument: INSTRUMENT,
      station,
      setup,
      azimuth: 1,
      circle: 1.25,
    });
    if (!solved.ok) throw new Error('no station');
    const { result, judgement } = solved.value;
    expect(result.orientation).toBeCloseTo(2 * Math.PI - 0.25, 12);
    expect(result.sdE).toBeCloseTo(Math.hypot(0.002, 0.001), 9);
    expect(result.height!.sdTrunnionZ).toBeCloseTo(Math.hypot(0.003, 0.001), 9);
    expect(judgement).toMatchObject({
      verdict: 'unchecked',
      checkability: 'unchecked',
      doThis: [{ code: 'SIGHT_ANOTHER' }],
    });
    expect(judgement.because[0]).toEqual({ code: 'ASSUMED_DIRECTION', station: 'K1' });
  });

  it('says that there is no height, or no instrument height, and refuses what is no number', () => {
    const level = stationOnAssumedDirection({
      ...NO_SIGHTS,
      instrument: INSTRUMENT,
      station: { ...station, z: null },
      setup,
      azimuth: 0,
      circle: 0,
    });
    expect(level.ok && level.value.judgement.because.map((each) => each.code)).toContain('NO_HEIGHT');
    const zero = stationOnAssumedDirection({
      ...NO_SIGHTS,
      instrument: INSTRUMENT,
      station,
      setup: { ...setup, instrumentHeight: 0 },
      azimuth: 0,
      circle: 0,
    });
    expect(zero.ok && zero.value.judgement.because.map((each) => each.code)).toContain('NO_INSTRUMENT_HEIGHT');
    expect(
      stationOnAssumedDirection({ ...NO_SIGHTS, instrument: INSTRUMENT, station, setup, azimuth: NaN, circle: 0 }),
    ).toMatchObject({
      ok: false,
      error: { path: ['azimuth'] },
    });
  });
});
