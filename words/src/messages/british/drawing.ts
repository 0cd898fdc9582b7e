import type { BritishOf } from './britishOf.ts';
import type { drawing as whole } from '../drawing.ts';

export const drawing: BritishOf<typeof whole> = {
  surfaceHasTrianglesThatLieOverOne:
    'Surface “{surface}” has {count} triangles that lie over one another, first {first} and {first2} of the file, at {place}: there it has two levels, and either may be given. Ask who made it before levels are taken from it.',
};
