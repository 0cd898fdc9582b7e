import type { BritishOf } from './britishOf.ts';
import type { fieldbook as whole } from '../fieldbook.ts';

export const fieldbook: BritishOf<typeof whole> = {
  nothingThatWasSetOrMeasuredWaits:
    'Nothing that was set or measured waits for a check sight, and everything is stored.',
  height95: '{axes}, level {length}; 95 %: {goodTo}',
  planHeight: '{clockTime} {provenOn}: plan {proofOutcome}, level {proofOutcome2}{measured}',
};
