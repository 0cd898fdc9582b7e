/** Messages of link. */
export const link = {
  allRound: 'all round',
  n90ToTheLeft: '90° to the left',
  n90ToTheRight: '90° to the right',
} as const;
