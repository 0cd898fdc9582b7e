import { msg } from './message.ts';
/** What may happen to an instrument: on a button, in a list to choose from, and in the book. */
export const EVENT_WORDS = {
  bump: { tap: msg('events.bumped'), said: msg('events.tripodOrInstrumentWasBumped'), book: 'bumped' },
  plant: {
    tap: msg('events.plantPassed'),
    said: msg('events.heavyPlantPassed'),
    book: msg('events.heavyPlantPassed2'),
  },
  relevel: { tap: msg('events.levelledAgain'), said: msg('events.levelledAgain'), book: msg('events.levelledAgain2') },
  battery: { tap: msg('events.battery'), said: msg('events.batteryChanged'), book: msg('events.batteryChanged2') },
  person: {
    tap: msg('events.otherPerson'),
    said: msg('events.otherPersonAtTheInstrument'),
    book: msg('events.otherPersonAtTheInstrument2'),
  },
  pause: { tap: msg('events.pause'), said: msg('events.longerPause'), book: msg('events.longerPause2') },
} as const;
export type EventKind = keyof typeof EVENT_WORDS;
export const EVENT_KINDS = Object.keys(EVENT_WORDS) as EventKind[];
