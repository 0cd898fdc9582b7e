import { msg, worded } from '@idle-marker/words';
/** Why nothing goes out, in words: for the chip, and as a sentence. */
import type { Trouble } from './ledger.ts';

export const troubleWords = worded(
  (): Readonly<Record<Trouble, { readonly chip: string; readonly why: string; readonly until: string }>> => ({
    silent: {
      chip: msg('data.serverAway'),
      why: msg('data.theServerDoesNotAnswer2'),
      until: msg('data.whenItAnswersAgain'),
    },
    stranger: {
      chip: msg('data.notTheServer'),
      why: msg('data.somethingElseAnswersInTheServersPlace'),
      until: msg('data.whenTheServerItselfAnswers'),
    },
    database: {
      chip: msg('data.databaseAway'),
      why: msg('data.theServerAnswersButItsDatabaseDoes'),
      until: msg('data.whenItIsBack'),
    },
    full: {
      chip: msg('data.serversDiskFull'),
      why: msg('data.theServerHasNoRoomToWrite'),
      until: msg('data.whenThereIsRoom'),
    },
  }),
);
