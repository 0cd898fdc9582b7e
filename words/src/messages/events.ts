/** Messages of events. */
export const events = {
  bumped: 'Bumped',
  tripodOrInstrumentWasBumped: 'Tripod or instrument was bumped',
  plantPassed: 'Plant passed',
  heavyPlantPassed: 'Heavy plant passed',
  heavyPlantPassed2: 'heavy plant passed',
  levelledAgain: 'Leveled again',
  levelledAgain2: 'leveled again',
  battery: 'Battery',
  batteryChanged: 'Battery changed',
  batteryChanged2: 'battery changed',
  otherPerson: 'Other person',
  otherPersonAtTheInstrument: 'Other person at the instrument',
  otherPersonAtTheInstrument2: 'other person at the instrument',
  pause: 'Pause',
  longerPause: 'Longer pause',
  longerPause2: 'longer pause',
} as const;
