/** Messages of outline. */
export const outline = {
  sayHowFarApartThePointsAlong: 'Say how far apart the points along the line are.',
  theStationsOfTheRoadAreMissing: 'The stations of the road are missing: make the package along the road again.',
  sayHowFarAndWhitherThePiles: 'Enter the rake of the piles, its azimuth, and the elevation they are marked at.',
  giveTheHeightOfThePileHeads: 'Enter the elevation of the pile heads: where a raked pile comes through depends on it.',
  theOffsetMustBeOver0: 'The offset must be over 0.',
  noPointsAreGiven: 'No points are given.',
  isNamedTwiceEveryPointNeedsA: '{name} is named twice: every point needs a name of its own.',
  linesAreGivenByTheirTwoEnds: 'Lines are given by their two ends: {name} stands alone at the end of the list.',
  theLineFromToHasNoLength: 'The line from {from} to {to} has no length: enter its two ends.',
  movedSoFarInTheSideFrom: 'The shift is too large: side {side}–{side2} would vanish or reverse.',
  aLineNeedsAtLeastTwoPoints: 'A line needs at least two points; {given, plural, one {# is} other {# are}} given.',
  andLieAtTheSamePlaceTake: '{from} and {to} have the same position: remove one of them.',
  theDistanceFromPointToPointMust: 'The distance from point to point must be over 0.',
  pointsWouldComeAlongThisLineChoose:
    '{points} points would come along this line: choose a longer distance between them.',
  theSpacingOrDiameterOfTheBolts: 'The spacing or diameter of the bolts must be over 0.',
  aPatternHasAtLeastTwoBolts: 'A pattern has at least two bolts and at most 200, in whole numbers.',
  atLeastThreeCornersAreNeededGiven:
    'At least three corners are needed; {given, plural, one {# is} other {# are}} given.',
  theseCornersLieOnOneLineAnd: 'These corners lie on one line and enclose nothing: move one off the line.',
  standsTwiceInARowAtThe: '{name} comes twice in a row with the same position: remove one.',
  theSidesFromAndFromCrossPut:
    'The sides from {between} and from {between2} cross: put the corners in order, one after the other round it.',
  giveThePatternOfTheBolts: 'Enter the pattern of the bolts.',
} as const;
