import { describe, expect, it } from '@jest/globals';
import {
  besideReturn,
  catchGuidance,
  catchPoint,
  kerbReturn,
  placeOnString,
  planDistance,
  profileOf,
  stationList,
  templateOf,
  type KerbDefinition,
  type StationListRule,
  type StringDefinition,
} from '../src/index.ts';
import { definitionAlong, made } from './roads.ts';

const always = (value: number) => [{ station: 0, value }];
const edge: StringDefinition = {
  name: 'edge',
  from: null,
  offset: [
    { station: 0, value: 3 },
    { station: 40, value: 3 },
    { station: 60, value: 4 },
  ],
  height: { rule: 'fall', values: always(2.5) },
};
const kerb: KerbDefinition = {
  name: 'kerb',
  flowLine: 'edge',
  faceOffset: 0.02,
  // Dropped for a crossing: a ramp of two metres down and up again.
  topHeight: [
    { station: 70, value: 0.12 },
    { station: 72, value: 0.02 },
    { station: 76, value: 0.02 },
    { station: 78, value: 0.12 },
  ],
  backOffset: 0.15,
  backHeight: null,
};
const straight = made(definitionAlong([{ kind: 'line', length: 100 }], 0));
const rising = profileOf([
  { station: 0, z: 5, rounding: null },
  { station: 50, z: 6, rounding: { kind: 'parabola', length: 20 } },
  { station: 100, z: 5, rounding: null },
]);
if (!rising.ok) throw new Error(rising.error.code);
const profile = rising.value;
const template = (strings: readonly StringDefinition[] = [edge], kerbs: readonly KerbDefinition[] = [kerb]) =>
  templateOf({ strings, kerbs });
const built = template();
if (!built.ok) throw new Error(built.error.code);

describe('strings along a road', () => {
  const at = (string: string, station: number, extraOffset = 0) =>
    placeOnString(straight, profile, built.value, { station, string, extraOffset })!;

  it('widen and fall by their tables; the parts of a kerb stand outward on its flow line', () => {
    expect(built.value.names).toEqual(['centreline', 'edge', 'kerb.flowLine', 'kerb.face', 'kerb.back']);
    expect(at('edge', 50)).toMatchObject({
      e: expect.closeTo(4003.5, 9),
      stringOffset: 3.5,
      z: expect.closeTo(5.9 - 3.5 * 0.025, 9),
    });
    expect(at('kerb.face', 20)).toMatchObject({
      stringOffset: expect.closeTo(3.02, 12),
      z: expect.closeTo(5.4 - 0.075 + 0.12, 9),
    });
    expect(at('kerb.back', 20).stringOffset).toBeCloseTo(3.17, 12);
    // A hub behind the kerb: the crossfall is not carried on into its offset.
    expect(at('kerb.face', 20, 1)).toMatchObject({ offset: expect.closeTo(4.02, 12), z: at('kerb.face', 20).z });
  });

  it('drop the kerb along its ramp, where every change is a station of its own', () => {
    const upstand = (station: number) => at('kerb.face', station).z! - at('kerb.flowLine', station).z!;
    expect([69, 71, 74, 77.5].map(upstand)).toEqual([0.12, 0.07, 0.02, 0.095].map((value) => expect.closeTo(value, 9)));
    expect(built.value.changes.get('kerb.face')).toEqual([0, 40, 60, 70, 72, 76, 78]);
    expect(built.value.changes.get('kerb.flowLine')).toEqual([0, 40, 60]);
  });

  it('on the left stand outward to the left, and step where two rows share a station', () => {
    const left = template(
      [
        {
          ...edge,
          name: 'left',
          offset: [
            { station: 0, value: -3 },
            { station: 30, value: -3 },
            { station: 30, value: -5 },
          ],
        },
      ],
      [{ ...kerb, flowLine: 'left', topHeight: always(0.1), backHeight: always(0.08) }],
    );
    if (!left.ok) throw new Error(left.error.code);
    const offsets = [29.999, 30].map((station) => left.value.strings.get('kerb.back')!(station)!.offset);
    expect(offsets).toEqual([expect.closeTo(-3.17, 9), expect.closeTo(-5.17, 9)]);
    expect(left.value.strings.get('kerb.back')!(0)!.rise).toBeCloseTo(-0.075 + 0.08, 12);
  });

  it('may count from any part of a kerb, wherever in the list they stand', () => {
    const walk = (from: string): StringDefinition => ({
      name: 'walk',
      from,
      offset: always(5),
      height: { rule: 'difference', values: always(0.05) },
    });
    for (const [from, rise] of [
      ['kerb.flowLine', -0.075],
      ['kerb.face', -0.075 + 0.12],
      ['kerb.back', -0.075 + 0.12],
    ] as const) {
      const made = template([walk(from), edge]);
      if (!made.ok) throw new Error(made.error.code);
      expect(made.value.strings.get('walk')!(0)!.rise).toBeCloseTo(rise + 0.05, 9);
      expect(made.value.from.get('walk')).toBe(from);
      expect(made.value.names).toEqual(['centreline', 'walk', 'edge', 'kerb.flowLine', 'kerb.face', 'kerb.back']);
    }
    expect(template([{ ...edge, from: 'kerb.back' }])).toMatchObject({
      ok: false,
      error: { code: 'STRINGS_IN_A_RING' },
    });
    expect(template([edge, walk('kerb.top')])).toMatchObject({
      ok: false,
      error: { code: 'STRING_UNKNOWN', name: 'kerb.top', wantedBy: 'walk' },
    });
  });

  it('have places without heights where there is no profile, and none beyond the line', () => {
    expect(placeOnString(straight, null, built.value, { station: 10, string: 'edge' })).toMatchObject({
      z: null,
      stringZ: null,
      stringOffset: 3,
    });
    expect(placeOnString(straight, profile, built.value, { station: 101, string: 'edge' })).toBeNull();
    expect(placeOnString(straight, profile, built.value, { station: 10, string: 'verge' })).toBeNull();
    expect(placeOnString(straight, profile, null, { station: 10, string: 'centreline' })).toMatchObject({ z: 5.2 });
  });

  it.each([
    [[edge, edge], [], { code: 'STRING_TWICE', name: 'edge' }],
    [[{ ...edge, name: 'centreline' }], [], { code: 'STRING_TWICE', name: 'centreline' }],
    [[{ ...edge, from: 'verge' }], [], { code: 'STRING_UNKNOWN', name: 'verge', wantedBy: 'edge' }],
    [
      [
        { ...edge, from: 'b' },
        { ...edge, name: 'b', from: 'edge' },
      ],
      [],
      { code: 'STRINGS_IN_A_RING', name: 'edge' },
    ],
    [[{ ...edge, offset: [] }], [], { code: 'TABLE_EMPTY', name: 'edge' }],
    [
      [
        {
          ...edge,
          offset: [
            { station: 5, value: 1 },
            { station: 4, value: 1 },
          ],
        },
      ],
      [],
      { code: 'TABLE_NOT_RISING', name: 'edge', station: 4 },
    ],
    [[edge], [{ ...kerb, flowLine: 'verge' }], { code: 'STRING_UNKNOWN', name: 'verge', wantedBy: 'kerb' }],
    [[edge], [kerb, kerb], { code: 'STRING_TWICE', name: 'kerb' }],
    [[edge], [{ ...kerb, topHeight: [] }], { code: 'TABLE_EMPTY', name: 'kerb' }],
  ])('are refused by name', (strings, kerbs, error) => {
    expect(template(strings, kerbs)).toEqual({ ok: false, error });
  });
});

describe('station lists', () => {
  const rule: StationListRule = {
    from: null,
    to: null,
    interval: 20,
    byRadius: [],
    equalParts: null,
    special: false,
    extra: [],
    direction: 'up',
  };
  const road = made({
    ...definitionAlong(
      [
        { kind: 'line', length: 50 },
        { kind: 'curve', length: 30, radius: 15, rotation: 'cw' },
        { kind: 'line', length: 70 },
      ],
      0,
      5,
    ),
    equations: [{ at: 105, ahead: 200, counts: 1 }],
  });
  const list = (change: Partial<StationListRule>, strings: readonly string[] | null = null) => {
    const found = stationList(road, profile, built.value, strings, { ...rule, ...change });
    if (!found.ok) throw new Error(JSON.stringify(found.error));
    return found.value;
  };

  it('take round stations as they are shown, on through an equation', () => {
    expect(list({}).map(({ displayed }) => displayed)).toEqual([20, 40, 60, 80, 100, 200, 220, 240]);
    expect(list({ direction: 'down' }).map(({ displayed }) => displayed)).toEqual([240, 220, 200, 100, 80, 60, 40, 20]);
    expect(list({ from: 41, to: 99 }).map(({ station }) => station)).toEqual([60, 80]);
  });

  it('are closer on sharp curves, by radius, by parts, by chord and by the rise over the chord', () => {
    expect(list({ byRadius: [{ upTo: 20, interval: 5 }] }).map(({ station }) => station)).toEqual([
      20, 40, 55, 60, 65, 70, 75, 80, 85, 100, 105, 125, 145,
    ]);
    const parts = (equalParts: StationListRule['equalParts']) =>
      list({ interval: null, equalParts }).map(({ station, because }) => [station, because[0]]);
    expect(parts({ parts: 4 })).toEqual(
      [1, 2, 3].map((part) => [expect.closeTo(55 + 7.5 * part, 9), { kind: 'part', part, parts: 4 }]),
    );
    // An arc of 30 m with a radius of 15 m in chords of no more than 8 m: 8.1 m of arc each, so four of 7.5 m.
    expect(parts({ chord: 8 })).toHaveLength(3);
    // 0.3 m over a chord on 15 m of radius: 5.97 m of chord, 6.01 m of arc, five parts.
    expect(parts({ rise: 0.3 })).toHaveLength(4);
  });

  it('have the stations of curves in the place of round ones there, none right beside another', () => {
    const at = (change: Partial<StationListRule>) => list({ special: false, ...change }).map(({ station }) => station);
    // Wider on curves is wider, too: it is another interval, not a further one.
    expect(at({ interval: 5, byRadius: [{ upTo: 20, interval: 10 }], from: 50, to: 90 })).toEqual([
      50, 55, 60, 70, 80, 85, 90,
    ]);
    // In three parts of 10 m each the round stations of the curve are gone.
    expect(at({ interval: 20, equalParts: { parts: 3 }, to: 100 })).toEqual([
      20,
      40,
      expect.closeTo(65, 9),
      expect.closeTo(75, 9),
      100,
    ]);
    // The curve begins at 55: a round station 0.4 m before is left out, 0.6 m before it stays; both where one asks for it.
    expect(at({ interval: 18.2, special: true, from: 30, to: 60 })).not.toContain(54.6);
    expect(at({ interval: 18.13, special: true, from: 30, to: 60 })).toContainEqual(expect.closeTo(54.39, 9));
    expect(at({ interval: 18.2, special: true, extra: [54.6], from: 30, to: 60 })).toContain(54.6);
  });

  it('take in every station where something changes, once, with all its reasons', () => {
    const found = list({ interval: 20, special: true, extra: [62.5], from: 0, to: 200 });
    const reasons = (station: number) =>
      found.find((each) => Math.abs(each.station - station) < 1e-9)?.because.map(({ kind }) => kind);
    expect(reasons(5)).toEqual(['start']);
    expect(reasons(55)).toEqual(['junction']);
    expect(reasons(40)).toEqual([
      'interval',
      'verticalBegin',
      'stringChange',
      'stringChange',
      'stringChange',
      'stringChange',
    ]);
    expect(reasons(50)).toEqual(['high']);
    expect(reasons(62.5)).toEqual(['extra']);
    expect(reasons(105)).toEqual(['interval', 'equation']);
    expect(reasons(155)).toEqual(['end']);
    expect(
      list({ interval: null, special: true }, ['kerb.flowLine'])
        .flatMap(({ because }) => because)
        .filter(({ kind }) => kind === 'stringChange'),
    ).toHaveLength(2);
  });

  it('are refused where nothing can come of them', () => {
    const fault = (change: Partial<StationListRule>) => {
      const found = stationList(road, null, null, null, { ...rule, ...change });
      return found.ok ? null : found.error;
    };
    expect(fault({ interval: 0 })).toEqual({ code: 'INTERVAL_NOT_POSITIVE', interval: 0 });
    expect(fault({ equalParts: { chord: -1 } })).toEqual({ code: 'INTERVAL_NOT_POSITIVE', interval: -1 });
    expect(fault({ interval: 1e-6 })).toMatchObject({ code: 'TOO_MANY_STATIONS' });
    expect(fault({ from: 300 })).toMatchObject({ code: 'NOTHING_BETWEEN' });
  });
});

describe('slopes', () => {
  const asked = { hingeZ: 10, cutRun: 2, fillRun: 1.5, farthest: 40 };

  it('meet level and sloping ground where geometry says', () => {
    expect(catchPoint(() => 13, asked)).toEqual({
      status: 'found',
      kind: 'cut',
      distance: expect.closeTo(6, 4),
      z: expect.closeTo(13, 4),
    });
    expect(catchPoint(() => 8, asked)).toEqual({
      status: 'found',
      kind: 'fill',
      distance: expect.closeTo(3, 4),
      z: expect.closeTo(8, 4),
    });
    // Ground rising by 1 in 4 from 2 m above: d / 2 = 2 + d / 4.
    expect(catchPoint((d) => 12 + d / 4, asked)).toMatchObject({
      kind: 'cut',
      distance: expect.closeTo(8, 4),
      z: expect.closeTo(14, 4),
    });
  });

  it('take the first of several meetings, and say where there is none', () => {
    const hill = (d: number) => (d < 5 ? 11 : d < 12 ? 10.5 : 30);
    expect(catchPoint(hill, asked)).toMatchObject({ kind: 'cut', distance: expect.closeTo(2, 3) });
    expect(catchPoint((d) => (d < 3 ? 14 : null), asked)).toEqual({
      status: 'noGround',
      distance: expect.closeTo(3, 9),
    });
    expect(catchPoint(() => null, asked)).toEqual({ status: 'noGround', distance: 0 });
    expect(catchPoint((d) => 11 + d, asked)).toEqual({ status: 'notMet', kind: 'cut' });
    expect(catchPoint(() => 10, asked)).toMatchObject({ status: 'found', distance: 0 });
  });

  it('lead a pole that obeys them to the meeting', () => {
    const ground = (d: number) => 12 + 0.2 * d - 0.004 * d * d;
    let at = 1;
    for (let i = 0; i < 30; i++) at += catchGuidance(asked, at, ground(at)).move;
    const found = catchPoint(ground, asked);
    expect(found).toMatchObject({ status: 'found', distance: expect.closeTo(at, 3) });
    expect(catchGuidance(asked, at, ground(at)).overSlope).toBeCloseTo(0, 3);
    expect(catchGuidance(asked, 4, 9)).toEqual({
      kind: 'fill',
      wanted: 1.5,
      move: -2.5,
      overSlope: expect.closeTo(9 - (10 - 4 / 1.5), 12),
    });
  });
});

describe('kerb returns', () => {
  it('touch both tangents, with every point its radius from the radius point', () => {
    const arc = kerbReturn(
      { from: { e: 0, n: -20 }, to: { e: 0, n: -10 } },
      { from: { e: 10, n: 4 }, to: { e: 30, n: 9 } },
      6,
    )!;
    expect(arc.points.map((point) => planDistance(point, arc.radiusPoint))).toEqual(
      Array(5).fill(expect.closeTo(6, 9)),
    );
    expect(arc.points[0]!.e).toBeCloseTo(0, 9);
    expect(planDistance(arc.points[0]!, arc.points[4]!)).toBeCloseTo(arc.chord, 9);
    // A hub toward the radius point of a right turn lies to the right.
    expect(planDistance(besideReturn(arc.points[2]!, 6), arc.radiusPoint)).toBeCloseTo(0, 9);
    expect(
      kerbReturn({ from: { e: 0, n: 0 }, to: { e: 0, n: 1 } }, { from: { e: 5, n: 9 }, to: { e: 5, n: 4 } }, 6),
    ).toBeNull();
    expect(
      kerbReturn({ from: { e: 0, n: 0 }, to: { e: 0, n: 1 } }, { from: { e: 5, n: 9 }, to: { e: 9, n: 9 } }, 0),
    ).toBeNull();
  });
});
