/** Messages of naming. */
export const naming = {
  theReadingLandsFromButFromThe:
    'The reading lands {length} from {named}, but {length2} from {likely}. The reading itself stays as it is; only its name changes.',
  theSightWasToNotToIt: 'the sight was to {likely}, not to {named}; it is entered again under that name',
} as const;
