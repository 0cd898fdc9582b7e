import type { BritishOf } from './britishOf.ts';
import type { answers as whole } from '../answers.ts';

export const answers: BritishOf<typeof whole> = {
  theArchiveTookTooLongToRead: 'The archive took too long to read, or was cancelled.',
  thisPageHasBeenClosedAskThe: 'This link is no longer valid. Ask the setting-out engineer for a new one.',
  soManyReportsInAnHourAre: 'Too many reports in the last hour: call the setting-out engineer. This one wasn’t saved.',
};
