import type { BritishOf } from './britishOf.ts';
import type { stakeLines as whole } from '../stakeLines.ts';

export const stakeLines: BritishOf<typeof whole> = {
  squareToTheLineBehind: 'square to back line',
  squareToTheLineAhead: 'square to ahead line',
  noHeight: 'no level',
  onGrade: 'ON LEVEL',
  offsetHubOf: 'Offset peg, {length} {unitAbbreviation} {side} of {string}',
  offsetHub: 'Offset peg, {length} {unitAbbreviation} {off}{and}, {what}',
};
