import type { BritishOf } from './britishOf.ts';
import type { cautions as whole } from '../cautions.ts';

export const cautions: BritishOf<typeof whole> = {
  aMarkIsTrustedForPlanFor:
    'A mark is good for plan, level or both, as the table says. Don’t use a level that isn’t marked good.',
  ifAHubIsLeaningLowOr: 'If a peg is leaning, low or gone, don’t guess: report it.',
  structuralTolerancesAreTheEngineers:
    'Structural tolerances come from the engineer’s documents; boundaries are for a chartered land surveyor.',
};
