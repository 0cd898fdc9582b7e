/**
 * Triangles of a surface that lie over one another: there it has two heights, and which one is given is chance. Pairs
 * are looked for through the surface's cells and tested by separating lines. Source: C. Ericson, Real-Time Collision
 * Detection, chapter 5 (separating axis test).
 */
import type { PlanPoint } from '../plane/point.ts';
import type { Metres } from '../quantity/unit.ts';
import type { Surface } from './surface.ts';

export interface CrossingTriangles {
  /** How many triangles lie over another one. */
  readonly count: number;
  /** The first two, counted from 0 in the order of the file, and the middle of the first. */
  readonly first: readonly [number, number];
  readonly at: PlanPoint;
}

/** Corners of a file are rounded: an overlap this narrow is none. */
const ROUNDED: Metres = 0.002;

/** Where triangles cross or cover one another in plan; null where every place has one height. */
export function crossingTriangles(surface: Surface): CrossingTriangles | null {
  const { places, faces, starts, members, low, cell: size, columns } = surface;
  const box = boxesOf(surface);
  const crossing = new Set<number>();
  let first: [number, number] | null = null;
  for (let cell = 0; cell + 1 < starts.length; cell++) {
    const last = starts[cell + 1]!;
    for (let i = starts[cell]!; i < last; i++)
      for (let k = i + 1; k < last; k++) {
        const a = members[i]!;
        const b = members[k]!;
        const west = Math.max(box[4 * a]!, box[4 * b]!);
        const south = Math.max(box[4 * a + 1]!, box[4 * b + 1]!);
        if (
          Math.min(box[4 * a + 2]!, box[4 * b + 2]!) - west < ROUNDED ||
          Math.min(box[4 * a + 3]!, box[4 * b + 3]!) - south < ROUNDED
        )
          continue;
        // Two triangles meet in many cells: they are looked at in the one where what their boxes share begins.
        if (Math.floor((west - low.e) / size) + columns * Math.floor((south - low.n) / size) !== cell) continue;
        if (separated(places, faces, a, b) || separated(places, faces, b, a)) continue;
        crossing.add(a).add(b);
        if (!first || Math.min(a, b) < Math.min(...first)) first = [Math.min(a, b), Math.max(a, b)];
      }
  }
  if (!first) return null;
  const corner = (k: number, axis: 0 | 1) => places[faces[first[0] * 3 + k]! * 3 + axis]!;
  const mean = (axis: 0 | 1) => (corner(0, axis) + corner(1, axis) + corner(2, axis)) / 3;
  return { count: crossing.size, first, at: { e: mean(0), n: mean(1) } };
}

/** West, south, east and north of every triangle. */
function boxesOf({ places, faces }: Surface): Float64Array {
  const box = new Float64Array((faces.length / 3) * 4);
  for (let face = 0; face * 3 < faces.length; face++) {
    const a = faces[face * 3]! * 3;
    const b = faces[face * 3 + 1]! * 3;
    const c = faces[face * 3 + 2]! * 3;
    box[4 * face] = Math.min(places[a]!, places[b]!, places[c]!);
    box[4 * face + 1] = Math.min(places[a + 1]!, places[b + 1]!, places[c + 1]!);
    box[4 * face + 2] = Math.max(places[a]!, places[b]!, places[c]!);
    box[4 * face + 3] = Math.max(places[a + 1]!, places[b + 1]!, places[c + 1]!);
  }
  return box;
}

/** Whether a side of the first triangle has all of the second beyond it. */
function separated(places: Float64Array, faces: Uint32Array, one: number, other: number): boolean {
  for (let k = 0; k < 3; k++) {
    const from = faces[one * 3 + k]! * 3;
    const to = faces[one * 3 + ((k + 1) % 3)]! * 3;
    const third = faces[one * 3 + ((k + 2) % 3)]! * 3;
    const de = places[to]! - places[from]!;
    const dn = places[to + 1]! - places[from + 1]!;
    const length = Math.hypot(de, dn);
    const own = (places[third]! - places[from]!) * dn - (places[third + 1]! - places[from + 1]!) * de;
    const side = own > 0 ? 1 : -1;
    let beyond = true;
    for (let m = 0; m < 3 && beyond; m++) {
      const corner = faces[other * 3 + m]! * 3;
      const off = ((places[corner]! - places[from]!) * dn - (places[corner + 1]! - places[from + 1]!) * de) * side;
      if (off > ROUNDED * length) beyond = false;
    }
    if (beyond) return true;
  }
  return false;
}
