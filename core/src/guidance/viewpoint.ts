/**
 * The same move in the words and on the picture of whoever walks: one pair of numbers for both, so that
 * a walker who obeys only the words arrives where the picture says.
 */
import { wrapTurn } from '../quantity/angle.ts';
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

/** Place on an even graduation that ends at `end` on both sides, -1 to 1; farther than that is at its edge. */
export const evenGraduation = (x: Metres, end: Metres): number => Math.max(-1, Math.min(1, x / end));

/** Beyond this the pole lies past the edge of the scales. */
export const isPastEdge = ({ up, right }: Move, end: Metres = GRADUATION_END): boolean =>
  Math.max(Math.abs(up), Math.abs(right)) > end;

/** The pole comes to hold well inside the tolerance and leaves it at its edge: a trembling figure changes nothing. */
const HOLD_FROM = 0.8;

/** Whether the pole is to be held where it is; `held` is whether it was before this reading. */
export const holds = (distance: Metres, tolerance: Metres, held: boolean): boolean =>
  distance <= (held ? tolerance : HOLD_FROM * tolerance);

const CLOSE_UNDER: Metres = 0.02;
const CLOSE_UNTIL: Metres = 0.03;

/** Whether the even scales of the last centimetres are shown; `was` is whether they were before this reading. */
export const isCloseUp = ({ up, right }: Move, was: boolean): boolean =>
  Math.max(Math.abs(up), Math.abs(right)) < (was ? CLOSE_UNTIL : CLOSE_UNDER);

/** How big the move is, in one word: walk, move, nudge, hold. */
export type MoveGrade = 'walk' | 'move' | 'nudge' | 'hold';

/** From here on one walks, and a figure needs no more than one decimal. */
export const WALK_FROM: Metres = 2;
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

/** Eighths of a turn to the right of where somebody looks. */
const ASIDE = ['ahead', 'aheadRight', 'right', 'behindRight', 'behind', 'behindLeft', 'left', 'aheadLeft'] as const;
export type Aside = (typeof ASIDE)[number];

/** Where something lies for a person who looks along `facing`; both azimuths. */
export const asideOf = (facing: Radians, direction: Radians): Aside =>
  ASIDE[Math.round(wrapTurn(direction - facing) / (Math.PI / 4)) % 8]!;
