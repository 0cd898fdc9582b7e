import { describe, expect, it } from '@jest/globals';
import { bookLine, crossingsOf, gridCorners, gridGeometry, gridOf, hubPlans, lineEndsOf, placeDoubt } from '../src/index.ts';
import type { FactBody } from '@idle-marker/contract';
import { newId, Story } from './story.ts';

const body = (change: Partial<FactBody<'grid'>> = {}): FactBody<'grid'> => ({
  grid: newId(),
  name: 'Hall',
  origin: { e: 4000, n: 8000 },
  letters: { azimuthDeg: 90, labels: ['A', 'B', 'C'], spacings: [5, 5] },
  numbers: { azimuthDeg: 0, labels: ['1', '2'], spacings: [8] },
  spacingMeasured: 'perpendicular',
  source: 'typed',
  retired: false,
  supersedes: null,
  ...change,
});
const drawn = (grid: FactBody<'grid'>) => {
  const built = gridOf(grid);
  if (!built.ok) throw new Error(built.error.code);
  return built.value;
};

describe('grids of a site', () => {
  it('are the latest revisions, by name, without those taken off', () => {
    const story = new Story();
    const hall = story.say('grid', body({ name: 'Hall 10' }));
    story.say('grid', body({ name: 'Hall 2' }));
    const shed = story.say('grid', body({ name: 'Shed' }));
    story.say('grid', { ...hall.body, name: 'Hall 1', supersedes: hall.id });
    story.say('grid', { ...shed.body, retired: true, supersedes: shed.id });
    expect(story.state.grids.map((each) => each.body.name)).toEqual(['Hall 1', 'Hall 2']);
  });

  it('stand in the book with their span', () => {
    const story = new Story();
    const said = story.say('grid', body());
    expect(bookLine(story.state, said)?.text).toBe('Grid Hall drawn: A to C by 1 to 2');
    expect(bookLine(story.state, story.say('grid', { ...said.body, retired: true, supersedes: said.id }))?.text).toBe('Grid Hall taken off the plan');
  });

  it('give crossings, ends of lines and corners that marks can be made of', () => {
    const grid = drawn(body());
    expect(crossingsOf(grid).map(({ name }) => name)).toEqual(['A-1', 'A-2', 'B-1', 'B-2', 'C-1', 'C-2']);
    expect(crossingsOf(grid)[3]).toMatchObject({ e: expect.closeTo(4008, 9), n: expect.closeTo(8005, 9) });
    const item = { name: 'Hall', meaning: 'gridLine' as const, designZ: null, source: 'grid Hall' };
    const onLines = hubPlans([{ ...item, rule: 'lineEnds', corners: lineEndsOf(grid) }], 2, 'G');
    if (!onLines.ok) throw new Error(onLines.error.code);
    // Three lettered and two numbered lines, two hubs each.
    expect(onLines.value).toHaveLength(10);
    expect(hubPlans([{ ...item, rule: 'points', corners: crossingsOf(grid) }], 2, 'G')).toMatchObject({ ok: true, value: { length: 6 } });
    expect(hubPlans([{ ...item, rule: 'outline', corners: gridCorners(grid) }], 2, 'G')).toMatchObject({ ok: true, value: { length: 8 } });
  });

  it('of one line in a family have no ends across it', () => {
    const single = drawn(body({ numbers: { azimuthDeg: 0, labels: ['1'], spacings: [] } }));
    expect(lineEndsOf(single).map(({ name }) => name)).toEqual(['1@A', '1@C']);
  });

  it('are kept in degrees below a full turn', () => {
    const { letters } = gridGeometry({
      origin: { e: 0, n: 0 },
      letters: { azimuth: -1e-14, labels: ['A'], spacings: [] },
      numbers: { azimuth: Math.PI / 2, labels: ['1'], spacings: [] },
      spacingMeasured: 'perpendicular',
    });
    expect(letters.azimuthDeg).toBe(0);
  });
});

describe('a place said in words', () => {
  const story = new Story().control();
  const work = story.work();
  const [first, second] = work.body.items[0]!.corners;
  const middle = { e: (first!.e + second!.e) / 2, n: (first!.n + second!.n) / 2 };
  const inside = work.body.items[0]!.corners.reduce((sum, { e, n }, _, all) => ({ e: sum.e + e / all.length, n: sum.n + n / all.length }), { e: 0, n: 0 });
  const away = { e: middle.e * 2 - inside.e, n: middle.n * 2 - inside.n };

  it('is not doubted inside or on an outline, or where there is none', () => {
    expect(placeDoubt(inside, null, [work])).toBeNull();
    expect(placeDoubt(middle, null, [work])).toBeNull();
    expect(placeDoubt(away, null, [])).toBeNull();
  });

  it('is asked about outside, and more when the other side would be inside', () => {
    expect(placeDoubt(away, null, [work])).toMatchObject({ code: 'OUTSIDE' });
    expect(placeDoubt(away, away, [work])).toMatchObject({ code: 'OUTSIDE' });
    const doubt = placeDoubt(away, inside, [work]);
    expect(doubt).toMatchObject({ code: 'MIRRORED' });
    expect(doubt!.distance).toBeGreaterThan(0.5);
  });
});
