/**
 * One worker that answers questions in turn, as the page sees it; made when it is first asked, and made anew once it
 * was ended.
 */

import { sayIn, wordingNow, type Wording } from '@idle-marker/words';

/** What is asked goes with the wording that the answer is written in. */
interface Envelope<Asked> {
  readonly asked: Asked;
  readonly wording: Wording;
}

/** The worker's side: answers what arrives, in the wording it came with. */
export function answerMessages<Asked>(answer: (asked: Asked) => void): void {
  onmessage = ({ data: { asked, wording } }: MessageEvent<Envelope<Asked>>) => {
    sayIn(wording);
    answer(asked);
  };
}

/** What comes back under the number of a question; the last word on it holds no `progress`. */
export type Told =
  | { readonly id: number; readonly progress: { readonly done: number; readonly total: number } }
  | { readonly id: number };
export type OnProgress = (done: number, total: number) => void;

interface Waiting<T> {
  readonly resolve: (told: T | null) => void;
  readonly onProgress: OnProgress | undefined;
}

export class AnsweringWorker<Asked extends { readonly id: number }, T extends Told> {
  readonly #make: () => Worker;
  readonly #answer: (asked: Asked, tell: (told: T) => void) => void;
  readonly #waiting = new Map<number, Waiting<T>>();
  #worker: Worker | null = null;
  #asked = 0;
  #ended = 0;

  /** `answer` does the worker's work on the spot, for pages without workers. */
  constructor(make: () => Worker, answer: (asked: Asked, tell: (told: T) => void) => void) {
    this.#make = make;
    this.#answer = answer;
  }

  /** Counts how often a worker was ended: what it kept is gone. */
  get age(): number {
    return this.#ended;
  }

  /** Fetches the worker's program while the server is there. */
  wake(): void {
    if (typeof Worker !== 'undefined') this.#running();
  }

  /** The last that is told about the question, or null when it was ended meanwhile. */
  ask(questionOf: (id: number) => Asked, onProgress?: OnProgress): Promise<T | null> {
    const id = ++this.#asked;
    return new Promise((resolve) => {
      this.#waiting.set(id, { resolve, onProgress });
      const asked = questionOf(id);
      if (typeof Worker === 'undefined') setTimeout(() => this.#answer(asked, this.#hear), 0);
      else this.#running().postMessage({ asked, wording: wordingNow() } satisfies Envelope<Asked>);
    });
  }

  /** Ends whatever it is at: one that is in the middle of a file does not listen. */
  readonly end = (): void => {
    this.#worker?.terminate();
    this.#worker = null;
    this.#ended++;
    const waiting = [...this.#waiting.values()];
    this.#waiting.clear();
    for (const { resolve } of waiting) resolve(null);
  };

  readonly #hear = (told: T): void => {
    const one = this.#waiting.get(told.id);
    if (!one) return;
    if ('progress' in told) {
      one.onProgress?.(told.progress.done, told.progress.total);
      return;
    }
    this.#waiting.delete(told.id);
    one.resolve(told);
  };

  #running(): Worker {
    if (!this.#worker) {
      this.#worker = this.#make();
      this.#worker.onmessage = (event: MessageEvent<T>) => this.#hear(event.data);
      // Its program could not be fetched, or it came to grief: what was asked is not answered, and the next one begins
      // anew.
      this.#worker.onerror = this.end;
    }
    return this.#worker;
  }
}
