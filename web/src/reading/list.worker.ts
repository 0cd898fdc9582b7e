/** Reads lists away from the page, which goes on and may end it. */
import { answerList, type ListAsk } from './listHost.ts';

onmessage = (event: MessageEvent<ListAsk>) => answerList(event.data, (told) => postMessage(told));
