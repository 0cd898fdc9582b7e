import type { BritishOf } from './britishOf.ts';
import type { geometry as whole } from '../geometry.ts';

export const geometry: BritishOf<typeof whole> = {
  isOnlyAwayAMillimetreThereTurns:
    '{name} is only {smallLength} away: a millimetre there turns everything. Sight a farther one.',
};
