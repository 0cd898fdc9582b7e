/** Messages of drift. */
export const drift = {
  aStepInBetweenAnd: 'Sudden change in {what} between {clock} and {clock2}',
  theProofsBeforeAndAfterDifferBy:
    'The check shots before and after differ by {smallLength}{at100}. Something was bumped then, or a mark: what was set after it depends on what comes now.',
  theCreeps: 'The {what} creeps',
  byAnHourTheTripodSettlesTurns:
    'By {smallLength}{at100} an hour. The tripod settles, turns in the sun, or stands on asphalt: station again on firmer ground.',
} as const;
