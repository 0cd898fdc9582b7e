import { msg, worded } from './message.ts';
/** What may happen to an instrument: on a button, in a list to choose from, and in the book. */
export const eventWords = worded(
  () =>
    ({
      bump: { tap: msg('events.bumped'), said: msg('events.tripodOrInstrumentWasBumped'), book: 'bumped' },
      plant: {
        tap: msg('events.plantPassed'),
        said: msg('events.heavyPlantPassed'),
        book: msg('events.heavyPlantPassed2'),
      },
      relevel: {
        tap: msg('events.levelledAgain'),
        said: msg('events.levelledAgain'),
        book: msg('events.levelledAgain2'),
      },
      battery: { tap: msg('events.battery'), said: msg('events.batteryChanged'), book: msg('events.batteryChanged2') },
      person: {
        tap: msg('events.otherPerson'),
        said: msg('events.otherPersonAtTheInstrument'),
        book: msg('events.otherPersonAtTheInstrument2'),
      },
      pause: { tap: msg('events.pause'), said: msg('events.longerPause'), book: msg('events.longerPause2') },
    }) as const,
);
export type EventKind = keyof ReturnType<typeof eventWords>;
export const eventKinds = worded(() => Object.keys(eventWords()) as EventKind[]);
