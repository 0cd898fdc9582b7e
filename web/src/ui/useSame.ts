import { useState } from 'react';

/** The value as it was first seen with a key: one that was only made anew starts nothing over. */
export function useSame<T>(value: T, key: string): T {
  const [kept, setKept] = useState({ key, value });
  if (kept.key === key) return kept.value;
  setKept({ key, value });
  return value;
}
