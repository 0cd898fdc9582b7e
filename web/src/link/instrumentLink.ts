/** One way to an instrument, whatever is at the other end. A real instrument is another implementation of this. */
import type { Fix, Lock, SearchWindow, SimulatorTrouble } from '@idle-marker/core';
import type { FactBody } from '@idle-marker/contract';
import type { CarriedPole } from '@idle-marker/records';

/**
 * What is read in one shot: numbers as the instrument shows them, decimal degrees and metres unless keyed otherwise.
 */
export type RawRead = FactBody<'sight'>['read'];

export interface LiveReading {
  readonly seq: number;
  /** Milliseconds of this page's clock. */
  readonly at: number;
  readonly circleDeg: number;
  readonly zenithDeg: number;
  readonly slope: number;
}

/** Anything that keeps a command from being done, as a code with its facts. */
export type LinkTrouble = SimulatorTrouble | { readonly code: 'LINK_CLOSED' };

export interface LinkStand {
  /** As the display shows it, seconds of arc: toward the display, and to its right. */
  readonly alongSec: number;
  readonly acrossSec: number;
  /** Within the compensator's reach. */
  readonly compensated: boolean;
  /** In, truly, and by the display, which lags. */
  readonly isLevel: boolean;
  /** 0 to 1. */
  readonly battery: number;
  readonly channel: number;
}

/** A receiver on the same pole, as it shows itself. */
export interface LiveReceiver {
  /** In coordinates of the site, of its reference point. */
  readonly e: number;
  readonly n: number;
  readonly z: number;
  readonly sdPlan: number;
  readonly sdHeight: number;
  readonly fix: Exclude<Fix, 'none'>;
  /** Seconds; null before the first corrections. */
  readonly correctionAge: number | null;
  readonly compensating: boolean;
  readonly leanDeg: number | null;
  /** Whether corrections are being received. */
  readonly linked: boolean;
}

export type PoleChange = Partial<CarriedPole>;

export interface LinkState {
  readonly kind: 'simulator' | 'typed';
  readonly setUp: boolean;
  readonly lock: Lock;
  /** Where the telescope points, degrees. */
  readonly circleDeg: number;
  readonly zenithDeg: number;
  /** Last reading while following the pole; null when there is none. */
  readonly live: LiveReading | null;
  readonly busy: 'turning' | 'searching' | 'measuring' | null;
  readonly pole: CarriedPole & { readonly walking: boolean; readonly onto: string | null };
  /** What is sighted now has no pole, and the target that is on it; null where the pole is sighted. */
  readonly fixed: Pick<CarriedPole, 'target'> | null;
  /** Level, battery and radio, as far as the link tells; null where a person looks after them. */
  readonly stand: LinkStand | null;
  readonly trouble: LinkTrouble | null;
  /** Null while there is none, or it is off. */
  readonly receiver: LiveReceiver | null;
  /** What stands far away and can be aimed at; a typed link takes any name. */
  readonly far: readonly string[];
}

export interface InstrumentLink {
  readonly kind: LinkState['kind'];
  state(): LinkState;
  subscribe(listener: () => void): () => void;
  turn(circleDeg: number, zenithDeg: number): void;
  /** Without a window it looks all round. */
  search(window?: SearchWindow): void;
  /** One careful shot. Rejects with a `LinkTrouble`. */
  measure(signal: AbortSignal, face?: 1 | 2): Promise<RawRead>;
  /** What is sighted next is fixed and carries this target; null: the pole again, as it was. */
  setFixed(fixed: LinkState['fixed']): void;
  cancel(): void;
  close(): void;
}

/** Below this a spare should be at hand. */
export const LOW_BATTERY = 0.2;
