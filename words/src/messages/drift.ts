/** Messages of drift. */
export const drift = {
  aStepInBetweenAnd: 'Sudden change in {what} between {clock} and {clock2}',
  theProofsBeforeAndAfterDifferBy:
    'The check shots before and after differ by {smallLength}{at100}. The instrument or a mark was bumped in between: marks set after that depend on the next check shot.',
  theCreeps: 'The {what} creeps',
  byAnHourTheTripodSettlesTurns:
    'By {smallLength}{at100} an hour. The tripod settles, turns in the sun, or stands on asphalt: station again on firmer ground.',
} as const;
