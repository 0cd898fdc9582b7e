import { describe, expect, it } from '@jest/globals';
import { RADIANS_PER_SECOND } from '../quantity/unit.ts';
import {
  advance,
  measure,
  search,
  setPole,
  setUpInstrument,
  startSimulator,
  walkTo,
  type SimulatorState,
} from './simulator.ts';
import {
  COMPENSATOR_RANGE,
  isCompensated,
  isLevel,
  levelStep,
  newStand,
  nextScrew,
  putDown,
  selfLevel,
  standOn,
  turnScrew,
  type SimulatedStand,
} from './stand.ts';
import type { GroundTruth } from './truth.ts';

const TRUTH: GroundTruth = {
  marks: [{ name: 'K1', e: 40, n: 0, z: 10 }],
  ground: { e: 0, n: 0, z: 10, slopeE: 0, slopeN: 0, waveHeight: 0, waveLength: 100 },
  obstructions: [],
};
const EXACT = { angleSd: 0, distanceSd: 0, distanceSdRatio: 0 };
const GOOD = 10 * RADIANS_PER_SECOND;

function ready(change: (state: SimulatorState) => SimulatorState = (state) => state): SimulatorState {
  let state = setUpInstrument(startSimulator(7, { e: 0, n: 0 }, TRUTH), TRUTH, { e: 0, n: 0 }, 1.6, 0);
  state = walkTo(state, TRUTH, 'K1');
  for (let i = 0; i < 60; i++) state = advance(state, TRUTH, EXACT, 1);
  return change(state);
}

const shoot = (state: SimulatorState): SimulatorState => {
  let next = search(state);
  for (let i = 0; i < 3; i++) next = advance(next, TRUTH, EXACT, 1);
  next = measure(next);
  for (let i = 0; i < 3; i++) next = advance(next, TRUTH, EXACT, 1);
  return next;
};

describe('the level of the simulated instrument', () => {
  it('is out when the tripod is put down, and comes in by the screw that is named', () => {
    for (const seed of [1, 20, 300, 4000]) {
      let stand: SimulatedStand = putDown(newStand, seed);
      expect(isCompensated(stand)).toBe(false);
      let turns = 0;
      for (;;) {
        // The display lags: whoever waits sees what is.
        for (let i = 0; i < 20; i++) stand = standOn(stand, 1, false);
        const next = nextScrew(stand.level, GOOD);
        if (!next) break;
        stand = turnScrew(stand, next.screw, next.lift * 0.6);
        expect(++turns).toBeLessThan(40);
      }
      expect(Math.hypot(stand.level.along, stand.level.across)).toBeLessThan(1.2 * GOOD);
      expect(isCompensated(stand)).toBe(true);
    }
  });

  it('comes in by what is taught: legs first, the two screws across against each other, then the third', () => {
    for (const seed of [1, 20, 300, 4000, 5, 77]) {
      let stand: SimulatedStand = putDown(newStand, seed);
      const taken: string[] = [];
      for (;;) {
        for (let i = 0; i < 20; i++) stand = standOn(stand, 1, false);
        const step = levelStep(stand.level);
        if (!step) break;
        taken.push(step.by);
        if (step.by === 'pair')
          stand = turnScrew(turnScrew(stand, step.right, step.lift * 0.8), step.left, -step.lift * 0.8);
        else stand = turnScrew(stand, step.by === 'leg' ? step.leg : step.screw, step.lift * 0.7);
        expect(taken.length).toBeLessThan(40);
      }
      expect(isLevel(stand)).toBe(true);
      expect(taken.slice(taken.findIndex((by) => by !== 'leg'))).not.toContain('leg');
    }
  });

  it('lifts the corner of a screw that goes clockwise: two across with both thumbs in raise the right', () => {
    const at = (along: number, across: number) =>
      levelStep({ along, across, shownAlong: along * RADIANS_PER_SECOND, shownAcross: across * RADIANS_PER_SECOND });
    // The right is low: its screw rises.
    expect(at(0, -100)).toMatchObject({
      by: 'pair',
      right: 1,
      left: 2,
      lift: expect.closeTo((100 * RADIANS_PER_SECOND) / Math.sqrt(3), 9),
    });
    // The front is high: its screw sinks.
    expect(at(100, 2)).toMatchObject({ by: 'screw', screw: 0, lift: -100 * RADIANS_PER_SECOND });
    expect(at(400, 0)).toMatchObject({ by: 'leg', leg: 0 });
    expect(at(3, 3)).toBeNull();
    const level = { along: 0, across: 100 * RADIANS_PER_SECOND, shownAlong: 0, shownAcross: 100 * RADIANS_PER_SECOND };
    const turned = turnScrew(turnScrew({ ...newStand, level }, 1, at(0, 100)!.lift), 2, -at(0, 100)!.lift);
    expect(Math.hypot(turned.level.along, turned.level.across)).toBeLessThan(1e-12);
  });

  it('is not in while the display only passes through the middle', () => {
    const far = 400 * RADIANS_PER_SECOND;
    expect(isLevel({ ...newStand, level: { along: far, across: 0, shownAlong: 0, shownAcross: 0 } })).toBe(false);
    expect(isLevel({ ...newStand, level: { along: 0, across: 0, shownAlong: far, shownAcross: 0 } })).toBe(false);
    expect(isLevel(newStand)).toBe(true);
  });

  it('shows late what a screw does', () => {
    const stand = standOn(turnScrew(newStand, 0, COMPENSATOR_RANGE), 0.3, false);
    expect(stand.level.shownAlong).toBeLessThan(stand.level.along / 2);
  });

  it('that is out of reach keeps the instrument from measuring, with the reason', () => {
    const tilted = ready((state) => ({ ...state, stand: putDown(state.stand, 5) }));
    expect(search(tilted).trouble).toEqual({ code: 'NOT_LEVEL' });
    expect(shoot({ ...tilted, stand: selfLevel(tilted.stand) }).shot).not.toBeNull();
  });

  it('is brought in by the instrument itself when it is set up without', () => {
    const put = { ...startSimulator(7, { e: 0, n: 0 }, TRUTH), stand: putDown(newStand, 5) };
    expect(isCompensated(setUpInstrument(put, TRUTH, { e: 0, n: 0 }, 1.6).stand)).toBe(true);
  });
});

describe('what the simulated instrument runs on', () => {
  it('is used up by a day’s work and by nothing else', () => {
    expect(standOn(newStand, 8 * 3600, true).battery).toBe(0);
    expect(standOn(newStand, 8 * 3600, false).battery).toBe(1);
    const empty = ready((state) => ({ ...state, stand: { ...state.stand, battery: 0 } }));
    expect(search(empty).trouble).toEqual({ code: 'BATTERY_EMPTY' });
  });

  it('is a radio channel that another crew may have taken', () => {
    const clash = ready((state) => ({ ...state, stand: { ...state.stand, channel: 3 } }));
    expect(search(clash).trouble).toEqual({ code: 'CHANNEL_CLASH', channel: 3 });
  });
});

describe('the prism on the simulated pole', () => {
  it('is read in both faces, which agree', () => {
    const direct = shoot(ready()).shot!;
    let state = search(ready());
    for (let i = 0; i < 3; i++) state = advance(state, TRUTH, EXACT, 1);
    state = measure(state, 2);
    for (let i = 0; i < 3; i++) state = advance(state, TRUTH, EXACT, 1);
    const reverse = state.shot!;
    expect(reverse.zenith + direct.zenith).toBeCloseTo(2 * Math.PI, 4);
    expect(Math.cos(reverse.circle - direct.circle)).toBeCloseTo(-1, 6);
  });

  it('reads short by its constant', () => {
    const plain = shoot(ready()).shot!;
    const other = shoot(ready((state) => setPole(state, { prismConstant: 0.0175 }))).shot!;
    expect(plain.slope! - other.slope!).toBeCloseTo(0.0175, 3);
  });
});
