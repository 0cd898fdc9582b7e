import { describe, expect, it } from '@jest/globals';
import { insidePolygon, planDistance, pointAlongOff } from '@idle-marker/core';
import type { Fact, FactBody } from '@idle-marker/contract';
import { openCautionWords, stationNotices } from '@idle-marker/words';
import {
  affectedByGrid,
  affectedPackages,
  crossingsOf,
  gridOf,
  independentCheckFor,
  midpointsOf,
  uncheckedMarks,
  olderGrids,
  roundBeside,
  asBuiltReport,
  boltGroups,
  clearanceOf,
  controlFromBuilt,
  bookLine,
  cautionsFor,
  cutSheet,
  columnsAlong,
  laserCaution,
  designDifferences,
  fromRetired,
  heightOverSurface,
  heightsToAsk,
  hubPlans,
  leftOutHubs,
  lineDifferences,
  nextName,
  placeAtGround,
  readingOf,
  shapesOf,
  stakeAt,
  surfacePlaces,
  usedCodes,
} from '@idle-marker/records';
import { HALL, newId, Story } from './story.ts';

type Item = FactBody<'package'>['items'][number];
const item = (change: Partial<Item>): Item => ({ ...HALL, ...change });
const plansOf = (items: Item[], offset = 2, unit: 'metre' | 'foot' = 'metre') => {
  const plans = hubPlans(items, offset, 'X', unit);
  if (!plans.ok) throw new Error(JSON.stringify(plans.error));
  return plans.value;
};

const GRID: FactBody<'grid'> = {
  grid: newId(),
  name: 'Hall',
  origin: { e: 4000, n: 8000 },
  letters: { azimuthDeg: 90, labels: ['A', 'B'], spacings: [5] },
  numbers: { azimuthDeg: 0, labels: ['1', '2'], spacings: [8] },
  spacingMeasured: 'perpendicular',
  source: 'typed',
  retired: false,
  supersedes: null,
};

const measure = (story: Story, ...rest: Parameters<Story['measure']>): Fact<'asBuilt'> => story.measure(...rest);

describe('design heights of an item', () => {
  const corners = [
    { name: 'V1', e: 4001, n: 8001, z: 5.25, code: 'VALVE' },
    { name: 'V2', e: 4002, n: 8003 },
    { name: 'V3', e: 4004, n: 8002, z: 0 },
  ];
  const surface = {
    drawing: newId(),
    name: 'Yard',
    heights: [
      { key: 'V1', z: 4 },
      { key: 'V2', z: 4.5 },
      { key: 'V3', z: null },
    ],
  };
  const heights = (change: Partial<Item>) =>
    plansOf([item({ rule: 'points', designZ: 7, corners, ...change })]).map(({ designZ }) => designZ);
  it('are the one, the points’ own, a surface’s, or the first of them that there is', () => {
    expect(heights({ heights: 'design' })).toEqual([7, 7, 7]);
    expect(heights({ heights: 'own' })).toEqual([5.25, null, 0]);
    expect(heights({ heights: 'surface', surface })).toEqual([4, 4.5, null]);
    expect(heights({ heights: 'rule' })).toEqual([5.25, 7, 0]);
    expect(heights({ heights: 'rule', surface })).toEqual([5.25, 4.5, 0]);
    expect(heights({ heights: 'rule', surface, designZ: null, corners: corners.slice(1) })).toEqual([4.5, 0]);
  });
  it('of items that were kept before there was a choice stay what they were', () => {
    expect(heights({})).toEqual([7, 7, 7]);
    expect(heights({ surface })).toEqual([4, 4.5, null]);
  });
  it('come to hubs round an outline, to ends of lines, bolts and heads of piles', () => {
    const square = [
      { name: 'A', e: 4000, n: 8000, z: 1 },
      { name: 'B', e: 4010, n: 8000, z: 2 },
      { name: 'C', e: 4010, n: 8010, z: 3 },
      { name: 'D', e: 4000, n: 8010, z: 4 },
    ];
    const by = (change: Partial<Item>) =>
      new Map(
        plansOf([item({ designZ: null, heights: 'own', corners: square, ...change })]).map(({ corner, designZ }) => [
          corner,
          designZ,
        ]),
      );
    const each = [
      ['A', 1],
      ['B', 2],
      ['C', 3],
      ['D', 4],
    ];
    for (const change of [
      { rule: 'outline' },
      { rule: 'outline', moved: [{ outward: 0.2, why: 'footing' }] },
      { rule: 'linePairs' },
      { rule: 'lineEnds' },
      { rule: 'recoveries' },
    ] as const)
      expect([...by(change as Partial<Item>)].sort()).toEqual(each);
    const pattern = { kind: 'circle', diameter: 1, count: 2, azimuthDeg: 0 } as const;
    expect(by({ rule: 'bolts', pattern }).get('C.2')).toBe(3);
    // A head that lies two metres higher comes through half a metre farther back at one to four.
    const rake = { azimuthDeg: 90, ratio: 4, workingZ: 1 };
    const piles = plansOf([item({ rule: 'rakedPiles', designZ: null, heights: 'own', corners: square, rake })]);
    expect(piles.find(({ key }) => key.endsWith('/A'))!.place.e).toBeCloseTo(4000, 9);
    expect(piles.find(({ key }) => key.endsWith('/C'))!.place.e).toBeCloseTo(4010.5, 9);
  });
  it('go with the code of their point', () => {
    const [first, second] = plansOf([item({ rule: 'points', corners })]);
    expect([first!.code, second!.code]).toEqual(['VALVE', undefined]);
  });
});

describe('a hub without a clear place', () => {
  // A slot of one metre between two wings: hubs two metres off its inner corners would stand in the other wing.
  const slotted = item({
    corners: [
      { name: 'A', e: 4000, n: 8000 },
      { name: 'B', e: 4020, n: 8000 },
      { name: 'C', e: 4020, n: 8010 },
      { name: 'D', e: 4011, n: 8010 },
      { name: 'E', e: 4011, n: 8004 },
      { name: 'F', e: 4010, n: 8004 },
      { name: 'G', e: 4010, n: 8010 },
      { name: 'H', e: 4000, n: 8010 },
    ],
  });
  it('is not marked inside of the building: it is left out and told', () => {
    const left = leftOutHubs([slotted], 2);
    expect(left.length).toBeGreaterThan(0);
    expect(new Set(left.map(({ corner }) => corner))).toEqual(new Set(['D', 'E', 'F', 'G']));
    const plans = plansOf([slotted]);
    for (const { place } of plans) expect(insidePolygon(place, slotted.corners)).toBe(false);
    expect(leftOutHubs([slotted], 0.4)).toEqual([]);
    expect(leftOutHubs([HALL], 2)).toEqual([]);
  });
});

describe('rules of items', () => {
  it('move an outline by thickness and footing before its hubs are set', () => {
    const moved = plansOf([
      item({
        moved: [
          { outward: 0.2, why: 'wallThickness' },
          { outward: 0.3, why: 'footing' },
        ],
      }),
    ]);
    const plain = plansOf([HALL]);
    const at = (plans: typeof moved, key: string) => plans.find((plan) => plan.key === key)!.place;
    expect(moved.map(({ key }) => key)).toEqual(plain.map(({ key }) => key));
    expect(at(moved, 'Hall/A/in').n - at(plain, 'Hall/A/in').n).toBeCloseTo(-0.5, 9);
    expect(shapesOf(item({ moved: [{ outward: 0.5, why: 'other' }] }))).toHaveLength(2);
    expect(hubPlans([item({ moved: [{ outward: -10.5, why: 'other' }] })], 2, 'X')).toMatchObject({
      ok: false,
      error: { code: 'MOVED_TOO_FAR', item: 'Hall' },
    });
  });

  it('mark a line at an interval, named by its chainage in the site’s unit, with heights between', () => {
    const corners = [
      { name: 'W1', e: 0, n: 0, z: 5 },
      { name: 'W2', e: 0, n: 12, z: 6.2 },
    ];
    const wall = item({
      rule: 'along',
      corners,
      designZ: null,
      along: { spacing: { interval: 5 }, side: 'right', closed: false },
    });
    const plans = plansOf([wall], 1);
    expect(plans.map(({ name, designZ }) => [name, designZ])).toEqual([
      ['X-W1', 5],
      ['X-W1+5', 5.5],
      ['X-W1+10', 6],
      ['X-W2', 6.2],
    ]);
    expect(plans[1]).toMatchObject({ place: { e: expect.closeTo(1, 9), n: expect.closeTo(5, 9) }, offset: 1 });
    expect(
      plansOf([{ ...wall, along: { spacing: { parts: 2 }, side: 'on', closed: false } }], 1, 'foot').map(
        ({ name }) => name,
      ),
    ).toEqual(['X-W1', 'X-W1+19.69', 'X-W2']);
    const { along: _, ...without } = wall;
    expect(hubPlans([without], 1, 'X')).toMatchObject({
      ok: false,
      error: { code: 'RULE_INCOMPLETE', needs: 'along' },
    });
  });

  it('draw arcs as they are, and bolts and piles by their marks alone', () => {
    const bend = item({
      rule: 'along',
      corners: [
        { name: 'A', e: 0, n: 0, bulge: 1 },
        { name: 'B', e: 10, n: 0 },
      ],
      along: { spacing: { interval: 2 }, side: 'on', closed: false },
    });
    const [shape] = shapesOf(bend);
    for (const point of shape!.points) expect(planDistance(point, { e: 5, n: 0 })).toBeCloseTo(5, 6);
    expect(shapesOf(item({ rule: 'bolts' }))).toEqual([]);
  });

  it('mark leaning piles where they come through the working level, and move with the ground', () => {
    const corners = [
      { name: '1', e: 4000, n: 8000 },
      { name: '2', e: 4000, n: 8010 },
    ];
    const piles = item({
      name: 'Piles',
      rule: 'rakedPiles',
      designZ: 3,
      corners,
      rake: { azimuthDeg: 90, ratio: 4, workingZ: 5 },
    });
    const plans = plansOf([piles]);
    expect(plans).toHaveLength(6);
    // Two metres above the heads the axis stands half a metre away from the toe.
    expect(plans[0]).toMatchObject({
      place: { e: expect.closeTo(3999.5, 9), n: 8000 },
      designZ: 5,
      rake: { azimuthDeg: 90, ratio: 4 },
    });
    expect(plans[1]!.rake).toBeUndefined();
    expect(placeAtGround(plans[0]!, 5.4).e).toBeCloseTo(3999.4, 9);
    expect(placeAtGround(plans[0]!, null)).toEqual(plans[0]!.place);
    const story = new Story().control();
    const work = story.work({ items: [piles] });
    const station = story.station('S1');
    const sight = story.shoot(
      station.occupation,
      'mark',
      { kind: 'plan', package: work.id, key: work.body.plans[0]!.key },
      { e: 3999.4, n: 8000, z: 5.4 },
    );
    const stake = stakeAt(story.state, station, work.body.plans[0]!, readingOf(sight.body));
    if (!stake.ok) throw new Error(stake.error.code);
    expect(Math.hypot(stake.value.deltaE, stake.value.deltaN)).toBeLessThan(0.001);
  });
});

describe('what was measured as it stands', () => {
  it('is the mean of its shots with their spread, and replaced by a later one', () => {
    const story = new Story().control();
    const station = story.station('S1');
    const first = measure(story, station, { e: 4005, n: 8003, z: 6 }, { name: 'C1', code: 'cover' }, 3);
    expect(first.body.place.e).toBeCloseTo(4005.002, 3);
    expect(first.body.spread.planMm).toBeCloseTo(2, 0);
    const again = measure(
      story,
      station,
      { e: 4005.01, n: 8003, z: 6 },
      { name: 'C1', code: 'cover', supersedes: first.id },
    );
    expect(story.state.asBuilt.map(({ id }) => id)).toEqual([again.id]);
    expect(usedCodes(story.state)).toEqual(['cover']);
    expect(nextName(story.state, 'C1')).toBe('C2');
    expect(nextName(story.state, 'C09')).toBe('C10');
    expect(bookLine(story.state, again)).toMatchObject({
      topic: 'mark',
      text: expect.stringContaining('C1 (cover) measured as it stands'),
    });
    story.say('withdrawal', { record: again.id, occupation: null, reason: 'wrong cover' });
    expect(story.state.asBuilt.map(({ id }) => id)).toEqual([first.id]);
  });

  it('says how much room is left to what is to be built, and when they overlap', () => {
    const story = new Story();
    story.work();
    expect(clearanceOf(story.state, { e: 4012, n: 8000 }, 5)).toEqual({
      item: 'Hall',
      distance: expect.closeTo(2, 9),
      inside: false,
    });
    expect(clearanceOf(story.state, { e: 4009.9, n: 8000 }, 5)).toEqual({
      item: 'Hall',
      distance: expect.closeTo(0.1, 9),
      inside: true,
    });
    expect(clearanceOf(story.state, { e: 4100, n: 8000 }, 5)).toBeNull();
  });

  it('becomes control with its station and uncertainty, to be proven before anything hangs on it', () => {
    const story = new Story().control();
    const station = story.station('S1');
    const pin = measure(story, station, { e: 4005, n: 8003, z: 6 }, { name: 'N7', code: 'pin in slab' }, 2);
    const mark = newId();
    const body = controlFromBuilt(story.state, pin, mark)!;
    expect(body).toMatchObject({
      mark,
      name: 'N7',
      spot: 'pin in slab',
      parent: station.fact.id,
      source: 'measured, station S1',
      e: pin.body.place.e,
    });
    expect(body.sdHMm).toBeGreaterThan(0);
    story.say('control', body);
    expect(story.state.control.find(({ id }) => id === mark)!.revision.body.name).toBe('N7');
  });

  it('is told against the design, and bolts as a group', () => {
    const story = new Story().control();
    const pattern = {
      kind: 'rectangle',
      along: 0.4,
      across: 0.3,
      alongCount: 2,
      acrossCount: 2,
      azimuthDeg: 0,
    } as const;
    const work = story.work({
      items: [
        item({
          name: 'Base',
          rule: 'bolts',
          meaning: 'centre',
          corners: [{ name: 'B1', e: 4005, n: 8003 }],
          designZ: 6,
          pattern,
        }),
      ],
      offset: 0.5,
    });
    const station = story.station('S1');
    const bolts = work.body.plans.filter(({ offset }) => offset === 0);
    for (const [i, plan] of bolts.entries()) {
      const bent = i === 3 ? 0.012 : 0;
      measure(
        story,
        station,
        { e: plan.design.e + 0.003 + bent, n: plan.design.n, z: 6.002 },
        { name: plan.corner, against: { kind: 'plan', package: work.id, key: plan.key } },
      );
    }
    const differences = designDifferences(story.state);
    expect(differences.map(({ within }) => within)).toEqual([true, true, true, false]);
    expect(differences[0]!.dZ).toBeCloseTo(0.002, 3);
    const [group] = boltGroups(story.state);
    expect(group).toMatchObject({ name: 'B1', tolerance: 0.006, fit: { worst: { name: 'B1.4' } } });
    expect(group!.fit!.shift.e).toBeCloseTo(0.006, 3);
    const report = asBuiltReport(story.state, story.instant(), story.who);
    expect(report.rows.map(({ name, within, station: from }) => [name, within, from])).toEqual([
      ['B1.1', true, 'S1'],
      ['B1.2', true, 'S1'],
      ['B1.3', true, 'S1'],
      ['B1.4', false, 'S1'],
    ]);
    // A revision of the package moves what it is compared with.
    story.work({
      ...work.body,
      items: [{ ...work.body.items[0]!, corners: [{ name: 'B1', e: 4005.003, n: 8003 }] }],
      supersedes: work.id,
    });
    const moved = story.state.packages[0]!;
    expect(designDifferences(story.state)[0]!.work.id).toBe(moved.id);
  });

  it('fills a row of columns from their faces, one edge after the other', () => {
    const story = new Story().control();
    const grid = story.say('grid', GRID);
    const station = story.station('S1');
    const from = { e: 4000, n: 8000 };
    const shoot = (edge: 'first' | 'second', along: number, off: number, width: number | null) => {
      const place = pointAlongOff(from, { e: 4001, n: 8000 }, along, off)!;
      measure(
        story,
        station,
        { ...place, z: 5.5 },
        {
          name: `A-1 ${edge} low`,
          against: {
            kind: 'face',
            grid: GRID.grid,
            line: 'A',
            crossing: '1',
            edge,
            level: 'low',
            targetOffset: 0.01,
            width,
          },
        },
      );
    };
    shoot('first', -0.15, 0.16, 0.3);
    expect(columnsAlong(story.state, grid, 'A')!.map(({ name, width, shots }) => [name, width, shots.length])).toEqual([
      ['A-1', 0.3, 1],
      ['A-2', null, 0],
    ]);
    shoot('second', 0.15, 0.172, null);
    const [row] = columnsAlong(story.state, grid, 'A')!;
    expect(row!.face!.twist!.across).toBeCloseTo(0.012, 3);
    expect(row!.face!.centreOffset).toBeCloseTo(0.006, 3);
    // What is taped afterwards counts at once, and so does that nothing is.
    const [other] = columnsAlong(story.state, grid, 'A', new Map([['A-1', 0.32]]))!;
    expect(other!.width).toBe(0.32);
    expect(other!.face!.centreOffset).toBeCloseTo(row!.face!.centreOffset! - 0.01, 6);
    expect(columnsAlong(story.state, grid, 'A', new Map([['A-1', null]]))![0]!.face!.centreOffset).toBeNull();
    expect(columnsAlong(story.state, grid, 'Z')).toBeNull();
  });

  it('is read along and off a line, and above it where the line has heights', () => {
    const story = new Story().control();
    const station = story.station('S1');
    const line = {
      kind: 'line',
      name: 'line A',
      from: { e: 4000, n: 8000, z: 5 },
      to: { e: 4010, n: 8000, z: 6 },
    } as const;
    measure(story, station, { e: 4005, n: 7999.85, z: 5.52 }, { name: 'F1', against: line });
    const [found] = lineDifferences(story.state);
    expect(found).toMatchObject({ name: 'line A', position: 'on' });
    expect(found!.chainage).toBeCloseTo(5, 3);
    expect(found!.offset).toBeCloseTo(0.15, 3);
    expect(found!.heightDifference).toBeCloseTo(0.02, 3);
  });

  it('is read along and off an arc, by the direction that it has there', () => {
    const story = new Story().control();
    const station = story.station('S1');
    const arc = {
      kind: 'line',
      name: 'arc curb',
      from: { e: 4000, n: 8000, z: null },
      to: { e: 4010, n: 8010, z: null },
      bulge: Math.tan(Math.PI / 8),
    } as const;
    measure(
      story,
      station,
      { e: 4000 + 9.8 * Math.sin(1), n: 8010 - 9.8 * Math.cos(1), z: 5.5 },
      { name: 'R1', against: arc },
    );
    const [found] = lineDifferences(story.state);
    expect(found).toMatchObject({ position: 'on', heightDifference: null });
    expect(found!.chainage).toBeCloseTo(10, 2);
    expect(found!.offset).toBeCloseTo(-0.2, 3);
    expect(found!.azimuth).toBeCloseTo(Math.PI / 2 - 1, 3);
  });

  it('stands so much over a surface, or off it, and the report and the book say so', () => {
    const story = new Story().control();
    const station = story.station('S1');
    const against = { kind: 'surface', drawing: newId(), name: 'Finished', z: 5.4 } as const;
    const over = measure(story, station, { e: 4005, n: 8003, z: 5.52 }, { name: 'G1', against });
    const off = measure(
      story,
      station,
      { e: 4006, n: 8003, z: 5.52 },
      { name: 'G2', against: { ...against, z: null } },
    );
    expect(heightOverSurface(over.body)).toBeCloseTo(0.12, 3);
    expect(heightOverSurface(off.body)).toBeNull();
    const { rows } = asBuiltReport(story.state, '2031-05-06T10:00:00Z', over.by);
    expect(rows.map(({ name, against: what, dZ }) => [name, what, dZ === null ? null : Number(dZ.toFixed(2))])).toEqual(
      [
        ['G1', 'surface Finished', 0.12],
        ['G2', 'off the surface Finished', null],
      ],
    );
    expect(bookLine(story.state, over).text).toMatch(/against the surface Finished, 5\.400 m there/);
  });
});

describe('an independent check', () => {
  it('is asked for beside a building that stands, until the mark was taped or sighted from elsewhere', () => {
    const story = new Story().control();
    const work = story.work();
    const solution = story.station('S1');
    const mark = story.set(solution, work, 0);
    const { e, n } = mark.body.place;
    expect(independentCheckFor(story.state, work, { e, n })).toBeNull();
    const corners = [
      { e: e + 1, n },
      { e: e + 9, n },
      { e: e + 9, n: n - 6 },
    ];
    const about = { margin: 0.3, blocksSight: true, source: 'plan', retired: false, supersedes: null };
    story.say('area', { area: newId(), name: 'Old customs shed', kind: 'building', corners, ...about });
    expect(independentCheckFor(story.state, work, { e, n })).toBe('building');
    expect(independentCheckFor(story.state, work, { e: e - 4, n })).toBeNull();
    expect(uncheckedMarks(story.state, work).map(({ id }) => id)).toEqual([mark.id]);
    const other = story.set(solution, work, 4);
    story.say('tape', { from: mark.id, to: other.id, taped: 9, measured: 9, within: true, note: '' });
    expect(uncheckedMarks(story.state, work)).toEqual([]);
  });
});

describe('cautions about the instrument', () => {
  it('come for a mark that is far from it and for a visible beam, once a station and day', () => {
    const story = new Story().control();
    const work = story.work();
    const station = story.station('S1');
    const now = new Date(station.fact.at);
    const { e, n } = station.fact.body.result;
    const codes = (away: number) =>
      cautionsFor(story.state, work, { e: e + away, n }, station, now).map(({ code }) => code);
    expect(codes(60)).toEqual(['services']);
    expect(codes(90)).toEqual(['services', 'unattended']);
    expect(laserCaution(story.state, station, now)).toMatchObject({ code: 'laser', about: station.occupation.id });
    for (const what of ['unattended', 'laser'] as const)
      story.say('care', { what, about: station.occupation.id, text: '' });
    expect(codes(90)).toEqual(['services']);
    expect(laserCaution(story.state, station, now)).toBeNull();
    const tomorrow = new Date(now.getTime() + 24 * 3600e3);
    expect(laserCaution(story.state, station, tomorrow)).not.toBeNull();
  });
});

describe('pairs beyond the ends of every side', () => {
  it('are two a side under keys of their own, and their outline counts as one everywhere', () => {
    const plans = plansOf([item({ rule: 'linePairs' })]);
    expect(plans).toHaveLength(2 * HALL.corners.length);
    expect(new Set(plans.map(({ key }) => key)).size).toBe(plans.length);
    expect(plans.every(({ offset, onLine }) => offset === 2 && onLine !== null)).toBe(true);
    expect(shapesOf(item({ rule: 'linePairs' }))).toMatchObject([{ closed: true }]);
    const moved = plansOf([item({ rule: 'linePairs', moved: [{ outward: 0.3, why: 'footing' }] })]);
    expect(moved[0]!.place).not.toEqual(plans[0]!.place);
  });

  it('and offsets that are no round length are told of the one beside', () => {
    expect([2, 2.5, 2.2, 2.3, 0.1].map((offset) => roundBeside(offset, 'metre'))).toEqual([null, null, 2, 2.5, 0.5]);
    expect(roundBeside(10 * 0.3048, 'foot')).toBeNull();
    expect(roundBeside(2, 'foot')).toBeCloseTo(7 * 0.3048, 9);
  });
});

describe('half-way between crossings', () => {
  it('are one fewer a line than its crossings, named by their line and the two beside them', () => {
    const built = gridOf({ ...GRID, numbers: { ...GRID.numbers, labels: ['1', '2', '3'], spacings: [8, 6] } });
    if (!built.ok) throw new Error(built.error.code);
    const middles = midpointsOf(built.value);
    expect(middles.map(({ name }) => name)).toEqual(['A 1–2', 'A 2–3', 'B 1–2', 'B 2–3', '1 A–B', '2 A–B', '3 A–B']);
    const crossings = new Map(crossingsOf(built.value).map((each) => [each.name, each]));
    for (const [middle, one, two] of [
      ['A 2–3', 'A-2', 'A-3'],
      ['3 A–B', 'A-3', 'B-3'],
    ] as const) {
      const at = middles.find(({ name }) => name === middle)!;
      expect(planDistance(at, crossings.get(one)!)).toBeCloseTo(planDistance(at, crossings.get(two)!), 9);
      expect(planDistance(crossings.get(one)!, crossings.get(two)!)).toBeCloseTo(
        2 * planDistance(at, crossings.get(one)!),
        9,
      );
    }
  });
});

describe('a grid that was changed', () => {
  it('moves what was taken from it by the names of its corners, says what is lost, and which marks stand for the older places', () => {
    const story = new Story().control();
    const grid = story.say('grid', GRID);
    const built = gridOf(GRID);
    if (!built.ok) throw new Error(built.error.code);
    const taken = crossingsOf(built.value);
    expect(new Set(taken.map(({ name }) => name))).toEqual(new Set(['A-1', 'A-2', 'B-1', 'B-2']));
    const work = story.work({ items: [item({ rule: 'points', corners: taken, grid: grid.id })] });
    const mark = story.set(
      story.station('S1'),
      work,
      work.body.plans.findIndex(({ corner }) => corner === 'B-2'),
    );
    const wider = { ...GRID, letters: { ...GRID.letters, spacings: [5.1] }, supersedes: grid.id };
    const [affected] = affectedByGrid(story.state, wider, grid.id);
    expect(affected).toMatchObject({ moved: 2, lost: [], largest: expect.closeTo(0.1, 9) });
    expect(affected!.marks.filter((each) => each.mark).map(({ name }) => name)).toEqual([mark.body.name]);
    expect(olderGrids(story.state, work)).toEqual([]);
    const later = story.say('grid', wider);
    expect(olderGrids(story.state, work).map(({ id }) => id)).toEqual([later.id]);
    if (!affected!.next.ok) throw new Error('no package');
    const items = affected!.next.value.items.map((each) => ({ ...each, grid: later.id }));
    const brought = story.say('package', { ...affected!.next.value, items });
    expect(olderGrids(story.state, brought)).toEqual([]);
    const renamed = { ...GRID, letters: { ...GRID.letters, labels: ['A', 'C'] } };
    expect(affectedByGrid(story.state, renamed, later.id)[0]!.lost).toEqual(['B-1', 'B-2']);
  });
});

describe('a drawing that was replaced', () => {
  const drawing = (story: Story, change: Partial<FactBody<'drawing'>> = {}) =>
    story.say('drawing', {
      drawing: newId(),
      name: 'Hall',
      fileName: 'hall.dxf',
      format: 'dxf',
      file: newId(),
      bytes: 10,
      digest: 'b'.repeat(64),
      unit: { name: 'metres', metres: 1 },
      placing: null,
      hidden: [],
      elements: 4,
      retired: false,
      supersedes: null,
      ...change,
    });

  it('moves the packages that came from it, names the marks that stand, and keeps keys and own offsets', () => {
    const story = new Story().control();
    const first = drawing(story);
    const work = story.work({ items: [item({ drawing: first.id })] });
    const own = work.body.plans.findIndex(({ key }) => key === 'Hall/B/out');
    const moved = {
      ...work.body.plans[own]!,
      offset: 3,
      place: { e: work.body.plans[own]!.place.e + 1, n: work.body.plans[own]!.place.n },
    };
    const later = story.say('package', {
      ...work.body,
      plans: work.body.plans.map((plan, i) => (i === own ? moved : plan)),
      supersedes: work.id,
    });
    const station = story.station('S1');
    const mark = story.set(
      station,
      later,
      later.body.plans.findIndex(({ corner }) => corner === 'C'),
    );
    const second = drawing(story, { drawing: first.body.drawing, supersedes: first.id });
    const east = ({ e, n }: { e: number; n: number }) => (e === 4010 ? { e: 4010.03, n } : { e, n });
    const [affected] = affectedPackages(story.state, first.body.drawing, second.id, east);
    expect(affected).toMatchObject({ moved: 2, lost: [] });
    expect(affected!.largest).toBeCloseTo(0.03, 9);
    expect(affected!.marks.filter((each) => each.mark).map(({ name }) => name)).toEqual([mark.body.name]);
    if (!affected!.next.ok) throw new Error('no package');
    const next = affected!.next.value;
    expect(next.plans.map(({ key }) => key)).toEqual(later.body.plans.map(({ key }) => key));
    expect(next.plans[own]).toMatchObject({ offset: 3, place: { e: expect.closeTo(moved.place.e + 0.03, 9) } });
    expect(next.items[0]).toMatchObject({ drawing: second.id });
  });

  it('gives the marks of a package the heights of its newer surface, and says which stand for the older ones', () => {
    const story = new Story().control();
    const first = drawing(story);
    const onFirst = (point: { e: number }) => (point.e === 4010 ? null : 5 + point.e / 1000);
    const heights = surfacePlaces(item({}), 2, 'metre').map(({ key, at }) => ({ key, z: onFirst(at) }));
    const work = story.work({
      items: [item({ surface: { drawing: first.id, name: 'Finished', heights } })],
      heightReference: 'surface',
    });
    expect(work.body.plans.find(({ corner }) => corner === 'A')).toMatchObject({ designZ: 5 + 3.99 });
    expect(work.body.plans.find(({ corner }) => corner === 'B')).toMatchObject({ designZ: null });
    const mark = story.set(story.station('S1'), work, 0);
    const second = drawing(story, { drawing: first.body.drawing, supersedes: first.id });
    const same = (point: { e: number; n: number }) => point;
    const [unasked] = affectedPackages(story.state, first.body.drawing, second.id, same);
    expect(unasked!.marks).toEqual([]);
    expect([...heightsToAsk(story.state, first.body.drawing, [unasked!]).get('Finished')!]).toEqual(
      surfacePlaces(item({}), 2, 'metre').map(({ at }) => at),
    );
    const [affected] = affectedPackages(story.state, first.body.drawing, second.id, same, (surface, at) =>
      surface === 'Finished' ? 5.05 + at.e / 1000 : undefined,
    );
    expect(affected).toMatchObject({ moved: 0, lost: [] });
    expect(affected!.marks.find((each) => each.mark)).toMatchObject({
      name: mark.body.name,
      by: 0,
      rises: expect.closeTo(0.05, 9),
    });
    expect(affected!.marks.filter(({ rises }) => rises === null)).toHaveLength(
      work.body.plans.filter(({ designZ }) => designZ === null).length,
    );
    if (!affected!.next.ok) throw new Error('no package');
    expect(affected!.next.value.items[0]!.surface).toMatchObject({ drawing: second.id });
  });

  it('loses corners that are not in it any more by name, and says so of a package on a retired one', () => {
    const story = new Story().control();
    const first = drawing(story);
    const work = story.work({ items: [item({ drawing: first.id })] });
    const [affected] = affectedPackages(story.state, first.body.drawing, first.id, (point) =>
      point.e === 4010 && point.n === 8010 ? null : point,
    );
    expect(affected).toMatchObject({ moved: 0, lost: ['C'], marks: [] });
    expect(fromRetired(story.state, work)).toEqual([]);
    story.say('drawing', { ...first.body, retired: true, supersedes: first.id });
    expect(fromRetired(story.state, work).map(({ body }) => body.name)).toEqual(['Hall']);
  });
});

describe('what nobody has answered', () => {
  it('goes along to the sheet: services, and what was carried over without a look', () => {
    const story = new Story().control();
    const work = story.work({ markKind: 'hubAndLath' });
    const occupation = story.occupy('S1', { confirmed: ['instrument'] });
    for (const name of ['K1', 'K2', 'K3', 'K4'] as const) story.sight(occupation, name);
    const solution = story.decide(occupation);
    story.set(solution, work, 0);
    story.prove(solution, 'P1');
    const sheet = () =>
      cutSheet(
        story.state,
        story.trust(),
        { package: work, issuedBy: 'Mara', issuedAt: story.instant(), timeZone: 'UTC' },
        null,
      );
    expect(sheet().open).toEqual([{ code: 'services', marks: [work.body.plans[0]!.name] }]);
    expect(sheet().open!.map(openCautionWords)).toEqual([
      `No record that buried services were located before stakes were driven: ${work.body.plans[0]!.name}.`,
    ]);
    expect(sheet().stations.flatMap((station) => stationNotices(station, 'metre'))).toContain(
      'At station S1 nobody confirmed the weather and pole, carried over from the setup before.',
    );
    story.say('care', { what: 'services', about: work.id, text: 'located' });
    expect(sheet().open).toEqual([]);
  });
});
