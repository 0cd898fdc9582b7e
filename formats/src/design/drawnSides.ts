/** The sides of a drawing's lines, found by where they lie. Each is made when it is asked for: there may be a million. */
import Flatbush from 'flatbush';
import { pathOf, reachOfSide, type PathSide, type PlanPoint } from '@idle-marker/core';
import type { DrawnPath } from './drawing.ts';

export interface DrawnSide {
  readonly path: DrawnPath;
  readonly side: PathSide;
}

const sideCount = ({ corners, closed }: DrawnPath): number => corners.length - (closed ? 0 : 1);

export class DrawnSides {
  readonly #paths: readonly DrawnPath[];
  /** Of each side its path. */
  readonly #pathOf: Uint32Array;
  /** Of each path its first side. */
  readonly #first: Uint32Array;
  readonly #index: Flatbush | null;

  constructor(paths: readonly DrawnPath[]) {
    this.#paths = paths;
    this.#first = new Uint32Array(paths.length);
    const count = paths.reduce((sum, path) => sum + sideCount(path), 0);
    this.#pathOf = new Uint32Array(count);
    this.#index = count === 0 ? null : new Flatbush(count);
    let at = 0;
    paths.forEach((path, i) => {
      this.#first[i] = at;
      for (let k = 0; k < sideCount(path); k++) {
        this.#pathOf[at++] = i;
        const [from, to] = endsOf(path, k);
        let [west, south, east, north] = [from.e, from.n, from.e, from.n];
        for (const { e, n } of reachOfSide(from, to, from.bulge)) {
          [west, east] = [Math.min(west, e), Math.max(east, e)];
          [south, north] = [Math.min(south, n), Math.max(north, n)];
        }
        this.#index!.add(west, south, east, north);
      }
    });
    this.#index?.finish();
  }

  /** Sides whose box is within `reach` of a place, at most so many, of the layers that are wanted. */
  near({ e, n }: PlanPoint, reach: number, most: number, isWanted: (layer: string) => boolean): DrawnSide[] {
    const found: DrawnSide[] = [];
    for (const i of this.#index?.search(e - reach, n - reach, e + reach, n + reach) ?? []) {
      const path = this.#paths[this.#pathOf[i]!]!;
      if (!isWanted(path.layer)) continue;
      const side = sideOf(path, i - this.#first[this.#pathOf[i]!]!);
      if (side) found.push({ path, side });
      if (found.length === most) break;
    }
    return found;
  }
}

const endsOf = ({ corners }: DrawnPath, k: number) => [corners[k]!, corners[(k + 1) % corners.length]!] as const;

/** Null for one that has no length. */
function sideOf(path: DrawnPath, k: number): PathSide | null {
  const [from, to] = endsOf(path, k);
  const found = pathOf(
    [
      { name: String(k), ...from },
      { name: String(k + 1), ...to },
    ],
    false,
  );
  return found.ok ? found.value.sides[0]! : null;
}
