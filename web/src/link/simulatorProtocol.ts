/** Messages between the page and the simulator's worker: JSON, one a line if they ever leave the machine. */
import type {
  InstrumentPrecision,
  Lock,
  PlanPoint,
  SearchWindow,
  SimulatedPlace,
  SimulatorState,
  SimulatorTrouble,
} from '@idle-marker/core';
import type { LinkStand, LiveReceiver } from './instrumentLink.ts';

export type ToSimulator =
  | {
      readonly command: 'start';
      readonly ground: string;
      readonly seed: number;
      readonly precision: InstrumentPrecision;
      readonly saved: SimulatorState | null;
    }
  | { readonly command: 'setUp'; readonly place: PlanPoint; readonly height: number; readonly orientation?: number }
  | { readonly command: 'setUpOver'; readonly name: string; readonly height: number }
  | { readonly command: 'walk'; readonly goal: PlanPoint | string; readonly near?: boolean }
  | { readonly command: 'step'; readonly toward: number; readonly right: number }
  | {
      readonly command: 'pole';
      readonly targetHeight?: number;
      readonly legs?: boolean;
      readonly prismConstant?: number;
    }
  | { readonly command: 'putDown' }
  | { readonly command: 'screw'; readonly screw: number; readonly liftSec: number }
  | { readonly command: 'selfLevel' }
  | { readonly command: 'battery' }
  | { readonly command: 'channel'; readonly channel: number }
  | { readonly command: 'turn'; readonly circleDeg: number; readonly zenithDeg: number }
  | { readonly command: 'search'; readonly window: SearchWindow | null }
  | { readonly command: 'measure'; readonly face: 1 | 2 }
  | { readonly command: 'driveHub'; readonly name: string }
  | { readonly command: 'placeHub'; readonly hub: SimulatedPlace }
  | { readonly command: 'markGround'; readonly name: string }
  | { readonly command: 'aimFar'; readonly name: string }
  | {
      readonly command: 'receiver';
      readonly on?: boolean;
      readonly compensating?: boolean;
      readonly linked?: boolean;
      readonly offset?: number;
    }
  | { readonly command: 'cancel' }
  | { readonly command: 'pace'; readonly factor: number };

export interface FromSimulator {
  /** How many messages the worker has taken: tells whether a command has been obeyed yet. */
  readonly handled: number;
  readonly seq: number;
  readonly setUp: boolean;
  readonly lock: Lock;
  readonly circleDeg: number;
  readonly zenithDeg: number;
  readonly live: { readonly circleDeg: number; readonly zenithDeg: number; readonly slope: number } | null;
  readonly shot: { readonly circleDeg: number; readonly zenithDeg: number; readonly slope: number | null } | null;
  readonly busy: 'turning' | 'searching' | 'measuring' | null;
  readonly pole: {
    readonly targetHeight: number;
    readonly legs: boolean;
    readonly walking: boolean;
    readonly onto: string | null;
  };
  readonly stand: LinkStand;
  readonly trouble: SimulatorTrouble | null;
  /** What the receiver on the pole shows; null while it is off. */
  readonly receiver: LiveReceiver | null;
  /** What stands far away and can be aimed at. */
  readonly far: readonly string[];
  /** The whole state now and then, so that a reload goes on where it was. */
  readonly save: SimulatorState | null;
}

/** Readings a second while the instrument follows the pole. */
export const READINGS_PER_SECOND = 10;
