/** Messages of template. */
export const template = {
  isTheNameOfTwoStringsEvery:
    '{name} is the name of two strings: every string needs a name of its own, and “centreline” is taken.',
  countsFromAndThereIsNoSuch:
    '{wantedBy} counts from {name}, and there is no such string: choose one of the others or the centerline.',
  theHeightOfCountsFromItselfBy:
    'The elevation of {name} counts from itself by way of other strings: let one of them count from the centerline.',
  hasNoFigureAtAllGiveAt: '{name} has no figure at all: give at least one.',
  theRowsOfAreNotInOrder: 'The rows of {name} are not in order: put them by station.',
} as const;
