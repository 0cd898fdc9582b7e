import { useSyncExternalStore } from 'react';

/** Phones, tablets, and whatever is touched rather than pointed at. */
export const CARRIED = '(max-width: 73.4rem), (pointer: coarse)';

/** Whether a media query holds now. */
export function useMedia(query: string): boolean {
  return useSyncExternalStore(
    (listener) => {
      const list = window.matchMedia(query);
      list.addEventListener('change', listener);
      return () => list.removeEventListener('change', listener);
    },
    () => window.matchMedia(query).matches,
  );
}

/** One column: what stands beside each other elsewhere comes one after the other. */
export const useIsPhone = (): boolean => useMedia('(max-width: 47.99rem)');
