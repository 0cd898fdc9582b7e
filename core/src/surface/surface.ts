/**
 * A ground or a design as triangles: one height for a place, linear within each triangle. Triangles are found through
 * square cells of about one triangle each. Source: M. de Berg, O. Cheong, M. van Kreveld, M. Overmars, Computational
 * Geometry, chapter 9 (polyhedral terrains); J. L. Bentley, J. H. Friedman, Data Structures for Range Searching
 * (cells).
 */
import type { PlanPoint } from '../plane/point.ts';
import type { Metres } from '../quantity/unit.ts';
import { fail, ok, type Result } from '../result.ts';

export interface Triangles {
  /** East, north and height of every corner, one after the other. */
  readonly places: Float64Array;
  /** Three corners a triangle, counted from 0. */
  readonly faces: Uint32Array;
}

/** Triangles with their cells: those of cell i are `members` from `starts[i]` up to `starts[i + 1]`. */
export interface Surface extends Triangles {
  readonly low: PlanPoint;
  readonly cell: Metres;
  readonly columns: number;
  readonly rows: number;
  readonly starts: Uint32Array;
  readonly members: Uint32Array;
  /** Triangles that stand upright or have no area: they carry no height. */
  readonly upright: number;
}

export type SurfaceError =
  | { readonly code: 'SURFACE_WITHOUT_TRIANGLES' }
  /** `triangle` counted from 0. */
  | { readonly code: 'SURFACE_CORNER_MISSING'; readonly triangle: number }
  | { readonly code: 'SURFACE_CORNER_NOT_FINITE'; readonly corner: number };

/** A share of a triangle that rounding may cost at its edges: no place falls between two neighbours. */
const EDGE = 1e-9;
/** Less plan area than this a triangle, square metres, and it is upright. */
const NO_AREA = 1e-10;
const MOST_CELLS = 4_000_000;

/** Twice the plan area of a triangle, positive when its corners run counter-clockwise. */
function doubleArea({ places, faces }: Triangles, face: number): number {
  const [a, b, c] = [faces[3 * face]! * 3, faces[3 * face + 1]! * 3, faces[3 * face + 2]! * 3];
  return (
    (places[b]! - places[a]!) * (places[c + 1]! - places[a + 1]!) -
    (places[c]! - places[a]!) * (places[b + 1]! - places[a + 1]!)
  );
}

/** Makes a surface ready to be asked for heights. */
export function surfaceOf({ places, faces }: Triangles): Result<Surface, SurfaceError> {
  const count = faces.length / 3;
  const corners = places.length / 3;
  if (count === 0) return fail({ code: 'SURFACE_WITHOUT_TRIANGLES' });
  const notFinite = places.findIndex((value) => !Number.isFinite(value));
  if (notFinite >= 0) return fail({ code: 'SURFACE_CORNER_NOT_FINITE', corner: Math.floor(notFinite / 3) });
  const missing = faces.findIndex((corner) => corner >= corners);
  if (missing >= 0) return fail({ code: 'SURFACE_CORNER_MISSING', triangle: Math.floor(missing / 3) });
  let [e0, n0, e1, n1] = [Infinity, Infinity, -Infinity, -Infinity];
  for (const corner of faces) {
    const [e, n] = [places[3 * corner]!, places[3 * corner + 1]!];
    if (e < e0) e0 = e;
    if (e > e1) e1 = e;
    if (n < n0) n0 = n;
    if (n > n1) n1 = n;
  }
  const [width, height] = [Math.max(e1 - e0, 1e-6), Math.max(n1 - n0, 1e-6)];
  const cell = Math.max(
    Math.sqrt((width * height) / count),
    Math.sqrt((width * height) / MOST_CELLS),
    Math.max(width, height) / MOST_CELLS,
  );
  const [columns, rows] = [Math.floor(width / cell) + 1, Math.floor(height / cell) + 1];
  const starts = new Uint32Array(columns * rows + 1);
  let upright = 0;
  const eachCell = (face: number, act: (cellAt: number) => void) => {
    const [a, b, c] = [faces[3 * face]! * 3, faces[3 * face + 1]! * 3, faces[3 * face + 2]! * 3];
    const column = (e: number) => Math.min(columns - 1, Math.max(0, Math.floor((e - e0) / cell)));
    const row = (n: number) => Math.min(rows - 1, Math.max(0, Math.floor((n - n0) / cell)));
    const [left, right] = [
      column(Math.min(places[a]!, places[b]!, places[c]!)),
      column(Math.max(places[a]!, places[b]!, places[c]!)),
    ];
    const [low, high] = [
      row(Math.min(places[a + 1]!, places[b + 1]!, places[c + 1]!)),
      row(Math.max(places[a + 1]!, places[b + 1]!, places[c + 1]!)),
    ];
    for (let r = low; r <= high; r++) for (let q = left; q <= right; q++) act(r * columns + q);
  };
  const isUpright = (face: number) => Math.abs(doubleArea({ places, faces }, face)) < 2 * NO_AREA;
  for (let face = 0; face < count; face++) {
    if (isUpright(face)) upright++;
    else eachCell(face, (at) => starts[at + 1]!++);
  }
  if (upright === count) return fail({ code: 'SURFACE_WITHOUT_TRIANGLES' });
  for (let i = 0; i < columns * rows; i++) starts[i + 1]! += starts[i]!;
  const members = new Uint32Array(starts[columns * rows]!);
  const next = starts.slice();
  for (let face = 0; face < count; face++) if (!isUpright(face)) eachCell(face, (at) => (members[next[at]!++] = face));
  return ok({ places, faces, low: { e: e0, n: n0 }, cell, columns, rows, starts, members, upright });
}

/** The height of a surface at a place; null where it has none: beside it, or in a hole. */
export function heightOn(surface: Surface, { e, n }: PlanPoint): Metres | null {
  const { places, faces, low, cell, columns, rows, starts, members } = surface;
  const column = Math.floor((e - low.e) / cell);
  const row = Math.floor((n - low.n) / cell);
  // The far edges belong to the last cells.
  const q = column === columns ? columns - 1 : column;
  const r = row === rows ? rows - 1 : row;
  if (!(q >= 0 && q < columns && r >= 0 && r < rows)) return null;
  const at = r * columns + q;
  const last = starts[at + 1]!;
  // Asked a million times a second: nothing is made here that would have to be thrown away.
  for (let i = starts[at]!; i < last; i++) {
    const face = members[i]! * 3;
    const a = faces[face]! * 3;
    const b = faces[face + 1]! * 3;
    const c = faces[face + 2]! * 3;
    const ae = places[a]!;
    const an = places[a + 1]!;
    const be = places[b]! - ae;
    const bn = places[b + 1]! - an;
    const ce = places[c]! - ae;
    const cn = places[c + 1]! - an;
    const area = be * cn - ce * bn;
    const de = e - ae;
    const dn = n - an;
    const shareB = (de * cn - ce * dn) / area;
    if (shareB < -EDGE) continue;
    const shareC = (be * dn - de * bn) / area;
    if (shareC >= -EDGE && shareB + shareC <= 1 + EDGE)
      return places[a + 2]! + shareB * (places[b + 2]! - places[a + 2]!) + shareC * (places[c + 2]! - places[a + 2]!);
  }
  return null;
}

/**
 * Edges of a surface that belong to one triangle only: its rim and those of its holes. Pairs of corners, one after the
 * other, the lower number first. Sorted numbers rather than a map: a million triangles have three million edges.
 */
export function rimOf({ faces, places }: Triangles): Uint32Array {
  const corners = places.length / 3;
  const keys = new Float64Array(faces.length);
  for (let face = 0; face < faces.length; face += 3)
    for (let k = 0; k < 3; k++) {
      const from = faces[face + k]!;
      const to = faces[face + ((k + 1) % 3)]!;
      keys[face + k] = Math.min(from, to) * corners + Math.max(from, to);
    }
  keys.sort();
  const rim: number[] = [];
  for (let i = 0; i < keys.length;) {
    let past = i + 1;
    while (past < keys.length && keys[past] === keys[i]) past++;
    if ((past - i) % 2 === 1) rim.push(Math.floor(keys[i]! / corners), keys[i]! % corners);
    i = past;
  }
  return Uint32Array.from(rim);
}
