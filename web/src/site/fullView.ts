/**
 * A view that needs the whole screen, such as the one at the pole: the frame takes rail, bars and footing away, and its
 * menu opens from there.
 */
import { useLayoutEffect, useSyncExternalStore } from 'react';

let views = 0;
let isMenuOpen = false;
const listeners = new Set<() => void>();
const tell = () => {
  for (const listener of listeners) listener();
};
const subscribe = (listener: () => void) => {
  listeners.add(listener);
  return () => listeners.delete(listener);
};

/** Takes the whole screen for as long as what calls this is shown. */
export function useFullView(): void {
  useLayoutEffect(() => {
    views += 1;
    tell();
    return () => {
      views -= 1;
      tell();
    };
  }, []);
}

export const useIsFullView = (): boolean => useSyncExternalStore(subscribe, () => views > 0);

export function openFieldMenu(isOpen: boolean): void {
  isMenuOpen = isOpen;
  tell();
}

export const useIsMenuOpen = (): boolean => useSyncExternalStore(subscribe, () => isMenuOpen);
