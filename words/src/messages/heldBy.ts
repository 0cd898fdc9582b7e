/** Messages of heldBy. */
export const heldBy = {
  overDirectionAssumedNothingTestsIt: 'over {names}, assumed direction, not checked',
  pointsOnDrawnLines: 'points on drawn lines',
  carriedForward: '{names}, carried forward',
  planFromAReceiverHeightFrom: 'GNSS plan, elevation from {names}',
} as const;
