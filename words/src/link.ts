import type { SimulatorTrouble } from '@idle-marker/core';
import { msg } from './message.ts';

/** Why a command to the instrument came to nothing, and what to do. */
export function troubleWords(trouble: SimulatorTrouble | { readonly code: 'LINK_CLOSED' }): string {
  switch (trouble.code) {
    case 'NOT_SET_UP':
      return msg('linkWords.theInstrumentIsNotSetUpYet');
    case 'NO_SUCH_MARK':
      return msg('linkWords.thereIsNoToBeFoundOn', { name: trouble.name });
    case 'MARK_COVERED':
      return msg('linkWords.isCoveredThePoleCantStandOn', { name: trouble.name });
    case 'NOT_FOUND':
      return msg('linkWords.thePrismWasNotFoundItIs');
    case 'NOT_IN_WINDOW':
      return msg('linkWords.thePrismIsNotInThePart');
    case 'HIDDEN':
      return msg('linkWords.theHidesThePrismFromTheInstrument', { by: trouble.by });
    case 'NOT_LOCKED':
      return msg('linkWords.theInstrumentDoesNotFollowThePrism');
    case 'POLE_MOVING':
      return msg('linkWords.thePoleIsStillMovingHoldIt');
    case 'NOT_LEVEL':
      return msg('linkWords.theLevelIsOutOfTheCompensators');
    case 'BATTERY_EMPTY':
      return msg('linkWords.theInstrumentsBatteryIsEmptyChangeIt');
    case 'CHANNEL_CLASH':
      return msg('linkWords.anotherCrewWorksOnChannelReadingsCome', { channel: trouble.channel });
    case 'LINK_CLOSED':
      return msg('linkWords.theShotWasCancelledNothingWasStored');
  }
}
