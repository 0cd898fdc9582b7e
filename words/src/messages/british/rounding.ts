import type { BritishOf } from './britishOf.ts';
import type { rounding as whole } from '../rounding.ts';

export const rounding: BritishOf<typeof whole> = {
  toTheMillimetre: 'to the millimetre',
  toTheCentimetre: 'to the centimetre',
};
