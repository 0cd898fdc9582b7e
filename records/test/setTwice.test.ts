/** Two tablets set the same mark: both stay, the later is in force, and everybody is told until somebody decides. */
import { describe, expect, it } from '@jest/globals';
import type { AnyFact, Fact } from '@idle-marker/contract';
import {
  allSetAnew,
  crewView,
  cutSheet,
  markKey,
  memberName,
  setTwice,
  sheetNotices,
  siteState,
  thisOneStands,
  trustOf,
  twiceAt,
} from '@idle-marker/records';
import { openCautionWords, sheetTroubleWords } from '@idle-marker/words';
import { Story } from './story.ts';

/** Mara set the hub; Jo, who did not know, sets it `off` east of where it belongs. */
function told(off = 0) {
  const story = new Story().control();
  const work = story.work({ name: 'Hall' }, 'H');
  const solution = story.station('S1');
  story.prove(solution, 'P1');
  const mara = story.set(solution, work, 0);
  const jo = story.set(solution, work, 0, { off: { e: off } });
  story.prove(solution, 'P2');
  return { story, work, mara, jo, key: markKey(work.id, jo.body.key) };
}
const sheetOf = (story: Story, work: Fact<'package'>) =>
  cutSheet(
    story.state,
    story.trust(),
    { package: work, issuedBy: 'Mara', issuedAt: story.instant(), timeZone: 'UTC' },
    null,
  );

describe('a mark that two tablets have set', () => {
  it('is in force by the later one, and both are named with how far they are apart', () => {
    const { story, work, mara, jo, key } = told(0.004);
    expect(story.state.marks.get(key)!.id).toBe(jo.id);
    const [twice] = setTwice(story.state);
    expect(twice).toMatchObject({ name: jo.body.name, differ: false });
    expect(twice!.marks.map(({ id }) => id)).toEqual([mara.id, jo.id]);
    expect(twice!.apart).toBeCloseTo(0.004, 3);
    expect(sheetOf(story, work).open!.map(openCautionWords)).toContain(
      `They were set twice, and nobody has decided which stake stands; these figures are from the later one: ${jo.body.name}.`,
    );
  });

  it('is not built from by a crew where the two lie farther apart than the work allows', () => {
    const view = ({ story }: ReturnType<typeof told>) =>
      crewView(story.state, story.trust(), { label: 'x', roots: null, who: 'y', at: story.instant() }).marks.map(
        ({ standing }) => standing,
      );
    expect(view(told(0.004))).not.toContain('inDoubt');
    expect(view(told(0.05))).toContain('inDoubt');
  });

  it('is told on a sheet that went out before the other one came', () => {
    const { story, work, mara, jo } = told();
    const handover = { sheet: jo.id, number: 1, revision: 1, package: work.id, marks: [mara.id], withheld: [] };
    story.say('handover', handover);
    const [notice] = sheetNotices(story.state, story.trust());
    expect(sheetTroubleWords(notice!.marks)).toBe(
      `${jo.body.name}: set twice: ask which stake stands before building from it.`,
    );
  });

  it('is decided by what stands on the ground, or by setting it anew', () => {
    const { story, work, mara, jo, key } = told();
    const decided = (said: ReturnType<typeof thisOneStands>): AnyFact[] => {
      const later = new Story();
      return [
        ...story.facts,
        ...said.map((each) => ({ ...later.say('note', { text: 'x' }), at: story.instant(5), ...each }) as AnyFact),
      ];
    };
    const stands = siteState(
      decided(thisOneStands(story.state, setTwice(story.state)[0]!, mara, memberName(story.state, mara.by))),
    );
    expect([stands.marks.get(key)!.id, setTwice(stands)]).toEqual([mara.id, []]);
    expect(stands.timeline.some(({ id }) => id === jo.id)).toBe(true);
    expect(() => trustOf(stands, story.instant(6))).not.toThrow();
    const anew = siteState(decided(allSetAnew(story.state, key, jo.body.name)));
    expect([anew.marks.get(key)!.id, setTwice(anew)]).toEqual([jo.id, []]);
    expect(twiceAt(story.state, work, 'nothing')).toBeNull();
  });

  it('is decided with all the shots of the other one: none of them stands again', () => {
    const story = new Story().control();
    const work = story.work({ name: 'Hall' }, 'H');
    const solution = story.station('S1');
    const before = story.set(solution, work, 0, { as: 'set' });
    const mara = story.set(solution, work, 0, { supersedes: before.id });
    const first = story.set(solution, work, 0, { as: 'set', supersedes: before.id });
    const jo = story.set(solution, work, 0, { supersedes: first.id });
    const said = thisOneStands(story.state, setTwice(story.state)[0]!, mara, 'Mara');
    expect(said.map(({ body }) => (body as { record: string }).record)).toEqual([jo.id, first.id]);
    for (const { body } of said) story.say('withdrawal', body as never);
    expect([story.state.marks.get(markKey(work.id, mara.body.key))!.id, setTwice(story.state)]).toEqual([mara.id, []]);
  });

  it('is no second mark where one of them only painted the place, or shot the same hub again', () => {
    const story = new Story().control();
    const work = story.work({ name: 'Hall' }, 'H');
    const solution = story.station('S1');
    story.set(solution, work, 0, { as: 'rough' });
    const set = story.set(solution, work, 0, { as: 'set' });
    story.set(solution, work, 0, { supersedes: set.id });
    expect(setTwice(story.state)).toEqual([]);
  });
});
