import type { BritishOf } from './britishOf.ts';
import type { field as whole } from '../field.ts';

export const field: BritishOf<typeof whole> = {
  metres: 'metres',
};
