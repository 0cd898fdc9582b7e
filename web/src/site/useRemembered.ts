import { useCallback, useMemo, useState } from 'react';
import { useSite } from './SiteContext.tsx';

const read = <T>(key: string, initial: T): T => {
  const kept = localStorage.getItem(key);
  if (kept === null) return initial;
  try {
    return JSON.parse(kept) as T;
  } catch {
    // Kept by something else: as if nothing was.
    return initial;
  }
};

/**
 * What a screen was left with, found again when one comes back: on this device, for this site. Figures that were typed
 * and lines that were chosen, nothing that is a record. What `name` stands for may change while the screen is open
 * (another road).
 */
export function useRemembered<T>(name: string, initial: T): readonly [T, (next: T) => void] {
  const { id } = useSite();
  const key = `idle-marker ${id} ${name}`;
  const [changed, setChanged] = useState<{ readonly key: string; readonly value: T } | null>(null);
  // Read once for each name, not at every drawing of the page.
  // oxlint-disable-next-line react/exhaustive-deps
  const kept = useMemo(() => read(key, initial), [key]);
  const keep = useCallback(
    (value: T) => {
      localStorage.setItem(key, JSON.stringify(value));
      setChanged({ key, value });
    },
    [key],
  );
  return [changed?.key === key ? changed.value : kept, keep];
}
