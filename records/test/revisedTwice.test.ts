/** Two tablets revise the same thing: the later one is in force, and everybody is told until somebody decides. */
import { describe, expect, it } from '@jest/globals';
import { olderControl, revisedTwice, siteState, thisRevisionStands } from '@idle-marker/records';
import { Story } from './story.ts';

/** K1 is listed; Mara moves it, Jo, who did not know, gives it another height and then a note. */
function told() {
  const story = new Story().control();
  const [listed] = story.state.control.map(({ revision }) => revision).filter(({ body }) => body.name === 'K1');
  const mara = story.say('control', { ...listed!.body, e: listed!.body.e! + 0.02, supersedes: listed!.id });
  const jo = story.say('control', { ...listed!.body, z: listed!.body.z! + 0.002, supersedes: listed!.id });
  const later = story.say('control', { ...jo.body, note: 'head bent', supersedes: jo.id });
  const k1 = () => story.state.control.find(({ revision }) => revision.body.name === 'K1')!;
  return { story, listed: listed!, mara, jo, later, k1 };
}

describe('control that two tablets have revised', () => {
  it('is in force by the later one, and both are named', () => {
    const { story, mara, later, k1 } = told();
    expect(k1().revision.id).toBe(later.id);
    expect(revisedTwice(story.state)).toMatchObject([
      { kind: 'control', name: 'K1', revisions: [{ id: mara.id }, { id: later.id }] },
    ]);
  });

  it('is as it was decided: all that the other one said is withdrawn, and stays among the revisions', () => {
    const { story, mara, jo, later, listed, k1 } = told();
    const said = thisRevisionStands(story.state, revisedTwice(story.state)[0]!, mara, 'Mara');
    expect(said.map(({ body }) => (body as { record: string }).record)).toEqual([later.id, jo.id]);
    for (const { body } of said) story.say('withdrawal', body as never);
    expect(k1().revision.id).toBe(mara.id);
    expect(k1().revisions.map(({ id }) => id)).toEqual([later.id, jo.id, mara.id, listed.id]);
    expect(revisedTwice(story.state)).toEqual([]);
  });

  it('is no trouble where both say the same, or where one followed the other', () => {
    const story = new Story().control();
    const listed = story.state.control[0]!.revision;
    const first = story.say('control', { ...listed.body, e: 1, source: 'r2 of the list', supersedes: listed.id });
    story.say('control', { ...listed.body, e: 1, source: 'the same list', supersedes: listed.id });
    expect(revisedTwice(story.state)).toEqual([]);
    story.say('control', { ...listed.body, e: 2, supersedes: first.id });
    expect(revisedTwice(story.state)).toHaveLength(1);
  });

  it('is told where a station used the revision that was withdrawn', () => {
    const { story, mara, later } = told();
    const { fact } = story.station('S1');
    expect(fact.body.uses.some(({ revision }) => revision === later.id)).toBe(true);
    for (const { body } of thisRevisionStands(story.state, revisedTwice(story.state)[0]!, mara, 'Mara'))
      story.say('withdrawal', body as never);
    const station = story.state.accepted.find((each) => each.fact.id === fact.id)!;
    expect(olderControl(story.state, station)).toMatchObject({ marks: [{ name: 'K1' }] });
  });
});

describe('revisions that go round in a circle, as only a made-up file has them', () => {
  it('can be decided on as well', () => {
    const { story, mara, listed } = told();
    const facts = story.facts.map((fact) =>
      fact.id === listed.id ? { ...fact, body: { ...listed.body, supersedes: listed.id } } : fact,
    ) as typeof story.facts;
    const state = siteState(facts);
    const said = thisRevisionStands(state, revisedTwice(state)[0]!, mara, 'Mara');
    expect(said).toHaveLength(2);
  });
});

describe('a work package that two tablets have revised', () => {
  it('keeps its marks, whichever revision they were set from', () => {
    const story = new Story().control();
    const work = story.work({ name: 'Hall' }, 'H');
    const solution = story.station('S1');
    const mara = story.say('package', { ...work.body, crew: 'North crew', supersedes: work.id });
    const jo = story.say('package', { ...work.body, crew: 'South crew', supersedes: work.id });
    const mark = story.set(solution, jo, 0);
    expect(revisedTwice(story.state)).toMatchObject([{ kind: 'package', name: 'Hall' }]);
    for (const { body } of thisRevisionStands(story.state, revisedTwice(story.state)[0]!, mara, 'Mara'))
      story.say('withdrawal', body as never);
    const { packages, marks } = siteState(story.facts);
    expect(packages.map(({ id, body }) => [id, body.crew])).toEqual([[mara.id, 'North crew']]);
    expect([...marks]).toMatchObject([[`${work.id}/${mark.body.key}`, { id: mark.id }]]);
  });
});
