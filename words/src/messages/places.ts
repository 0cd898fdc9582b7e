/** Messages of places. */
export const places = {
  thisLiesOutsideOfEveryOutlineTo:
    'This lies {away} outside of every outline; to the other side of the line it would lie inside. Is the side right?',
  thisLiesOutsideOfEveryOutlineIs: 'This lies {away} outside of every outline. Is that meant?',
} as const;
