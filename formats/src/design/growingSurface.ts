/** A surface while its triangles are being read: a corner that several triangles share is kept once. */
import type { DrawnSurface } from './drawing.ts';

export class GrowingSurface {
  readonly #places: number[] = [];
  readonly #faces: number[] = [];
  readonly #byKey = new Map<string, number>();

  /** Keeps a corner under a name of its file; a later one of the same name counts. */
  corner(key: string, e: number, n: number, z: number): number {
    const at = this.#places.length / 3;
    this.#places.push(e, n, z);
    this.#byKey.set(key, at);
    return at;
  }

  /** The corner of this name, or the place itself where it is its own name. */
  at(e: number, n: number, z: number): number {
    const key = `${e} ${n} ${z}`;
    return this.#byKey.get(key) ?? this.corner(key, e, n, z);
  }

  named(key: string): number | undefined {
    return this.#byKey.get(key);
  }

  triangle(a: number, b: number, c: number): void {
    this.#faces.push(a, b, c);
  }

  /** Null while it has no triangle. */
  finish(layer: string): DrawnSurface | null {
    if (this.#faces.length === 0) return null;
    return { layer, triangles: { places: Float64Array.from(this.#places), faces: Uint32Array.from(this.#faces) } };
  }
}
