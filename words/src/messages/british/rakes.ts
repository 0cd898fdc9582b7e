import type { BritishOf } from './britishOf.ts';
import type { rakes as whole } from '../rakes.ts';

export const rakes: BritishOf<typeof whole> = {
  thePileLeans1InItsToe: 'Rake 1 in {ratio}, toe to the {toe}.',
  itsPlaceHoldsAtOnOtherGround: '{leans} Its place holds at {at}: on other ground the figures follow the reading.',
};
