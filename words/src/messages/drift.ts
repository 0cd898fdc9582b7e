/** Messages of drift. */
export const drift = {
  aStepInBetweenAnd: 'A step in {what} between {clock} and {clock2}',
  theProofsBeforeAndAfterDifferBy:
    'The proofs before and after differ by {smallLength}{at100}. Something was bumped then, or a mark: what was set after it hangs on what comes now.',
  theCreeps: 'The {what} creeps',
  byAnHourTheTripodSettlesTurns:
    'By {smallLength}{at100} an hour. The tripod settles, turns in the sun, or stands on asphalt: station anew on firmer ground.',
} as const;
