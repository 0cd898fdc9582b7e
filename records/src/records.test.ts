import { describe, expect, it } from '@jest/globals';
import type { AnyFact, Fact, FactBody } from '@idle-marker/contract';
import {
  bookLine,
  cutSheet,
  groupSights,
  hubPlans,
  markKey,
  nextStationName,
  packageRoots,
  siteState,
  stationDraft,
  trustOf,
  type CutSheet,
} from './index.ts';

let made = 0;
const id = () => `00000000-0000-4000-8000-${String(++made).padStart(12, '0')}`;
const SITE: FactBody<'site'> = {
  name: 'Quay extension',
  lengthUnit: 'metre',
  angleUnit: 'dms',
  axisOrder: 'EN',
  siteZero: 6.25,
  coordinateSystem: 'site grid',
  heightDatum: '',
  combinedScaleFactor: 1,
  proofIntervalMinutes: 60,
  classes: [{ id: 'grid', name: 'Building grid', planMm: 6, heightMm: 5, leastMarks: 3 }],
  convention: 'plainWords',
  practiceGround: null,
};

const MARA = '00000000-0000-4000-8000-00000000000a';

/** A tablet that counts on. */
function tablet(name = 'tablet') {
  let seq = 0;
  return <T extends AnyFact['type']>(type: T, body: FactBody<T>, minute = seq): Fact<T> => ({
    id: id(),
    type,
    at: new Date(Date.UTC(2031, 4, 6, 8, minute)).toISOString(),
    device: name,
    seq: seq++,
    by: MARA,
    body,
  });
}

const controlBody = (name: string, change: Partial<FactBody<'control'>> = {}): FactBody<'control'> => ({
  mark: id(),
  name,
  e: 4000,
  n: 8000,
  z: 5,
  sdHMm: 2,
  sdZMm: 2,
  kind: 'pin',
  usePlan: true,
  useHeight: true,
  forProof: false,
  condition: 'secure',
  note: '',
  source: 'typed',
  supersedes: null,
  ...change,
});
const OCCUPATION: FactBody<'occupation'> = {
  name: 'S1',
  instrument: { name: 'i', angleSdSec: 1, distSdMm: 1, distSdPpm: 1.5 },
  instrumentHeight: 1.6,
  instrumentHeightSdMm: 1,
  temperatureC: 18,
  pressureHPa: 1013,
  ppm: 0,
  ground: 'gravel',
  windy: false,
  link: 'typed',
};
const sightBody = (
  occupation: string,
  mark: string,
  circle: number,
  slope: number,
  change: Partial<FactBody<'sight'>> = {},
): FactBody<'sight'> => ({
  occupation,
  purpose: 'station',
  target: { kind: 'control', mark },
  face: 1,
  read: {
    circle,
    zenith: 90,
    slope,
    angleUnit: 'degree',
    lengthUnit: 'metre',
    angleDecimals: 5,
    lengthDecimals: 4,
    keyed: null,
  },
  targetHeight: 1.5,
  targetHeightSdMm: 1,
  targetCentringSdMm: 1,
  prismConstantMm: 0,
  ppm: 0,
  ...change,
});

describe('the state of a site', () => {
  it('takes the last revision of a mark and keeps those before it', () => {
    const say = tablet();
    const first = say('control', controlBody('K1'));
    const second = say('control', { ...first.body, e: 4000.01, supersedes: first.id });
    const state = siteState([second, say('site', SITE), first]);
    expect(state.control).toHaveLength(1);
    expect(state.control[0]).toMatchObject({
      revision: { id: second.id },
      revisions: [{ id: second.id }, { id: first.id }],
    });
  });

  it('orders names as people do, and names the next station', () => {
    const say = tablet();
    const facts = [
      say('site', SITE),
      ...['K10', 'K2', 'BM1'].map((name) => say('control', controlBody(name))),
      say('occupation', { ...OCCUPATION, name: 'S7' }),
      say('occupation', { ...OCCUPATION, name: 'by the gate' }),
    ];
    const state = siteState(facts);
    expect(state.control.map((mark) => mark.revision.body.name)).toEqual(['BM1', 'K2', 'K10']);
    expect(nextStationName(state)).toBe('S8');
  });

  it('leaves out what was withdrawn, but keeps it in the book', () => {
    const say = tablet();
    const mark = say('control', controlBody('K1'));
    const withdrawal = say('withdrawal', { record: mark.id, occupation: null, reason: 'listed by error' });
    const state = siteState([say('site', SITE), mark, withdrawal]);
    expect(state.control).toEqual([]);
    expect(state.timeline.map((fact) => fact.id)).toContain(mark.id);
    expect(bookLine(state, withdrawal)).toEqual({
      topic: 'note',
      text: expect.stringMatching(/^Withdrawn, listed by error: “K1 listed: .*”$/),
    });
  });

  it('does not depend on the order in which facts arrive, nor on their coming twice', () => {
    const say = tablet();
    const facts = [
      say('site', SITE),
      say('control', controlBody('K1')),
      say('control', controlBody('K2')),
      say('occupation', OCCUPATION),
      say('note', { text: 'x' }),
    ];
    expect(siteState([...facts].reverse().concat(facts))).toEqual(siteState(facts));
  });
});

describe('repeats of a sight', () => {
  it('are averaged across the jump of the circle, with their spread', () => {
    const say = tablet();
    const occupation = say('occupation', OCCUPATION);
    const mark = id();
    const sights = [
      say('sight', sightBody(occupation.id, mark, 359.999, 100)),
      say('sight', sightBody(occupation.id, mark, 0.003, 100.004)),
    ];
    const [group, ...more] = groupSights(sights, () => ({ plan: true, height: true }));
    expect(more).toEqual([]);
    expect((group!.observation.circle * 180) / Math.PI).toBeCloseTo(360.001, 9);
    expect(group!.observation.slope).toBeCloseTo(100.002, 9);
    expect(group!.spread!.across).toBeCloseTo((0.004 * Math.PI * 100) / 180, 6);
    expect(group!.spread!.along).toBeCloseTo(0.004, 9);
  });

  it('stay apart in the two faces and with another target height, and one left out does not count', () => {
    const say = tablet();
    const occupation = say('occupation', OCCUPATION);
    const mark = id();
    const sights = [
      say('sight', sightBody(occupation.id, mark, 10, 100)),
      say('sight', sightBody(occupation.id, mark, 10, 101)),
      say('sight', sightBody(occupation.id, mark, 190, 100, { face: 2 })),
      say('sight', sightBody(occupation.id, mark, 10, 100, { targetHeight: 1.8 })),
    ];
    const groups = groupSights(sights, (sight) => ({ plan: sight.id !== sights[1]!.id, height: false }));
    expect(groups).toHaveLength(3);
    expect(groups[0]!.observation.slope).toBe(100);
  });

  it('take prism constant and weather from each sight', () => {
    const say = tablet();
    const sight = say('sight', sightBody(id(), id(), 10, 100, { prismConstantMm: -30, ppm: 20 }));
    expect(groupSights([sight], () => ({ plan: true, height: true }))[0]!.observation.slope).toBeCloseTo(
      (100 - 0.03) * 1.00002,
      9,
    );
  });
});

/** A square of control about the origin, sights to it from the middle, and a package. */
function morning() {
  const say = tablet();
  const site = say('site', SITE);
  const places = [
    [100, 100],
    [100, -100],
    [-100, -100],
    [-100, 100],
  ] as const;
  const controls = places.map(([e, n], i) => say('control', controlBody(`K${i + 1}`, { e, n, z: 0.1 })));
  const occupation = say('occupation', OCCUPATION);
  const sights = controls.map((control, i) =>
    say('sight', sightBody(occupation.id, control.body.mark, 45 + 90 * i, Math.hypot(100, 100))),
  );
  const items: FactBody<'package'>['items'] = [
    {
      name: 'hall',
      meaning: 'outsideFace',
      rule: 'outline',
      designZ: 1,
      source: 'typed',
      corners: [
        { name: 'a', e: 0, n: 0 },
        { name: 'b', e: 10, n: 0 },
        { name: 'c', e: 10, n: 10 },
        { name: 'd', e: 0, n: 10 },
      ],
    },
  ];
  const plans = hubPlans(items, 2, 'H');
  if (!plans.ok) throw new Error(plans.error.code);
  const work = say('package', {
    name: 'Hall',
    crew: 'Formwork',
    class: 'grid',
    heightReference: 'finishedFloor',
    offset: 2,
    items,
    plans: plans.value,
    supersedes: null,
  });
  return { say, facts: [site, ...controls, occupation, ...sights, work] as AnyFact[], occupation, work };
}

describe('a station in work', () => {
  it('solves from the sights, and from what is left when one is put out', () => {
    const { facts, occupation } = morning();
    const state = siteState(facts);
    const draft = stationDraft(state, occupation, {});
    if (!draft.outcome?.ok) throw new Error('no station');
    expect(draft.outcome.value.result.e).toBeCloseTo(0, 6);
    expect(draft.outcome.value.result.height!.z).toBeCloseTo(0.1 + 1.5 - 1.6 - (0.87 * 20_000) / (2 * 6_371_000), 6);
    const sights = [...state.sights.values()];
    const out = Object.fromEntries(sights.slice(0, 3).map((sight) => [sight.id, { plan: false, height: true }]));
    expect(stationDraft(state, occupation, out).outcome).toBeNull();
  });
});

describe('packages and sheets', () => {
  it('keep the keys of their marks over revisions', () => {
    const { say, facts, work } = morning();
    const moved = work.body.items.map((item) => ({
      ...item,
      corners: item.corners.map((corner) => ({ ...corner, e: corner.e + 0.1 })),
    }));
    const plans = hubPlans(moved, 2, 'H');
    if (!plans.ok) throw new Error(plans.error.code);
    const second = say('package', { ...work.body, items: moved, plans: plans.value, supersedes: work.id });
    const state = siteState([...facts, second]);
    expect(state.packages.map((each) => each.id)).toEqual([second.id]);
    expect(packageRoots([work, second]).get(second.id)).toBe(work.id);
    expect(plans.value.map((plan) => plan.key)).toEqual(work.body.plans.map((plan) => plan.key));
  });

  it('give names of their own to corners that are called alike', () => {
    const corners = [
      { name: 'a', e: 0, n: 0 },
      { name: 'b', e: 10, n: 0 },
      { name: 'c', e: 10, n: 10 },
    ];
    const item = (name: string) => ({
      name,
      meaning: 'outsideFace' as const,
      rule: 'outline' as const,
      designZ: null,
      source: 'typed',
      corners,
    });
    const plans = hubPlans([item('one'), item('two')], 2, 'H');
    if (!plans.ok) throw new Error(plans.error.code);
    expect(new Set(plans.value.map((plan) => plan.name)).size).toBe(plans.value.length);
  });

  it('list what is not set, and say what changed since the revision before', () => {
    const { facts, work } = morning();
    const state = siteState(facts);
    const asked = { package: work, issuedBy: 'Mara', issuedAt: '2031-05-06T10:00:00.000Z', timeZone: 'Europe/Lisbon' };
    const sheet = cutSheet(state, trustOf(state, asked.issuedAt), asked, null);
    expect(sheet).toMatchObject({ rows: [], withheld: [], siteZero: 6.25, planMm: 6 });
    expect(sheet.notSet).toHaveLength(8);
    const previous = { ...sheet, rows: [{ name: 'H-a W', mark: id() }] } as unknown as CutSheet;
    expect(cutSheet(state, trustOf(state, asked.issuedAt), asked, previous).changes).toEqual([
      { name: 'H-a W', change: 'removed' },
    ]);
    expect(markKey('p', 'k')).toBe('p/k');
  });
});
