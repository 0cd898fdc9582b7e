/**
 * Papers that the server writes: fetched with their progress, cancelled by who has changed his mind, handed over as
 * files.
 */
import { useEffect, useRef, useState } from 'react';
import type { Giving, PathOf } from '@idle-marker/contract';
import { msg } from '@idle-marker/words';
import { RefusedError, send, type Asked } from '../data/server.ts';
import { saveAs } from '../ui/saveAs.ts';

export interface Papers {
  /** From 0 to 1; null while nothing is being written. */
  readonly progress: number | null;
  readonly trouble: string | null;
  fetchPaper<K extends Giving>(name: K, path: PathOf<K>, asked?: Asked<K>): Promise<void>;
  cancel(): void;
}

type Line =
  | { readonly done: number; readonly of: number }
  | { readonly name: string; readonly type: string; readonly file: string }
  | { readonly problem: string };

/** Lines of JSON, one after the other, as they arrive. */
async function* linesOf(body: ReadableStream<Uint8Array>): AsyncGenerator<Line> {
  const reader = body
    .pipeThrough(new TextDecoderStream() as unknown as ReadableWritablePair<string, Uint8Array>)
    .getReader();
  let pieces: string[] = [];
  for (;;) {
    const { done, value } = await reader.read();
    if (done) break;
    const parts = value.split('\n');
    for (const part of parts.slice(0, -1)) {
      yield JSON.parse(pieces.join('') + part) as Line;
      pieces = [];
    }
    pieces.push(parts.at(-1)!);
  }
}

/** Base64 as bytes. */
function bytesOf(text: string): Uint8Array<ArrayBuffer> {
  const letters = atob(text);
  const bytes = new Uint8Array(letters.length);
  for (let i = 0; i < letters.length; i++) bytes[i] = letters.charCodeAt(i);
  return bytes;
}

export function usePaper(): Papers {
  const [progress, setProgress] = useState<number | null>(null);
  const [trouble, setTrouble] = useState<string | null>(null);
  const running = useRef<AbortController | null>(null);
  useEffect(() => () => running.current?.abort(), []);
  const fetchPaper = async <K extends Giving>(name: K, path: PathOf<K>, asked: Asked<K> = {}) => {
    running.current?.abort();
    const controller = new AbortController();
    running.current = controller;
    setTrouble(null);
    setProgress(0);
    try {
      const { signal } = controller;
      const response = await send(name, path, { ...asked, accept: 'application/x-ndjson', signal });
      if (!response.body) return;
      for await (const line of linesOf(response.body)) {
        if ('done' in line) setProgress(line.of > 0 ? line.done / line.of : 0);
        else if ('problem' in line) setTrouble(line.problem);
        else saveAs(line.name, line.type, bytesOf(line.file));
      }
    } catch (error) {
      if (controller.signal.aborted) return;
      setTrouble(error instanceof RefusedError ? error.problem.detail : msg('print.theServerDoesNotAnswerNothingWas'));
    } finally {
      if (running.current === controller) {
        running.current = null;
        setProgress(null);
      }
    }
  };
  return {
    progress,
    trouble,
    fetchPaper,
    cancel: () => {
      running.current?.abort();
      running.current = null;
      setProgress(null);
    },
  };
}
