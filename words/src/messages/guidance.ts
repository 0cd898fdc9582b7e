/** Messages of guidance. */
export const guidance = {
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
    'Move the hub {parts}. For a few millimeters, strike the ground on the opposite side, never the hub, then shoot again. For more, pull it.',
  shotsAMarkOverTheDrivenHub:
    '{shotsPerMark} shots a mark over {marks, plural, one {# mark} other {# marks}}, the driven hub included.',
  walkByTheLiveFigureTapeThe: '{so} Walk by the live figure, tape the last meter, and shoot only when it says hold.',
  closeEnoughToTapeStepOntoThe:
    'Close enough to tape: step {figure} {side} onto the line, mark the spot, tape {figure2} {along}, shoot once.',
} as const;
