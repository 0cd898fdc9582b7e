/**
 * What the simulated instrument stands on and runs on: a level to be brought in by three foot screws, a battery, a
 * radio channel. Pure, like the rest; tilts in radians, positive where that side is high.
 */
import { RADIANS_PER_SECOND, type Radians } from '../quantity/unit.ts';
import { uniform } from './random.ts';

export interface SimulatedLevel {
  /** As it is: toward the display, and to its right. */
  readonly along: Radians;
  readonly across: Radians;
  /** As the display shows it: it lags behind. */
  readonly shownAlong: Radians;
  readonly shownAcross: Radians;
}

export interface SimulatedStand {
  readonly level: SimulatedLevel;
  /** 1 is full. */
  readonly battery: number;
  readonly channel: number;
}

/** Seen from the display: one screw in front, two behind; each lifts its own corner. */
const SCREWS: readonly Radians[] = [0, (2 * Math.PI) / 3, (4 * Math.PI) / 3];
/** Time constant of the display, seconds. */
const DISPLAY_LAG = 0.9;
/** The compensator takes out so much and no more. */
export const COMPENSATOR_RANGE: Radians = 240 * RADIANS_PER_SECOND;
const CARRIED_TILT: Radians = 420 * RADIANS_PER_SECOND;
const LEVELLED: Radians = 2 * RADIANS_PER_SECOND;
const BATTERY_SECONDS = 7.5 * 3600;
/** Channels that other crews work on: whoever takes one of them gets their readings in between. */
export const BUSY_CHANNELS: readonly number[] = [3, 7];
export const CHANNELS: readonly number[] = [1, 2, 3, 4, 5, 6, 7, 8];

export const newStand: SimulatedStand = {
  level: { along: LEVELLED, across: -LEVELLED, shownAlong: LEVELLED, shownAcross: -LEVELLED },
  battery: 1,
  channel: 1,
};

/** The tripod was carried and put down: nothing is level, by an amount that `seed` tells. */
export function putDown(stand: SimulatedStand, seed: number): SimulatedStand {
  const size = uniform(seed);
  const way = uniform(size.state);
  const tilt = CARRIED_TILT * (0.7 + 0.6 * size.value);
  const along = tilt * Math.cos(2 * Math.PI * way.value);
  const across = tilt * Math.sin(2 * Math.PI * way.value);
  return { ...stand, level: { along, across, shownAlong: along, shownAcross: across } };
}

/** Turns a foot screw: `lift` is what its corner rises by, as tilt. */
export function turnScrew(stand: SimulatedStand, screw: number, lift: Radians): SimulatedStand {
  const direction = SCREWS[screw];
  if (direction === undefined) return stand;
  const { level } = stand;
  return {
    ...stand,
    level: {
      ...level,
      along: level.along + lift * Math.cos(direction),
      across: level.across + lift * Math.sin(direction),
    },
  };
}

/** Which screw to turn and by how much, for the one that helps most; null when it is level. */
export function nextScrew(
  { shownAlong, shownAcross }: SimulatedLevel,
  goodEnough: Radians,
): { readonly screw: number; readonly lift: Radians } | null {
  if (Math.hypot(shownAlong, shownAcross) <= goodEnough) return null;
  const lifts = SCREWS.map((direction) => -(shownAlong * Math.cos(direction) + shownAcross * Math.sin(direction)));
  const screw = lifts.reduce((best, lift, i) => (Math.abs(lift) > Math.abs(lifts[best]!) ? i : best), 0);
  return { screw, lift: lifts[screw]! };
}

/** Inside this the compensator has next to nothing to do. */
export const LEVEL_GOOD: Radians = 10 * RADIANS_PER_SECOND;
/** Beyond this the foot screws run out of travel: the legs come first. */
const BY_LEGS: Radians = 300 * RADIANS_PER_SECOND;

/** It is in, and the display, which lags, says so too: passing through the middle is not being there. */
export const isLevel = ({ level }: SimulatedStand): boolean =>
  Math.hypot(level.along, level.across) <= LEVEL_GOOD && Math.hypot(level.shownAlong, level.shownAcross) <= LEVEL_GOOD;

/**
 * What to do next, as one is taught: the legs while it is far out; then the two screws across, against each other; then
 * the third. Screws are numbered from the one in front, clockwise from above. A screw that is turned clockwise, from
 * above, lifts its corner.
 */
export type LevelStep =
  | { readonly by: 'leg'; readonly leg: number; readonly lift: Radians }
  /** `lift` of the screw at the right, seen from the display; the left one goes as far the other way. */
  | { readonly by: 'pair'; readonly right: number; readonly left: number; readonly lift: Radians }
  | { readonly by: 'screw'; readonly screw: number; readonly lift: Radians };

/** Null where it is in, as the display shows it. */
export function levelStep(level: SimulatedLevel): LevelStep | null {
  const { shownAlong, shownAcross } = level;
  const tilt = Math.hypot(shownAlong, shownAcross);
  if (tilt <= LEVEL_GOOD) return null;
  if (tilt > BY_LEGS) {
    const { screw, lift } = nextScrew(level, LEVEL_GOOD)!;
    return { by: 'leg', leg: screw, lift };
  }
  // Together the two behind tilt it sideways alone, each by the half of what both do.
  if (Math.abs(shownAcross) > Math.max(LEVEL_GOOD / 2, Math.abs(shownAlong) / 4))
    return { by: 'pair', right: 1, left: 2, lift: -shownAcross / (2 * Math.sin(SCREWS[1]!)) };
  return { by: 'screw', screw: 0, lift: -shownAlong };
}

/** Levels itself by motor. */
export const selfLevel = (stand: SimulatedStand): SimulatedStand => ({ ...stand, level: newStand.level });

export const isCompensated = ({ level }: SimulatedStand): boolean =>
  Math.hypot(level.along, level.across) <= COMPENSATOR_RANGE;
export const isClashing = ({ channel }: SimulatedStand): boolean => BUSY_CHANNELS.includes(channel);

/** Time passes: the display follows; a battery that is `inUse` goes down. */
export function standOn(stand: SimulatedStand, seconds: number, inUse: boolean): SimulatedStand {
  const { level } = stand;
  const share = 1 - Math.exp(-seconds / DISPLAY_LAG);
  return {
    ...stand,
    battery: inUse ? Math.max(0, stand.battery - seconds / BATTERY_SECONDS) : stand.battery,
    level: {
      ...level,
      shownAlong: level.shownAlong + share * (level.along - level.shownAlong),
      shownAcross: level.shownAcross + share * (level.across - level.shownAcross),
    },
  };
}
