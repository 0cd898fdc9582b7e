import { describe, expect, it } from '@jest/globals';
import fc from 'fast-check';
import { SHIPPED_CONVENTIONS } from '@idle-marker/core';
import {
  allReferences,
  canonicalJson,
  compute,
  digestOf,
  FACT_TYPES,
  invalidFact,
  quarantinedAmong,
  referencesOf,
  type AnyFact,
  type FactType,
} from '../src/index.ts';

let made = 0;
const id = (): string => `00000000-0000-4000-8000-${String(++made).padStart(12, '0')}`;
const PLACE = { e: 4000, n: 8000 };
const PLAN = {
  key: 'Hall/A/in',
  name: 'H-A N',
  place: PLACE,
  design: PLACE,
  corner: 'A',
  item: 'Hall',
  meaning: 'outsideFace',
  offset: 2,
  offFace: ['A', 'B'],
  alsoOffFace: null,
  onLine: null,
  designZ: 6.25,
};

/** One good body of every type, with the ids that it refers to. */
function bodies(): { readonly [T in FactType]: { readonly body: object; readonly refs: readonly string[] } } {
  const [a, b, c, d] = [id(), id(), id(), id()];
  return {
    site: {
      body: {
        name: 'Quay',
        lengthUnit: 'metre',
        angleUnit: 'dms',
        axisOrder: 'EN',
        siteZero: null,
        coordinateSystem: '',
        heightDatum: '',
        combinedScaleFactor: 1,
        proofIntervalMinutes: 60,
        classes: [{ id: 'grid', name: 'Grid', planMm: 6, heightMm: 5, leastMarks: 3 }],
        convention: 'plainWords',
        practiceGround: null,
      },
      refs: [],
    },
    member: { body: { name: 'Mara' }, refs: [] },
    control: {
      body: {
        mark: id(),
        name: 'K1',
        ...PLACE,
        z: null,
        sdHMm: 2,
        sdZMm: null,
        kind: 'pin',
        usePlan: true,
        useHeight: false,
        forProof: false,
        condition: 'secure',
        note: '',
        source: 'typed',
        supersedes: a,
      },
      refs: [a],
    },
    occupation: {
      body: {
        name: 'S1',
        instrument: { name: 'i', angleSdSec: 1, distSdMm: 1, distSdPpm: 1.5 },
        instrumentHeight: 1.6,
        instrumentHeightSdMm: 1,
        temperatureC: 16,
        pressureHPa: 1013,
        ppm: 0,
        ground: 'gravel',
        windy: false,
        link: 'typed',
      },
      refs: [],
    },
    sight: {
      body: {
        occupation: a,
        purpose: 'mark',
        target: { kind: 'plan', package: b, key: 'k' },
        face: 1,
        read: {
          circle: 1,
          zenith: 90,
          slope: 10,
          angleUnit: 'degree',
          lengthUnit: 'metre',
          angleDecimals: 4,
          lengthDecimals: 3,
          keyed: null,
        },
        targetHeight: 1.5,
        targetHeightSdMm: 1,
        targetCentringSdMm: 1,
        prismConstantMm: 0,
        ppm: 0,
      },
      refs: [a, b],
    },
    pairing: {
      body: {
        occupation: a,
        item: null,
        name: 'Pole and receiver',
        receiver: 'Receiver 1',
        offset: 0.12,
        antennaHeight: 1.62,
        targetHeight: 1.5,
        fit: { sdPlanMm: 10, sdHeightMm: 20, on: null },
        note: '',
        supersedes: b,
      },
      refs: [a, b],
    },
    position: {
      body: {
        occupation: a,
        pairing: b,
        purpose: 'mark',
        target: { kind: 'plan', package: c, key: 'k' },
        sight: d,
        read: {
          ...PLACE,
          z: 6.6,
          sdPlanMm: 8,
          sdHeightMm: 12,
          fix: 'fixed',
          correctionAge: 0.8,
          compensating: false,
          leanDeg: 0.05,
        },
        antennaHeight: 1.62,
      },
      refs: [a, b, c, d],
    },
    solution: {
      body: {
        occupation: a,
        name: 'S1',
        method: 'resection',
        class: 'grid',
        uses: [{ sight: b, control: id(), revision: c, plan: true, height: true }],
        result: {},
        inputDigest: 'a'.repeat(64),
        coreVersion: '1',
        supersedes: d,
      },
      refs: [a, d, b, c],
    },
    decision: { body: { solution: a, verdict: 'accepted', reason: '' }, refs: [a] },
    proof: {
      body: {
        solution: a,
        sight: b,
        control: id(),
        revision: c,
        class: 'grid',
        plan: 'good',
        height: 'outside',
        result: {},
        supersedes: null,
      },
      refs: [a, b, c],
    },
    event: { body: { occupation: a, kind: 'bump', note: '' }, refs: [a] },
    close: { body: { occupation: a, note: '' }, refs: [a] },
    alignment: {
      body: {
        alignment: id(),
        name: 'Landing Road',
        kind: 'road',
        startStation: 0,
        elements: [
          { kind: 'line', start: PLACE, end: { e: 1, n: 2 } },
          { kind: 'curve', start: PLACE, end: PLACE, centre: PLACE, rotation: 'cw' },
          { kind: 'spiral', start: PLACE, end: PLACE, radiusStart: null, radiusEnd: 80, length: 30, rotation: 'ccw' },
        ],
        equations: [{ at: 100, ahead: 500, counts: -1 }],
        profile: {
          name: 'finished',
          points: [
            { station: 0, z: 1, rounding: null },
            { station: 50, z: 2, rounding: { kind: 'circular', radius: 400 } },
          ],
        },
        strings: [
          {
            name: 'edge',
            from: null,
            offset: [{ station: 0, value: 3 }],
            height: { rule: 'fall', values: [{ station: 0, value: 2.5 }] },
          },
        ],
        kerbs: [
          {
            name: 'kerb',
            flowLine: 'edge',
            faceOffset: 0.02,
            topHeight: [{ station: 0, value: 0.12 }],
            backOffset: 0.15,
            backHeight: null,
          },
        ],
        corridor: 25,
        shift: 0,
        source: 'landing-road.xml',
        drawing: a,
        sourceName: 'Landing Road',
        retired: false,
        supersedes: b,
      },
      refs: [b, a],
    },
    package: {
      body: {
        name: 'Hall',
        crew: 'Formwork',
        class: 'grid',
        heightReference: 'finishedFloor',
        offset: 2,
        items: [
          {
            name: 'Hall',
            meaning: 'gridLine',
            designZ: null,
            rule: 'points',
            corners: [{ name: 'A', ...PLACE }],
            source: 'typed',
          },
        ],
        plans: [PLAN],
        supersedes: null,
      },
      refs: [],
    },
    mark: {
      body: {
        package: a,
        key: 'k',
        name: 'H-A N',
        solution: b,
        sight: c,
        state: 'set',
        class: 'grid',
        needs: { plan: true, height: true },
        measured: { plan: true, height: false },
        planned: PLACE,
        place: { ...PLACE, z: null },
        dEMm: 1,
        dNMm: -1,
        within: true,
        hubZ: null,
        groundZ: null,
        designZ: 6.25,
        cutFill: null,
        stakeText: ['x'],
        shots: 2,
        note: '',
        supersedes: d,
      },
      refs: [a, b, c, d],
    },
    grid: {
      body: {
        grid: id(),
        name: 'Hall',
        origin: { e: 4000, n: 8000 },
        letters: { azimuthDeg: 12, labels: ['A', 'B'], spacings: [7.2] },
        numbers: { azimuthDeg: 102, labels: ['1', '2', '3'], spacings: [6, 6] },
        spacingMeasured: 'perpendicular',
        source: 'typed',
        retired: false,
        supersedes: a,
      },
      refs: [a],
    },
    drawing: {
      body: {
        drawing: id(),
        name: 'Hall',
        fileName: 'hall.dxf',
        format: 'dxf',
        file: id(),
        bytes: 1200,
        digest: 'a'.repeat(64),
        unit: { name: 'metres', metres: 1 },
        placing: { scale: 1, rotationDeg: 12, shiftE: 4000, shiftN: 8000, pairs: 3, misfitMm: 2 },
        hidden: ['NOTES'],
        elements: 40,
        retired: false,
        supersedes: a,
      },
      refs: [a],
    },
    care: { body: { what: 'services', about: id(), text: 'located and sprayed' }, refs: [] },
    asBuilt: {
      body: {
        solution: a,
        sights: [b, c],
        name: 'B1',
        code: 'bolt',
        place: { ...PLACE, z: 6.1 },
        spread: { planMm: 1, heightMm: null },
        against: { kind: 'plan', package: d, key: 'Hall/A/in' },
        note: '',
        supersedes: null,
      },
      refs: [a, b, c, d],
    },
    area: {
      body: {
        area: id(),
        name: 'Heap north',
        kind: 'spoilHeap',
        corners: [
          { e: 1, n: 1 },
          { e: 5, n: 1 },
          { e: 3, n: 4 },
        ],
        margin: 0.5,
        blocksSight: true,
        source: 'plan',
        retired: false,
        supersedes: a,
      },
      refs: [a],
    },
    obstruction: { body: { package: a, key: 'k', name: 'H-A N', place: PLACE, what: 'Fence' }, refs: [a] },
    handover: { body: { sheet: id(), number: 1, revision: 1, package: a, marks: [b], withheld: [c] }, refs: [a, b, c] },
    withdrawal: { body: { record: a, occupation: b, reason: '' }, refs: [a, b] },
    visit: { body: { mark: a, outcome: 'found', labelRead: true, note: '' }, refs: [] },
    direction: { body: { solution: a, sight: b, name: 'Mast', azimuthDeg: 12.5 }, refs: [a, b] },
    resight: {
      body: {
        solution: a,
        sight: b,
        mark: c,
        class: 'grid',
        plan: 'good',
        height: 'notMeasured',
        result: {},
        supersedes: null,
      },
      refs: [a, b, c],
    },
    finding: {
      body: {
        cause: 'controlMoved',
        revision: a,
        plan: true,
        height: false,
        effects: [{ mark: b, planMm: 4, heightMm: null }],
        reason: 'K5 sits 25 mm off',
        supersedes: null,
      },
      refs: [a, b],
    },
    deferral: { body: { solution: a, reason: 'crane in the way' }, refs: [a] },
    tape: { body: { from: a, to: b, taped: 12.004, measured: 12.002, within: true, note: '' }, refs: [a, b] },
    correction: {
      body: { what: 'targetHeight', occupation: a, sights: [b], value: 1.6, reason: 'the pole was up' },
      refs: [a, b],
    },
    photo: { body: { mark: a, image: b, mediaType: 'image/jpeg', bytes: 1200, caption: 'nail at the curb' }, refs: [] },
    equipment: {
      body: {
        item: a,
        what: { kind: 'target', name: 'Round prism', form: 'round', constantMm: 0, ownHeight: 0 },
        retired: false,
        supersedes: b,
      },
      refs: [b],
    },
    writing: {
      body: {
        mark: a,
        stakeText: ['1.002 m OS'],
        written: {
          convention: 'kerbFace',
          point: 'nail',
          front: [{ text: '1.002 m OS', ruled: true, unusual: false }],
          back: [],
          left: [],
          right: [],
        },
      },
      refs: [a],
    },
    report: { body: { mark: a, kind: 'destroyed', who: 'Jo, formwork', text: 'the loader went over it' }, refs: [a] },
    convention: {
      body: {
        convention: a,
        rules: { ...SHIPPED_CONVENTIONS.kerbFace, name: 'As the curb crew wants it' },
        retired: false,
        supersedes: b,
      },
      refs: [b],
    },
    note: { body: { text: 'x' }, refs: [] },
    dayEnd: { body: { day: '2031-05-06', note: 'the cabin key is at the gate', unfinished: '' }, refs: [] },
  };
}

const BY = '00000000-0000-4000-8000-00000000000a';
const fact = (type: FactType, body: object, change: object = {}): AnyFact =>
  ({ id: id(), type, at: '2031-05-06T08:00:00.000Z', device: 'tablet', seq: 0, by: BY, body, ...change }) as AnyFact;

describe.each(FACT_TYPES)('a fact of type %s', (type) => {
  const { body, refs } = bodies()[type];

  it('is taken as it should be', () => {
    expect(invalidFact(fact(type, body))).toBeNull();
  });

  it('is refused with a field that is not known, and without any of its own', () => {
    expect(invalidFact(fact(type, { ...body, extra: 1 }))).toMatchObject({
      path: '/body/extra',
      message: 'extra isn’t a field here: leave it out',
    });
    for (const field of Object.keys(body)) {
      const rest = Object.fromEntries(Object.entries(body).filter(([name]) => name !== field));
      expect(invalidFact(fact(type, rest))).toMatchObject({ path: `/body/${field}` });
    }
  });

  it('is refused with a number that is none', () => {
    for (const [field, value] of Object.entries(body)) {
      if (typeof value !== 'number') continue;
      expect(invalidFact(fact(type, { ...body, [field]: 'NaN' }))).toMatchObject({
        code: 'INVALID_NUMBER',
        path: `/body/${field}`,
      });
    }
  });

  it('tells every id that it can’t be understood without, once', () => {
    expect(referencesOf(fact(type, body)).sort()).toEqual([...new Set([...refs, BY])].sort());
    // Who joins by himself refers to nobody.
    const self = id();
    expect(referencesOf(fact(type, body, { id: self, by: self }))).not.toContain(self);
  });
});

describe('references that stand deep in a body', () => {
  const { package: work, asBuilt, site, position } = bodies();
  const item = (work.body as { items: object[] }).items[0]!;
  const [a, b, c, d] = [id(), id(), id(), id()];
  const heights = [{ key: 'A', z: null }];
  const of = (type: FactType, body: object) =>
    allReferences(fact(type, body))
      .filter(({ to }) => to !== BY)
      .map(({ to, path, isLater }) => `${path} ${to}${isLater ? ' later' : ''}`);
  it.each([
    ['package', { ...work.body, items: [item, { ...item, grid: a }] }, `/body/items/1/grid ${a} later`],
    [
      'package',
      { ...work.body, items: [{ ...item, surface: { drawing: b, name: 'ground', heights } }] },
      `/body/items/0/surface/drawing ${b} later`,
    ],
    [
      'package',
      { ...work.body, items: [{ ...item, surface: { alignment: c, name: 'ground', heights } }] },
      `/body/items/0/surface/alignment ${c}`,
    ],
    ['site', { ...site.body, roles: [{ member: d, role: 'lead' }] }, `/body/roles/0/member ${d} later`],
  ] as const)('of a %s', (type, body, told) => {
    expect(invalidFact(fact(type, body))).toBeNull();
    expect(of(type, body)).toEqual([told]);
  });

  it('of something measured against a surface, and of a reading of the receiver at a mark', () => {
    const surface = { ...asBuilt.body, sights: [b], against: { kind: 'surface', drawing: d, name: 'ground', z: null } };
    expect(of('asBuilt', surface)).toContain(`/body/against/drawing ${d} later`);
    // A grid over all its revisions is no fact.
    const face = {
      kind: 'face',
      grid: d,
      line: 'A',
      crossing: '1',
      edge: 'first',
      level: 'low',
      targetOffset: 0.05,
      width: null,
    };
    expect(of('asBuilt', { ...asBuilt.body, against: face }).join()).not.toContain(d);
    expect(of('position', { ...position.body, target: { kind: 'mark', mark: d } })).toContain(`/body/target/mark ${d}`);
    expect(of('position', { ...position.body, target: { kind: 'control', mark: d } }).join()).not.toContain(d);
  });

  it('are listed where they point at nothing, if they were not held to before', () => {
    const one = fact('package', { ...work.body, items: [{ ...item, grid: a }] });
    expect(quarantinedAmong([one])).toMatchObject([{ fact: { id: one.id }, invalid: { path: '/body/items/0/grid' } }]);
    expect(quarantinedAmong([one, { ...fact('note', { text: 'x' }), id: a }])).toEqual([]);
  });
});

describe('an envelope', () => {
  it.each([
    [{ at: '2031-02-30T08:00:00Z' }, '/at'],
    [{ at: 'yesterday' }, '/at'],
    [{ at: '2031-05-06T08:00:00+02:00' }, '/at'],
    [{ id: '7' }, '/id'],
    [{ by: null }, '/by'],
    [{ seq: -1 }, '/seq'],
    [{ seq: 1.5 }, '/seq'],
    [{ device: '' }, '/device'],
    [{ type: 'rumour' }, '/type'],
    [{ more: 1 }, '/more'],
    [{ body: { text: 'a\u0000b' } }, '/body/text'],
    [{ body: { text: 'half of a \ud83d' } }, '/body/text'],
    [{ device: '\udc00' }, '/device'],
  ])('with %j is rejected at %s', (change, path) => {
    expect(invalidFact({ ...fact('note', { text: 'x' }), ...change })).toMatchObject({ path });
  });

  it('is refused when it is no object', () => {
    for (const document of [null, 'x', 7, []]) expect(invalidFact(document)).not.toBeNull();
  });
});

describe('canonical JSON', () => {
  const json = fc.jsonValue();

  it('says the same whatever order the fields came in', () => {
    const turned = (value: unknown): unknown => {
      if (Array.isArray(value)) return value.map(turned);
      if (value !== null && typeof value === 'object')
        return Object.fromEntries(
          Object.entries(value)
            .reverse()
            .map(([name, each]) => [name, turned(each)]),
        );
      return value;
    };
    fc.assert(
      fc.property(json, (value) => {
        expect(canonicalJson(turned(value))).toBe(canonicalJson(value));
        expect(JSON.parse(canonicalJson(value))).toEqual(JSON.parse(JSON.stringify(value)));
      }),
    );
  });

  it('leaves out what is not defined', () => {
    expect(canonicalJson({ b: 1, a: undefined })).toBe('{"b":1}');
  });

  it('has the published digest of the empty object', () => {
    // SHA-256 of the two bytes {}.
    expect(digestOf({})).toBe('44136fa355b3678a1146ad16f7e8649e94fb4fc21fe77e8310c060f61caaff8a');
  });
});

describe('computing a case', () => {
  it.each([
    [null, null, 'INVALID_INPUT', ''],
    [{ kind: 'stake', input: {} }, null, 'INVALID_INPUT', '/id'],
    [{ id: 'x', kind: 'stake' }, 'x', 'INVALID_INPUT', '/input'],
    [{ id: 'x', kind: 'toString', input: {} }, 'x', 'UNKNOWN_KIND', '/kind'],
    [{ id: 'x', kind: 'guess', input: {} }, 'x', 'UNKNOWN_KIND', '/kind'],
    [{ id: 7, kind: 'stake', input: {} }, null, 'INVALID_INPUT', '/id'],
  ])('%j fails with its id, code and place', (document, known, code, path) => {
    expect(compute(document)).toMatchObject({ id: known, ok: false, error: { code, path } });
  });

  it('tells the known kinds to somebody who asks for another', () => {
    const outcome = compute({ id: 'x', kind: 'guess', input: {} });
    for (const kind of ['resection', 'knownStation', 'height', 'check', 'stake', 'propagate', 'traverse'])
      expect(outcome.ok ? '' : outcome.error.message).toContain(kind);
  });
});
