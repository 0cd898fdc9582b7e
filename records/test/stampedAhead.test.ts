/**
 * A clock that was a day ahead: what stands is ordered by when the server received it, and the entries are marked for
 * good.
 */
import { describe, expect, it } from '@jest/globals';
import type { AnyFact, StoredFact } from '@idle-marker/contract';
import { bookLine, siteState, stampedAhead, trustOf } from '@idle-marker/records';
import { Story } from './story.ts';

const DAY = 24 * 3_600_000;
const later = (at: string, ms: number): string => new Date(Date.parse(at) + ms).toISOString();

/** One entry of another tablet, whose clock was ahead, between two of this one. */
function told() {
  const story = new Story().control();
  const before = story.say('note', { text: 'before' });
  const own = story.say('note', { text: 'of the wrong clock' });
  const after = story.say('note', { text: 'after' });
  const ahead = {
    ...own,
    at: later(own.at, DAY),
    device: 'tablet ahead',
    receivedAt: own.at,
    orderedAt: own.at,
  } as unknown as StoredFact;
  const facts: AnyFact[] = story.facts.map((fact) => (fact.id === own.id ? ahead : fact));
  return { facts, before, after, ahead, now: story.instant(1) };
}

describe('an entry that was stamped a day ahead', () => {
  it('stands where the server received it, and is judged at that time', () => {
    const { facts, before, after, ahead, now } = told();
    const state = siteState(facts);
    expect(state.timeline.slice(-3).map(({ id }) => id)).toEqual([before.id, ahead.id, after.id]);
    expect(state.timeline.at(-1)!.at).toBe(after.at);
    expect(() => trustOf(state, now)).not.toThrow();
    expect(siteState(state.timeline).timeline).toEqual(state.timeline);
  });

  it('is marked in the book for good, and what it changed in order is told', () => {
    const { facts, after, ahead } = told();
    const state = siteState(facts);
    const placed = state.timeline.find(({ id }) => id === ahead.id)!;
    expect(bookLine(state, placed).text).toBe(
      'of the wrong clock [stamped 24 h ahead by a wrong clock; it stands where the server received it]',
    );
    expect(stampedAhead(state)).toEqual([
      { device: 'tablet ahead', by: ahead.by, entries: [placed], ahead: DAY, passed: [after] },
    ]);
    expect(stampedAhead(siteState(facts.filter(({ id }) => id !== ahead.id)))).toEqual([]);
  });
});
