import { describe, expect, it } from '@jest/globals';
import { olderControlWords } from '@idle-marker/words';
import { olderControl, stationsOnOlderControl } from '@idle-marker/records';
import { PLACES, Story } from './story.ts';

describe('a station whose control was revised since', () => {
  it('is told with what today’s figures would change, in the part that was used', () => {
    const story = new Story().control();
    const work = story.work();
    const solution = story.station('S1');
    story.set(solution, work, 0);
    expect(stationsOnOlderControl(story.state)).toEqual([]);
    // A note alone changes nothing.
    story.control(['K2'], { note: 'repainted' });
    expect(olderControl(story.state, solution)).toBeNull();
    story.control(['K1', 'K2', 'K3', 'K4'], {});
    for (const name of ['K1', 'K2', 'K3', 'K4'] as const)
      story.control([name], { e: PLACES[name].e + 0.02, z: PLACES[name].z + 0.01 });
    const [older] = stationsOnOlderControl(story.state);
    expect(older!.marks.map((mark) => mark.name)).toEqual(['K1', 'K2', 'K3', 'K4']);
    expect(older).toMatchObject({
      change: { plan: expect.closeTo(0.02, 5), height: expect.closeTo(0.01, 5), turn: expect.closeTo(0, 8) },
      set: 1,
      most: { plan: expect.closeTo(0.02, 5), height: expect.closeTo(0.01, 5) },
    });
    const { title, text } = olderControlWords({ ...older!, name: 'S1' }, 'metre');
    expect(title).toBe('S1 was computed before K1, K2, K3 and K4 were revised');
    expect(text).toMatch(/K1 is listed 20 mm in plan and 10 mm in elevation from where it was then/);
    expect(text).toMatch(/The mark set from it would move by up to 20 mm in plan and 10 mm in elevation\.$/);
    story.say('withdrawal', { record: solution.fact.id, occupation: solution.occupation.id, reason: 'wrong site' });
    expect(stationsOnOlderControl(story.state)).toEqual([]);
  });

  it('over a mark follows that mark, and not the heights that were only compared', () => {
    const story = new Story().control();
    const mark = story.state.control.find((each) => each.id === story.markId('K1'))!;
    story.stand(PLACES.K1);
    const occupation = story.occupy('S1', {
      method: 'overMark',
      over: { mark: mark.id, revision: mark.revision.id, centringSdMm: 1 },
    });
    for (const name of ['K2', 'K3'] as const) story.sight(occupation, name);
    const solution = story.decide(occupation);
    story.control(['K2'], { z: PLACES.K2.z + 0.1 });
    expect(olderControl(story.state, solution)).toBeNull();
    story.control(['K1'], { z: PLACES.K1.z + 0.1 });
    expect(olderControl(story.state, solution)).toMatchObject({
      marks: [{ name: 'K1', plan: 0 }],
      change: { height: expect.closeTo(0.1, 6) },
    });
    story.control(['K1'], { e: null, n: null, usePlan: false });
    const none = olderControl(story.state, solution)!;
    expect(none.change).toBeNull();
    expect(olderControlWords({ ...none, name: 'S1' }, 'metre').text).toMatch(/its sights give no station/);
  });
});
