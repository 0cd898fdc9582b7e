/** Messages of stationNotices. */
export const stationNotices = {
  stationWasAcceptedForInAsksFor:
    'Station {name} was accepted for {accepted}, {smallLength} in {part}; {asked} asks for {smallLength2}.',
  stationIs: 'Station {name} is {sheetCheck}.',
  stationIsProvisional: 'Station {name} is provisional: {provisionalBecause}',
  atStationNobodyConfirmedTheCarriedOver:
    'At station {name} nobody confirmed the {list}, carried over from the setup before.',
  aProofOfStationFailedInAnd: 'A check shot of station {name} failed in {parts} and is still unanswered.',
  nothingIndependentHasProvedStationIn: 'Nothing independent has checked station {name} in {parts}.',
} as const;
