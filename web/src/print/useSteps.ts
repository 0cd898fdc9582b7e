import { useEffect, useState } from 'react';

/** What is computed at once before the page gets a turn, milliseconds. */
const SLICE_MS = 12;

export interface Stepped<T> {
  /** The last one that was finished, also while the next is in work; null before the first. */
  readonly result: T | null;
  /** From 0 to 1 while in work; null when the result is up to date. */
  readonly progress: number | null;
}

/**
 * Runs what takes long, in steps that tell how much is done from 0 to 1, a little at a time, so that the page goes on
 * answering. New steps take the place of those in work.
 */
export function useSteps<T>(begin: (() => Generator<number, T>) | null): Stepped<T> {
  const [stepped, setStepped] = useState<Stepped<T>>({ result: null, progress: begin ? 0 : null });
  useEffect(() => {
    if (!begin) return;
    const steps = begin();
    let timer: ReturnType<typeof setTimeout> | undefined;
    const slice = () => {
      const until = performance.now() + SLICE_MS;
      for (;;) {
        const step = steps.next();
        if (step.done) {
          setStepped({ result: step.value, progress: null });
          return;
        }
        if (performance.now() < until) continue;
        const progress = step.value;
        setStepped(({ result }) => ({ result, progress }));
        timer = setTimeout(slice);
        return;
      }
    };
    slice();
    return () => clearTimeout(timer);
  }, [begin]);
  return stepped;
}
