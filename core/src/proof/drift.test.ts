import { describe, expect, it } from '@jest/globals';
import fc from 'fast-check';
import { normal } from '../simulator/random.ts';
import { driftOf, type Sample } from './drift.ts';

const series = (values: readonly number[], sd = 1): Sample[] => values.map((value, i) => ({ at: i * 60, value, sd }));

function noise(seed: number, count: number): number[] {
  let state = seed;
  return Array.from({ length: count }, () => {
    const draw = normal(state);
    state = draw.state;
    return draw.value;
  });
}

describe('the drift of a series of proofs', () => {
  it('is none where there is too little to tell, or nothing happened', () => {
    expect(driftOf(series([0, 9]))).toEqual({ kind: 'none' });
    expect(driftOf(series([0.3, -0.5, 0.9, -1.1, 0.2]))).toEqual({ kind: 'none' });
  });

  it('is a step at its moment, by its size', () => {
    const drift = driftOf(series([0.2, -0.4, 0.1, 8.3, 7.9, 8.1]));
    expect(drift).toMatchObject({ kind: 'step', from: 120, to: 180 });
    expect((drift as { size: number }).size).toBeCloseTo(8.13, 1);
  });

  it('is a creep where it grows from proof to proof', () => {
    const drift = driftOf(series([0, 2.1, 3.9, 6.2, 8.0, 9.8]));
    expect(drift.kind).toBe('creep');
    expect((drift as { perTime: number }).perTime * 60).toBeCloseTo(2, 1);
  });

  it('weighs a poor proof less than a good one', () => {
    const samples = series([0, 0, 0, 6, 0, 0]).map((sample) => (sample.value === 6 ? { ...sample, sd: 10 } : sample));
    expect(driftOf(samples)).toEqual({ kind: 'none' });
  });

  it('accuses about one faultless day in a hundred, and finds a step of five sigma nearly always', () => {
    let accused = 0;
    let found = 0;
    const days = 600;
    for (let seed = 1; seed <= days; seed++) {
      const values = noise(seed * 7919, 8);
      if (driftOf(series(values)).kind !== 'none') accused++;
      const bumped = driftOf(series(values.map((value, i) => value + (i < 4 ? 0 : 5))));
      if (bumped.kind === 'step' && Math.abs(bumped.to - 240) <= 60) found++;
    }
    expect(accused / days).toBeLessThan(0.025);
    expect(found / days).toBeGreaterThan(0.9);
  });

  it('does not depend on where the scale begins', () => {
    fc.assert(
      fc.property(
        fc.array(fc.double({ min: -20, max: 20, noNaN: true }), { minLength: 3, maxLength: 12 }),
        fc.double({ min: -50, max: 50, noNaN: true }),
        (values, shift) => {
          const here = driftOf(series(values));
          const there = driftOf(series(values.map((value) => value + shift)));
          expect(there.kind).toBe(here.kind);
        },
      ),
    );
  });
});
