import type { BritishOf } from './britishOf.ts';
import type { claim as whole } from '../claim.ts';

export const claim: BritishOf<typeof whole> = {
  aMarkWithAHeightThatIt: 'a mark with a level that it didn’t use',
  theHeightOfIsUnproven: 'The level of {name} is unproven',
  aProofSpeaksAgainstItsPlanAnd:
    'A check sight disagrees with its plan, and nothing independent has checked its level.',
  itsPlanIsProvedNothingIndependentHas: 'Its plan is proved; nothing independent has checked its level.',
  theHeightOf: 'the level of {name}',
  elevation: 'level',
};
