/** Messages of duration. */
export const duration = {
  min: '{minutes} min',
  min2: ' {rest} min',
} as const;
