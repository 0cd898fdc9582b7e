/** The page's side of lists that are read from files: control, and the observations of a survey. */
import { AnsweringWorker } from './answeringWorker.ts';
import {
  answerList,
  type ListAnswerOf,
  type ListAsk,
  type ListAskOf,
  type ListQuestion,
  type ListTold,
} from './listHost.ts';

const worker = new AnsweringWorker<ListAsk, ListTold>(
  () => new Worker(new URL('./list.worker.ts', import.meta.url), { type: 'module' }),
  answerList,
);

/** Fetches the worker's program while the server is there. */
export const wakeLists = (): void => worker.wake();

/** Null when it was cancelled: `signal` ends the reading, wherever it is. */
export async function readList<Q extends ListQuestion>(
  question: Q,
  ask: ListAskOf<Q>,
  signal: AbortSignal,
): Promise<ListAnswerOf<Q> | null> {
  if (signal.aborted) return null;
  signal.addEventListener('abort', worker.end);
  try {
    const told = await worker.ask((id) => ({ id, question, ask }) as ListAsk);
    return told && told.answer;
  } finally {
    signal.removeEventListener('abort', worker.end);
  }
}
