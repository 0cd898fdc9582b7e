/** Staking back to points that have coordinates, one by one. */
import { describe, expect, it } from '@jest/globals';
import type { Corner } from '@idle-marker/core';
import { controlCorner, exportedPoints, knownPoints, prefixOf, withSinglePoint } from '@idle-marker/records';
import { Story } from './story.ts';

const NAMES = { package: 'Single points', crew: 'Layout crew', prefix: 'SP' };

describe('a point that is staked back to', () => {
  const story = new Story().control();
  const station = story.station('S1');
  story.measure(station, { e: 4003, n: 8004, z: 4.61 }, { name: 'R7', code: 'RIM' });
  const add = (point: Corner) => {
    const added = withSinglePoint(story.state, point, NAMES, 'metre');
    if (!added.ok) throw new Error(added.error.code);
    if (added.value.body) story.say('package', added.value.body);
    return added.value;
  };
  it('makes a package of its own at its own height, which the next one joins', () => {
    const first = add(knownPoints(story.state).asBuilt[0]!);
    expect(first.before).toBeNull();
    const mark = story.state.control[0]!;
    const second = add(controlCorner(mark)[0]!);
    expect(story.state.packages.map(({ body }) => body.name)).toEqual(['Single points']);
    const { plans } = story.state.packages[0]!.body;
    expect(plans.map(({ key }) => key)).toEqual([first.key, second.key]);
    const { name, z } = mark.revision.body;
    expect(plans.map((plan) => [plan.name, plan.designZ, plan.code])).toEqual([
      ['SP-R7', expect.closeTo(4.61, 3), 'RIM'],
      [`SP-${name}`, z, undefined],
    ]);
  });
  it('keeps its code in files for others, where those without one have their package', () => {
    const points = exportedPoints(story.state, story.trust());
    expect(points.filter(({ group }) => group === 'planned').map(({ code }) => code)).toEqual(['RIM', 'Single points']);
  });
  it('is there once: measured again it moves, and where it lies as it lay nothing is said', () => {
    const [again] = knownPoints(story.state).asBuilt;
    expect(add(again!).body).toBeNull();
    const moved = add({ ...again!, e: again!.e + 0.02 });
    expect(moved.body?.plans.filter(({ corner }) => corner === 'R7')).toMatchObject([
      { place: { e: again!.e + 0.02 } },
    ]);
    expect(story.state.packages).toHaveLength(1);
  });
  it('goes into a package whose letters have a dash in them under the same letters', () => {
    const { body } = story.state.packages[0]!;
    const named = { plans: body.plans.map((plan) => ({ ...plan, name: `S-P-${plan.corner}` })) };
    expect([prefixOf(body), prefixOf(named), prefixOf({ plans: [] })]).toEqual(['SP', 'S-P', null]);
  });
});

describe('marks as set', () => {
  it('are points to work from, but for rough ones and those that are said to be gone', () => {
    const story = new Story().control();
    const work = story.work();
    const station = story.station('S1');
    story.set(station, work, 0);
    story.set(station, work, 1, { as: 'rough' });
    const hit = story.set(station, work, 2);
    expect(knownPoints(story.state).marks).toHaveLength(2);
    story.say('report', { mark: hit.id, kind: 'destroyed', who: 'Formwork', text: '' });
    expect(knownPoints(story.state).marks.map(({ name }) => name)).toEqual([work.body.plans[0]!.name]);
  });
});
