/** Reads lists away from the page, which goes on and may end it. */
import { answerMessages } from './answeringWorker.ts';
import { answerList, type ListAsk } from './listHost.ts';

answerMessages<ListAsk>((asked) => answerList(asked, (told) => postMessage(told)));
