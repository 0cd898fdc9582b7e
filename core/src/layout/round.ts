import { planDistance, type PlanPoint } from '../plane/point.ts';

/**
 * Walking order from `start` through all places, always to the nearest that is left.
 * Returns indices into `places`. Equal distances keep the given order.
 */
export function nearestFirst(start: PlanPoint, places: readonly PlanPoint[]): number[] {
  const left = new Set(places.keys());
  const order: number[] = [];
  let here = start;
  while (left.size > 0) {
    let best = -1;
    let shortest = Infinity;
    for (const i of left) {
      const distance = planDistance(here, places[i]!);
      if (distance < shortest) {
        shortest = distance;
        best = i;
      }
    }
    left.delete(best);
    order.push(best);
    here = places[best]!;
  }
  return order;
}
