/** Messages of claim. */
export const claim = {
  itsDirectionWasTypedNoSightShows: 'Its direction was typed: no sight shows that it is right.',
  itWasAcceptedAgainstWhatItsClass: 'It was accepted against what its class asks.',
  itsOwnSightsDoNotCheckIt: 'Its own sights don’t check it: an error that matters could go unseen.',
  itsOwnSightsFitWhichDoesNot: 'Its own sights agree, but that doesn’t prove they are right.',
  unproven: '{parts} not proven',
  thisStationIsUncheckedNothingShowsYet: 'This station is unchecked: nothing shows yet that it is right.',
  theOfThisStationIsUnproven: 'The {parts} of this station is unproven.',
  thisStationIsUnproven: 'This station is not proven.',
  aMarkWithAHeightThatIt: 'a mark with an elevation that it didn’t use',
  aMarkThatItDidNotUse: 'a mark that it didn’t use',
  theHeightOfIsUnproven: 'The elevation of {name} is unproven',
  isUnprovenInPlan: '{name} is unproven in plan',
  isUnproven: 'Station {name} isn’t proven',
  aProofSpeaksAgainstItsPlanAnd:
    'A check shot disagrees with its plan, and nothing independent has checked its elevation.',
  itsPlanIsProvedNothingIndependentHas: 'Its plan is proved; nothing independent has checked its elevation.',
  sightBeforeTheFirstStake: 'Sight {markFor} before the first stake.',
  theHeightOf: 'the elevation of {name}',
  proveBeforeTheFirstMark: 'Prove {unproven} before the first mark',
  needNotBeProvisionalAnyMore: '{name} need not be provisional any more',
  itWasMadeFromOfOurOwn:
    'It was made from {list}, of our own making, and has been proved on given marks since: that proves {marks, plural, one {the mark} other {the marks}}, too.',
  provedOnGivenMarksAndWithIt: 'proved on given marks, and {list} with it',
  plan: 'plan',
  elevation: 'elevation',
  notProven: 'not proven',
} as const;
