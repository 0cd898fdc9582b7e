/** Keeps drawings away from the page: reading and searching them takes longer than a frame. */
import { answerMessages } from '../reading/answeringWorker.ts';
import { answerDrawing, type DrawingAsk, type DrawingTold } from './drawingHost.ts';

const tell = (told: DrawingTold, transfer: Transferable[] = []) => {
  postMessage(told, { transfer });
};

answerMessages<DrawingAsk>((asked) => answerDrawing(asked, tell));
