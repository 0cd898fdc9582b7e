import { describe, expect, it } from '@jest/globals';
import { RADIANS_PER_DEGREE } from '../quantity/unit.ts';
import { reduceReading } from '../sight/reduce.ts';
import {
  antennaHeightMisfit,
  antennaHeightOf,
  compareHeights,
  heightFromAxis,
  pairFaults,
  partsLeft,
  receiverFoot,
  type PairNow,
  type ReceiverReading,
} from './pair.ts';

const READING: ReceiverReading = {
  e: 4100.25,
  n: 8100.5,
  z: 6.62,
  sdPlan: 0.008,
  sdHeight: 0.012,
  fix: 'fixed',
  correctionAge: 1,
  compensating: false,
  lean: 0.001,
};
const NOW: PairNow = {
  reading: READING,
  antennaHeight: 1.62,
  targetHeight: 1.5,
  hasAxis: true,
  lock: 'locked',
  heightAge: 0.1,
  compared: null,
  antennaMisfit: 0,
  largestAside: 0.01,
};
const codes = (change: Partial<PairNow>) => pairFaults({ ...NOW, ...change }).map(({ code }) => code);

describe('a pole with a receiver above its prism', () => {
  it('brings the reference point down to the tip, with every error that is in it', () => {
    const foot = receiverFoot(
      READING,
      { antennaHeight: 1.62, antennaHeightSd: 0.001, centringSd: 0.0007 },
      { sdPlan: 0.006, sdHeight: 0.02 },
    );
    expect(foot).toMatchObject({ e: 4100.25, n: 8100.5 });
    expect(foot.z).toBeCloseTo(5, 9);
    expect(Math.sqrt(foot.plan.ee)).toBeCloseTo(Math.hypot(0.008, 0.006, 0.0007), 9);
    expect(Math.sqrt(foot.varZ)).toBeCloseTo(Math.hypot(0.012, 0.02, 0.001), 9);
  });

  it('links the two heights of the pole by the offset', () => {
    expect(antennaHeightOf(1.5, 0.12)).toBeCloseTo(1.62, 12);
    // The antenna was raised with a section of 0.2 m, and only the target height followed.
    expect(antennaHeightMisfit(1.62, 1.7, 0.12)).toBeCloseTo(-0.2, 12);
    expect(codes({ antennaMisfit: -0.2 })).toEqual(['POLE_CHANGED']);
    expect(codes({ antennaMisfit: 0.001 })).toEqual([]);
  });

  it('takes the height from the tilting axis alone', () => {
    const instrument = { angleSd: 5e-6, distanceSd: 0.001, distanceSdRatio: 0 };
    const reduction = {
      combinedScaleFactor: 1,
      refraction: 0.13,
      earthRadius: 6_371_000,
      prismConstant: 0,
      atmosphericRatio: 0,
    };
    const sight = {
      face: 1 as const,
      circle: 1,
      zenith: Math.PI / 2,
      slope: 50,
      targetHeight: 1.5,
      targetHeightSd: 0.001,
      targetCentringSd: 0.001,
    };
    const height = heightFromAxis({ z: 6.5, sd: 0.002 }, reduceReading(sight, instrument, reduction))!;
    expect(height.z).toBeCloseTo(5.0002, 4);
    expect(Math.sqrt(height.variance)).toBeCloseTo(Math.hypot(0.002, 0.001, 50 * 5e-6), 5);
    expect(
      heightFromAxis({ z: 6.5, sd: 0.002 }, reduceReading({ ...sight, slope: null }, instrument, reduction)),
    ).toBeNull();
  });

  it('calls two heights apart only beyond what their precisions explain', () => {
    const receiver = { z: 5.06, variance: 0.02 ** 2 };
    expect(compareHeights(receiver, { z: 5, variance: 0.003 ** 2 })).toMatchObject({ apart: false });
    const apart = compareHeights(receiver, { z: 4.98, variance: 0.003 ** 2 });
    expect(apart).toMatchObject({ apart: true });
    expect(apart.difference).toBeCloseTo(0.08, 12);
    expect(apart.limit / apart.sd).toBeCloseTo(3.2905, 3);
  });

  it('keeps nothing while a part is missing, and says which', () => {
    expect(codes({})).toEqual([]);
    expect(codes({ reading: null })).toEqual(['NO_RECEIVER']);
    expect(codes({ reading: { ...READING, fix: 'float' } })).toEqual(['NOT_FIXED']);
    expect(codes({ reading: { ...READING, correctionAge: 11 } })).toEqual(['CORRECTIONS_OLD']);
    expect(codes({ reading: { ...READING, correctionAge: null } })).toEqual(['CORRECTIONS_OLD']);
    expect(codes({ hasAxis: false })).toEqual(['NO_AXIS']);
    expect(codes({ heightAge: 3 })).toEqual(['HEIGHT_OLD']);
  });

  it('gives no height without lock, however good the receiver’s own is', () => {
    const faults = pairFaults({ ...NOW, lock: 'lost' });
    expect(faults).toEqual([{ code: 'NOT_LOCKED', lost: true }]);
    expect(partsLeft(faults)).toEqual({ plan: true, height: false });
    expect(partsLeft(pairFaults({ ...NOW, reading: { ...READING, fix: 'float' } }))).toEqual({
      plan: false,
      height: true,
    });
  });

  it('wants a plumb pole, and no compensation beside a prism that hangs aside', () => {
    const lean = 3 * RADIANS_PER_DEGREE;
    const leaning = { ...READING, lean };
    const [fault] = pairFaults({ ...NOW, reading: leaning });
    expect(fault).toMatchObject({ code: 'NOT_PLUMB' });
    if (fault?.code !== 'NOT_PLUMB') throw new Error('not plumb');
    expect(fault.aside).toBeCloseTo(0.0848, 4);
    expect(fault.drop).toBeCloseTo(0.0021, 4);
    // Half a degree is 14 mm at this height: too much where 10 mm are allowed, enough where 20 mm are.
    const slight = { ...READING, lean: 0.5 * RADIANS_PER_DEGREE };
    expect(codes({ reading: slight })).toEqual(['NOT_PLUMB']);
    expect(codes({ reading: slight, largestAside: 0.02 })).toEqual([]);
    // Compensating is refused whether or not the pole leans at this moment.
    expect(codes({ reading: { ...READING, compensating: true } })).toEqual(['COMPENSATING']);
    expect(partsLeft(pairFaults({ ...NOW, reading: leaning }))).toEqual({ plan: false, height: false });
  });

  it('holds the two heights against each other only while both are good', () => {
    const compared = { difference: 0.2, sd: 0.02, limit: 0.066, apart: true };
    expect(codes({ compared })).toEqual(['HEIGHTS_APART']);
    expect(codes({ compared, lock: 'none' })).toEqual(['NOT_LOCKED']);
  });
});
