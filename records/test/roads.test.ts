import { describe, expect, it } from '@jest/globals';
import {
  angleAlong,
  elementsAlong,
  planDistance,
  sectionHeight,
  stationsShown,
  type StationListRule,
} from '@idle-marker/core';
import { invalidFact, type FactBody } from '@idle-marker/contract';
import {
  catchMoveWords,
  hubPlaceWords,
  shortStation,
  slopeStakeWords,
  stakeTextOf,
  stationReasonWords,
  transitionWords,
} from '@idle-marker/words';
import {
  againstRoad,
  alignmentPart,
  asBuiltReport,
  atSlope,
  bookLine,
  crossCheck,
  crossSection,
  designedCatch,
  drawnReturn,
  hingeAt,
  heightOverRoad,
  hubPlans,
  keepsSections,
  measuredAlong,
  measuredAt,
  olderRoads,
  placeBeyondRoad,
  placeOnRoad,
  roadItem,
  stakeOf,
  touchedString,
  waysRound,
  roadShot,
  roadOf,
  roadOfItem,
  roadRemarks,
  returnBetween,
  returnItem,
  roadWorkOf,
  slopePlaces,
  toolFor,
  type Road,
  type RoadWork,
} from '@idle-marker/records';
import { Story } from './story.ts';

const LINE = '00000000-0000-4000-8000-00000000aa01';
const elements = elementsAlong({ e: 4000, n: 7980 }, Math.PI / 2, [
  { kind: 'line', length: 60 },
  { kind: 'spiral', length: 20, radiusStart: null, radiusEnd: 40, rotation: 'ccw' },
  { kind: 'curve', length: 30, radius: 40, rotation: 'ccw' },
]);
if (!elements.ok) throw new Error(elements.error.code);

const BODY: FactBody<'alignment'> = {
  alignment: LINE,
  name: 'Landing Road',
  kind: 'road',
  startStation: 0,
  elements: elements.value,
  equations: [{ at: 50, ahead: 40, counts: 1 }],
  profile: {
    name: 'finished',
    points: [
      { station: 0, z: 5, rounding: null },
      { station: 60, z: 6, rounding: { kind: 'parabola', length: 20 } },
      { station: 100, z: 5, rounding: null },
    ],
  },
  strings: [
    {
      name: 'right edge',
      from: null,
      offset: [{ station: 0, value: 3 }],
      height: { rule: 'fall', values: [{ station: 0, value: 2 }] },
    },
  ],
  kerbs: [
    {
      name: 'kerb',
      flowLine: 'right edge',
      faceOffset: 0.02,
      topHeight: [{ station: 0, value: 0.12 }],
      backOffset: 0.15,
      backHeight: null,
    },
  ],
  corridor: 20,
  shift: 0,
  source: 'landing-road.xml',
  drawing: null,
  sourceName: null,
  retired: false,
  supersedes: null,
};
function made(change: Partial<FactBody<'alignment'>> = {}): Road {
  const road = roadOf({ ...BODY, ...change });
  if (!road.ok) throw new Error(road.error.code);
  return road.value;
}
const style = { unit: 'metre', format: 'thousand' } as const;
const RULE: StationListRule = {
  from: 0,
  to: 60,
  interval: 20,
  byRadius: [],
  equalParts: null,
  special: true,
  extra: [],
  direction: 'up',
};
const work = (change: Partial<RoadWork> = {}): RoadWork => ({
  name: 'Kerb',
  string: 'kerb.back',
  gradeString: 'kerb.face',
  alsoString: 'kerb.flowLine',
  side: 'right',
  rule: RULE,
  own: [],
  write: (displayed) => shortStation(displayed, style),
  why: (reason) => stationReasonWords(reason, style),
  transition: (change) => transitionWords(change, 'metre'),
  ...change,
});

describe('a road of the site', () => {
  it('says where a place lies, and everything is beside its design while the road is shifted', () => {
    const place = placeOnRoad(made(), { station: 30, extraOffset: 2.5 })!;
    expect(place).toMatchObject({ e: 4030, n: expect.closeTo(7977.5, 9), offset: 2.5, z: 5.5 });
    expect(againstRoad(made(), place)).toMatchObject({
      nearest: { station: expect.closeTo(30, 9), offset: expect.closeTo(2.5, 9) },
      outside: false,
      profileZ: expect.closeTo(5.5, 9),
    });
    const shifted = made({ shift: -0.5 });
    expect(againstRoad(shifted, place).nearest.offset).toBeCloseTo(3, 9);
    expect(placeOnRoad(shifted, { station: 30, extraOffset: 3 })).toMatchObject({
      n: expect.closeTo(7977.5, 9),
      offset: 3,
      stringOffset: 0,
    });
    expect(placeBeyondRoad(shifted, -5, 1)).toMatchObject({ e: expect.closeTo(3995, 9), n: expect.closeTo(7979.5, 9) });
  });

  it('warns outside of its corridor, and has no height where its profile has none', () => {
    const far = againstRoad(made(), { e: 4030, n: 7950 });
    expect(far).toMatchObject({ outside: true, feet: [] });
    const beyond = againstRoad(made(), { e: 3990, n: 7980 });
    expect(beyond).toMatchObject({
      nearest: { status: 'beyondStart', extension: expect.closeTo(10, 9) },
      profileZ: null,
      on: null,
    });
    expect(placeOnRoad(made(), { station: 105 })).toMatchObject({ z: null });
    expect(roadRemarks(made())).toEqual([
      { code: 'PROFILE_ENDS_EARLY', by: expect.closeTo(10, 6), station: 100 },
      { code: 'STATIONS_TWICE', from: 40, to: 50 },
    ]);
    expect(roadRemarks(made({ profile: null, equations: [] }))).toEqual([{ code: 'NO_PROFILE' }]);
    expect(stationsShown(made().alignment, 45)).toHaveLength(2);
  });

  it('is cut across with every string once, from left to right', () => {
    expect(
      crossSection(made(), 10).map(({ name, offset, z }) => [name, Number(offset.toFixed(2)), Number(z!.toFixed(4))]),
    ).toEqual([
      ['centreline', 0, 5.1667],
      ['right edge', 3, 5.1067],
      ['kerb.face', 3.02, 5.2267],
      ['kerb.back', 3.17, 5.2267],
    ]);
  });

  it('knows which tool a line needs, and is refused with its fault', () => {
    const [line, spiral, curve] = BODY.elements;
    expect([
      toolFor(BODY),
      toolFor({ elements: [line!], equations: [] }),
      toolFor({ elements: [curve!], equations: [] }),
      toolFor({ elements: [spiral!], equations: [] }),
    ]).toEqual(['road', 'referenceLine', 'referenceArc', 'road']);
    expect(roadOf({ ...BODY, elements: [] })).toMatchObject({
      ok: false,
      error: { code: 'ALIGNMENT_WITHOUT_ELEMENTS' },
    });
    expect(roadOf({ ...BODY, kerbs: [{ ...BODY.kerbs[0]!, flowLine: 'nothing' }] })).toMatchObject({
      ok: false,
      error: { code: 'STRING_UNKNOWN' },
    });
    expect(
      alignmentPart({
        definition: { startStation: 5, elements: BODY.elements, equations: [] },
        crossSections: [],
        profiles: [],
      }).profile,
    ).toBeNull();
  });
});

describe('work along a road', () => {
  const story = new Story();
  const road = story.say('alignment', BODY);
  const item = (change: Partial<RoadWork> = {}) => {
    const found = roadItem(road, made(), work(change));
    if (!found.ok) throw new Error(found.error.code);
    return found.value;
  };

  it('makes a mark a station: off the string, with both heights, what is there, and the way of the road', () => {
    const plans = hubPlans([item({ own: [{ station: 20, offset: 3 }] })], 1, 'RK');
    if (!plans.ok) throw new Error(plans.error.code);
    // 0+050 is shown as 0+040 from the jump on.
    expect(plans.value.map(({ name, road: there }) => [name, there!.why])).toEqual([
      ['RK-0+000', 'start of the line'],
      ['RK-0+020', ''],
      ['RK-0+040', ''],
      ['RK-0+040 (2)', 'stations jump: back 0+050.000, vertical curve begins'],
      ['RK-0+048', 'high point'],
      ['RK-0+050', 'TS (start of spiral)'],
    ]);
    const [first, own] = plans.value;
    expect(first).toMatchObject({
      offset: 1,
      designZ: expect.closeTo(5.06, 9),
      road: {
        name: 'Landing Road',
        to: 'kerb.back',
        gradeTo: 'kerb.face',
        side: 'right',
        azimuthDeg: expect.closeTo(90, 9),
        also: { to: 'kerb.flowLine', z: expect.closeTo(4.94, 9) },
      },
    });
    expect(first!.place.n).toBeCloseTo(7980 - 3.17 - 1, 9);
    expect(own).toMatchObject({ offset: 3, place: { n: expect.closeTo(7980 - 6.17, 9) } });
    const on = hubPlans([item({ side: 'on' })], 1, 'RK');
    expect(on.ok && on.value.every((plan) => plan.offset === 0 && planDistance(plan.place, plan.design) === 0)).toBe(
      true,
    );
    expect(hubPlans([{ ...item(), road: undefined } as never], 1, 'RK')).toMatchObject({
      ok: false,
      error: { code: 'RULE_INCOMPLETE', needs: 'road' },
    });
  });

  it('tells of a kerb that is let down from which height to which, and keeps what changes one by one', () => {
    const kerb = {
      ...BODY.kerbs[0]!,
      topHeight: [
        { station: 0, value: 0.12 },
        { station: 20, value: 0.12 },
        { station: 22, value: 0.02 },
        { station: 60, value: 0.02 },
      ],
    };
    const fact = { id: LINE, body: { ...BODY, kerbs: [kerb] } };
    const list = roadItem(fact, made({ kerbs: [kerb] }), work());
    if (!list.ok) throw new Error(list.error.code);
    const plans = hubPlans([list.value], 1, 'RK');
    if (!plans.ok) throw new Error(plans.error.code);
    const [down, level] = ['RK-0+020', 'RK-0+022'].map((name) => plans.value.find((plan) => plan.name === name)!);
    expect(down!.road).toMatchObject({
      why: 'curb height 0.120 m to 0.020 m in the next 2.000 m',
      reasons: [],
      displayed: expect.closeTo(20, 9),
      transitions: [{ kerb: 'kerb', part: 'top', from: 0.12, to: 0.02, over: 2, here: 'begins' }],
    });
    expect(level!.road!.why).toBe('curb height 0.120 m to 0.020 m in the last 2.000 m');
    expect(plans.value.find(({ name }) => name === 'RK-0+048')!.road!.reasons).toEqual([
      { words: 'high point', term: 'highPoint' },
    ]);
    const written = stakeOf(new Story().state, new Story().work().body, down!, null);
    expect(stakeTextOf(written.faces)).toContain('curb height 0.120 m to 0.020 m in the next 2.000 m');
    expect(list.value.road!.stations.every(({ displayed }) => displayed !== undefined)).toBe(true);
  });

  it('can be asked again, and tells when its road was changed since', () => {
    const kept = item({ own: [{ station: 20, offset: 3 }] });
    expect(roadWorkOf(kept)).toMatchObject({
      options: { string: 'kerb.back', rule: RULE },
      own: [{ station: 20, offset: 3 }],
    });
    expect(roadWorkOf({ ...kept, rule: 'points' })).toBeNull();
    const plans = hubPlans([kept], 1, 'RK');
    if (!plans.ok) throw new Error(plans.error.code);
    const made1 = story.work({ name: 'Curb hubs', items: [kept], plans: plans.value });
    expect(olderRoads(story.state, made1)).toEqual([]);
    expect(roadOfItem(story.state, kept)?.fact.id).toBe(road.id);
    const newer = story.say('alignment', { ...BODY, shift: 0.3, shiftReason: 'services', supersedes: road.id });
    expect(olderRoads(story.state, made1).map(({ id }) => id)).toEqual([newer.id]);
    expect(bookLine(story.state, newer).text).toBe(
      'Road Landing Road changed: 3 elements, from landing-road.xml; shifted 0.300 m to the right',
    );
  });

  it('stands two hubs outside of an angle, one to each line, and one inside that is off both', () => {
    // East for 40 m, then 60° to the left; the kerb keeps its 3.17 m to the right of both lines.
    const bent = elementsAlong({ e: 4000, n: 7980 }, Math.PI / 2, [{ kind: 'line', length: 40 }]);
    if (!bent.ok) throw new Error(bent.error.code);
    const corner = { e: 4040, n: 7980 };
    const ahead = { e: corner.e + 40 * Math.cos(Math.PI / 3), n: corner.n + 40 * Math.sin(Math.PI / 3) };
    const road = {
      elements: [...bent.value, { kind: 'line' as const, start: corner, end: ahead }],
      equations: [],
      profile: null,
    };
    const rule = { ...RULE, to: null, interval: null };
    const plansOf = (side: 'left' | 'right' | 'on', offset = 2) => {
      const fact = new Story().say('alignment', { ...BODY, ...road });
      const item = roadItem(
        fact,
        made(road),
        work({ side, rule, string: 'right edge', gradeString: 'right edge', alsoString: null }),
      );
      if (!item.ok) throw new Error(item.error.code);
      const plans = hubPlans([item.value], offset, 'K');
      if (!plans.ok) throw new Error(plans.error.code);
      return { plans: plans.value, item: item.value };
    };
    /** How far a place lies to the right of a line. */
    const right = (from: { e: number; n: number }, to: { e: number; n: number }, p: { e: number; n: number }) =>
      ((p.e - from.e) * (to.n - from.n) - (p.n - from.n) * (to.e - from.e)) / planDistance(from, to);
    const start = { e: 4000, n: 7980 };

    const outside = plansOf('right');
    expect(outside.plans.map(({ name }) => name)).toEqual(['K-0+000', 'K-0+040 back', 'K-0+040 ahead', 'K-0+080']);
    const [back, forward] = [outside.plans[1]!, outside.plans[2]!];
    expect(back.road!.angle).toEqual({ part: 'back', toCorner: 2 });
    expect(right(start, corner, back.place)).toBeCloseTo(5, 9);
    expect(right(corner, ahead, forward.place)).toBeCloseTo(5, 9);
    // Strapped in by the offset, both lead to the corner of the string.
    expect(back.design).toEqual(forward.design);
    for (const plan of [back, forward]) expect(planDistance(plan.place, plan.design)).toBeCloseTo(2, 9);
    expect(right(start, corner, back.design)).toBeCloseTo(3, 9);
    expect(right(corner, ahead, back.design)).toBeCloseTo(3, 9);

    const inside = plansOf('left').plans;
    expect(inside.map(({ name }) => name)).toEqual(['K-0+000', 'K-0+040', 'K-0+080']);
    const one = inside[1]!;
    expect(right(start, corner, one.place)).toBeCloseTo(1, 9);
    expect(right(corner, ahead, one.place)).toBeCloseTo(1, 9);
    expect(one.offset).toBe(2);
    expect(one.road!.angle!.toCorner).toBeCloseTo(2 / Math.cos(Math.PI / 6), 9);
    expect(planDistance(one.place, one.design)).toBeCloseTo(one.road!.angle!.toCorner, 9);
    expect(hubPlaceWords(one, 'metre')).toMatch(
      /off both lines: to the corner it is 2\.309 m, not the offset\. Tape along both lines$/,
    );
    const written = stakeOf(new Story().state, new Story().work().body, one, null);
    expect(stakeTextOf(written.faces)).toContain('OFF BOTH LINES, corner at 2.309 m');

    // On the string itself there is one mark, in its corner; asked again, the angle is one station.
    expect(plansOf('on').plans.map(({ name, road: part }) => [name, part!.angle])[1]).toEqual(['K-0+040', undefined]);
    expect(roadWorkOf(outside.item)!.options.stations).toHaveLength(4);
  });

  it('takes the small kinks of a rounded file for what they are', () => {
    const kinked: FactBody<'alignment'>['elements'] = [
      { kind: 'line', start: { e: 4000, n: 7980 }, end: { e: 4040, n: 7980 } },
      { kind: 'line', start: { e: 4040, n: 7980 }, end: { e: 4080, n: 7980.02 } },
    ];
    const road = made({ elements: kinked, equations: [], profile: null });
    expect(angleAlong(road.alignment, 40)).toBeNull();
    expect(angleAlong(road.alignment, 20)).toBeNull();
  });

  it('compares two sources of heights, the worst first', () => {
    const two = item({ rule: { ...RULE, special: false } });
    const under = two.corners.map((corner, i) =>
      i === 0 ? null : corner.z! + (i === 2 ? 0.05 : i === 1 ? -0.02 : 0.001),
    );
    expect(crossCheck(two, under, 0.006).map(({ name, difference }) => [name, Number(difference.toFixed(3))])).toEqual([
      ['0+040', -0.05],
      ['0+020', 0.02],
    ]);
  });
});

describe('slopes of a road', () => {
  const slope = { hinge: 'right edge', side: 'right', cutRun: 2, fillRun: 1.5 } as const;
  const road = made();

  it('are caught where the ground meets them, square to the road, outward of their hinge', () => {
    const hinge = hingeAt(road, slope, 30)!;
    expect(hinge).toEqual({ offset: 3, z: expect.closeTo(5.5 - 0.06, 9) });
    const places = slopePlaces(road, slope, 30);
    expect(places[4]).toEqual({ e: expect.closeTo(4030, 9), n: expect.closeTo(7980 - 4, 9) });
    // Level ground two metres above: a cut of one in two goes four metres out.
    expect(
      designedCatch(
        slope,
        hinge,
        places.map(() => hinge.z + 2),
      ),
    ).toMatchObject({ status: 'found', kind: 'cut', distance: expect.closeTo(4, 3) });
    expect(
      designedCatch(
        slope,
        hinge,
        places.map((_, i) => (i > 3 ? null : hinge.z + 2)),
      ),
    ).toMatchObject({ status: 'noGround' });
    expect(slopePlaces(road, slope, 500)).toEqual([]);
    expect(hingeAt(made({ profile: null }), slope, 30)).toBeNull();
    const left = { ...slope, hinge: 'centreline', side: 'left' } as const;
    expect(slopePlaces(road, left, 30)[4]!.n).toBeCloseTo(7981, 9);
  });

  it('lead the pole out or in, and are written from what was found', () => {
    const hinge = hingeAt(road, slope, 30)!;
    const there = atSlope(road, slope, 30, 6, hinge.z + 2)!;
    expect(there).toMatchObject({
      kind: 'cut',
      distance: 3,
      wanted: expect.closeTo(4, 9),
      move: expect.closeTo(1, 9),
      overHinge: expect.closeTo(2, 9),
    });
    expect(catchMoveWords(there.move, 'metre', 0.05)).toBe(
      'Out 1.00 m, and shoot again: the ground changes on the way.',
    );
    expect(catchMoveWords(-0.2, 'metre', 0.05)).toBe('In 0.20 m, and shoot again: the ground changes on the way.');
    const caught = atSlope(road, slope, 30, 7, hinge.z + 2)!;
    expect(catchMoveWords(caught.move, 'metre', 0.05)).toBe('On the catch point: set the slope stake here.');
    expect(slopeStakeWords(caught, 'right edge', 2, 'metre')).toEqual([
      'SLOPE STAKE, cut 2:1',
      '4.000 m to right edge',
      'CUT 2.000 m to right edge',
    ]);
    const below = atSlope(road, slope, 30, 4.5, hinge.z - 1)!;
    expect(slopeStakeWords(below, 'kerb.face', 1.5, 'metre')).toEqual([
      'SLOPE STAKE, fill 1.5:1',
      '1.500 m to face of kerb',
      'FILL 1.000 m to face of kerb',
    ]);
    expect(atSlope(road, slope, 30, 1, 5)).toBeNull();
  });
});

describe('kerb returns between two roads', () => {
  const lane = elementsAlong({ e: 4030, n: 7980 }, 0.2, [{ kind: 'line', length: 50 }]);
  if (!lane.ok) throw new Error(lane.error.code);
  const laneBody: FactBody<'alignment'> = {
    ...BODY,
    alignment: '00000000-0000-4000-8000-00000000aa02',
    name: 'Slip Lane',
    elements: lane.value,
    equations: [],
    profile: {
      name: 'lane',
      points: [
        { station: 0, z: 5.5, rounding: null },
        { station: 50, z: 6.5, rounding: null },
      ],
    },
    strings: [
      {
        name: 'left edge',
        from: null,
        offset: [{ station: 0, value: -3 }],
        height: { rule: 'fall', values: [{ station: 0, value: 2 }] },
      },
    ],
    kerbs: [],
  };
  const main = {
    ...BODY,
    equations: [],
    strings: [{ ...BODY.strings[0]!, name: 'left edge', offset: [{ station: 0, value: -3 }] }],
    kerbs: [],
  };
  const side = (body: FactBody<'alignment'>, station: number, way: 'up' | 'down') => {
    const road = roadOf(body);
    if (!road.ok) throw new Error(road.error.code);
    return {
      fact: { id: body.alignment, body },
      road: road.value,
      string: 'left edge',
      gradeString: 'left edge',
      station,
      way,
    };
  };

  it('touch both strings, straight or curved, wherever they are looked for near the corner', () => {
    for (const near of [15, 22]) {
      const found = returnBetween(side(main, near, 'up'), side(laneBody, 12, 'up'), 6);
      if (!found.ok) throw new Error(found.error.code);
      const { arc, begin, end, beginZ, endZ } = found.value;
      expect(arc.delta).toBeLessThan(0);
      expect(
        planDistance(placeOnRoad(side(main, 0, 'up').road, { station: begin, string: 'left edge' })!, arc.points[0]!),
      ).toBeLessThan(1e-4);
      expect(
        planDistance(placeOnRoad(side(laneBody, 0, 'up').road, { station: end, string: 'left edge' })!, arc.points[4]!),
      ).toBeLessThan(1e-4);
      expect([beginZ, endZ]).toEqual([
        expect.closeTo(5 + begin / 60 - 0.06, 6),
        expect.closeTo(5.5 + end / 50 - 0.06, 6),
      ]);
      for (const place of drawnReturn(found.value)) expect(planDistance(place, arc.radiusPoint)).toBeCloseTo(6, 9);
    }
    // On the curve of the main road, from a lane that ends there.
    const across = elementsAlong({ e: 4085, n: 8030 }, Math.PI * 1.02, [{ kind: 'line', length: 60 }]);
    if (!across.ok) throw new Error(across.error.code);
    const curved = returnBetween(side({ ...laneBody, elements: across.value }, 20, 'up'), side(main, 90, 'up'), 5);
    if (!curved.ok) throw new Error(curved.error.code);
    const touched = placeOnRoad(side(main, 0, 'up').road, { station: curved.value.end, string: 'left edge' })!;
    expect(planDistance(touched, curved.value.arc.points[4]!)).toBeLessThan(1e-4);
    expect(curved.value.end).toBeGreaterThan(80);
  });

  it('can be touched on the plan: which string of which road, and which way the return goes', () => {
    const roads = [side(main, 0, 'up').road, side(laneBody, 0, 'up').road];
    const near = (road: Road, station: number, beside: number) =>
      placeOnRoad(road, { station, string: 'left edge', extraOffset: beside })!;
    for (const [begin, end, ways] of [
      [15, 12, { from: 'up', to: 'up' }],
      [5, 40, { from: 'up', to: 'up' }],
    ] as const) {
      const first = touchedString(roads, near(roads[0]!, begin, -0.4))!;
      const second = touchedString(roads, near(roads[1]!, end, 0.3))!;
      expect([first.road.name, first.string, first.station]).toEqual([
        'Landing Road',
        'left edge',
        expect.closeTo(begin, 6),
      ]);
      expect([second.road.name, second.string, second.station]).toEqual([
        'Slip Lane',
        'left edge',
        expect.closeTo(end, 6),
      ]);
      expect(waysRound(first, second)).toEqual(ways);
      // Touched in the other order, it goes round the other way.
      expect(waysRound(second, first)).toEqual({ from: 'down', to: 'down' });
      const found = returnBetween(
        { ...side(main, first.station, 'up'), way: waysRound(first, second)!.from },
        { ...side(laneBody, second.station, 'up'), way: waysRound(first, second)!.to },
        6,
      );
      expect(found.ok).toBe(true);
    }
    expect(touchedString(roads, { e: 0, n: 0 })).toBeNull();
    expect(
      waysRound(touchedString(roads, near(roads[0]!, 5, 0))!, touchedString(roads, near(roads[0]!, 15, 0))!),
    ).toBeNull();
  });

  it('become marks with heights that run evenly, and a radius point with the heights of both ends', () => {
    const [from, to] = [side(main, 20, 'up'), side(laneBody, 12, 'up')];
    const found = returnBetween(from, to, 6);
    if (!found.ok) throw new Error(found.error.code);
    const both = returnItem(from, to, found.value, { name: 'West return', side: 'left', marks: 'both' });
    const plans = hubPlans([both], 1, 'W');
    if (!plans.ok) throw new Error(plans.error.code);
    expect(plans.value.map(({ name }) => name)).toEqual([
      'W-begin',
      'W-quarter',
      'W-middle',
      'W-3 quarter',
      'W-end',
      'W-radius point',
    ]);
    const { arc, beginZ, endZ } = found.value;
    expect(plans.value[2]).toMatchObject({
      designZ: expect.closeTo((beginZ! + endZ!) / 2, 9),
      road: { to: 'West return', why: 'middle of the return', name: 'Landing Road to Slip Lane' },
    });
    // Left of a left turn is toward the radius point.
    expect(planDistance(plans.value[2]!.place, arc.radiusPoint)).toBeCloseTo(5, 9);
    expect(plans.value[5]).toMatchObject({
      offset: 0,
      designZ: beginZ,
      road: { gradeTo: 'begin of West return', also: { to: 'end of West return', z: endZ } },
    });
    const alone = returnItem(from, to, found.value, { name: 'Island', side: 'on', marks: 'radiusPoint' });
    expect(alone.corners.map(({ name }) => name)).toEqual(['radius point']);
    expect(returnItem(from, to, found.value, { name: 'Island', side: 'on', marks: 'arc' }).corners).toHaveLength(5);
    expect(roadWorkOf(both)).toBeNull();
  });

  it('say why there is none', () => {
    const fault = (result: ReturnType<typeof returnBetween>) => (result.ok ? null : result.error.code);
    expect(fault(returnBetween(side(main, 20, 'up'), side(main, 40, 'up'), 6))).toBe('RETURN_PARALLEL');
    expect(fault(returnBetween(side(main, 20, 'up'), side(laneBody, 12, 'up'), 200))).toBe('RETURN_OFF_THE_LINE');
    expect(fault(returnBetween(side(main, 500, 'up'), side(laneBody, 12, 'up'), 6))).toBe('RETURN_OFF_THE_LINE');
  });
});

describe('designed cross sections of a road', () => {
  const line = (z: number) => ({
    name: 'Finished',
    points: [
      { offset: -4, z: z - 0.1, code: '' },
      { offset: 4, z, code: '' },
    ],
  });
  const read = {
    definition: { startStation: 0, elements: BODY.elements, equations: [] },
    profiles: [],
    crossSections: [
      { station: 0, lines: [line(5)] },
      { station: 50, lines: [line(6)] },
    ],
  };

  it('come with the line from its file, unless they are too many to be sent about', () => {
    const part = alignmentPart(read);
    expect(part.sections).toHaveLength(2);
    const road = made({ ...part, strings: [], kerbs: [] });
    expect(sectionHeight(road.sections, 'Finished', 25, 0)).toBeCloseTo(5.45, 12);
    expect(invalidFact(new Story().say('alignment', { ...BODY, ...part }))).toBeNull();
    const many = { ...read, crossSections: Array.from({ length: 2001 }, (_, i) => ({ station: i, lines: [line(5)] })) };
    expect(alignmentPart(many).sections).toBeUndefined();
    expect(keepsSections([])).toBe(false);
    const wide = {
      station: 0,
      lines: [{ name: 'Ground', points: Array.from({ length: 501 }, (_, i) => ({ offset: i, z: 0 })) }],
    };
    expect(keepsSections([wide])).toBe(false);
  });
});

describe('what is measured along a road', () => {
  const slope = { hinge: 'right edge', side: 'right', cutRun: 1.5, fillRun: 2 } as const;

  it('keeps station, offset and the height that was designed there, and none beyond the ends', () => {
    const story = new Story();
    const fact = story.say('alignment', BODY);
    const shot = roadShot(fact, made(), 'right edge', { e: 4020, n: 7975, z: 5 })!;
    expect(shot).toMatchObject({
      kind: 'road',
      line: LINE,
      name: 'Landing Road',
      station: expect.closeTo(20, 9),
      offset: expect.closeTo(5, 9),
    });
    // 5 + 20 / 60 on the centreline, and 2 % down over 3 m.
    expect(shot.designZ).toBeCloseTo(5 + 1 / 3 - 0.06, 9);
    expect(shot.slope).toBeUndefined();
    expect(roadShot(fact, made(), 'right edge', { e: 3990, n: 7980, z: 5 })).toBeNull();
    // After the jump the station that is shown is another.
    expect(roadShot(fact, made(), 'centreline', { e: 4055, n: 7980, z: null })).toMatchObject({
      station: expect.closeTo(55, 9),
      displayed: expect.closeTo(45, 9),
    });
  });

  it('keeps a slope stake with what it is out of its hinge and above it', () => {
    const story = new Story();
    const fact = story.say('alignment', BODY);
    // At 0+020 the edge is 3 m right of the line and 5.273 m high: 1 in 2 down to 4.773 m is 1 m out.
    const edge = 5 + 1 / 3 - 0.06;
    const shot = roadShot(fact, made(), 'right edge', { e: 4020, n: 7980 - 4, z: edge - 0.5 }, slope)!;
    expect(shot.slope).toEqual({
      hinge: 'right edge',
      side: 'right',
      kind: 'fill',
      run: 2,
      distance: expect.closeTo(1, 9),
      overHinge: expect.closeTo(-0.5, 9),
    });
    // Inside of the hinge nothing is caught.
    expect(roadShot(fact, made(), 'right edge', { e: 4020, n: 7979, z: 5 }, slope)!.slope).toBeUndefined();
  });

  it('is listed in the order of the road, by its sections, in the book and in the report', () => {
    const story = new Story().control();
    const fact = story.say('alignment', BODY);
    const solution = story.station('S1');
    const at = (name: string, e: number, n: number) =>
      story.measure(
        solution,
        { e, n, z: 5.1 },
        { name, code: 'ground', against: roadShot(fact, made(), 'centreline', { e, n, z: 5.1 }) },
      );
    at('G1', 4030, 7975);
    at('G2', 4010.3, 7984);
    at('G3', 4010, 7976);
    const { state } = story;
    for (const each of story.facts) expect(invalidFact(each)).toBeNull();
    const measured = measuredAlong(state, LINE);
    expect(measured.map(({ fact: each }) => each.body.name)).toEqual(['G3', 'G2', 'G1']);
    expect(measuredAt(measured, 10, 1).map(({ fact: each }) => each.body.name)).toEqual(['G3', 'G2']);
    expect(measuredAlong(state, story.who)).toEqual([]);
    expect(heightOverRoad(measured[0]!.fact.body)).toBeCloseTo(5.1 - (5 + 1 / 6), 3);
    expect(bookLine(state, measured[0]!.fact).text).toMatch(
      /^G3 \(ground\) measured along Landing Road at 0\+010\.000, 4\.000 m right: E/,
    );
    const row = asBuiltReport(state, story.instant(), story.who).rows.find(({ name }) => name === 'G3')!;
    expect(row.against).toBe('0+010.000, 4.000 m right along Landing Road');
    expect(row.dZ).toBeCloseTo(5.1 - (5 + 1 / 6), 3);
  });
});
