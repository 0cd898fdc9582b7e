import type { InstrumentLink, LinkState, PoleChange, RawRead } from './instrumentLink.ts';
import { LinkError } from './simulatorLink.ts';

/** Any instrument, read by a person who keys the figures in. A shot is asked for and given through `give`. */
export class TypedLink implements InstrumentLink {
  readonly kind = 'typed';
  #listeners = new Set<() => void>();
  #asked: { resolve: (read: RawRead) => void; reject: (error: LinkError) => void } | null = null;
  #state: LinkState = {
    kind: 'typed',
    setUp: true,
    lock: 'none',
    circleDeg: 0,
    zenithDeg: 90,
    live: null,
    busy: null,
    pole: { targetHeight: 1.5, legs: true, walking: false, onto: null },
    fixed: null,
    stand: null,
    trouble: null,
    receiver: null,
    far: [],
  };

  state(): LinkState {
    return this.#state;
  }

  subscribe(listener: () => void): () => void {
    this.#listeners.add(listener);
    return () => this.#listeners.delete(listener);
  }

  #change(next: Partial<LinkState>): void {
    this.#state = { ...this.#state, ...next };
    for (const listener of this.#listeners) listener();
  }

  turn(): void {
    // A person turns this instrument.
  }

  search(): void {
    // A person aims.
  }

  measure(signal: AbortSignal): Promise<RawRead> {
    this.#asked?.reject(new LinkError({ code: 'LINK_CLOSED' }));
    this.#change({ busy: 'measuring' });
    return new Promise((resolve, reject) => {
      this.#asked = { resolve, reject };
      signal.addEventListener('abort', () => {
        this.cancel();
      });
    });
  }

  /** The figures that were keyed in. */
  give(read: RawRead): void {
    this.#asked?.resolve(read);
    this.#asked = null;
    this.#change({ busy: null, circleDeg: read.circle, zenithDeg: read.zenith });
  }

  /** What the receiver shows, keyed in by whoever holds the pole; null takes it back. */
  giveReceiver(receiver: LinkState['receiver']): void {
    this.#change({ receiver });
  }

  setPole(change: PoleChange): void {
    this.#change({ pole: { ...this.#state.pole, ...change } });
  }

  setFixed(fixed: LinkState['fixed']): void {
    this.#change({ fixed });
  }

  cancel(): void {
    this.#asked?.reject(new LinkError({ code: 'LINK_CLOSED' }));
    this.#asked = null;
    this.#change({ busy: null });
  }

  close(): void {
    this.cancel();
  }
}
