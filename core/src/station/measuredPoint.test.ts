import { describe, expect, it } from '@jest/globals';
import fc from 'fast-check';
import { exactStation, perfectReading, PRECISION, REDUCTION, SETUP, type TrueStation } from '../../test/perfect.ts';
import { checkPoint } from '../proof/check.ts';
import { stake } from '../guidance/stake.ts';
import { wrapHalfTurn } from '../quantity/angle.ts';
import { normal } from '../simulator/random.ts';
import { reduceReading } from '../sight/reduce.ts';
import { expectedReading, measurePoint, predictAt } from './measuredPoint.ts';

const STATION: TrueStation = { e: 4187, n: 8099, z: 5.874, orientation: 1.234 };
const place = fc.record({
  e: fc.double({ min: 4000, max: 4400, noNaN: true }),
  n: fc.double({ min: 7900, max: 8300, noNaN: true }),
  z: fc.double({ min: 0, max: 20, noNaN: true }),
});
const far = (at: { e: number; n: number }) => Math.hypot(at.e - STATION.e, at.n - STATION.n) > 3;

describe('a measured point', () => {
  it('is where the pole stands', () => {
    fc.assert(
      fc.property(place, fc.double({ min: 0, max: 3, noNaN: true }), (at, targetHeight) => {
        fc.pre(far(at));
        const measured = measurePoint(
          exactStation(STATION),
          SETUP,
          reduceReading(perfectReading(STATION, at, { targetHeight }), PRECISION, REDUCTION),
        )!;
        expect(measured.e).toBeCloseTo(at.e, 6);
        expect(measured.n).toBeCloseTo(at.n, 6);
        expect(measured.z).toBeCloseTo(at.z, 6);
      }),
    );
  });

  it('is where the instrument was told to look', () => {
    fc.assert(
      fc.property(place, (at) => {
        fc.pre(far(at));
        const expected = expectedReading(exactStation(STATION), SETUP, REDUCTION, at, 1.5);
        const read = perfectReading(STATION, at);
        expect(wrapHalfTurn(expected.azimuth - STATION.orientation - read.circle)).toBeCloseTo(0, 9);
        expect(expected.zenith).toBeCloseTo(read.zenith, 9);
        expect(expected.slope).toBeCloseTo(read.slope!, 6);
      }),
    );
  });

  it('spreads as much as its covariance says', () => {
    const at = { e: 4260, n: 8150, z: 6 };
    const station = {
      ...exactStation(STATION),
      covariance: [
        [9e-6, 2e-6, 0],
        [2e-6, 4e-6, 0],
        [0, 0, 1e-10],
      ] as const,
      sdTrunnionZ: 0.001,
    };
    const perfect = perfectReading(STATION, at);
    let state = 7;
    const draw = (sd: number) => {
      const next = normal(state);
      state = next.state;
      return next.value * sd;
    };
    const count = 4000;
    let [ee, nn, zz] = [0, 0, 0];
    for (let i = 0; i < count; i++) {
      // Correlated errors of the station, drawn through its Cholesky factor.
      const [u, v] = [draw(1), draw(1)];
      const lean = [draw(0.001), draw(0.001)] as const;
      const real = {
        ...station,
        e: STATION.e + 0.003 * u,
        n: STATION.n + (2 / 3) * 0.001 * u + Math.sqrt(4 - 4 / 9) * 0.001 * v,
        orientation: STATION.orientation + draw(1e-5),
        z: STATION.z + draw(0.001),
      };
      const noisy = {
        ...perfect,
        circle: perfect.circle + draw(PRECISION.angleSd),
        zenith: perfect.zenith + draw(PRECISION.angleSd),
        slope: perfect.slope! + draw(Math.hypot(PRECISION.distanceSd, PRECISION.distanceSdRatio * perfect.slope!)),
        targetHeight: 1.5 + draw(0.001),
      };
      const measured = measurePoint(real, SETUP, reduceReading(noisy, PRECISION, REDUCTION))!;
      ee += (measured.e + lean[0] - at.e) ** 2 / count;
      nn += (measured.n + lean[1] - at.n) ** 2 / count;
      zz += (measured.z! - at.z) ** 2 / count;
    }
    const told = measurePoint(station, SETUP, reduceReading(perfect, PRECISION, REDUCTION))!;
    // A sample variance of 4000 draws is within 7 % of the true one in all but one of a thousand cases.
    expect(ee / told.plan.ee).toBeGreaterThan(0.92);
    expect(ee / told.plan.ee).toBeLessThan(1.08);
    expect(nn / told.plan.nn).toBeGreaterThan(0.92);
    expect(nn / told.plan.nn).toBeLessThan(1.08);
    expect(zz / told.varZ!).toBeGreaterThan(0.92);
    expect(zz / told.varZ!).toBeLessThan(1.08);
  });

  it('is predicted as precisely as it is then measured', () => {
    const at = { e: 4260, n: 8150, z: 6 };
    const station = { ...exactStation(STATION), sdTrunnionZ: 0.001 };
    const measured = measurePoint(station, SETUP, reduceReading(perfectReading(STATION, at), PRECISION, REDUCTION))!;
    const predicted = predictAt(station, SETUP, PRECISION, REDUCTION, at, {
      targetHeight: 1.5,
      targetHeightSd: 0.001,
      targetCentringSd: 0.001,
    });
    expect(predicted.sdE).toBeCloseTo(Math.sqrt(measured.plan.ee), 9);
    expect(predicted.sdN).toBeCloseTo(Math.sqrt(measured.plan.nn), 9);
    expect(predicted.sdZ).toBeCloseTo(Math.sqrt(measured.varZ!), 9);
  });

  it('has no height from a plan-only station', () => {
    const station = { ...exactStation(STATION), z: null, sdTrunnionZ: null };
    const measured = measurePoint(
      station,
      SETUP,
      reduceReading(perfectReading(STATION, { e: 4200, n: 8100, z: 5 }), PRECISION, REDUCTION),
    )!;
    expect(measured).toMatchObject({ z: null, varZ: null });
  });
});

describe('the move to a mark', () => {
  const staked = (pole: { e: number; n: number; z: number }, target: { e: number; n: number; z: number | null }) => {
    const result = stake({
      instrument: PRECISION,
      station: exactStation(STATION),
      setup: SETUP,
      reduction: REDUCTION,
      target,
      reading: perfectReading(STATION, pole),
    });
    if (!result.ok) throw new Error(result.error.code);
    return result.value;
  };

  it('leads there from anywhere, as differences, as in and out, and as turn and distance', () => {
    fc.assert(
      fc.property(place, place, (pole, target) => {
        fc.pre(far(pole) && far(target));
        const result = staked(pole, target);
        expect(pole.e + result.deltaE).toBeCloseTo(target.e, 5);
        expect(pole.n + result.deltaN).toBeCloseTo(target.n, 5);
        const out = Math.atan2(pole.e - STATION.e, pole.n - STATION.n);
        expect(pole.e + result.moveOut * Math.sin(out) + result.moveRightFromInstrument * Math.cos(out)).toBeCloseTo(
          target.e,
          5,
        );
        expect(pole.n + result.moveOut * Math.cos(out) - result.moveRightFromInstrument * Math.sin(out)).toBeCloseTo(
          target.n,
          5,
        );
        expect(result.moveRightFromPole).toBeCloseTo(-result.moveRightFromInstrument, 12);
        const turned = out + result.turnAngle;
        expect(STATION.e + result.gridDistanceToTarget * Math.sin(turned)).toBeCloseTo(target.e, 5);
        expect(STATION.n + result.gridDistanceToTarget * Math.cos(turned)).toBeCloseTo(target.n, 5);
        expect(result.cutFill).toBeCloseTo(pole.z - target.z, 5);
      }),
    );
  });

  it('tells no cut or fill without a design height', () => {
    expect(staked({ e: 4200, n: 8120, z: 5 }, { e: 4201, n: 8121, z: null }).cutFill).toBeNull();
  });
});

describe('a proof', () => {
  const at = { e: 4260, n: 8150, z: 6 };
  const prove = (shift: { e?: number; n?: number; z?: number }, limits = { plan: 0.006, height: 0.005 }) => {
    const result = checkPoint({
      instrument: PRECISION,
      station: { ...exactStation(STATION), sdTrunnionZ: 0.001 },
      setup: SETUP,
      reduction: REDUCTION,
      point: {
        name: 'P',
        e: at.e - (shift.e ?? 0),
        n: at.n - (shift.n ?? 0),
        z: at.z - (shift.z ?? 0),
        sdPlan: 0.001,
        sdHeight: 0.001,
      },
      reading: perfectReading(STATION, at),
      limits,
    });
    if (!result.ok) throw new Error(result.error.code);
    return result.value;
  };

  it('gives measured minus listed, along and across the line of sight', () => {
    const { plan, height, verdict } = prove({ e: 0.003, n: -0.002, z: 0.004 });
    expect(plan!.dE).toBeCloseTo(0.003, 6);
    expect(plan!.dN).toBeCloseTo(-0.002, 6);
    expect(plan!.dAlong ** 2 + plan!.dAcross ** 2).toBeCloseTo(plan!.horizontal ** 2, 12);
    expect(height!.dZ).toBeCloseTo(0.004, 6);
    expect(verdict).toBe('within');
  });

  it('fails over the tolerance of either part, and only over it', () => {
    expect(prove({ e: 0.0061 }).verdict).toBe('outside');
    expect(prove({ z: 0.0051 }).verdict).toBe('outside');
    expect(prove({ e: 0.0059, z: 0.0049 }).verdict).toBe('within');
    expect(prove({ e: 1, z: 1 }, { plan: null, height: null } as never)).toMatchObject({
      withinPlan: null,
      withinHeight: null,
      verdict: 'within',
    });
  });

  it('says when a difference is more than chance', () => {
    expect(prove({ e: 0.002 }).plan!.significant).toBe(false);
    expect(prove({ e: 0.03 }).plan!.significant).toBe(true);
    expect(prove({ z: 0.02 }).height!.significant).toBe(true);
  });
});
