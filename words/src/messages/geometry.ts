/** Messages of geometry. */
export const geometry = {
  veryWeak: 'very weak',
  isOnlyAwayAMillimetreThereTurns:
    '{name} is only {smallLength} away: a millimeter there turns everything. Sight a farther one.',
  allMarksLieOnOneSideOf:
    'All marks lie on one side; {coarseAngle} of the horizon are empty. A mark behind you would help most.',
  stationAndMarksLieNearlyOnOne:
    'Station and marks lie nearly on one line: a shift across it hardly shows. Sight a mark off the line.',
  allMarksStandOnOneLinePerhaps:
    'All marks stand on one line, perhaps one wall: if it moved, all of them are wrong together and nothing shows it. Add one on something else.',
  isTimesAsFarAsTheFarthest:
    '{name} is {times} times as far as the farthest control: errors grow outwards. Sight farther control, or prove out there.',
  ofMarksToSetLieOutsideThe:
    '{count} of {ofValue} marks to set lie outside the control: the figures of the station say little out there. Prove on a mark on that side.',
  worstAtThePoleOnLegsWould: 'Worst at {worst}. Use a bipod to meet the tolerance.',
  worstAtLegsAndAPrismAt: 'Worst at {worst}. Legs and a prism at {length} would meet it.',
  worstAtEvenWithLegsAndA:
    'Worst at {worst}. Even with a bipod and a low prism only marks within {length} meet it: stand nearer.',
  nothingMeetsItFromHereAnotherStand:
    'Nothing meets it from here: another stand, more control, a better instrument, or a template from two grid marks.',
} as const;
