/**
 * A map of which there is a newer one with every fact. Copying thousands of entries for one more would be most of the
 * work, so that the newer one takes over what the older one holds; whoever kept the older one sees the newer entries in
 * it, too.
 */
export class GrownMap<K, V> implements ReadonlyMap<K, V> {
  readonly #map: Map<K, V>;
  #isNewest = true;

  constructor(entries: Iterable<readonly [K, V]> | Map<K, V> = []) {
    this.#map = entries instanceof Map ? entries : new Map(entries);
  }

  /** A newer one; `change` does to its entries what makes it so. */
  grown(change: (entries: Map<K, V>) => void): GrownMap<K, V> {
    // Only one goes on from here: from an older one it goes on with a copy.
    const map = this.#isNewest ? this.#map : new Map(this.#map);
    this.#isNewest = false;
    change(map);
    return new GrownMap(map);
  }

  get size(): number {
    return this.#map.size;
  }
  get(key: K): V | undefined {
    return this.#map.get(key);
  }
  has(key: K): boolean {
    return this.#map.has(key);
  }
  forEach(each: (value: V, key: K, map: ReadonlyMap<K, V>) => void): void {
    for (const [key, value] of this.#map) each(value, key, this);
  }
  keys(): MapIterator<K> {
    return this.#map.keys();
  }
  values(): MapIterator<V> {
    return this.#map.values();
  }
  entries(): MapIterator<[K, V]> {
    return this.#map.entries();
  }
  [Symbol.iterator](): MapIterator<[K, V]> {
    return this.#map.entries();
  }
}
