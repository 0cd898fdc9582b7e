/** Messages of guidance. */
export const guidance = {
  nextMark: 'Next {name}, {length} {unit}, {way}',
  aheadOfYou: 'ahead of you',
  aheadToYourRight: 'ahead to your right',
  toYourRight: 'to your right',
  behindYouToTheRight: 'behind you to the right',
  behindYou: 'behind you',
  behindYouToTheLeft: 'behind you to the left',
  toYourLeft: 'to your left',
  aheadToYourLeft: 'ahead to your left',
  facingTheInstrument: 'Facing the instrument',
  seenFromTheInstrument: 'Seen from the instrument',
  alongTheLine: 'Along the line',
  byNorth: 'By north',
  towardInstrument: 'toward instrument',
  awayFromInstrument: 'away from instrument',
  aheadAlongTheLine: 'ahead along the line',
  backAlongTheLine: 'back along the line',
  leftOfTheLine: 'left of the line',
  rightOfTheLine: 'right of the line',
  walk: 'Walk',
  move: 'Move',
  nudge: 'Nudge',
  hold: 'Hold',
  onTheSpot: 'On the spot',
  theDrivenHubIsOffTheClass:
    'The driven hub is off by {smallLength}; tolerance {smallLength2}. Pull it and set it again.',
  itStandsWhereItShould: 'In position.',
  itWantsToGoALittleOf:
    'Move the hub {parts}. A few millimeters: pry it over with a bar in the ground behind it, tamp the gap, then shoot again. More than that: pull it and drive a new one.',
  shotsAMarkOverTheDrivenHub:
    '{shotsPerMark} shots a mark over {marks, plural, one {# mark} other {# marks}}, the driven hub included.',
  walkByTheLiveFigureTapeThe: '{so} Walk by the live figure, tape the last meter, and shoot only when it says hold.',
  closeEnoughToTapeStepOntoThe:
    'Close enough to tape: step {figure} {side} onto the line, mark the spot, tape {figure2} {along}, shoot once.',
  nothingToGo: 'nothing to go',
} as const;
