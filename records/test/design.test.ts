import { describe, expect, it } from '@jest/globals';
import {
  alternativesFor,
  draggedOffset,
  ownOffset,
  bookLine,
  crossingsOf,
  gridCorners,
  gridGeometry,
  gridOf,
  hubPlans,
  keepClearOf,
  lineEndsOf,
  offsetProposals,
  placeDoubt,
  setInAreas,
  setPairs,
  withProposals,
  clearancesOf,
  packageTooNear,
  tooNear,
} from '@idle-marker/records';
import type { FactBody } from '@idle-marker/contract';
import { HALL, newId, Story } from './story.ts';

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

describe('a mark that is dragged', () => {
  it('changes the length of its offset only, by what a crew can tape, and is told what is in the way', () => {
    const story = new Story();
    const work = story.work();
    const plan = work.body.plans.find(({ key }) => key === 'Hall/A/in')!;
    const away = {
      e: plan.design.e + (plan.place.e - plan.design.e) * 1.6,
      n: plan.design.n + (plan.place.n - plan.design.n) * 1.6,
    };
    expect(draggedOffset(plan, away)).toBeCloseTo(3.2, 6);
    const moved = ownOffset(story.state, plan, 3.2, null)!;
    expect(moved).toMatchObject({ offset: 3, hindrances: [] });
    expect(Math.hypot(moved.place.e - plan.design.e, moved.place.n - plan.design.n)).toBeCloseTo(3, 9);
    expect(ownOffset(story.state, plan, -9, null)!.offset).toBe(0.5);
    expect(ownOffset(story.state, { ...plan, offset: 0 }, 2, null)).toBeNull();
  });
});

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
    expect(bookLine(story.state, story.say('grid', { ...said.body, retired: true, supersedes: said.id }))?.text).toBe(
      'Grid Hall taken off the plan',
    );
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
    expect(hubPlans([{ ...item, rule: 'points', corners: crossingsOf(grid) }], 2, 'G')).toMatchObject({
      ok: true,
      value: { length: 6 },
    });
    expect(hubPlans([{ ...item, rule: 'outline', corners: gridCorners(grid) }], 2, 'G')).toMatchObject({
      ok: true,
      value: { length: 8 },
    });
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
  const inside = work.body.items[0]!.corners.reduce(
    (sum, { e, n }, _, all) => ({ e: sum.e + e / all.length, n: sum.n + n / all.length }),
    { e: 0, n: 0 },
  );
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

describe('ground that marks keep out of', () => {
  const square = (e: number, n: number, half: number) => [
    { e: e - half, n: n - half },
    { e: e + half, n: n - half },
    { e: e + half, n: n + half },
    { e: e - half, n: n + half },
  ];
  const area = (change: Partial<FactBody<'area'>>): FactBody<'area'> => ({
    area: newId(),
    name: 'Heap',
    kind: 'spoilHeap',
    corners: square(0, 0, 1),
    margin: 0.5,
    blocksSight: true,
    source: 'x',
    retired: false,
    supersedes: null,
    ...change,
  });
  const begun = () => {
    const story = new Story().control();
    const work = story.work();
    return { story, work };
  };
  const none = () => false;

  it('moves the hubs of a package out of the way, with the reason, and nothing else', () => {
    const { story, work } = begun();
    const hub = work.body.plans[0]!;
    story.say('area', area({ corners: square(hub.place.e, hub.place.n, 0.3) }));
    const proposals = offsetProposals(story.state, work, none, 6, null);
    const moved = proposals.filter((each) => each.hindrances.length > 0);
    expect(moved.map((each) => each.key)).toEqual([hub.key]);
    expect(moved[0]!.hindrances).toEqual([{ name: 'Heap', how: 'inside' }]);
    const next = withProposals(work, proposals);
    expect(next.supersedes).toBe(work.id);
    expect(next.plans.find((plan) => plan.key === hub.key)).toMatchObject({
      offset: moved[0]!.offset,
      place: moved[0]!.place,
    });
    expect(next.plans.filter((plan, i) => plan !== work.body.plans[i]).map((plan) => plan.key)).toEqual([hub.key]);
    // On the same line through its corner, half a metre at a time.
    expect((moved[0]!.offset! * 2) % 1).toBe(0);
  });

  it('leaves marks that stand, and tells which of them will be lost', () => {
    const { story, work } = begun();
    const hub = work.body.plans[0]!;
    story.say('area', area({ corners: square(hub.place.e, hub.place.n, 0.3) }));
    expect(
      offsetProposals(story.state, work, (key) => key === hub.key, 6, null).some((each) => each.key === hub.key),
    ).toBe(false);
    expect(setInAreas(story.state, work, (key) => key === hub.key)).toEqual([
      { key: hub.key, hindrances: [{ name: 'Heap', how: 'inside' }] },
    ]);
    expect(setInAreas(story.state, work, none)).toEqual([]);
  });

  it('is gone when it is taken off, and takes the digs of packages in', () => {
    const { story, work } = begun();
    const said = story.say('area', area({}));
    expect(keepClearOf(story.state).map((each) => each.name)).toEqual(['Heap']);
    expect(bookLine(story.state, said)?.text).toBe('Spoil heap Heap drawn on the plan');
    story.say('area', { ...said.body, retired: true, supersedes: said.id });
    story.say('package', { ...work.body, ground: { kind: 'dig', on: null, reach: 1.5 }, supersedes: work.id });
    expect(keepClearOf(story.state)).toMatchObject([{ name: 'the works at Hall', margin: 1.5, blocksSight: false }]);
    // A hub two metres off is clear of a dig that reaches one and a half, and not of one that reaches two and a half.
    const [latest] = story.state.packages;
    expect(offsetProposals(story.state, latest!, none, 6, null).every((each) => each.hindrances.length === 0)).toBe(
      true,
    );
    story.say('package', { ...latest!.body, ground: { kind: 'dig', on: null, reach: 2.5 }, supersedes: latest!.id });
    const wider = offsetProposals(story.state, story.state.packages[0]!, none, 6, null);
    expect(wider.every((each) => each.offset !== null && each.offset >= 2.5)).toBe(true);
  });

  it('is kept out of by the other offsets of a blocked mark', () => {
    const { story, work } = begun();
    const hub = work.body.plans[0]!;
    const all = alternativesFor(work, hub, 'metre');
    story.say('area', area({ corners: square(all[0]!.place.e, all[0]!.place.n, 0.2), margin: 0.1 }));
    expect(alternativesFor(work, hub, 'metre', keepClearOf(story.state)).map((each) => each.offset)).toEqual(
      all.slice(1).map((each) => each.offset),
    );
  });
});

describe('clearance of an outline', () => {
  const box = (e: number, n: number, width: number, height: number) => [
    { e, n },
    { e: e + width, n },
    { e: e + width, n: n + height },
    { e, n: n + height },
  ];
  const pool = (e: number) => ({
    ...HALL,
    name: 'Pool',
    corners: box(e, 8000, 8, 4).map((each, i) => ({ ...each, name: `P${i + 1}` })),
  });
  const standing = (story: Story, kind: 'building' | 'boundary' | 'fence', corners: { e: number; n: number }[]) =>
    story.say('area', {
      area: newId(),
      name: kind === 'boundary' ? 'Plot' : 'House',
      kind,
      corners,
      margin: 0,
      blocksSight: false,
      source: 'x',
      retired: false,
      supersedes: null,
    });

  it('tells the smallest gap to a house and to the boundary, where it is, and what is under what the work asks', () => {
    const story = new Story().control();
    standing(story, 'building', box(3990, 7990, 9.4, 30));
    standing(story, 'boundary', box(3980, 7980, 60, 24.5));
    standing(story, 'fence', box(4001, 8001, 1, 1));
    const found = clearancesOf(story.state, [pool(4000)], null);
    expect(found.map(({ other, overlaps, gap }) => [other, overlaps, gap.toFixed(3)])).toEqual([
      ['Plot', false, '0.500'],
      ['House', false, '0.600'],
    ]);
    expect(found[1]!.at.e).toBe(4000);
    expect(found[1]!.corner).toMatch(/^P[14]$/);
    expect(tooNear(found, 0.55).map(({ other }) => other)).toEqual(['Plot']);
    expect(tooNear(found, 0)).toEqual([]);
  });

  it('is none where it runs into the house or over the boundary; touching is a gap of nothing', () => {
    const story = new Story().control();
    standing(story, 'building', box(3990, 7990, 10, 30));
    standing(story, 'boundary', box(3980, 7980, 27, 60));
    const gaps = (e: number) =>
      clearancesOf(story.state, [pool(e)], null).map(({ other, overlaps, gap }) => [other, overlaps, gap]);
    expect(gaps(4000)).toEqual([
      ['Plot', true, 0],
      ['House', false, 0],
    ]);
    expect(gaps(3999)).toEqual([
      ['House', true, 0],
      ['Plot', false, 0],
    ]);
    // Whole within the house, and whole outside of the plot.
    expect(gaps(3991)[0]).toEqual(['House', true, 0]);
    expect(gaps(4020)[0]).toEqual(['Plot', true, 0]);
  });

  it('counts outlines of other work, but not the same thing again, nor a footing round its wall', () => {
    const story = new Story().control();
    const work = story.work({ items: [pool(4000)] }, 'P');
    const other = (name: string, corners: { e: number; n: number }[]) =>
      story.work(
        { name, items: [{ ...HALL, name, corners: corners.map((each, i) => ({ ...each, name: `${i}` })) }] },
        'Q',
      );
    other('Deck', box(4009, 8001, 5, 2));
    other('Dig of the pool', box(3999, 7999, 10, 6));
    other('Pool', box(4001, 8000, 8, 4));
    other('Cladding', box(4000.03, 7999.98, 8, 4));
    other('Walls of the pool', box(4000, 8000, 8, 4));
    expect(packageTooNear(story.state, work)).toEqual([]);
    const asked = story.say('package', { ...work.body, clearance: { least: 1.2, reason: '' }, supersedes: work.id });
    expect(packageTooNear(story.state, asked)).toMatchObject([
      { item: 'Pool', other: 'Deck', kind: 'outline', overlaps: false, gap: 1 },
    ]);
  });

  it('marks may stand anywhere within a boundary', () => {
    const story = new Story().control();
    standing(story, 'boundary', box(3900, 7900, 300, 300));
    expect(keepClearOf(story.state)).toEqual([]);
  });
});

describe('distances between marks that are set', () => {
  it('are compared with the design, neighbours and diagonals, the largest difference first', () => {
    const story = new Story().control();
    const work = story.work();
    const solution = story.station('S1');
    expect(setPairs(story.state, work)).toEqual([]);
    const [a, b, c] = [
      story.set(solution, work, 0),
      story.set(solution, work, 2, { off: { e: 0.012 } }),
      story.set(solution, work, 4),
    ];
    story.set(solution, work, 6, { as: 'rough' });
    const pairs = setPairs(story.state, work);
    const names = (pair: (typeof pairs)[number]) => [pair.from.id, pair.to.id];
    // A rough mark has no place that could be taped to; every set one is in a pair.
    expect(new Set(pairs.flatMap(names))).toEqual(new Set([a.id, b.id, c.id]));
    expect(pairs.some((pair) => pair.kind === 'neighbours')).toBe(true);
    for (const [i, pair] of pairs.entries()) {
      const off = Math.abs(pair.asSet - pair.design);
      expect(off).toBeLessThan(0.0125);
      if (i > 0) expect(off).toBeLessThanOrEqual(Math.abs(pairs[i - 1]!.asSet - pairs[i - 1]!.design));
    }
    expect(names(pairs[0]!)).toContain(b.id);
    const [worst] = pairs;
    const tape = story.say('tape', {
      from: worst!.to.id,
      to: worst!.from.id,
      taped: worst!.asSet,
      measured: worst!.asSet,
      within: true,
      note: '',
    });
    expect(setPairs(story.state, work)[0]!.tape?.id).toBe(tape.id);
  });
});
