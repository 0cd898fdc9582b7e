/**
 * One reader, given mutant after mutant, in a thread that can be ended: a reader that never comes back takes nothing
 * else along.
 */
import { parentPort, workerData } from 'node:worker_threads';
import { listHead, readControlList, readLandXmlSurvey, textOf, OpenDrawing } from '@idle-marker/formats';
import { readRawSights } from '@idle-marker/contract';

import { mutantOf } from './fuzzMutants.ts';

export interface FuzzWork {
  readonly reader: string;
  readonly seeds: readonly string[];
  readonly from: number;
  readonly until: number;
  /** Where the thread says on which mutant it is, and since when, milliseconds. */
  readonly at: SharedArrayBuffer;
}

type Outcome = { readonly ok: boolean; readonly error?: { readonly code: string } };

function opened(bytes: Uint8Array): Outcome {
  const read = OpenDrawing.read(bytes, { siteUnit: 'metre', similarity: null });
  if (!read.ok) return read;
  const { layers } = read.value.summary('metre');
  read.value.layerLines();
  for (const { name } of layers) read.value.pointsOn(name);
  return { ok: true };
}

const bytesOf = (text: string): Uint8Array => new TextEncoder().encode(text);

const READERS: Readonly<Record<string, (mutant: string) => Outcome>> = {
  dxf: (text) => opened(bytesOf(text)),
  landxml: (text) => opened(bytesOf(text)),
  geojson: (text) => opened(bytesOf(text)),
  points: (text) => opened(bytesOf(text)),
  control: (text) => {
    listHead(bytesOf(text));
    const decoded = textOf(bytesOf(text));
    return decoded.ok ? readControlList(decoded.value, { unit: 'metre', xIsNorth: false }) : decoded;
  },
  survey: (text) => readLandXmlSurvey(text),
  rawSights: (text) => readRawSights(text),
};

const { reader, seeds, from, until, at } = workerData as FuzzWork;
const state = new Float64Array(at);
for (let i = from; i < until; i++) {
  const mutant = mutantOf(reader, seeds, i);
  state[1] = Date.now();
  state[0] = i;
  try {
    const outcome = READERS[reader]!(mutant);
    if (!outcome.ok && typeof outcome.error?.code !== 'string')
      throw new Error(`no code in ${JSON.stringify(outcome).slice(0, 200)}`);
  } catch (error) {
    parentPort!.postMessage({
      i,
      thrown: error instanceof Error ? (error.stack ?? error.message) : String(error),
      mutant,
    });
  }
  const ms = Date.now() - state[1];
  if (ms > 1000) parentPort!.postMessage({ i, slow: ms, mutant });
}
state[0] = until;
