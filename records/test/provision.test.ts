import { describe, expect, it } from '@jest/globals';
import { isProvenControl, ownControlBody, measuredMark, provisionToLift, revertedMarks, severalRevised, trustRecords } from '../src/index.ts';
import { newId, PLACES, Story } from './story.ts';

const OWN = { N1: { e: 4090, n: 7960, z: 5.4 }, N2: { e: 3975, n: 8035, z: 5.2 }, N3: { e: 3990, n: 7940, z: 5.1 } } as const;

/** Three marks of one's own from S1, and a fresh station S2 from these alone. */
function onOwnMarks() {
  const story = new Story().control();
  const first = story.station('S1');
  const ids = Object.entries(OWN).map(([name, place]) => {
    const mark = newId();
    const sights = [0, 1, 2].map(() => story.shoot(first.occupation, 'control', { kind: 'control', mark }, place));
    story.say('control', ownControlBody(first, measuredMark(story.state, first, sights)!, { mark, name, kind: 'nail', note: '', spot: '' }));
    return mark;
  });
  story.say('close', { occupation: first.occupation.id, note: '' });
  story.stand({ e: 4020, n: 7990, z: 5.5 });
  const occupation = story.occupy('S2');
  ids.forEach((mark, i) => story.shoot(occupation, 'station', { kind: 'control', mark }, Object.values(OWN)[i]!));
  const second = story.decide(occupation, 'provisional', {}, 'on our own marks');
  const own = () =>
    ids.map((id) =>
      isProvenControl(
        story.state,
        story.state.control.find((mark) => mark.id === id)!,
      ),
    );
  const now = () => story.state.accepted.find((each) => each.fact.id === second.fact.id)!;
  return { story, second, own, now };
}

describe('a fresh station on own marks', () => {
  it('that was proved on given ones is accepted again without its provision, and proves its marks', () => {
    const { story, second, own, now } = onOwnMarks();
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
    expect(trustRecords(story.state).find((each) => each.id === second.fact.id)).toEqual({ ...before, acceptedAs: 'good' });
  });

  it('whose proof failed stays as it is', () => {
    const { story, second, own } = onOwnMarks();
    story.prove(second, 'K1', { e: 0.06 });
    expect(own()).toEqual([false, false, false]);
    expect(provisionToLift(story.state, second)).toBeNull();
  });
});

describe('several marks at once', () => {
  it('get a revision each, with one source; what would not change gets none', () => {
    const story = new Story().control(['K1', 'K2']).control(['K3'], { z: null, useHeight: false, sdZMm: null });
    const change = { condition: 'doubtful', useHeight: true, move: { e: 0.01, n: 0, z: -0.02 }, source: 'walked round' } as const;
    const bodies = severalRevised(story.state.control, change);
    expect(bodies).toHaveLength(3);
    expect(bodies[0]).toMatchObject({ name: 'K1', e: PLACES.K1.e + 0.01, z: PLACES.K1.z - 0.02, condition: 'doubtful', source: 'walked round' });
    expect(bodies[0]!.supersedes).toBe(story.state.control[0]!.revision.id);
    expect(bodies[2]).toMatchObject({ name: 'K3', z: null, useHeight: false, sdZMm: null });
    // It can be taken back: as it was, as a revision of what it is now.
    const before = story.state.control;
    for (const body of bodies) story.say('control', body);
    const back = revertedMarks(story.state, before);
    expect(back.map(({ name, condition, e }) => [name, condition, e])).toEqual(before.map(({ revision: { body } }) => [body.name, body.condition, body.e]));
    for (const body of back) story.say('control', body);
    const nothing = { move: { e: 0, n: 0, z: 0 }, condition: 'secure', source: 'seen' } as const;
    expect(severalRevised(story.state.control, nothing)).toEqual([]);
  });
});
