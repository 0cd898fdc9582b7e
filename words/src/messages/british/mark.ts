import type { BritishOf } from './britishOf.ts';
import type { mark as whole } from '../mark.ts';

export const mark: BritishOf<typeof whole> = {
  aWorkPackageSaysWhichCornersGet:
    'A work package says which corners get pegs, at what offset, and how good they have to be.',
};
