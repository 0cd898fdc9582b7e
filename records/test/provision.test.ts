import { describe, expect, it } from '@jest/globals';
import { provisionToLift, revertedMarks, severalRevised, trustRecords } from '@idle-marker/records';
import { ownStation, PLACES, Story } from './story.ts';

describe('a fresh station on own marks', () => {
  it('that was proved on given ones is accepted again without its provision, and proves its marks', () => {
    const { story, second, own, now } = ownStation();
    expect(own()).toEqual([false, false, false]);
    expect(provisionToLift(story.state, second)).toBeNull();
    story.prove(second, 'K1');
    expect(own()).toEqual([true, true, true]);
    const lifted = provisionToLift(story.state, second)!;
    expect(lifted.marks).toEqual(['N1', 'N2', 'N3']);
    const before = trustRecords(story.state).find((each) => each.id === second.fact.id)!;
    story.wait(30).say('decision', { solution: second.fact.id, verdict: 'accepted', reason: '' });
    expect(now().decision.body.verdict).toBe('accepted');
    expect(provisionToLift(story.state, now())).toBeNull();
    // It counts from when it was accepted first: what was set meanwhile hangs on it.
    expect(trustRecords(story.state).find((each) => each.id === second.fact.id)).toEqual({
      ...before,
      acceptedAs: 'good',
    });
  });

  it('whose proof failed stays as it is', () => {
    const { story, second, own } = ownStation();
    story.prove(second, 'K1', { e: 0.06 });
    expect(own()).toEqual([false, false, false]);
    expect(provisionToLift(story.state, second)).toBeNull();
  });
});

describe('several marks at once', () => {
  it('get a revision each, with one source; what would not change gets none', () => {
    const story = new Story().control(['K1', 'K2']).control(['K3'], { z: null, useHeight: false, sdZMm: null });
    const change = {
      condition: 'doubtful',
      useHeight: true,
      move: { e: 0.01, n: 0, z: -0.02 },
      source: 'walked round',
    } as const;
    const bodies = severalRevised(story.state.control, change);
    expect(bodies).toHaveLength(3);
    expect(bodies[0]).toMatchObject({
      name: 'K1',
      e: PLACES.K1.e + 0.01,
      z: PLACES.K1.z - 0.02,
      condition: 'doubtful',
      source: 'walked round',
    });
    expect(bodies[0]!.supersedes).toBe(story.state.control[0]!.revision.id);
    expect(bodies[2]).toMatchObject({ name: 'K3', z: null, useHeight: false, sdZMm: null });
    // It can be taken back: as it was, as a revision of what it is now.
    const before = story.state.control;
    for (const body of bodies) story.say('control', body);
    const back = revertedMarks(story.state, before);
    expect(back.map(({ name, condition, e }) => [name, condition, e])).toEqual(
      before.map(({ revision: { body } }) => [body.name, body.condition, body.e]),
    );
    for (const body of back) story.say('control', body);
    const nothing = { move: { e: 0, n: 0, z: 0 }, condition: 'secure', source: 'seen' } as const;
    expect(severalRevised(story.state.control, nothing)).toEqual([]);
  });
});
