/** Messages of stakes. */
export const stakes = {
  looksAtTheThing: 'faces the work',
  looksHalfwayAtTheThing: 'faces halfway toward the work',
  looksAlongTheRoad: 'looks along the road',
  fromAboveTheFront: 'From above: the front {value}',
} as const;
