import type { LayerLines } from '@idle-marker/formats';
import { underlayTile, type UnderlayTile } from '../board/underlay.ts';

/** A page without a canvas paints nothing. */
const hasPaths = typeof Path2D !== 'undefined';
/** After so many milliseconds of work the page gets its turn. */
const TURN_MS = 12;

/** Paths of all tiles, made a few at a time so that the page stays usable. */
export async function tilesOf(lines: readonly LayerLines[]): Promise<UnderlayTile[]> {
  const tiles: UnderlayTile[] = [];
  if (!hasPaths) return tiles;
  let began = performance.now();
  for (const { layer, origin, places, starts } of lines) {
    tiles.push(underlayTile(layer, origin, places, starts));
    if (performance.now() - began > TURN_MS) {
      await new Promise((go) => setTimeout(go, 0));
      began = performance.now();
    }
  }
  return tiles;
}
