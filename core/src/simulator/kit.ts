import { RADIANS_PER_SECOND } from '../quantity/unit.ts';
import type { InstrumentPrecision } from '../sight/observation.ts';

/** The simulated instrument as its data sheet would put it: 1″, 1 mm + 1.5 ppm. */
export const SIMULATED_INSTRUMENT = { name: 'demo instrument', angleSdSec: 1, distSdMm: 1, distSdPpm: 1.5 } as const;

export const SIMULATED_PRECISION: InstrumentPrecision = {
  angleSd: RADIANS_PER_SECOND,
  distanceSd: 0.001,
  distanceSdRatio: 1.5e-6,
};
