/** A tolerance class that is not there is told, and nothing is called good by a figure that nobody gave. */
import { describe, expect, it } from '@jest/globals';
import {
  askedOf,
  classOf,
  coarserClass,
  cutSheet,
  missingClasses,
  pairTolerance,
  stakeOf,
  usualClass,
} from '@idle-marker/records';
import { missingClassWords } from '@idle-marker/words';
import { Story } from './story.ts';

/** The class was taken off the list while somebody else made work for it. */
function told() {
  const story = new Story().control();
  const work = story.work({ name: 'Hall', class: 'steel' }, 'H');
  return { story, work };
}

describe('a class that the site does not have', () => {
  it('is told with what asks for it', () => {
    const { story } = told();
    const missing = missingClasses(story.state);
    expect(missing).toEqual([{ id: 'steel', askedBy: ['Hall'] }]);
    expect(missingClassWords(missing[0]!)).toMatch(/^Hall uses the class “steel”, which the site doesn’t have\./);
    expect(missingClasses(new Story().control().state)).toEqual([]);
  });

  it('is held to the finest figures of the site, everywhere the same', () => {
    const { story, work } = told();
    const { state } = story;
    const { planMm, heightMm } = state.settings.classes.find(({ id }) => id === 'grid')!;
    expect(classOf(state, 'steel')).toEqual({
      id: 'steel',
      name: 'steel',
      plan: planMm / 1000,
      height: heightMm / 1000,
      leastMarks: 3,
      offset: null,
    });
    expect(askedOf(state, 'steel')).toMatchObject({ plan: planMm / 1000, height: heightMm / 1000 });
    expect(pairTolerance(state, 'steel')).toBeCloseTo((Math.SQRT2 * planMm) / 1000, 9);
    expect(stakeOf(state, work.body, work.body.plans[0]!, null).faces.front.length).toBeGreaterThan(0);
    const sheet = cutSheet(
      state,
      story.trust(),
      { package: work, issuedBy: 'Mara', issuedAt: story.instant(), timeZone: 'UTC' },
      null,
    );
    expect(sheet).toMatchObject({ className: 'steel', planMm, heightMm });
    const { fact } = story.station('S1');
    expect(
      coarserClass(story.state, { ...fact, body: { ...fact.body, class: 'earthworks' } }, ['steel']),
    ).toMatchObject({ asked: 'steel', askedMm: planMm });
  });

  it('leaves what is there as it is', () => {
    const { state } = new Story().control();
    for (const each of state.settings.classes)
      expect(classOf(state, each.id)).toMatchObject({
        name: each.name,
        plan: each.planMm / 1000,
        height: each.heightMm / 1000,
        leastMarks: each.leastMarks,
      });
    expect([usualClass(state, 'grid').id, usualClass(state, 'kerb').id]).toEqual(['grid', 'grid']);
  });
});
