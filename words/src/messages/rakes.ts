/** Messages of rakes. */
export const rakes = {
  thePileLeans1InItsToe: 'The pile leans 1 in {ratio}, its toe to the {toe}.',
  itsPlaceHoldsAtOnOtherGround: '{leans} Its place holds at {at}: on other ground the figures follow the shot.',
  theGroundIsAtTheLevelThat: '{leans} The ground is at the level that it was drawn for.',
  awayFrom: 'away from',
  theGroundIsThePlaceLiesThe:
    '{leans} The ground is {smallLength} {above} {at}: the place lies {shift} {above2} the toe, and the figures are for that.',
} as const;
