import { describe, expect, it } from '@jest/globals';
import { RADIANS_PER_DEGREE, RADIANS_PER_SECOND } from '../quantity/unit.ts';
import type { ReceiverReading } from '../receiver/pair.ts';
import {
  advance,
  liveReading,
  liveReceiver,
  search,
  setUpInstrument,
  startSimulator,
  switchReceiver,
  walkTo,
  type SimulatorState,
} from './simulator.ts';
import type { GroundTruth } from './truth.ts';

const TRUTH: GroundTruth = {
  marks: [{ name: 'K1', e: 40, n: 10, z: 5.2 }],
  ground: { e: 0, n: 0, z: 5, slopeE: 0, slopeN: 0, waveHeight: 0, waveLength: 80 },
  obstructions: [
    {
      name: 'hall wall',
      height: 6,
      outline: [
        { e: 60, n: 0 },
        { e: 62, n: 0 },
        { e: 62, n: 20 },
        { e: 60, n: 20 },
      ],
    },
  ],
  receiver: { dE: 0.1, dN: 0, dZ: -0.2 },
};
const PRECISION = { angleSd: RADIANS_PER_SECOND, distanceSd: 0.001, distanceSdRatio: 0 };

function run(state: SimulatorState, seconds: number): SimulatorState {
  let now = state;
  for (let t = 0; t < seconds; t += 0.1) now = advance(now, TRUTH, PRECISION, 0.1);
  return now;
}
const onK1 = (seed = 1) =>
  run(
    walkTo(
      switchReceiver(startSimulator(seed, { e: 35, n: 10 }, TRUTH), { on: true, compensating: false }),
      TRUTH,
      'K1',
    ),
    30,
  );
const read = (state: SimulatorState): ReceiverReading => liveReceiver(state, TRUTH)!.reading;

/** Mean of readings that are far enough apart in time to know little of each other. */
function mean(of: (reading: ReceiverReading) => number, compensating: boolean): number {
  let state = switchReceiver(onK1(5), { compensating });
  let sum = 0;
  for (let i = 0; i < 60; i++) {
    state = run(state, 60);
    const live = liveReceiver(state, TRUTH)!;
    sum += of(live.reading);
    state = live.state;
  }
  return sum / 60;
}

describe('the simulated receiver', () => {
  it('shows nothing until it is switched on, then floats, then is fixed', () => {
    const start = startSimulator(3, { e: 0, n: 0 }, TRUTH);
    expect(liveReceiver(run(start, 5), TRUTH)).toBeNull();
    const on = switchReceiver(start, { on: true });
    expect(read(on).fix).toBe('single');
    expect(read(run(on, 2))).toMatchObject({ fix: 'float', compensating: true });
    expect(read(run(on, 12))).toMatchObject({ fix: 'fixed' });
    expect(read(run(on, 2)).sdPlan).toBeGreaterThan(0.1);
    expect(read(run(on, 12)).sdPlan).toBeLessThan(0.01);
  });

  it('changes nothing about the instrument’s own noise', () => {
    const locked = run(
      search(
        setUpInstrument(
          run(walkTo(startSimulator(9, { e: 35, n: 10 }, TRUTH), TRUTH, 'K1'), 30),
          TRUTH,
          { e: 0, n: 0 },
          1.6,
        ),
      ),
      3,
    );
    const both = run(switchReceiver(locked, { on: true }), 5);
    expect(liveReading(both, PRECISION)!.reading).toEqual(liveReading(run(locked, 5), PRECISION)!.reading);
  });

  it('reads its reference point over the tip, shifted as the fit to the site is', () => {
    const height = 1.5 + 0.12;
    expect(Math.abs(mean(({ e }) => e, false) - 40.1)).toBeLessThan(0.003);
    expect(Math.abs(mean(({ n }) => n, false) - 10)).toBeLessThan(0.003);
    expect(Math.abs(mean(({ z }) => z, false) - (5.2 - 0.2 + height))).toBeLessThan(0.005);
  });

  it('loses the fix when corrections stay away, and takes a while to get it back', () => {
    const cut = run(switchReceiver(onK1(), { linked: false }), 12);
    expect(read(cut).fix).toBe('fixed');
    expect(read(cut).correctionAge).toBeGreaterThan(10);
    expect(read(run(cut, 15)).fix).toBe('float');
    expect(read(run(cut, 60)).fix).toBe('single');
    const back = switchReceiver(run(cut, 60), { linked: true });
    expect(read(run(back, 3)).fix).toBe('float');
    expect(read(run(back, 12)).fix).toBe('fixed');
  });

  it('floats beside something high that hides the sky', () => {
    const there = run(walkTo(onK1(), TRUTH, { e: 59, n: 10 }), 40);
    expect(read(there).fix).toBe('float');
    expect(read(run(walkTo(there, TRUTH, { e: 40, n: 30 }), 60)).fix).toBe('fixed');
  });

  it('leans while it is carried, and shows the tip while it compensates', () => {
    const standing = read(onK1()).lean!;
    const walking = run(walkTo(onK1(), TRUTH, { e: 0, n: 10 }), 1);
    expect(walking.walk).not.toBeNull();
    expect(standing).toBeLessThan(0.3 * RADIANS_PER_DEGREE);
    expect(read(walking).lean!).toBeGreaterThan(0.3 * RADIANS_PER_DEGREE);
    const moved = { ...walking, receiver: { ...walking.receiver, lean: { e: 5 * RADIANS_PER_DEGREE, n: 0 } } };
    const plain = read(moved).e;
    expect(plain - read(switchReceiver(moved, { compensating: true })).e).toBeCloseTo(
      1.62 * Math.sin(5 * RADIANS_PER_DEGREE),
      6,
    );
  });
});
