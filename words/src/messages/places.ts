/** Messages of places. */
export const places = {
  thisLiesOutsideOfEveryOutlineTo:
    'This point is {away} outside every outline; on the other side of the line it would be inside. Is the side right?',
  thisLiesOutsideOfEveryOutlineIs: 'This point is {away} outside every outline. Is that intended?',
} as const;
