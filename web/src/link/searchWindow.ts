/** The part of the horizon that a search by hand covers, remembered on this device. */
import { useSyncExternalStore } from 'react';
import { RADIANS_PER_DEGREE, type SearchWindow } from '@idle-marker/core';
import { msg, worded } from '@idle-marker/words';

const WINDOWS = {
  round: null,
  both: { side: 'both', width: 30 * RADIANS_PER_DEGREE },
  left: { side: 'left', width: 90 * RADIANS_PER_DEGREE },
  right: { side: 'right', width: 90 * RADIANS_PER_DEGREE },
} as const satisfies Record<string, SearchWindow | null>;
export type WindowName = keyof typeof WINDOWS;

/** Seen from where the telescope points. */
export const windowWords = worded((): readonly (readonly [WindowName, string])[] => [
  ['round', msg('link.allRound')],
  ['both', '30° ahead'],
  ['left', msg('link.n90ToTheLeft')],
  ['right', msg('link.n90ToTheRight')],
]);

const KEY = 'idle-marker search window';
const listeners = new Set<() => void>();
const subscribe = (listener: () => void) => {
  listeners.add(listener);
  return () => listeners.delete(listener);
};
function current(): WindowName {
  const kept = localStorage.getItem(KEY);
  return kept !== null && kept in WINDOWS ? (kept as WindowName) : 'round';
}

/** For a search that somebody asks for; undefined is all round. */
export const searchWindow = (): SearchWindow | undefined => WINDOWS[current()] ?? undefined;

export function useSearchWindow(): readonly [WindowName, (name: WindowName) => void] {
  return [
    useSyncExternalStore(subscribe, current),
    (name) => {
      localStorage.setItem(KEY, name);
      for (const listener of listeners) listener();
    },
  ];
}
