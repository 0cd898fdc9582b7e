import type { BritishOf } from './britishOf.ts';
import type { drift as whole } from '../drift.ts';

export const drift: BritishOf<typeof whole> = {
  theProofsBeforeAndAfterDifferBy:
    'The check sights before and after differ by {smallLength}{at100}. Something was bumped then, or a mark: what was set after it depends on what comes now.',
};
