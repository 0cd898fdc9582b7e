/** Messages of why. */
export const why = {
  whyAtRightAngles: 'Why at right angles?',
  eachMarkHoldsTheStationAlongIts:
    'Each mark holds the station along its line of sight and, by the direction, across it. Where two sights cross at 90°, what one holds badly the other holds well. At 10° a millimeter at a mark becomes six at the station.',
  whyThreeMarks: 'Why three marks?',
  twoGiveAPlaceAndOneDistance:
    'Two give a position and one distance to compare. If that disagrees, half of it shows at each, and nobody knows which is wrong; a mark that moved across their line doesn’t show at all. A third shows that something is wrong; a fourth shows what.',
  whyThePrismLow: 'Why the prism low?',
  aPoleThatLeansByHalfA:
    'A pole that leans by half a degree puts a prism at 2 m out by 17 mm, one at 0.1 m by less than one. Low for control and nails; high only to be seen over plant and people.',
  whyTurnThePoleTheSameWay: 'Why turn the pole the same way at each mark?',
  ifItsBubbleIsOutEveryMark:
    'If its bubble is out, every mark is missed by the same amount in the same direction: the station shifts, and the fit stays good. Two opposite facings, averaged, take it out.',
  whyNotSightUntilItLooksGood: 'Why not sight until it looks good?',
  theMeanOfAllReadingsIsThe:
    'The mean of all readings is the best there is. Picking the prettiest hides the spread, which is what the next mark will have.',
  whatIsARatio: 'What is a ratio?',
  theMisfitOfASightOverIts:
    'The residual of a sight over its own standard deviation, given how well the others check it. Over 3.3 happens by chance once in 1000.',
  doesTheTemperatureMatter: 'Does the temperature matter?',
  oneDegreeIsAboutOneMillionthA:
    'One degree is about one millionth: a tenth of a millimeter in 100 m. Enter it, but look elsewhere for centimeters.',
} as const;
