import type { BritishOf } from './britishOf.ts';
import type { why as whole } from '../why.ts';

export const why: BritishOf<typeof whole> = {
  eachMarkHoldsTheStationAlongIts:
    'Each mark holds the station along its line of sight and, by the direction, across it. Where two sights cross at 90°, what one holds badly the other holds well. At 10° a millimetre at a mark becomes six at the station.',
  oneDegreeIsAboutOneMillionthA:
    'One degree is about one millionth: a tenth of a millimetre in 100 m. Enter it, but look elsewhere for centimetres.',
};
