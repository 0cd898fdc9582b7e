import type { BritishOf } from './britishOf.ts';
import type { frame as whole } from '../frame.ts';

export const frame: BritishOf<typeof whole> = {
  placeLathLabelsHowToRead: 'place: stake, labels, how to read',
  placeConventionAbbreviationsLath: 'place: convention, abbreviations, stake',
  placeGnssPlanFromTheReceiverHeight: 'place: GNSS, plan from the receiver, level from the instrument',
  bothProved: 'Plan and level checked',
  halfAMetreToTwoMetresOff: 'half a metre to two metres off: the last steps are yours',
  elevations: 'Levels',
  changeToTheTheme: 'Change colours: {next} (T)',
};
