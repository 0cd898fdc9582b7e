import { describe, expect, it } from '@jest/globals';
import { planDistance } from '../plane/point.ts';
import { RADIANS_PER_DEGREE, RADIANS_PER_SECOND } from '../quantity/unit.ts';
import {
  advance,
  driveHub,
  liveReading,
  measure,
  placeHub,
  search,
  setUpInstrument,
  startSimulator,
  trueReading,
  walkNear,
  walkTo,
  type SimulatorState,
} from './simulator.ts';
import { groundHeight, type GroundTruth } from './truth.ts';

const TRUTH: GroundTruth = {
  marks: [
    { name: 'K1', e: 40, n: 10, z: 5.2 },
    { name: 'K2', e: 10, n: 60, z: 5.4 },
    { name: 'K3', e: 0, n: 0, z: 5, covered: true },
    { name: 'K4', e: -30, n: 10, z: 5.1 },
  ],
  ground: { e: 0, n: 0, z: 5, slopeE: 0.01, slopeN: 0, waveHeight: 0.1, waveLength: 80 },
  obstructions: [
    {
      name: 'cabin',
      height: 3,
      outline: [
        { e: -20, n: 0 },
        { e: -15, n: 0 },
        { e: -15, n: 20 },
        { e: -20, n: 20 },
      ],
    },
  ],
};
const PRECISION = { angleSd: RADIANS_PER_SECOND, distanceSd: 0.001, distanceSdRatio: 1.5e-6 };
const start = (seed = 1) => setUpInstrument(startSimulator(seed, { e: 5, n: 5 }, TRUTH), TRUTH, { e: 10, n: 10 }, 1.6);

function run(state: SimulatorState, seconds: number): SimulatorState {
  let now = state;
  for (let t = 0; t < seconds; t += 0.1) now = advance(now, TRUTH, PRECISION, 0.1);
  return now;
}

describe('the simulator', () => {
  it('gives the same run for the same seed, another for another', () => {
    const shoot = (seed: number) => run(measure(run(search(run(walkTo(start(seed), TRUTH, 'K1'), 40)), 3)), 2).shot;
    expect(shoot(7)).toEqual(shoot(7));
    expect(shoot(7)).not.toEqual(shoot(8));
  });

  it('walks, finds, follows and measures within its noise', () => {
    const there = run(walkTo(start(), TRUTH, 'K1'), 40);
    expect(there.pole).toMatchObject({ e: 40, n: 10, z: 5.2, onto: 'K1' });
    const locked = run(search(there), 2);
    expect(locked.lock).toBe('locked');
    expect(liveReading(locked, PRECISION)).not.toBeNull();
    const shot = run(measure(locked), 2).shot!;
    const exact = trueReading(locked.instrument!, { e: 40, n: 10, z: 6.7 });
    expect(Math.abs(shot.slope! - exact.slope)).toBeLessThan(0.008);
    expect(Math.abs(Math.sin(shot.circle - exact.circle)) * shot.slope!).toBeLessThan(0.008);
  });

  it('searches the part of the horizon that it is told to, and says when the prism is not in it', () => {
    // From (10, 10) the pole at K1 stands due east; the telescope points 40° to the left of it.
    const there = run(walkTo(start(), TRUTH, 'K1'), 40);
    const toward = trueReading(there.instrument!, { e: 40, n: 10, z: 6.7 }).circle;
    const aimed = { ...there, circle: toward - 40 * RADIANS_PER_DEGREE };
    const found = (side: 'left' | 'right' | 'both', degrees: number) =>
      run(search(aimed, { side, width: degrees * RADIANS_PER_DEGREE }), 2);
    expect(found('right', 45).lock).toBe('locked');
    expect(found('both', 90).lock).toBe('locked');
    expect(run(search(aimed), 2).lock).toBe('locked');
    for (const nothing of [found('left', 90), found('right', 30), found('both', 60)])
      expect(nothing).toMatchObject({ lock: 'none', trouble: { code: 'NOT_IN_WINDOW' } });
  });

  it('loses the prism behind a cabin and says which', () => {
    const locked = run(search(start()), 2);
    const walked = walkTo(locked, TRUTH, 'K4');
    let lost: SimulatorState = walked;
    for (let i = 0; i < 600 && lost.trouble === null; i++) lost = advance(lost, TRUTH, PRECISION, 0.1);
    expect(lost).toMatchObject({ lock: 'lost', trouble: { code: 'HIDDEN', by: 'cabin' } });
    expect(liveReading(lost, PRECISION)).toBeNull();
  });

  it('can not stand on a covered mark, nor find one that is not there', () => {
    expect(walkTo(start(), TRUTH, 'K3').trouble).toEqual({ code: 'MARK_COVERED', name: 'K3' });
    expect(walkTo(start(), TRUTH, 'K9').trouble).toEqual({ code: 'NO_SUCH_MARK', name: 'K9' });
  });

  it('does not measure while walking, unlocked, or without an instrument', () => {
    expect(measure(start()).trouble).toEqual({ code: 'NOT_LOCKED' });
    expect(measure(walkTo(start(), TRUTH, 'K1')).trouble).toEqual({ code: 'POLE_MOVING' });
    expect(search(startSimulator(1, { e: 0, n: 0 }, TRUTH)).trouble).toEqual({ code: 'NOT_SET_UP' });
  });

  it('knows where something stands on its ground, whoever has no height', () => {
    const place = { e: 12, n: 34 };
    const on = (above?: number) =>
      placeHub(start(), TRUTH, { name: 'A-1', ...place, z: null, ...(above === undefined ? {} : { above }) }).hubs[0]!;
    expect(on().z).toBeCloseTo(groundHeight(TRUTH, place), 9);
    expect(on(2.5).z).toBeCloseTo(groundHeight(TRUTH, place) + 2.5, 9);
    const pole = run(walkTo(placeHub(start(), TRUTH, { name: 'A-1', ...place, z: null }), TRUTH, 'A-1'), 60).pole;
    expect(pole).toMatchObject({ onto: 'A-1', z: expect.closeTo(groundHeight(TRUTH, place), 9) });
    expect(placeHub(start(), TRUTH, { name: 'B', ...place, z: 7 }).hubs[0]!.z).toBe(7);
  });

  it('stops half a metre to two metres off a place that nothing marks, elsewhere each time', () => {
    const goal = { e: 20, n: 30 };
    let state = start();
    const stops = Array.from({ length: 30 }, () => {
      state = run(walkNear(state, TRUTH, goal), 60);
      return { e: state.pole.e, n: state.pole.n };
    });
    for (const stop of stops) {
      expect(planDistance(stop, goal)).toBeGreaterThanOrEqual(0.5);
      expect(planDistance(stop, goal)).toBeLessThanOrEqual(2);
    }
    expect(new Set(stops.map(({ e }) => e.toFixed(3))).size).toBeGreaterThan(25);
  });

  it('builds what was only drawn a little beside, always at the same place', () => {
    const built = (name: string) => placeHub(start(), TRUTH, { name, e: 0, n: 0, z: null, builtSd: 0.005 }).hubs[0]!;
    expect(built('A1')).toEqual(built('A1'));
    expect(built('A1').e).not.toBe(built('A2').e);
    const off = Array.from({ length: 400 }, (_, i) => built(`A${i}`).e);
    expect(Math.sqrt(off.reduce((sum, each) => sum + each * each, 0) / off.length)).toBeGreaterThan(0.0042);
    expect(Math.sqrt(off.reduce((sum, each) => sum + each * each, 0) / off.length)).toBeLessThan(0.0058);
  });

  it('drives hubs whose top stands above the ground, a little aside', () => {
    const driven = driveHub(start(), TRUTH, 'H1');
    expect(driven.pole.onto).toBe('H1');
    expect(driven.pole.z - groundHeight(TRUTH, driven.pole)).toBeGreaterThan(0.07);
    expect(Math.hypot(driven.pole.e - 5, driven.pole.n - 5)).toBeLessThan(0.006);
  });
});
