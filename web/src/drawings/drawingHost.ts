/** What is asked of open drawings and what comes back: the same in a worker and without one. */
import type { Metres, PlanPoint, Snap, SnapKind } from '@idle-marker/core';
import { digestOfBytes } from '@idle-marker/contract';
import {
  type DrawingError,
  drawingFormatOf,
  listHead,
  OpenDrawing,
  type FoundPlace,
  type OpenAsked,
  type ComparedDrawings,
  type DrawingSummary,
  type LayerLines,
  type ListHead,
  type Touched,
} from '@idle-marker/formats';

interface Questions {
  /** Reads and places a drawing and keeps it open under `key`. */
  open: {
    ask: {
      readonly key: string;
      readonly bytes: Uint8Array;
    } & OpenAsked;
    answer:
      | {
          readonly ok: true;
          readonly value: DrawingSummary;
          readonly digest: string;
          /** How a list of points begins; null for any other drawing. */
          readonly head: ListHead | null;
        }
      | { readonly ok: false; readonly error: DrawingError; readonly head: ListHead | null };
  };
  close: { ask: { readonly key: string }; answer: null };
  lines: { ask: { readonly key: string }; answer: LayerLines[] };
  outline: { ask: { readonly key: string; readonly i: number }; answer: ReturnType<OpenDrawing['outline']> };
  points: { ask: { readonly key: string; readonly layer: string }; answer: ReturnType<OpenDrawing['pointsOn']> };
  heights: {
    ask: { readonly key: string; readonly surface: string; readonly places: readonly PlanPoint[] };
    answer: ReturnType<OpenDrawing['heights']>;
  };
  snap: {
    ask: {
      readonly key: string;
      readonly point: PlanPoint;
      readonly radius: Metres;
      readonly from: PlanPoint | null;
      readonly wanted: readonly SnapKind[];
      readonly hidden: readonly string[];
    };
    answer: Snap | null;
  };
  touched: {
    ask: {
      readonly key: string;
      readonly point: PlanPoint;
      readonly radius: Metres;
      readonly hidden: readonly string[];
    };
    answer: Touched | null;
  };
  found: {
    ask: { readonly key: string; readonly places: readonly PlanPoint[] };
    answer: FoundPlace[];
  };
  compare: {
    ask: {
      readonly key: string;
      readonly after: string;
      readonly corners: readonly PlanPoint[];
      readonly most: number;
    };
    answer: ComparedDrawings;
  };
}

export type Question = keyof Questions;
export type AskOf<Q extends Question> = Questions[Q]['ask'];
export type AnswerOf<Q extends Question> = Questions[Q]['answer'];
export type DrawingAsk = {
  [Q in Question]: { readonly id: number; readonly question: Q; readonly ask: AskOf<Q> };
}[Question];
export type DrawingTold =
  | { readonly id: number; readonly progress: { readonly done: number; readonly total: number } }
  | { readonly id: number; readonly answer: AnswerOf<Question> }
  /** No such drawing is open. */
  | { readonly id: number; readonly missing: true };

type Tell = (told: DrawingTold, transfer?: Transferable[]) => void;

const open = new Map<string, OpenDrawing>();

export function answerDrawing(asked: DrawingAsk, tell: Tell): void {
  const { id } = asked;
  if (asked.question === 'open') {
    const { key, bytes, ...as } = asked.ask;
    const { siteUnit } = as;
    const read = OpenDrawing.read(bytes, as, (done, total) => tell({ id, progress: { done, total } }));
    if (read.ok) open.set(key, read.value);
    const format = drawingFormatOf(bytes);
    const head = format.ok && format.value === 'csv' ? listHead(bytes) : null;
    tell({
      id,
      answer: read.ok
        ? { ok: true, value: read.value.summary(siteUnit), digest: digestOfBytes(bytes), head }
        : { ...read, head },
    });
    return;
  }
  if (asked.question === 'close') {
    open.delete(asked.ask.key);
    tell({ id, answer: null });
    return;
  }
  const drawing = open.get(asked.ask.key);
  if (!drawing) {
    tell({ id, missing: true });
    return;
  }
  switch (asked.question) {
    case 'lines': {
      const lines = drawing.layerLines();
      tell(
        { id, answer: lines },
        lines.flatMap(({ places, starts }) => [places.buffer, starts.buffer]),
      );
      return;
    }
    case 'outline':
      tell({ id, answer: drawing.outline(asked.ask.i) });
      return;
    case 'points':
      tell({ id, answer: drawing.pointsOn(asked.ask.layer) });
      return;
    case 'heights':
      tell({ id, answer: drawing.heights(asked.ask.surface, asked.ask.places) });
      return;
    case 'snap': {
      const { point, radius, from, wanted, hidden } = asked.ask;
      tell({ id, answer: drawing.snap(point, radius, from, wanted, hidden) });
      return;
    }
    case 'touched': {
      const { point, radius, hidden } = asked.ask;
      tell({ id, answer: drawing.touched(point, radius, hidden) });
      return;
    }
    case 'found':
      tell({ id, answer: drawing.found(asked.ask.places) });
      return;
    case 'compare': {
      const after = open.get(asked.ask.after);
      tell(after ? { id, answer: drawing.compare(after, asked.ask.corners, asked.ask.most) } : { id, missing: true });
    }
  }
}
