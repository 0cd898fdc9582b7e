/** Messages of linkWords. */
export const linkWords = {
  theInstrumentIsNotSetUpYet: 'The instrument isn’t set up yet: start a station first.',
  thereIsNoToBeFoundOn: 'There is no {name} to be found on the ground. Look again, or mark it lost.',
  isCoveredThePoleCantStandOn: '{name} is covered: the pole can’t stand on it. Choose another mark.',
  thePrismWasNotFoundItIs: 'The prism wasn’t found: it is too near to the instrument, or out of its reach.',
  thePrismIsNotInThePart:
    'The prism isn’t in the part that was searched. Turn the telescope nearer to the pole, or search all round.',
  theHidesThePrismFromTheInstrument:
    'The {by} hides the prism from the instrument. Nothing more is read until the sight is free.',
  theInstrumentDoesNotFollowThePrism: 'The instrument doesn’t track the prism: search for it first.',
  thePoleIsStillMovingHoldIt: 'The pole is still moving: hold it, then shoot.',
  theLevelIsOutOfTheCompensators:
    'The level is out of the compensator’s reach. Bring it in, note that it was leveled again, and prove the station.',
  theInstrumentsBatteryIsEmptyChangeIt:
    'The instrument’s battery is empty. Change it under Connected, and prove the station: changing it may turn the instrument.',
  anotherCrewWorksOnChannelReadingsCome:
    'Another crew works on channel {channel}: readings are garbled, or theirs. Choose a free channel under Connected.',
  theShotWasCancelledNothingWasStored: 'The shot was canceled. Nothing was stored.',
} as const;
