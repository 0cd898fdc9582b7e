import type { BritishOf } from './britishOf.ts';
import type { presets as whole } from '../presets.ts';

export const presets: BritishOf<typeof whole> = {
  northAmericanAbout: 'peg, stake, station, level, kerb, TBM',
};
