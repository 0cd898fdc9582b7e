import type { BritishOf } from './britishOf.ts';
import type { stakeText as whole } from '../stakeText.ts';

export const stakeText: BritishOf<typeof whole> = {
  backOfKerb: 'back of kerb',
  bottomOfKerb: 'bottom of kerb',
  backStation: 'back chainage',
  kerbFace: 'kerb face',
  faceOfKerb: 'face of kerb',
  finishedGrade: 'finished level',
  gradeBreak: 'change of gradient',
  topOfKerb: 'top of kerb',
  beginOfSpiral: 'begin of transition',
  centre: 'centre',
};
