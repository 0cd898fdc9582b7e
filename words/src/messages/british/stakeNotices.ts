import type { BritishOf } from './britishOf.ts';
import type { stakeNotices as whole } from '../stakeNotices.ts';

export const stakeNotices: BritishOf<typeof whole> = {
  hasNoRoomOnAnySideTake: '“{text}” has no room on any side: take a longer stake or smaller letters.',
  isWiderThanTheLathWhichTakes: '“{text}” is wider than the stake, which takes {characters} letters.',
};
