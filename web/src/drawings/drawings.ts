/** The page's side of open drawings: one worker for all of them, made anew when reading is cancelled. */
import { AnsweringWorker, type OnProgress } from '../reading/answeringWorker.ts';
import {
  answerDrawing,
  type AnswerOf,
  type AskOf,
  type DrawingAsk,
  type DrawingTold,
  type Question,
} from './drawingHost.ts';

const worker = new AnsweringWorker<DrawingAsk, DrawingTold>(
  () => new Worker(new URL('./drawing.worker.ts', import.meta.url), { type: 'module' }),
  answerDrawing,
);

/** Fetches the worker's program while the server is there. */
export const wakeDrawings = (): void => worker.wake();

/** Counts how often the worker was ended: what was open before is closed. */
export const drawingWorkerAge = (): number => worker.age;

/** Null when the drawing is not open, or when reading was cancelled meanwhile. */
export async function askDrawing<Q extends Question>(
  question: Q,
  ask: AskOf<Q>,
  onProgress?: OnProgress,
): Promise<AnswerOf<Q> | null> {
  const told = await worker.ask((id) => ({ id, question, ask }) as DrawingAsk, onProgress);
  return told && 'answer' in told ? told.answer : null;
}

export const cancelDrawings = worker.end;
