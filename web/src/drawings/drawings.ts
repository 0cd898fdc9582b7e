/** The page's side of open drawings: one worker for all of them, made anew when reading is cancelled. */
import { answerDrawing, type AnswerOf, type AskOf, type DrawingAsk, type DrawingTold, type Question } from './drawingHost.ts';

interface Waiting {
  readonly resolve: (answer: never) => void;
  readonly onProgress: ((done: number, total: number) => void) | undefined;
}

const waiting = new Map<number, Waiting>();
let worker: Worker | null = null;
let asked = 0;
/** Counts how often the worker was made: what was open before is closed. */
let made = 0;

function hear(told: DrawingTold): void {
  const one = waiting.get(told.id);
  if (!one) return;
  if ('progress' in told) {
    one.onProgress?.(told.progress.done, told.progress.total);
    return;
  }
  waiting.delete(told.id);
  one.resolve(('missing' in told ? null : told.answer) as never);
}

function send(ask: DrawingAsk): void {
  // Pages without workers answer on the spot.
  if (typeof Worker === 'undefined') {
    setTimeout(() => answerDrawing(ask, hear), 0);
    return;
  }
  running().postMessage(ask);
}

function running(): Worker {
  if (!worker) {
    worker = new Worker(new URL('./drawing.worker.ts', import.meta.url), { type: 'module' });
    worker.onmessage = (event: MessageEvent<DrawingTold>) => hear(event.data);
    // Its program could not be fetched, or it came to grief: what was asked is not answered, and the next one begins anew.
    worker.onerror = cancelDrawings;
  }
  return worker;
}

/** Fetches the worker's program while the server is there. */
export function wakeDrawings(): void {
  if (typeof Worker !== 'undefined') running();
}

export const drawingWorkerAge = (): number => made;

/** Null when the drawing is not open, or when reading was cancelled meanwhile. */
export function askDrawing<Q extends Question>(question: Q, ask: AskOf<Q>, onProgress?: (done: number, total: number) => void): Promise<AnswerOf<Q> | null> {
  const id = ++asked;
  return new Promise((resolve) => {
    waiting.set(id, { resolve, onProgress });
    send({ id, question, ask } as DrawingAsk);
  });
}

/** Ends whatever is being read: a reader that is in the middle of a file does not listen. */
export function cancelDrawings(): void {
  worker?.terminate();
  worker = null;
  made++;
  for (const { resolve } of waiting.values()) resolve(null as never);
  waiting.clear();
}
