import type { BritishOf } from './britishOf.ts';
import type { template as whole } from '../template.ts';

export const template: BritishOf<typeof whole> = {
  countsFromAndThereIsNoSuch:
    '{wantedBy} counts from {name}, and there is no such string: choose one of the others or the centreline.',
  theHeightOfCountsFromItselfBy:
    'The level of {name} counts from itself by way of other strings: let one of them count from the centreline.',
  theRowsOfAreNotInOrder: 'The rows of {name} are not in order: put them by chainage.',
};
