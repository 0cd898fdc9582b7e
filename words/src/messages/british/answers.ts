import type { BritishOf } from './britishOf.ts';
import type { answers as whole } from '../answers.ts';

export const answers: BritishOf<typeof whole> = {
  thisPageHasBeenClosedAskThe: 'This link is no longer valid. Ask the setting-out engineer for a new one.',
  soManyReportsInAnHourAre:
    'So many reports in an hour aren’t taken: call the setting-out engineer. This one wasn’t kept.',
};
