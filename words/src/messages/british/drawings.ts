import type { BritishOf } from './britishOf.ts';
import type { drawings as whole } from '../drawings.ts';

export const drawings: BritishOf<typeof whole> = {
  squareFromTheLast: 'square from last point',
  readingWasCancelled: 'Reading was cancelled.',
};
