import type { BritishOf } from './britishOf.ts';
import type { drift as whole } from '../drift.ts';

export const drift: BritishOf<typeof whole> = {
  theProofsBeforeAndAfterDifferBy:
    'The check sights before and after differ by {smallLength}{at100}. The instrument or a mark was bumped in between: marks set after that depend on the next check sight.',
};
