/**
 * Going on from what was folded and judged before gives the very same as beginning from nothing, however facts arrive.
 */
import { describe, expect, it } from '@jest/globals';
import fc from 'fast-check';
import type { AnyFact } from '@idle-marker/contract';
import { foldSite, newSiteTrustMemory, siteState, trustOf, type SiteFold, type SiteState } from '@idle-marker/records';
import { GRID, newId, Story } from './story.ts';

/** Everything in a state, maps with their order. */
const written = (value: unknown): string =>
  JSON.stringify(value, (_, each: unknown) =>
    each !== null && typeof each === 'object' && Symbol.iterator in each && !Array.isArray(each)
      ? { entries: [...(each as Iterable<unknown>)] }
      : each,
  );

/** Two stations on one site with all that may happen to what was set from them. */
function eventfulSite(): readonly AnyFact[] {
  const story = new Story().control();
  const grid = story.say('grid', GRID);
  story.say('grid', { ...GRID, name: 'Hall, moved', supersedes: grid.id });
  const work = story.work();
  const first = story.station('S1');
  story.prove(first, 'P1');
  const set = [0, 1, 2].map((i) => story.set(first, work, i, { as: 'set' }));
  story.set(first, work, 0, { supersedes: set[0]!.id });
  // Set by another tablet that did not know of the first.
  story.set(first, work, 1);
  story.say('writing', { mark: set[2]!.id, stakeText: ['anew'], written: set[2]!.body.written! });
  story.say('report', { mark: set[2]!.id, kind: 'moved', who: 'Jo', text: '' });
  const later = story.work({ name: 'Hall hubs, wider', supersedes: work.id });
  story.say('obstruction', {
    package: later.id,
    key: later.body.plans[4]!.key,
    name: 'x',
    place: later.body.plans[4]!.place,
    what: 'a heap',
  });
  story.prove(first, 'P2', { e: 0.04 });
  story.say('close', { occupation: first.occupation.id, note: '' });
  const second = story.station('S2');
  story.prove(second, 'P2');
  story.resight(second, set[2]!);
  const slipped = story.set(second, later, 5);
  story.say('correction', {
    what: 'targetHeight',
    occupation: second.occupation.id,
    sights: [slipped.body.sight],
    value: 1.6,
    reason: 'the pole slipped',
  });
  story.say('correction', {
    what: 'station',
    occupation: second.occupation.id,
    sights: [slipped.body.sight],
    station: first.fact.id,
    reason: 'it was S1',
  });
  story.say('finding', {
    ...{
      cause: 'controlMoved',
      revision: story.state.control[0]!.revision.id,
      plan: true,
      height: false,
      reason: 'hit',
    },
    ...{ effects: [{ mark: slipped.id, planMm: 12, heightMm: null }], supersedes: null },
  });
  story.say('withdrawal', { record: set[1]!.id, occupation: null, reason: 'an error' });
  story.say('withdrawal', { record: null, occupation: first.occupation.id, reason: 'the wrong mark' });
  story.control(['K1'], { z: 5.2 });
  story.measure(second, { e: 4000, n: 8000, z: 5 }, { name: 'B1' }, 2);
  return story.facts;
}

const facts = eventfulSite();
const NOW = new Date(Date.parse(facts.at(-1)!.at) + 3_600_000).toISOString();
const whole = siteState(facts);

describe('a site folded as facts arrive', () => {
  it('is what it is when all are there at once, and is judged the same', () => {
    const site = facts.find((fact) => fact.type === 'site')!;
    const others = facts.filter((fact) => fact !== site);
    fc.assert(
      fc.property(
        fc.shuffledSubarray(others, { minLength: others.length }),
        fc.array(fc.integer({ min: 1, max: 12 }), { maxLength: 40 }),
        (arriving, sizes) => {
          let fold: SiteFold | null = null;
          const memory = newSiteTrustMemory();
          const steps = [1];
          for (const size of [...sizes, arriving.length]) steps.push(Math.min(arriving.length, steps.at(-1)! + size));
          for (const count of steps) {
            const here = [site, ...arriving.slice(0, count)];
            fold = foldSite(here, fold);
            const anew = siteState(here);
            expect(written(fold.state)).toBe(written(anew));
            expect(trustOf(fold.state, NOW, memory)).toEqual(trustOf(anew, NOW));
          }
          expect(written(fold!.state)).toBe(written(whole));
        },
      ),
      { numRuns: 15 },
    );
  });

  it('in the order of the site keeps what a fact does not touch', () => {
    let fold: SiteFold | null = null;
    const memory = newSiteTrustMemory();
    for (let count = 3; count <= facts.length; count++) {
      fold = foldSite(facts.slice(0, count), fold);
      expect(written(fold.state)).toBe(written(siteState(facts.slice(0, count))));
      expect(trustOf(fold.state, NOW, memory)).toEqual(trustOf(siteState(facts.slice(0, count)), NOW));
    }
    const note = { ...facts.at(-1)!, id: newId(), type: 'note', body: { text: 'x' }, seq: 9999, at: NOW } as AnyFact;
    const { state } = foldSite([...facts, note], fold);
    const touched = (Object.keys(state) as (keyof SiteState)[]).filter((name) => state[name] !== fold!.state[name]);
    expect(touched.sort()).toEqual(['byId', 'ofType', 'timeline']);
  });

  it('begins anew where a fact has gone or the server has put it elsewhere', () => {
    const fold = foldSite(facts);
    const fewer = facts.filter((fact) => fact.type !== 'withdrawal');
    expect(written(foldSite(fewer, fold).state)).toBe(written(siteState(fewer)));
    const moved = facts.map((fact, i) => (i === facts.length - 1 ? { ...fact, orderedAt: facts[10]!.at } : fact));
    expect(written(foldSite(moved, foldSite(facts)).state)).toBe(written(siteState(moved)));
    // What the server confirms is the same fact.
    const stored = facts.map((fact) => ({ ...fact, receivedAt: NOW }));
    const before = foldSite(facts);
    expect(foldSite(stored, before).state).toBe(before.state);
  });
});
