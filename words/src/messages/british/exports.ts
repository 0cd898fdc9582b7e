import type { BritishOf } from './britishOf.ts';
import type { exports as whole } from '../exports.ts';

export const exports: BritishOf<typeof whole> = {
  elevations: 'Levels: {heightDatum}, {unit}',
};
