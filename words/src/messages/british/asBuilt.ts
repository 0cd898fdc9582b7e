import type { BritishOf } from './britishOf.ts';
import type { asBuilt as whole } from '../asBuilt.ts';

export const asBuilt: BritishOf<typeof whole> = {
  noHeight: 'no level',
  atItsHeight: 'on design level',
  offNoHeightHere: 'Outside {surface}: no level',
  shootTheOtherEdgeTooOneEdge: 'Observe the other edge too: a single edge can’t show a twist.',
  itIsCentredOnLineWithin: 'It is centred on line {crossing} within {within}.',
  shotsToTheSameSpotDifferBy:
    'Readings to the same spot differ by {small}: hold the target flat to the face and turned to the instrument.',
};
