import type { BritishOf } from './britishOf.ts';
import type { mark as whole } from '../mark.ts';

export const mark: BritishOf<typeof whole> = {
  aWorkPackageSaysWhichCornersGet:
    'A work package says which corners get pegs, at what offset, and how good they have to be.',
  theInstrumentHasNoPlaceThereSo:
    'This setup gives levels only, so it can’t guide you to a mark by itself. A receiver on the same pole can; or station the instrument again from marks that are known in plan.',
};
