/** A surface while its triangles are being read: a corner that several triangles share is kept once. */
import type { DrawnSurface } from './drawing.ts';

/** Whole numbers up to here name corners by their place in an array; other names by a map. */
const LARGEST_NUMBER = 16_000_000;
const FIRST_ROOM = 1024;

export class GrowingSurface {
  #places = new Float64Array(3 * FIRST_ROOM);
  #corners = 0;
  #faces = new Uint32Array(3 * FIRST_ROOM);
  #triangles = 0;
  /** One more than the corner of this number; 0 where there is none. */
  #byNumber = new Uint32Array(FIRST_ROOM);
  readonly #byKey = new Map<string, number>();

  /** Keeps a corner under a name of its file; false when the name is taken. */
  corner(key: string, e: number, n: number, z: number): boolean {
    if (this.named(key) !== undefined) return false;
    const at = this.#corners++;
    if (3 * at + 3 > this.#places.length) this.#places = grown(this.#places, Float64Array);
    this.#places[3 * at] = e;
    this.#places[3 * at + 1] = n;
    this.#places[3 * at + 2] = z;
    const number = numberOf(key);
    if (number === null) this.#byKey.set(key, at);
    else {
      while (number >= this.#byNumber.length) this.#byNumber = grown(this.#byNumber, Uint32Array);
      this.#byNumber[number] = at + 1;
    }
    return true;
  }

  /** The corner of this name, or the place itself where it is its own name. */
  at(e: number, n: number, z: number): number {
    const key = `${e} ${n} ${z}`;
    const known = this.#byKey.get(key);
    if (known !== undefined) return known;
    this.corner(key, e, n, z);
    return this.#corners - 1;
  }

  named(key: string): number | undefined {
    const number = numberOf(key);
    if (number === null) return this.#byKey.get(key);
    const at = number < this.#byNumber.length ? this.#byNumber[number]! : 0;
    return at === 0 ? undefined : at - 1;
  }

  triangle(a: number, b: number, c: number): void {
    const at = 3 * this.#triangles++;
    if (at + 3 > this.#faces.length) this.#faces = grown(this.#faces, Uint32Array);
    this.#faces[at] = a;
    this.#faces[at + 1] = b;
    this.#faces[at + 2] = c;
  }

  /** Null while it has no triangle. */
  finish(layer: string): DrawnSurface | null {
    if (this.#triangles === 0) return null;
    return {
      layer,
      triangles: { places: this.#places.slice(0, 3 * this.#corners), faces: this.#faces.slice(0, 3 * this.#triangles) },
    };
  }
}

/** Only as written without leading noughts: “07” and “7” are two names. */
function numberOf(key: string): number | null {
  const number = Number(key);
  return Number.isInteger(number) && number >= 0 && number < LARGEST_NUMBER && String(number) === key ? number : null;
}

/** The same numbers in twice the room. */
export function grown<A extends Float64Array | Uint32Array>(array: A, make: new (length: number) => A): A {
  const larger = new make(array.length * 2);
  larger.set(array);
  return larger;
}
