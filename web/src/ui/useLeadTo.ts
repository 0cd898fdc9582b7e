import { useCallback, useRef, type RefObject } from 'react';

/**
 * What belongs to the line of a list that was chosen: on a phone it comes after the list, and is led to once it is
 * drawn; beside the list it is in view already, and nothing moves.
 */
export function useLeadTo<T extends HTMLElement>(): readonly [RefObject<T | null>, () => void] {
  const shown = useRef<T>(null);
  const lead = useCallback(
    () => void requestAnimationFrame(() => shown.current?.scrollIntoView({ block: 'nearest' })),
    [],
  );
  return [shown, lead];
}
