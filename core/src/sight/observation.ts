import type { Metres, Radians } from '../quantity/unit.ts';

/** What the maker of the instrument promises of one pointing, one face (ISO 17123-3, -4, -5). */
export interface InstrumentPrecision {
  /** Standard deviation of one direction and of one zenith angle. */
  readonly angleSd: Radians;
  /**
   * Constant and proportional part of the slope distance's standard deviation, combined as root of the sum of squares.
   */
  readonly distanceSd: Metres;
  readonly distanceSdRatio: number;
}

/** How raw readings are turned into grid quantities. */
export interface Reduction {
  /** Grid distance = horizontal distance × this factor. Not applied to heights. */
  readonly combinedScaleFactor: number;
  /** Coefficient of refraction k. */
  readonly refraction: number;
  readonly earthRadius: Metres;
  /** Added to every raw slope; 0 when already applied. */
  readonly prismConstant: Metres;
  /** Atmospheric correction as a ratio (1e-6 per ppm); 0 when already applied. */
  readonly atmosphericRatio: number;
}

/** Nearer than this no instrument finds a prism and measures to it. */
export const NEAREST_SIGHT: Metres = 1.2;

/** How many times the stated errors a quick reading while following has: it trades precision for speed. */
export const TRACKING_ERROR_FACTOR = 2;

/** One reading to a target, as read, in radians and metres. */
export interface Reading {
  readonly face: 1 | 2;
  readonly circle: Radians;
  /** 0 is up, π/2 the horizon on face 1; face 2 reads 2π minus that. */
  readonly zenith: Radians;
  readonly slope: Metres | null;
  readonly targetHeight: Metres;
  readonly targetHeightSd: Metres;
  /** Per axis, horizontal. */
  readonly targetCentringSd: Metres;
  /** How many times the instrument's stated errors it has: 2 for a quick reading while following. Not given: 1. */
  readonly errorFactor?: number;
}

/** A reading to a listed point, with what it may be used for. */
export interface Observation extends Reading {
  readonly point: string;
  readonly usePlan: boolean;
  readonly useHeight: boolean;
  /** False: of a sight used in plan only the distance counts. Not given: the direction counts too. */
  readonly useDirection?: boolean;
}

/** A listed point. Standard deviations are per axis in plan; null counts as 0. */
export interface ControlPoint {
  readonly name: string;
  readonly e: Metres | null;
  readonly n: Metres | null;
  readonly z: Metres | null;
  readonly sdPlan: Metres | null;
  readonly sdHeight: Metres | null;
}

/** One placing of the instrument. */
export interface Setup {
  readonly instrumentHeight: Metres;
  readonly instrumentHeightSd: Metres;
}
