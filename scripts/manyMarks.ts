/**
 * A site with one package of many set marks, as facts in JSON, for the benchmarks: node scripts/run.mjs
 * scripts/manyMarks.ts 500
 */
import { randomUUID } from 'node:crypto';
import { PLACES, Story } from '../records/test/story.ts';

const count = Number(process.argv[2] ?? 500);
const story = new Story().control();
const across = Math.ceil(Math.sqrt(count / 8));
/** Pads of four corners, each with a hub out from both of its sides. */
const items = Array.from({ length: Math.ceil(count / 8) }, (_, i) => {
  const [e, n] = [PLACES.K1.e + 12 + (i % across) * 9, PLACES.K1.n + 5 + Math.floor(i / across) * 8];
  return {
    name: `Pad ${i + 1}`,
    meaning: 'outsideFace' as const,
    designZ: 6.25,
    rule: 'outline' as const,
    source: 'typed',
    corners: [
      { name: `${i + 1}A`, e, n },
      { name: `${i + 1}B`, e: e + 3, n },
      { name: `${i + 1}C`, e: e + 3, n: n + 2.4 },
      { name: `${i + 1}D`, e, n: n + 2.4 },
    ],
  };
});
const work = story.work({ name: 'Pads', items, offset: 1 }, 'P');
const station = story.station('S1');
story.prove(station, 'P1');
for (let i = 0; i < Math.min(count, work.body.plans.length); i++) story.set(station, work, i);
story.prove(station, 'P2');
// Ids of a story are the same in each run; a database may hold several.
const own = randomUUID().slice(0, 24);
process.stdout.write(
  JSON.stringify({ who: story.who, work: work.id, facts: story.facts }).replaceAll('00000000-0000-4000-8000-', own),
);
