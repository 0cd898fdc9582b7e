/**
 * A GNSS receiver above the prism on one pole: the plan comes from the receiver, the height from the total station.
 * Each part keeps its own source and precision, and nothing stands in for a part that is missing.
 *
 * Sources: Hofmann-Wellenhof, Lichtenegger and Wasle, GNSS – Global Navigation Satellite Systems (real-time positions
 * with fixed ambiguities, age of corrections); Rüeger, Electronic Distance Measurement (trigonometric heights);
 * Ghilani, Adjustment Computations (propagation of errors, tests of differences).
 */
import { CRITICAL_W } from '../adjust/criticalValues.ts';
import type { PlanPoint } from '../plane/point.ts';
import { RADIANS_PER_DEGREE, type Metres, type Radians } from '../quantity/unit.ts';
import type { ReducedReading } from '../sight/reduce.ts';
import type { PlanCovariance } from '../station/measuredPoint.ts';

/** How far the receiver got with the ambiguities of the carrier: only `fixed` is good to centimetres. */
export type Fix = 'none' | 'single' | 'float' | 'fixed';

/** What a receiver gives, in the coordinates of the site. */
export interface ReceiverReading extends PlanPoint {
  /** Height of its reference point, not of the ground. */
  readonly z: Metres;
  /** Standard deviations as it states them: of either axis in plan, and of the height. */
  readonly sdPlan: Metres;
  readonly sdHeight: Metres;
  readonly fix: Fix;
  /** Seconds since the corrections that it works with were made; null when none came yet. */
  readonly correctionAge: number | null;
  /** Whether it takes the lean of the pole out by itself. */
  readonly compensating: boolean;
  /** Lean from plumb as its own sensor reads it; null without a sensor. */
  readonly lean: Radians | null;
}

/**
 * How well the receiver's coordinates are fitted to the control of the site: the same for every reading there, so no
 * mean takes it out.
 */
export interface SiteFit {
  readonly sdPlan: Metres;
  readonly sdHeight: Metres;
}

export interface PairPole {
  /** Tip to the receiver's reference point: target height and offset together. */
  readonly antennaHeight: Metres;
  readonly antennaHeightSd: Metres;
  /** What being out of plumb does to the place under the receiver, either axis. */
  readonly centringSd: Metres;
}

/** The tip of a plumb pole as the receiver has it. */
export interface ReceiverFoot extends PlanPoint {
  readonly z: Metres;
  readonly plan: PlanCovariance;
  readonly varZ: number;
}

/** Tip to reference point, from the target height and how far that point sits above the prism's centre. */
export const antennaHeightOf = (targetHeight: Metres, offset: Metres): Metres => targetHeight + offset;

/** Below this, two heights of one pole that were entered apart are the same one. */
export const SAME_HEIGHT: Metres = 0.0015;

/**
 * Entered antenna height minus what target height and offset make of it; positive when the antenna was entered too
 * high.
 */
export const antennaHeightMisfit = (entered: Metres, targetHeight: Metres, offset: Metres): Metres =>
  entered - antennaHeightOf(targetHeight, offset);

export function receiverFoot(reading: ReceiverReading, pole: PairPole, fit: SiteFit): ReceiverFoot {
  const variance = reading.sdPlan ** 2 + fit.sdPlan ** 2 + pole.centringSd ** 2;
  return {
    e: reading.e,
    n: reading.n,
    z: reading.z - pole.antennaHeight,
    plan: { ee: variance, nn: variance, en: 0 },
    varZ: reading.sdHeight ** 2 + fit.sdHeight ** 2 + pole.antennaHeightSd ** 2,
  };
}

/** Height of the tilting axis over the datum of the benchmarks. */
export interface TiltingAxis {
  readonly z: Metres;
  readonly sd: Metres;
}

/** Height of the tip from one sight; null when the sight has no distance. */
export function heightFromAxis(
  axis: TiltingAxis,
  reduced: ReducedReading,
): { readonly z: Metres; readonly variance: number } | null {
  if (reduced.heightDifference === null) return null;
  return {
    z: axis.z + reduced.heightDifference - reduced.targetHeight,
    variance: axis.sd ** 2 + reduced.varHeightDifference + reduced.targetHeightSd ** 2,
  };
}

export interface HeightsCompared {
  /** Receiver minus total station. */
  readonly difference: Metres;
  readonly sd: Metres;
  /** What chance alone does not exceed but once in a thousand. */
  readonly limit: Metres;
  readonly apart: boolean;
}

/** The two heights of one tip, at one moment. */
export function compareHeights(
  receiver: { readonly z: Metres; readonly variance: number },
  instrument: { readonly z: Metres; readonly variance: number },
): HeightsCompared {
  const difference = receiver.z - instrument.z;
  const sd = Math.sqrt(receiver.variance + instrument.variance);
  const limit = CRITICAL_W * sd;
  return { difference, sd, limit, apart: Math.abs(difference) > limit };
}

/** Older corrections let the ambiguities drift. */
export const OLD_CORRECTIONS_SECONDS = 10;
/** Beyond this a pole is not plumb, whatever the tolerance of the work. */
export const LARGEST_LEAN: Radians = 1 * RADIANS_PER_DEGREE;
/** Readings of the instrument older than this are of another place. */
export const OLD_HEIGHT_SECONDS = 1.5;

export type PairFault =
  /** Plan. */
  | { readonly code: 'NO_RECEIVER' }
  | { readonly code: 'NOT_FIXED'; readonly fix: Fix }
  | { readonly code: 'CORRECTIONS_OLD'; readonly seconds: number | null }
  /** `drop`: how much lower the prism hangs than a plumb pole says; null when the lean is not known. */
  | { readonly code: 'COMPENSATING'; readonly drop: Metres | null; readonly aside: Metres | null }
  | { readonly code: 'NOT_PLUMB'; readonly lean: Radians; readonly aside: Metres; readonly drop: Metres }
  /** Height. */
  | { readonly code: 'NO_AXIS' }
  | { readonly code: 'NOT_LOCKED'; readonly lost: boolean }
  | { readonly code: 'HEIGHT_OLD' }
  /** Both. `misfit`: antenna height as it was entered, minus what target height and offset make of it. */
  | { readonly code: 'POLE_CHANGED'; readonly misfit: Metres }
  | { readonly code: 'HEIGHTS_APART'; readonly compared: HeightsCompared };

export interface PairNow {
  readonly reading: ReceiverReading | null;
  readonly antennaHeight: Metres;
  readonly targetHeight: Metres;
  /** Whether benchmarks have given a height of the tilting axis. */
  readonly hasAxis: boolean;
  readonly lock: 'none' | 'searching' | 'locked' | 'lost';
  /** Seconds since the last reading of the instrument; null before the first. */
  readonly heightAge: number | null;
  readonly compared: HeightsCompared | null;
  /** Of the antenna height that was entered. */
  readonly antennaMisfit: Metres;
  /** What a plumb pole may be off by, from the tolerance of the work. */
  readonly largestAside: Metres;
}

const isPlanFault = ({ code }: PairFault): boolean =>
  code === 'NO_RECEIVER' ||
  code === 'NOT_FIXED' ||
  code === 'CORRECTIONS_OLD' ||
  code === 'COMPENSATING' ||
  code === 'NOT_PLUMB';

/** Why nothing may be kept at this moment, the first to be put right first; empty when both parts are good. */
export function pairFaults({ reading, antennaHeight, targetHeight, ...now }: PairNow): PairFault[] {
  const faults: PairFault[] = [];
  if (!reading) faults.push({ code: 'NO_RECEIVER' });
  else {
    const { lean } = reading;
    const aside = lean === null ? null : antennaHeight * Math.sin(lean);
    const drop = lean === null ? null : targetHeight * (1 - Math.cos(lean));
    if (reading.fix !== 'fixed') faults.push({ code: 'NOT_FIXED', fix: reading.fix });
    if (reading.correctionAge === null || reading.correctionAge > OLD_CORRECTIONS_SECONDS)
      faults.push({ code: 'CORRECTIONS_OLD', seconds: reading.correctionAge });
    if (reading.compensating) faults.push({ code: 'COMPENSATING', drop, aside });
    else if (lean !== null && (lean > LARGEST_LEAN || aside! > now.largestAside))
      faults.push({ code: 'NOT_PLUMB', lean, aside: aside!, drop: drop! });
  }
  if (!now.hasAxis) faults.push({ code: 'NO_AXIS' });
  if (now.lock !== 'locked') faults.push({ code: 'NOT_LOCKED', lost: now.lock === 'lost' });
  else if (now.heightAge === null || now.heightAge > OLD_HEIGHT_SECONDS) faults.push({ code: 'HEIGHT_OLD' });
  if (Math.abs(now.antennaMisfit) > SAME_HEIGHT) faults.push({ code: 'POLE_CHANGED', misfit: now.antennaMisfit });
  // Two heights can only be held against each other while both are what they say.
  if (faults.length === 0 && now.compared?.apart) faults.push({ code: 'HEIGHTS_APART', compared: now.compared });
  return faults;
}

/** Which parts a list of faults leaves: a height that nobody measures is not replaced by the receiver's. */
export const partsLeft = (faults: readonly PairFault[]): { readonly plan: boolean; readonly height: boolean } => ({
  plan: !faults.some(isPlanFault),
  height: !faults.some((fault) => !isPlanFault(fault) || fault.code === 'COMPENSATING' || fault.code === 'NOT_PLUMB'),
});
