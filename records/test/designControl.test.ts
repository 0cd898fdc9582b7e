import { describe, expect, it } from '@jest/globals';
import {
  controlCandidates,
  controlOfCandidates,
  pickedCandidate,
  isProvenControl,
  nextSights,
  stationDraft,
} from '@idle-marker/records';
import { GRID, newId, Story } from './story.ts';

describe('control from the design', () => {
  it('takes crossings, corners and what was measured, each with its source and precision', () => {
    const story = new Story().control();
    story.say('grid', GRID);
    story.work();
    const solution = story.station('S1');
    story.measure(solution, { e: 4000, n: 8000, z: 5.2 }, { name: 'Kerb 1' });
    const all = controlCandidates(story.state);
    const of = (from: string) => all.filter((each) => each.from === from);
    expect(of('grid').length).toBeGreaterThan(3);
    expect(of('package').map(({ name }) => name)).toContain('A');
    const [kerb] = of('asBuilt');
    expect(kerb).toMatchObject({
      name: 'Kerb 1',
      of: 'S1',
      parent: solution.fact.id,
      place: { e: expect.closeTo(4000, 6), n: expect.closeTo(8000, 6), z: expect.closeTo(5.2, 6) },
    });
    const own = story.say('control', controlOfCandidates(story.state, newId, [kerb!])[0]!);
    expect(own.body).toMatchObject({
      name: 'Kerb 1',
      from: 'asBuilt',
      useHeight: true,
      source: 'measured as it stands from S1',
    });
    expect(
      isProvenControl(
        story.state,
        story.state.control.find((mark) => mark.id === own.body.mark)!,
      ),
    ).toBe(false);
    const drawn = story.say(
      'control',
      controlOfCandidates(story.state, newId, [{ ...of('package')[0]!, name: 'K1' }])[0]!,
    );
    // A name that is taken gets another; a height that is only drawn is listed and not used.
    expect(drawn.body).toMatchObject({ name: 'K1-2', from: 'package', useHeight: false, sdHMm: 5, parent: null });
    expect(drawn.body.z).not.toBeNull();
  });

  it('makes one mark of one point, however often it is asked, and a name is taken once', () => {
    const story = new Story().control();
    story.say('grid', GRID);
    const crossing = () => controlCandidates(story.state).find(({ from }) => from === 'grid')!;
    expect(crossing().listedAs).toBeNull();
    const [body] = controlOfCandidates(story.state, newId, [crossing()]);
    const listed = story.say('control', body!);
    expect(crossing().listedAs).toBe(body!.name);
    expect(controlOfCandidates(story.state, newId, [crossing()])).toEqual([]);
    const picked = ['C', 'C'].map((name, i) =>
      pickedCandidate(story.state, 'hall.dxf', name, { e: 4100 + i, n: 8000 }),
    );
    expect(controlOfCandidates(story.state, newId, picked).map(({ name, source }) => [name, source])).toEqual([
      ['C', 'point of the drawing hall.dxf'],
      ['C-2', 'point of the drawing hall.dxf'],
    ]);
    // One that is gone on site can be made anew.
    story.say('control', { ...body!, condition: 'lost', supersedes: listed.id });
    expect(crossing().listedAs).toBeNull();
  });

  it('is sighted like any other mark', () => {
    const story = new Story().control(['K1', 'K2']);
    story.say('grid', GRID);
    const candidate = controlCandidates(story.state).find(({ from }) => from === 'grid')!;
    const fact = story.say('control', controlOfCandidates(story.state, newId, [candidate])[0]!);
    const occupation = story.occupy('S1');
    for (const name of ['K1', 'K2'] as const) story.sight(occupation, name);
    const asked = { plan: 0.01, height: 0.01, work: [] };
    expect(
      nextSights(story.state, stationDraft(story.state, occupation, {}, { asked }), asked).map((each) => each.name),
    ).toContain(fact.body.mark);
  });
});
