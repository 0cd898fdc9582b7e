/**
 * The same move in the words and on the picture of whoever walks: one pair of numbers for both, so that
 * a walker who obeys only the words arrives where the picture says.
 */
import type { Metres, Radians } from '../quantity/unit.ts';

export const VIEWPOINTS = ['facingInstrument', 'fromInstrument', 'alongLine', 'north'] as const;
/** What the top of the board is: the instrument, away from it, ahead along the line, or grid north. */
export type Viewpoint = (typeof VIEWPOINTS)[number];

export interface MoveInput {
  readonly deltaE: Metres;
  readonly deltaN: Metres;
  /** Positive away from the instrument. */
  readonly moveOut: Metres;
  /** Positive right, seen from the instrument and seen by the person at the pole facing it. */
  readonly moveRightFromInstrument: Metres;
  readonly moveRightFromPole: Metres;
}

/** Move to make, in the frame of the viewpoint: `up` toward the top of the board, `right` to its right. */
export interface Move {
  readonly up: Metres;
  readonly right: Metres;
}

/** `lineAzimuth` is the direction "ahead" of the line being marked; it is only used by `alongLine`. */
export function moveFor(viewpoint: Viewpoint, input: MoveInput, lineAzimuth: Radians): Move {
  switch (viewpoint) {
    case 'facingInstrument':
      return { up: -input.moveOut, right: input.moveRightFromPole };
    case 'fromInstrument':
      return { up: input.moveOut, right: input.moveRightFromInstrument };
    case 'north':
      return { up: input.deltaN, right: input.deltaE };
    case 'alongLine': {
      const sine = Math.sin(lineAzimuth);
      const cosine = Math.cos(lineAzimuth);
      return { up: input.deltaE * sine + input.deltaN * cosine, right: input.deltaE * cosine - input.deltaN * sine };
    }
  }
}

/** Step inside which the graduation is nearly even, and where it ends. */
const GRADUATION_STEP: Metres = 0.01;
const GRADUATION_END: Metres = 2;

/** Place on the symmetric logarithmic graduation, -1 to 1. */
export function graduation(x: Metres): number {
  const position =
    (Math.sign(x) * Math.log1p(Math.abs(x) / GRADUATION_STEP)) / Math.log1p(GRADUATION_END / GRADUATION_STEP);
  return Math.max(-1, Math.min(1, position));
}

/** How big the move is, in one word: walk, move, nudge, hold. */
export type MoveGrade = 'walk' | 'move' | 'nudge' | 'hold';

const WALK_FROM: Metres = 2;
const NUDGE_UNDER: Metres = 0.1;

export function moveGrade(distance: Metres, tolerance: Metres): MoveGrade {
  if (distance <= tolerance) return 'hold';
  if (distance < NUDGE_UNDER) return 'nudge';
  return distance < WALK_FROM ? 'move' : 'walk';
}

/** Nearer than this the tape is quicker than another shot (5 ft). */
export const TAPE_UNDER: Metres = 1.5;

/** Whether to offer the tape: near, but not there yet. */
export const tapeAdvised = (distance: Metres, tolerance: Metres): boolean =>
  distance < TAPE_UNDER && distance > Math.max(tolerance, NUDGE_UNDER / 2);
