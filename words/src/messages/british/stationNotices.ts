import type { BritishOf } from './britishOf.ts';
import type { stationNotices as whole } from '../stationNotices.ts';

export const stationNotices: BritishOf<typeof whole> = {
  aProofOfStationFailedInAnd: 'A check sight of station {name} failed in {parts} and is still unanswered.',
};
