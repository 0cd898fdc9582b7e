import { useRef } from 'react';
import { holds, type Metres } from '@idle-marker/core';

/** Whether the pole is to be held where it is; `off` is null where nothing live says so. */
export function useHeld(off: Metres | null, tolerance: Metres): boolean {
  const before = useRef(false);
  const isHeld = off !== null && holds(off, tolerance, before.current);
  before.current = isHeld;
  return isHeld;
}
