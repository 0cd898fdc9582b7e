import type { BritishOf } from './britishOf.ts';
import type { linkWords as whole } from '../linkWords.ts';

export const linkWords: BritishOf<typeof whole> = {
  thePoleIsStillMovingHoldIt: 'The pole is still moving: hold it, then observe.',
  theLevelIsOutOfTheCompensators:
    'The level is out of the compensator’s reach. Bring it in, note that it was levelled again, and prove the station.',
  theShotWasCancelledNothingWasStored: 'The reading was cancelled. Nothing was stored.',
};
