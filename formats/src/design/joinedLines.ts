import { planDistance, signedArea, type Metres, type PlanPoint } from '@idle-marker/core';
import type { DrawnLine, DrawnOutline } from './drawing.ts';

/** Ends nearer than this join up. */
const JOIN: Metres = 0.002;

/** Rings made of lines of one layer that join end to end, each line once, where no third line meets. */
export function joinedLines(lines: readonly DrawnLine[]): DrawnOutline[] {
  const key = (at: PlanPoint) => `${Math.round(at.e / JOIN)} ${Math.round(at.n / JOIN)}`;
  const byLayer = new Map<string, DrawnLine[]>();
  for (const line of lines) push(byLayer, line.layer, line);
  const rings: DrawnOutline[] = [];
  for (const [layer, own] of byLayer) {
    const ends = new Map<string, DrawnLine[]>();
    for (const line of own) for (const end of [line.from, line.to]) push(ends, key(end), line);
    const used = new Set<DrawnLine>();
    for (const start of own) {
      if (used.has(start) || planDistance(start.from, start.to) < JOIN) continue;
      const ring = [start.from];
      const chain = new Set([start]);
      let at = start.to;
      while (key(at) !== key(start.from)) {
        const met = ends.get(key(at)) ?? [];
        const next = met.length === 2 ? met.find((line) => !chain.has(line)) : undefined;
        if (!next) break;
        ring.push(at);
        chain.add(next);
        at = key(next.from) === key(at) ? next.to : next.from;
      }
      // A chain that leads nowhere leads nowhere from any of its lines.
      for (const line of chain) used.add(line);
      if (key(at) !== key(start.from) || ring.length < 3) continue;
      rings.push({ layer, corners: ring, area: Math.abs(signedArea(ring)) });
    }
  }
  return rings;
}

function push<T>(lists: Map<string, T[]>, key: string, value: T): void {
  const list = lists.get(key);
  if (list) list.push(value);
  else lists.set(key, [value]);
}
