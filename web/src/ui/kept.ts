/** A choice of this device, the same for everything that shows it. */
import { useSyncExternalStore } from 'react';

export interface Kept<T extends string> {
  now(): T;
  set(next: T): void;
  use(): T;
}

/** One of a few words, kept under a key; the first of them where nothing else was chosen. */
export function keptChoice<T extends string>(key: string, choices: readonly [T, ...T[]]): Kept<T> {
  const listeners = new Set<() => void>();
  const now = (): T => {
    const kept = localStorage.getItem(key);
    return choices.find((each) => each === kept) ?? choices[0];
  };
  const subscribe = (listener: () => void) => {
    listeners.add(listener);
    return () => listeners.delete(listener);
  };
  return {
    now,
    set: (next) => {
      localStorage.setItem(key, next);
      for (const listener of listeners) listener();
    },
    use: () => useSyncExternalStore(subscribe, now),
  };
}
