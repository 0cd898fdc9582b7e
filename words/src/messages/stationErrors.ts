/** Messages of stationErrors. */
export const stationErrors = {
  whatWasSightedContradictsItselfSoMuch:
    'what was sighted contradicts itself so much that it gives no one place: a name, a unit or a mark is wrong',
  theseSightsLeaveTheStationFreeTo:
    'these sights leave the station free to move: sight a mark in another direction, or with a distance',
  theseSightsContradictEachOtherTooMuch:
    'these sights contradict each other too much to find one place: check the names of the marks',
  twoPlacesFitTheseLinesEquallyWell:
    'two places fit these lines equally well: touch the plan roughly where the instrument stands, or sight a line that doesn’t go through the same crossing',
  everyStandardDeviationIsZeroSoNothing:
    'every standard deviation is zero, so nothing can be weighed: give those of the instrument',
  theStationWouldBeUncertainByMore:
    'the station would be uncertain by more than 10 m: the instrument is on the danger circle through the marks. Sight another mark',
  isMissingOrNotAFiniteNumber: '{path} is missing or not a finite number: enter a number.',
  isListedTwiceTwoMarksNeedTwo: '{name} is listed twice: two marks need two names.',
  aSlopeDistanceOfMCantBe: "A slope distance of {length} m can't be measured: it must be over 0.",
  theZenithAngleMustLieBetween0:
    'The zenith angle must lie between 0° and 180° on face 1, and not point straight up or down.',
  theZenithAngleMustLieBetween180:
    'The zenith angle must lie between 180° and 360° on face 2, and not point straight up or down.',
  hasNoCoordinatesInPlanLeaveIt:
    '{name} has no coordinates in plan: leave it out of plan, or list its easting and northing.',
  isNotInTheListOfMarks: '{name} isn’t in the list of marks: choose another name, or add it to the list.',
  areTheSamePlaceWithin10Mm: '{names} are the same place, within 10 mm: sight a mark somewhere else.',
  nothingHereCanBeUsedYetSight: 'Nothing here can be used yet: sight a listed mark.',
  areNeededAndGivenSightAnotherMark: '{needed} are needed and {given} given: sight another mark.',
  noStationFollowsFromThis: 'These sights don’t give a station: {reason}.',
} as const;
