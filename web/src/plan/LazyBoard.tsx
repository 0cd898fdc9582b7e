import { lazy, Suspense } from 'react';
import type { BoardProps } from './Board.tsx';

const Loaded = lazy(async () => ({ default: (await import('./Board.tsx')).Board }));

/** The board with its drawing library fetched when first needed. */
export function Board(props: BoardProps) {
  return (
    <Suspense fallback={<div className="grid h-full place-items-center text-ink2">Drawing the plan…</div>}>
      <Loaded {...props} />
    </Suspense>
  );
}
