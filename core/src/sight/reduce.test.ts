import { describe, expect, it } from '@jest/globals';
import fc from 'fast-check';
import { observe, perfectReading, PRECISION, REDUCTION, type TrueStation } from '../../test/perfect.ts';
import { wrapHalfTurn } from '../quantity/angle.ts';
import { curvatureAndRefraction, reduceObservations, reduceReading } from './reduce.ts';
import type { Observation } from './observation.ts';

const STATION: TrueStation = { e: 1000, n: 2000, z: 10, orientation: 0.7 };
const place = fc.record({
  e: fc.double({ min: 700, max: 1300, noNaN: true }),
  n: fc.double({ min: 1700, max: 2300, noNaN: true }),
  z: fc.double({ min: -20, max: 60, noNaN: true }),
});

describe('a single reading', () => {
  it('gives level distance and height difference of the prism, on either face', () => {
    fc.assert(
      fc.property(place, fc.constantFrom(1 as const, 2 as const), (at, face) => {
        const level = Math.hypot(at.e - STATION.e, at.n - STATION.n);
        fc.pre(level > 2);
        const reduced = reduceReading(perfectReading(STATION, at, { face }), PRECISION, REDUCTION);
        expect(reduced.horizontal).toBeCloseTo(level, 6);
        expect(reduced.heightDifference! + STATION.z + 1.6 - 1.5).toBeCloseTo(at.z, 6);
        expect(
          wrapHalfTurn(reduced.hz + STATION.orientation - Math.atan2(at.e - STATION.e, at.n - STATION.n)),
        ).toBeCloseTo(0, 9);
      }),
    );
  });

  it('applies prism constant, weather and scale in that order', () => {
    const reduction = { ...REDUCTION, prismConstant: -0.03, atmosphericRatio: 20e-6, combinedScaleFactor: 0.9996 };
    const at = { e: 1200, n: 2100, z: 14 };
    const reduced = reduceReading(perfectReading(STATION, at, {}, reduction), PRECISION, reduction);
    expect(reduced.gridDistance).toBeCloseTo(Math.hypot(200, 100), 6);
    expect(reduced.horizontal).toBeCloseTo(Math.hypot(200, 100) / 0.9996, 6);
  });

  it('without a distance is a direction alone', () => {
    const reduced = reduceReading(
      { ...perfectReading(STATION, { e: 1100, n: 2000, z: 10 }), slope: null },
      PRECISION,
      REDUCTION,
    );
    expect(reduced).toMatchObject({ slope: null, horizontal: null, gridDistance: null, heightDifference: null });
    expect(reduced.hz).toBeCloseTo(Math.PI / 2 - 0.7, 12);
  });
});

describe('curvature and refraction', () => {
  it('are the textbook 0.0675 D² with D in kilometres, for k = 0.14', () => {
    // Schofield, Breach, "Engineering Surveying", trigonometric levelling: (1 - k) D² / 2R.
    const reduction = { ...REDUCTION, refraction: 0.14 };
    for (const kilometres of [0.1, 0.5, 1, 2])
      expect(curvatureAndRefraction(kilometres * 1000, reduction)).toBeCloseTo(0.0675 * kilometres ** 2, 4);
  });
});

describe('two faces', () => {
  const at = { e: 1080, n: 2060, z: 13 };
  const pair = (collimation: number, index: number): Observation[] => {
    const [direct, reverse] = [observe(STATION, 'A', at, { face: 1 }), observe(STATION, 'A', at, { face: 2 })];
    return [
      { ...direct, circle: direct.circle + collimation, zenith: direct.zenith + index },
      { ...reverse, circle: reverse.circle - collimation, zenith: reverse.zenith + index },
    ];
  };

  it('cancel collimation and index error and tell them', () => {
    const small = fc.double({ min: -1e-3, max: 1e-3, noNaN: true });
    const [clean] = reduceObservations([observe(STATION, 'A', at)], PRECISION, REDUCTION);
    fc.assert(
      fc.property(small, small, (collimation, index) => {
        const [both, ...more] = reduceObservations(pair(collimation, index), PRECISION, REDUCTION);
        expect(more).toEqual([]);
        expect(both).toMatchObject({ faceCount: 2, point: 'A' });
        expect(wrapHalfTurn(both!.hz - clean!.hz)).toBeCloseTo(0, 10);
        expect(both!.zenith).toBeCloseTo(clean!.zenith, 10);
        expect(both!.collimation).toBeCloseTo(collimation, 10);
        expect(both!.indexError).toBeCloseTo(index, 10);
      }),
    );
  });

  it('halve the instrument’s variances, but not the centring', () => {
    const [both] = reduceObservations(pair(0, 0), PRECISION, REDUCTION);
    const [single] = reduceObservations([observe(STATION, 'A', at)], PRECISION, REDUCTION);
    expect(both!.varDirection).toBeCloseTo(single!.varDirection / 2, 20);
    expect(both!.varRadial).toBeCloseTo(single!.varRadial / 2, 12);
    expect(both!.targetCentringSd).toBe(single!.targetCentringSd);
  });

  it('pair in order of appearance; what has no partner stays apart', () => {
    const [one, two] = pair(1e-4, 0);
    const other = observe(STATION, 'B', { e: 950, n: 2040, z: 12 });
    const reduced = reduceObservations([one!, other, two!, one!], PRECISION, REDUCTION);
    expect(reduced.map((each) => [each.point, each.faceCount])).toEqual([
      ['A', 2],
      ['B', 1],
      ['A', 1],
    ]);
  });
});
