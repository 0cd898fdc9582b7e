/** Keeps drawings away from the page: reading and searching them takes longer than a frame. */
import { answerDrawing, type DrawingAsk, type DrawingTold } from './drawingHost.ts';

const tell = (told: DrawingTold, transfer: Transferable[] = []) => {
  postMessage(told, { transfer });
};

onmessage = (event: MessageEvent<DrawingAsk>) => {
  answerDrawing(event.data, tell);
};
