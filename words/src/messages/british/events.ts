import type { BritishOf } from './britishOf.ts';
import type { events as whole } from '../events.ts';

export const events: BritishOf<typeof whole> = {
  levelledAgain: 'Levelled again',
  levelledAgain2: 'levelled again',
};
