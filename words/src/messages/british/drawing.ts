import type { BritishOf } from './britishOf.ts';
import type { drawing as whole } from '../drawing.ts';

export const drawing: BritishOf<typeof whole> = {
  unitUnknown: 'Its coordinate system ({text}) is in a unit that isn’t read here: have it sent in metres or feet.',
  unitAssumed: 'The file names no coordinate system: its figures can be no degrees, and are taken as metres.',
  surfaceHasTrianglesThatLieOverOne:
    'Surface “{surface}” has {count} triangles that lie over one another, first {first} and {first2} of the file, at {place}: there it has two levels, and either may be given. Ask who made it before levels are taken from it.',
};
