import type { BritishOf } from './britishOf.ts';
import type { reliability as whole } from '../reliability.ts';

export const reliability: BritishOf<typeof whole> = {
  ifMovedInHeight: 'if {name} moved in level',
  theyStandOnOnePlaceAWrong:
    'They are in one place: a wrong figure there, or a post that sank, would never show. Sight a TBM somewhere else.',
  aWrongSpotOrFigureAtShows:
    'A wrong spot or figure at {name} shows from {aboutLength} on; below that up to {aboutLength2} could hide in every level.',
  thatIsTooMuchSightAnotherBenchmark: '{sentence} That is too much: sight another TBM.',
};
