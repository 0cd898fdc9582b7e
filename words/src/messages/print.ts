/** Messages of print. */
export const print = {
  writtenSoFar: 'Written so far',
  letter: 'Letter',
  tabloid: 'Tabloid',
  theServerDoesNotAnswerNothingWas: 'The server doesn’t answer. Nothing was printed; try again when it is back.',
} as const;
