/** Messages of lengths. */
export const lengths = {
  canBeReadInTwoWaysWhich:
    '“{text}” can be read in two ways: {feet}, which is {length}, or one figure less another, {length2}. Write the one that is meant.',
} as const;
