import type { PlanPoint } from './point.ts';

/** Points in the order of a walk round their hull, by Andrew's monotone chain; one point where all are in one place. */
export function hull(points: readonly PlanPoint[]): PlanPoint[] {
  const sorted = [...points].sort((a, b) => a.e - b.e || a.n - b.n);
  const half = (list: readonly PlanPoint[]): PlanPoint[] => {
    const chain: PlanPoint[] = [];
    for (const point of list) {
      while (chain.length > 1) {
        const [a, b] = [chain.at(-2)!, chain.at(-1)!];
        if ((b.e - a.e) * (point.n - a.n) - (b.n - a.n) * (point.e - a.e) > 0) break;
        chain.pop();
      }
      chain.push(point);
    }
    return chain.slice(0, -1);
  };
  const round = [...half(sorted), ...half([...sorted].reverse())];
  return round.length === 0 ? sorted.slice(0, 1) : round;
}
