import { describe, expect, it } from '@jest/globals';
import fc from 'fast-check';
import { azimuth, polar, type PlanPoint } from '../plane/point.ts';
import {
  asideOf,
  evenGraduation,
  graduation,
  holds,
  isCloseUp,
  isPastEdge,
  moveFor,
  moveGrade,
  tapeAdvised,
  VIEWPOINTS,
  type Viewpoint,
} from './viewpoint.ts';
import { stake } from './stake.ts';

const STATION = {
  e: 100,
  n: 200,
  z: 10,
  orientation: 0.4,
  covariance: [
    [1e-6, 0, 0],
    [0, 1e-6, 0],
    [0, 0, 1e-10],
  ],
  sdTrunnionZ: 0.001,
} as const;
const LINE = 2.1;

/** What the instrument sees of a pole at a place. */
function stakeFrom(pole: PlanPoint, target: PlanPoint) {
  const distance = Math.hypot(pole.e - STATION.e, pole.n - STATION.n);
  const result = stake({
    instrument: { angleSd: 5e-6, distanceSd: 0.001, distanceSdRatio: 1e-6 },
    station: STATION,
    setup: { instrumentHeight: 1.6, instrumentHeightSd: 0.001 },
    reduction: {
      combinedScaleFactor: 1,
      refraction: 0.13,
      earthRadius: 6371000,
      prismConstant: 0,
      atmosphericRatio: 0,
    },
    target: { ...target, z: null },
    reading: {
      face: 1,
      circle: azimuth(STATION, pole) - STATION.orientation,
      zenith: Math.PI / 2,
      slope: distance,
      targetHeight: 1.5,
      targetHeightSd: 0.001,
      targetCentringSd: 0.001,
    },
  });
  if (!result.ok) throw new Error(result.error.code);
  return result.value;
}

/** Where a walker ends who obeys only up/down and left/right of the viewpoint, standing where the pole is. */
function obey(viewpoint: Viewpoint, pole: PlanPoint, move: { up: number; right: number }): PlanPoint {
  const toInstrument = azimuth(pole, STATION);
  const front = { facingInstrument: toInstrument, fromInstrument: toInstrument + Math.PI, alongLine: LINE, north: 0 }[
    viewpoint
  ];
  return polar(polar(pole, front, move.up), front + Math.PI / 2, move.right);
}

describe('moves in words', () => {
  it.each(VIEWPOINTS)('%s: a walker who obeys only the words arrives, from every quadrant', (viewpoint) => {
    fc.assert(
      fc.property(
        fc.double({ min: 0, max: 6.28, noNaN: true }),
        fc.double({ min: 5, max: 80, noNaN: true }),
        fc.double({ min: -3, max: 3, noNaN: true }),
        fc.double({ min: -3, max: 3, noNaN: true }),
        (direction, distance, de, dn) => {
          const target = polar(STATION, direction, distance);
          const pole = { e: target.e + de, n: target.n + dn };
          const move = moveFor(viewpoint, stakeFrom(pole, target), LINE);
          const end = obey(viewpoint, pole, move);
          expect(Math.hypot(end.e - target.e, end.n - target.n)).toBeLessThan(1e-6);
        },
      ),
    );
  });

  it('takes the instrument to lie at the top when facing it', () => {
    const target = { e: 100, n: 240 };
    // The pole is beyond the target and to the east: facing south toward the instrument, east is left.
    const move = moveFor('facingInstrument', stakeFrom({ e: 101, n: 243 }, target), 0);
    expect(move.up).toBeGreaterThan(2.5);
    expect(move.right).toBeGreaterThan(0.5);
  });
});

describe('the graduation', () => {
  it('is symmetric, rising, and clamped at two metres', () => {
    expect(graduation(0)).toBe(0);
    expect(graduation(2)).toBeCloseTo(1, 12);
    expect(graduation(5)).toBe(1);
    expect(graduation(-0.05)).toBeCloseTo(-graduation(0.05), 12);
    expect(graduation(0.05)).toBeGreaterThan(graduation(0.01));
  });
});

describe('grades of a move', () => {
  it.each([
    [0.004, 'hold'],
    [0.05, 'nudge'],
    [0.6, 'move'],
    [12, 'walk'],
  ] as const)('%s m is %s', (distance, word) => {
    expect(moveGrade(distance, 0.006)).toBe(word);
  });

  it('offers the tape under five feet, not when already there', () => {
    expect(tapeAdvised(1.4, 0.006)).toBe(true);
    expect(tapeAdvised(1.6, 0.006)).toBe(false);
    expect(tapeAdvised(0.005, 0.006)).toBe(false);
  });
});

describe('what is shown at the pole', () => {
  it('holds from eight tenths of the tolerance until the tolerance itself', () => {
    expect(holds(0.0047, 0.006, false)).toBe(true);
    expect(holds(0.0049, 0.006, false)).toBe(false);
    expect(holds(0.0059, 0.006, true)).toBe(true);
    expect(holds(0.0061, 0.006, true)).toBe(false);
  });

  it('comes close under 20 mm and goes back at 30, so that no reading between the two changes the scales', () => {
    fc.assert(
      fc.property(fc.double({ min: 0.0201, max: 0.0299, noNaN: true }), fc.boolean(), (off, was) => {
        expect(isCloseUp({ up: off, right: -off / 2 }, was)).toBe(was);
      }),
    );
    expect(isCloseUp({ up: 0.001, right: -0.019 }, false)).toBe(true);
    expect(isCloseUp({ up: 0.001, right: -0.031 }, true)).toBe(false);
  });

  it('is past the edge beyond two metres on either axis, and stays at the edge of the even scales', () => {
    expect(isPastEdge({ up: 0, right: -2.01 })).toBe(true);
    expect(isPastEdge({ up: 1.99, right: -1.99 })).toBe(false);
    expect(evenGraduation(-0.01, 0.02)).toBe(-0.5);
    expect(evenGraduation(0.05, 0.02)).toBe(1);
  });
});

describe('asideOf', () => {
  it('tells where something lies for who looks that way, whichever way that is', () => {
    fc.assert(
      fc.property(fc.double({ min: 0, max: 2 * Math.PI, noNaN: true }), (facing) => {
        const ways = Array.from({ length: 8 }, (_, i) => asideOf(facing, facing + (i * Math.PI) / 4 + 0.1));
        expect(ways).toEqual([
          'ahead',
          'aheadRight',
          'right',
          'behindRight',
          'behind',
          'behindLeft',
          'left',
          'aheadLeft',
        ]);
      }),
    );
  });
});
