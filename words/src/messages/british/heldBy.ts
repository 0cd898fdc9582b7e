import type { BritishOf } from './britishOf.ts';
import type { heldBy as whole } from '../heldBy.ts';

export const heldBy: BritishOf<typeof whole> = {
  planFromAReceiverHeightFrom: 'GNSS plan, level from {names}',
};
