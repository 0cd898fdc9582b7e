import { msg } from '@idle-marker/words';
import { fetchedPart, moduleFrom } from '../ui/fetchedPart.tsx';
import type { BoardProps } from './Board.tsx';

/** The board, with its drawing library. */
export const Board = fetchedPart<BoardProps>(
  () => msg('board.thePlan'),
  async (elsewhere) => (await moduleFrom(() => import('./Board.tsx'), elsewhere)).Board,
  () => <div className="grid h-full place-items-center text-ink2">{msg('board.drawingThePlan')}</div>,
);
