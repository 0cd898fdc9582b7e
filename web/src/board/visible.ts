/** Which symbols of a scene are worth painting: those in view, and no more than one a cell when they lie too thick. */
import Flatbush from 'flatbush';
import type { Scene, SceneSymbol } from './scene.ts';

/** Above this many in view there are no labels, and symbols are thinned to one a cell. */
const CROWD = 400;
const CELL_PX = 12;
/** Small scenes are painted whole. */
const SMALL = 200;

export interface SceneIndex {
  readonly scene: Scene;
  readonly tree: Flatbush | null;
}

export function indexScene(scene: Scene): SceneIndex {
  if (scene.symbols.length <= SMALL) return { scene, tree: null };
  const tree = new Flatbush(scene.symbols.length);
  for (const { at } of scene.symbols) tree.add(at.e, at.n, at.e, at.n);
  tree.finish();
  return { scene, tree };
}

export interface Visible {
  readonly symbols: readonly SceneSymbol[];
  readonly crowded: boolean;
}

/** `extent`: west, south, east, north of the view in site metres. */
export function visibleSymbols({ scene, tree }: SceneIndex, extent: readonly number[], resolution: number): Visible {
  if (!tree) return { symbols: scene.symbols, crowded: false };
  const found = tree.search(extent[0]!, extent[1]!, extent[2]!, extent[3]!);
  if (found.length <= CROWD) return { symbols: found.map((i) => scene.symbols[i]!), crowded: false };
  const cell = CELL_PX * resolution;
  const taken = new Set<number>();
  const symbols: SceneSymbol[] = [];
  for (const i of found) {
    const symbol = scene.symbols[i]!;
    const key = Math.floor(symbol.at.e / cell) * 1_000_003 + Math.floor(symbol.at.n / cell);
    if (taken.has(key) && !symbol.chosen) continue;
    taken.add(key);
    symbols.push(symbol);
  }
  return { symbols, crowded: true };
}
