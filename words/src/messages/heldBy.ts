/** Messages of heldBy. */
export const heldBy = {
  overDirectionAssumedNothingTestsIt: 'over {names}, direction assumed: nothing tests it',
  pointsOnDrawnLines: 'points on drawn lines',
  carriedForward: '{names}, carried forward',
  planFromAReceiverHeightFrom: 'plan from a receiver, height from {names}',
} as const;
