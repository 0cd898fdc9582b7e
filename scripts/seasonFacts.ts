/**
 * The facts of a season on one site: weeks of five stations on common control, each proved twice and left with its
 * share of the marks of the week's package. One week is told in full, the others are the same with ids, names and days
 * of their own.
 */
import type { AnyFact } from '@idle-marker/contract';
import { PLACES, Story } from '../records/test/story.ts';

const DAY_MS = 86_400_000;
const STATIONS_A_WEEK = 5;
const MARKS_A_STATION = 40;

export interface Season {
  readonly who: string;
  readonly facts: readonly AnyFact[];
}

function week(): { readonly story: Story; readonly shared: number } {
  const story = new Story().control();
  const shared = story.facts.length;
  const pads = (STATIONS_A_WEEK * MARKS_A_STATION) / 8;
  const items = Array.from({ length: pads }, (_, i) => {
    const [e, n] = [PLACES.K1.e + 12 + (i % 5) * 9, PLACES.K1.n + 5 + Math.floor(i / 5) * 8];
    const corners = [
      { name: `${i + 1}A`, e, n },
      { name: `${i + 1}B`, e: e + 3, n },
      { name: `${i + 1}C`, e: e + 3, n: n + 2.4 },
      { name: `${i + 1}D`, e, n: n + 2.4 },
    ];
    return {
      name: `Pad ${i + 1}`,
      meaning: 'outsideFace' as const,
      designZ: 6.25,
      rule: 'outline' as const,
      source: 'typed',
      corners,
    };
  });
  const work = story.work({ name: 'Pads', items, offset: 1 }, 'P');
  for (let s = 0; s < STATIONS_A_WEEK; s++) {
    const station = story.station(`S${s + 1}`);
    story.prove(station, 'P1');
    for (let i = 0; i < MARKS_A_STATION; i++) story.set(station, work, s * MARKS_A_STATION + i);
    story.prove(station, 'P2');
    story.say('close', { occupation: station.occupation.id, note: '' });
  }
  return { story, shared };
}

/** @param least how many facts there are to be at least @param last instant of the last of them, milliseconds */
export function seasonFacts(least: number, last: number): Season {
  const { story, shared } = week();
  const [common, own] = [story.facts.slice(0, shared), story.facts.slice(shared)];
  const weeks = Math.ceil((least - shared) / own.length);
  const ids = new Set(own.map(({ id }) => id));
  const text = JSON.stringify(own);
  const end = Date.parse(own.at(-1)!.at);
  const shift = (fact: AnyFact, days: number, seqs: number): AnyFact => ({
    ...fact,
    at: new Date(Date.parse(fact.at) - end + last - days * DAY_MS).toISOString(),
    seq: fact.seq + seqs,
  });
  const facts = common.map((fact) => shift(fact, weeks * 7, 0));
  for (let w = 0; w < weeks; w++) {
    // The third group of an id is the week: ids of a story have nothing but noughts there.
    const named = text.replace(/[0-9a-f]{8}-0000-4000-8000-[0-9a-f]{12}/g, (id) =>
      ids.has(id) ? `${id.slice(0, 9)}${String(w + 1).padStart(4, '0')}${id.slice(13)}` : id,
    );
    for (const fact of JSON.parse(named) as AnyFact[]) {
      const body =
        fact.type === 'occupation' || fact.type === 'solution'
          ? { ...fact.body, name: `${fact.body.name}.${w + 1}` }
          : fact.type === 'package'
            ? { ...fact.body, name: `${fact.body.name} ${w + 1}` }
            : fact.body;
      facts.push(shift({ ...fact, body } as AnyFact, (weeks - 1 - w) * 7, w * own.length));
    }
  }
  return { who: story.who, facts };
}
