/** Messages of rakes. */
export const rakes = {
  thePileLeans1InItsToe: 'Rake {ratio}:1 (V:H), toe to the {toe}.',
  itsPlaceHoldsAtOnOtherGround: '{leans} Its place holds at {at}: on other ground the figures follow the shot.',
  theGroundIsAtTheLevelThat: '{leans} The ground is at the level that it was drawn for.',
  awayFrom: 'away from',
  theGroundIsThePlaceLiesThe:
    '{leans} Ground is {smallLength} {above} {at}: position shifted {shift} {above2} the toe.',
} as const;
