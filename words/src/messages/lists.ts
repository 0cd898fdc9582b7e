/** Messages of lists. */
export const lists = {
  and: '{names} and {names2}',
} as const;
