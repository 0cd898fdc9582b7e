import type { BritishOf } from './britishOf.ts';
import type { records as whole } from '../records.ts';

export const records: BritishOf<typeof whole> = {
  proofFor: 'check sight for',
  measuredLessListedENHeightMm: '{as} {station}: measured less listed {axes}, level {elevation}',
  returnBegins: 'start of radius',
  radiusPointStrapTheRadiusAllRound: 'centre of radius: swing the radius by tape',
  oneBenchmarkNothingChecksItUntil: 'one TBM: nothing checks it until another is sighted',
};
