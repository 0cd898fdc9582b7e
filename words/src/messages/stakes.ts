/** Messages of stakes. */
export const stakes = {
  looksAtTheThing: 'looks at the thing',
  looksHalfwayAtTheThing: 'looks halfway at the thing',
  looksAlongTheRoad: 'looks along the road',
  fromAboveTheFront: 'From above: the front {value}',
} as const;
