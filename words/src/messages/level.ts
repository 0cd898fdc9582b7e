/** Messages of level. */
export const level = {
  tooFarOutForTheScrewsMake: 'Too far out for the screws: make leg {first} a little {lifts}.',
  screwsAndTogetherBothThumbsSeenFrom:
    'Screws {first} and {second} together, both thumbs {lifts}: seen from above {first} {turn}, {second} {turn2}.',
  screwAloneSeenFromAboveItsCorner: 'Screw {first} alone, {turn} seen from above: its corner {lifts}.',
  theDisplayLagsTurnThenWait: 'The display lags: turn, then wait.',
  theLevelIsNotInItShows:
    'The level isn’t in: it shows {seconds}″. Bring it in, or let the instrument level itself, before the first sight.',
} as const;
