import type { BritishOf } from './britishOf.ts';
import type { vocabulary as whole } from '../vocabulary.ts';

export const vocabulary: BritishOf<typeof whole> = {
  theBenchmarksSighted: 'the TBMs sighted',
  theBenchmarksAndTogether: 'the TBMs and {mark} together',
  centreOfWall: 'centre of wall',
  topOfKerb: 'top of kerb',
  notMeasured: 'level not measured',
  aProofOfItsStationFailed: 'a check sight of its station failed',
  theProofsOfItsStationDisagree: 'the check sights of its station disagree',
  itWasSetAfterTheFailedProof: 'it was set after the failed check sight',
  aGoodProofCameAfterIt: 'good check sight after setting',
  aLaterSightVouchesForItFrom: 'confirmed from a station that still needs its own check sight',
  noProofCameAfterItYet: 'no check sight since it was set',
  theInstrumentHasLeftWithoutALast: 'setup closed without a final check sight',
  itRepeatsInHeightAloneLeaveIts:
    'It repeats, in level only: leave its level out, keep its plan, and have it levelled again.',
  meters: 'metres',
  center: 'centre',
};
