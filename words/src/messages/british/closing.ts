import type { BritishOf } from './britishOf.ts';
import type { closing as whole } from '../closing.ts';

export const closing: BritishOf<typeof whole> = {
  theClosingProofOfIsMissing: 'Closing check sight missing at {station}',
  noGoodProofCameAfterOneSight:
    '{listed}: no good check sight since. One sight to an unused mark verifies{marks, plural, one { it} other { them all}}.',
  aProofOfFailedInAndNothing: 'A check sight of {station} failed in {parts} and is still unanswered',
  leftWithoutALastProof: '{station} closed without a final check sight',
  theBenchmarksOfDisagree: 'The TBMs of {station} disagree',
  readFromHeightsOfWhichOneIs: '{listed}: read from levels of which one is wrong. Sight another TBM.',
  nothingChecksTheHeightsOf: 'Nothing checks the levels of {station}',
  readFromOneBenchmarkASecondOne: '{listed}: read from one TBM. A second one would check them.',
};
