import { useEffect, useState, type ReactNode } from 'react';
import { msg } from '@idle-marker/words';
import { Button } from './Button.tsx';

/** Rows that are shown at first: a longer list would be slow to answer, and nobody reads it from the top. */
const FIRST = 100;
/** Rows that are drawn in one go once all are asked for. */
const PIECE = 40;

export interface LongList<T> {
  readonly shown: readonly T[];
  /** Asks for the rest; null while nothing is missing or the rest is on its way. */
  readonly rest: ReactNode;
}

/** The first rows of a long list, with a button that brings the others piece by piece. */
export function useLongList<T>(rows: readonly T[], what: string): LongList<T> {
  const [count, setCount] = useState(FIRST);
  const [all, setAll] = useState(false);
  const isShort = count >= rows.length;
  useEffect(() => {
    if (!all || isShort) return;
    const timer = setTimeout(() => setCount((before) => before + PIECE));
    return () => clearTimeout(timer);
  }, [all, isShort, count]);
  const rest =
    isShort || all ? null : (
      <p className="mt-3 flex flex-wrap items-center gap-3">
        <Button onClick={() => setAll(true)}>{msg('ui.showAll', { rows: rows.length, what })}</Button>
        <span className="text-[13px] text-ink2">{msg('ui.theseAreTheFirst', { count })}</span>
      </p>
    );
  return { shown: isShort ? rows : rows.slice(0, count), rest };
}
