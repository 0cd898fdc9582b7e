import type { BritishOf } from './britishOf.ts';
import type { nextTrade as whole } from '../nextTrade.ts';

export const nextTrade: BritishOf<typeof whole> = {
  theMachineTakesWhatStandsNearHubs:
    'The machine takes out whatever is close: put pegs beyond the edge of the excavation and its slope, stakes visible from the seat, cut to the hundredth.',
  setForms: 'Set shutters',
  settingForms: 'setting shutters',
  formsAreSetFromANailWith:
    'Shutters are set from a nail with tape and level: a peg out of the way of the braces, the offset to the face that the board stands on.',
  settingUpALaserForHeights: 'setting up a laser for levels',
  aLaserWantsFewHeightsAndFirm:
    'A laser wants few levels and firm ones: a nail where nobody drives, all to one reference, and its level as it was read.',
  aStringIsPulledFromHubTo:
    'A string is pulled from peg to peg: closer on curves and crests, all on one side and at one offset.',
};
