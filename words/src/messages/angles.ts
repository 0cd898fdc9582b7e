/** Messages of angles. */
export const angles = {
  mgon: '{size} mgon',
  gon: '{size} gon',
} as const;
