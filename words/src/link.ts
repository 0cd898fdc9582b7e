import type { SimulatorTrouble } from '@idle-marker/core';

/** Why a command to the instrument came to nothing, and what to do. */
export function troubleWords(trouble: SimulatorTrouble | { readonly code: 'LINK_CLOSED' }): string {
  switch (trouble.code) {
    case 'NOT_SET_UP':
      return 'The instrument is not set up yet: start a station first.';
    case 'NO_SUCH_MARK':
      return `There is no ${trouble.name} to be found on the ground. Look again, or mark it lost.`;
    case 'MARK_COVERED':
      return `${trouble.name} is covered: the pole can’t stand on it. Choose another mark.`;
    case 'NOT_FOUND':
      return 'The prism was not found: it is too near to the instrument, or out of its reach.';
    case 'NOT_IN_WINDOW':
      return 'The prism is not in the part that was searched. Turn the telescope nearer to the pole, or search all round.';
    case 'HIDDEN':
      return `The ${trouble.by} hides the prism from the instrument. Nothing more is read until the sight is free.`;
    case 'NOT_LOCKED':
      return 'The instrument does not follow the prism: search for it first.';
    case 'POLE_MOVING':
      return 'The pole is still moving: hold it, then shoot.';
    case 'NOT_LEVEL':
      return 'The level is out of the compensator’s reach. Bring it in, note that it was levelled again, and prove the station.';
    case 'BATTERY_EMPTY':
      return 'The instrument’s battery is empty. Change it under Linked, and prove the station: changing it may turn the instrument.';
    case 'CHANNEL_CLASH':
      return `Another crew works on channel ${trouble.channel}: readings come broken, or theirs. Choose a free channel under Linked.`;
    case 'LINK_CLOSED':
      return 'The shot was cancelled. Nothing was stored.';
  }
}
