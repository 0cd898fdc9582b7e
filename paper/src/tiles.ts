/** A plan that is too crowded for one page, parted into pages side by side. */
import type { Metres, PlanPoint } from '@idle-marker/core';

export interface Tile<T> {
  readonly centre: PlanPoint;
  readonly width: Metres;
  readonly height: Metres;
  readonly rows: readonly T[];
}

/** Pages of equal size that cover all places, row by row from the north-west; those without any are left out. */
export function tilesOf<T extends { readonly place: PlanPoint }>(
  rows: readonly T[],
  width: Metres,
  height: Metres,
): Tile<T>[] {
  if (rows.length === 0) return [];
  const [east, north] = [rows.map(({ place }) => place.e), rows.map(({ place }) => place.n)];
  const [minE, maxE, minN, maxN] = [Math.min(...east), Math.max(...east), Math.min(...north), Math.max(...north)];
  const across = Math.max(1, Math.ceil((maxE - minE) / width));
  const down = Math.max(1, Math.ceil((maxN - minN) / height));
  const [stepE, stepN] = [(maxE - minE) / across, (maxN - minN) / down];
  const tiles = new Map<number, T[]>();
  for (const row of rows) {
    const column = Math.min(across - 1, stepE > 0 ? Math.floor((row.place.e - minE) / stepE) : 0);
    const line = Math.min(down - 1, stepN > 0 ? Math.floor((maxN - row.place.n) / stepN) : 0);
    const key = line * across + column;
    const known = tiles.get(key);
    if (known) known.push(row);
    else tiles.set(key, [row]);
  }
  return [...tiles]
    .sort(([a], [b]) => a - b)
    .map(([key, inTile]) => ({
      centre: { e: minE + ((key % across) + 0.5) * stepE, n: maxN - (Math.floor(key / across) + 0.5) * stepN },
      width: Math.max(stepE, 0),
      height: Math.max(stepN, 0),
      rows: inTile,
    }));
}
