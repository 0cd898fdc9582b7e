import { describe, expect, it } from '@jest/globals';
import fc from 'fast-check';
import { listed, observe, PRECISION, REDUCTION, SETUP } from '../../test/perfect.ts';
import { chiSquareProbability } from '../adjust/chiSquare.ts';
import {
  CRITICAL_T,
  CRITICAL_W,
  DETECTABLE_NONCENTRALITY_ONE,
  DETECTABLE_NONCENTRALITY_PLAN,
} from '../adjust/criticalValues.ts';
import type { PlanPoint } from '../plane/point.ts';
import { judgeStation, type Judgement, type JudgedWith } from './judgement.ts';
import { heightReliability, placesOf, planReliability, type ReliabilityModel, type Unnoticed } from './reliability.ts';
import type { ResectionInput } from './resection.ts';

const MM = 1e-3;
const STATION = { e: 4100, n: 8100, z: 5, orientation: 0.4 };

interface Spot {
  readonly azimuth: number;
  readonly distance: number;
}
const placeAt = ({ azimuth, distance }: Spot) => ({
  e: STATION.e + distance * Math.sin(azimuth),
  n: STATION.n + distance * Math.cos(azimuth),
  z: 5,
});
const nameOf = (i: number) => `K${i + 1}`;

function inputOf(spots: readonly Spot[]): ResectionInput {
  const places = spots.map(placeAt);
  return {
    instrument: PRECISION,
    setup: SETUP,
    reduction: REDUCTION,
    freeScale: false,
    points: places.map((place, i) => listed(nameOf(i), place)),
    observations: places.map((place, i) => observe(STATION, nameOf(i), place)),
  };
}

function judged(input: ResectionInput, judgedWith: JudgedWith = {}): Judgement {
  const found = judgeStation(input, judgedWith);
  if (!found.ok) throw new Error(found.error.code);
  return found.value.judgement;
}
const byName = ({ reliability }: Judgement): Map<string, Unnoticed> =>
  new Map(reliability!.unnoticed.map((each) => [each.names[0] ?? each.fault, each]));
const codes = (judgement: Judgement): string[] => judgement.because.map((each) => each.code);

/** P(X > critical) of the non-central chi-square, as a Poisson mixture of central ones. */
function power(noncentrality: number, dof: number, critical: number): number {
  let weight = Math.exp(-noncentrality / 2);
  let below = 0;
  for (let j = 0; j < 200; j++) {
    below += weight * chiSquareProbability(critical, dof + 2 * j);
    weight *= noncentrality / 2 / (j + 1);
  }
  return 1 - below;
}

describe('what is noticed', () => {
  it('is found four times out of five at a level of 0.001, in one dimension and in two', () => {
    expect(power(DETECTABLE_NONCENTRALITY_ONE, 1, CRITICAL_W ** 2)).toBeCloseTo(0.8, 5);
    expect(power(DETECTABLE_NONCENTRALITY_PLAN, 2, CRITICAL_T)).toBeCloseTo(0.8, 5);
  });

  // Worked by hand in docs/methods.md: four marks at 50 m, north, east, south and west, each known to 3 mm along and
  // across.
  const [sd, d] = [3 * MM, 50];
  const cross: ReliabilityModel = {
    size: 3,
    station: { e: 0, n: 0 },
    places: [['N'], ['E'], ['S'], ['W']],
    rows: [
      [0, d],
      [d, 0],
      [0, -d],
      [-d, 0],
    ].flatMap(([e, n], place) => [
      {
        place,
        a: [-n! / d ** 2, e! / d ** 2, -1, 0] as const,
        weight: (d / sd) ** 2,
        kept: (d / sd) ** 2,
        byPrism: 0,
        byScale: 0,
      },
      { place, a: [-e! / d, -n! / d, 0, 0] as const, weight: 1 / sd ** 2, kept: 1 / sd ** 2, byPrism: 0, byScale: 0 },
    ]),
    anchor: null,
    onLines: false,
    common: { prism: false, scale: false },
  };
  const asked = { plan: 10 * MM, height: 5 * MM, work: [] as readonly PlanPoint[] };

  it('and what it does, come out as they do by hand', () => {
    const { state, unnoticed } = planReliability(cross, asked);
    expect(state).toBe('traceable');
    for (const { noticed, effect } of unnoticed) {
      expect(noticed).toBeCloseTo(Math.sqrt(19.6624 * 2) * sd, 6);
      expect(effect).toBeCloseTo((Math.sqrt(19.6624 * 2) * sd) / 4, 6);
    }
    const north = unnoticed.find((each) => each.names[0] === 'N')!;
    // Least seen across the line of sight, which runs north.
    expect(north.blind).toBeCloseTo(Math.PI / 2, 9);
    const beyond = planReliability(cross, { ...asked, work: [{ e: 0, n: 2 * d }] }).unnoticed.find(
      (each) => each.names[0] === 'N',
    )!;
    expect(beyond.effect).toBeCloseTo(0.75 * Math.sqrt(19.6624 * 2) * sd, 6);
  });

  it('at marks that all stand in one place is what it is at one of them', () => {
    const place = { e: 30, n: -20 };
    const one = planReliability(cross, { ...asked, work: [place] }).unnoticed[0]!;
    expect(planReliability(cross, { ...asked, work: [place, place, place, place] }).unnoticed[0]).toEqual(one);
    expect(one).toMatchObject({ at: 'work' });
    // What lies beyond reach is not set from here.
    expect(planReliability(cross, { ...asked, work: [place], reach: 10 }).unnoticed[0]).toMatchObject({
      at: 'station',
    });
  });

  it('over many marks is what the worst of them has', () => {
    const spot = fc.record({ e: fc.integer({ min: -300, max: 300 }), n: fc.integer({ min: -300, max: 300 }) });
    fc.assert(
      fc.property(fc.array(spot, { minLength: 1, maxLength: 40 }), (work) => {
        const together = planReliability(cross, { ...asked, work }).unnoticed[0]!.effect!;
        const each = work.map((place) => planReliability(cross, { ...asked, work: [place] }).unnoticed[0]!.effect!);
        expect(together).toBeCloseTo(Math.max(...each), 9);
      }),
    );
  });
});

const spots = (least: number, most: number) =>
  fc
    .array(
      fc.record({
        azimuth: fc.double({ min: 0, max: 6.28, noNaN: true }),
        distance: fc.double({ min: 15, max: 150, noNaN: true }),
      }),
      {
        minLength: least,
        maxLength: most,
      },
    )
    .filter((list) => placesOf(list.map((spot, i) => ({ name: nameOf(i), ...placeAt(spot) }))).length === list.length);

describe('another mark', () => {
  it('that stands by itself never enlarges the smallest shift noticed at the others', () => {
    fc.assert(
      fc.property(spots(4, 8), (list) => {
        const before = byName(judged(inputOf(list.slice(0, -1))));
        const after = byName(judged(inputOf(list)));
        for (const [name, { noticed }] of before) {
          if (noticed !== null && after.has(name))
            expect(after.get(name)!.noticed!).toBeLessThanOrEqual(noticed * (1 + 1e-6));
        }
      }),
      { numRuns: 60 },
    );
  });

  it('on a post that is there makes no third place: two stay unchecked, however many names stand on them', () => {
    const beside = fc.array(
      fc.record({
        de: fc.double({ min: -0.2, max: 0.2, noNaN: true }),
        dn: fc.double({ min: -0.2, max: 0.2, noNaN: true }),
      }),
      {
        minLength: 1,
        maxLength: 5,
      },
    );
    fc.assert(
      fc.property(spots(2, 2), beside, (posts, more) => {
        const places = [
          ...posts.map(placeAt),
          ...more.map(({ de, dn }, i) => ({
            ...placeAt(posts[i % 2]!),
            e: placeAt(posts[i % 2]!).e + de,
            n: placeAt(posts[i % 2]!).n + dn,
          })),
        ];
        const input = {
          ...inputOf([]),
          points: places.map((place, i) => listed(nameOf(i), place)),
          observations: places.map((place, i) => observe(STATION, nameOf(i), place)),
        };
        const judgement = judged(input);
        expect(judgement).toMatchObject({ verdict: 'unchecked', checkability: 'unchecked' });
        expect(judgement.reliability!.places).toHaveLength(2);
        expect(codes(judgement)).toContain('FEW_PLACES');
        expect(judgement.doThis.map((step) => step.code)).not.toContain('ACCEPT');
      }),
      { numRuns: 40 },
    );
  });
});

describe('the order of sights', () => {
  it('does not matter to any figure', () => {
    fc.assert(
      fc.property(spots(3, 7), fc.nat(6), (list, turn) => {
        const input = inputOf(list);
        const by = turn % list.length;
        const turned = {
          ...input,
          observations: [...input.observations.slice(by), ...input.observations.slice(0, by)],
        };
        const [one, other] = [judged(input), judged(turned)];
        expect(other.checkability).toBe(one.checkability);
        const [a, b] = [byName(one), byName(other)];
        for (const [name, { noticed, effect }] of a) {
          expect(b.get(name)!.noticed ?? -1).toBeCloseTo(noticed ?? -1, 6);
          expect(b.get(name)!.effect ?? -1).toBeCloseTo(effect ?? -1, 6);
        }
      }),
      { numRuns: 40 },
    );
  });
});

describe('a station that was called checked', () => {
  const apart = [
    { azimuth: 3.7, distance: 48 },
    { azimuth: 3.7 + 0.02, distance: 48 },
    { azimuth: 5.6, distance: 63 },
  ];

  it('by two marks a metre apart and a third is not: the third is named with what it could do', () => {
    const judgement = judged(inputOf(apart), { asked: { plan: 0.01, height: 0.005, work: [] } });
    expect(judgement).toMatchObject({ verdict: 'unchecked', checkability: 'unchecked' });
    const [worst] = judgement.reliability!.unnoticed;
    expect(worst!.names).toEqual(['K3']);
    expect(worst!.noticed!).toBeGreaterThan(0.5);
    expect(worst!.effect!).toBeGreaterThan(0.3);
    expect(judgement.because[0]).toMatchObject({ code: 'HARDLY_CHECKED', of: worst });
  });

  it('is told which listed mark would do most, and by how much', () => {
    const near = listed('near', placeAt({ azimuth: 3.6, distance: 50 }));
    const far = listed('far', placeAt({ azimuth: 1.4, distance: 70 }));
    const judgement = judged(inputOf(apart), { listed: [...inputOf(apart).points, near, far] });
    const [step] = judgement.doThis;
    expect(step).toMatchObject({ code: 'SIGHT_ANOTHER', name: 'far' });
    if (step?.code === 'SIGHT_ANOTHER') {
      expect(step.azimuth).toBeCloseTo(1.4, 6);
      expect(step.effect!).toBeLessThan(0.02);
    }
    // Of its own it is told a direction, and where no listed mark would do, to prove it.
    expect(judged(inputOf(apart)).doThis[0]).toMatchObject({ code: 'SIGHT_ANOTHER', name: null });
    const beside = listed('beside', { ...placeAt(apart[0]!), e: placeAt(apart[0]!).e + 0.1 });
    expect(judged(inputOf(apart), { listed: [...inputOf(apart).points, beside] }).doThis[0]).toEqual({
      code: 'PROVE_ON',
      name: 'beside',
    });
  });

  it('is too coarse for a class that its marks together cannot give', () => {
    const close = [0, 2, 4].map((azimuth) => ({ azimuth: 1 + azimuth / 1000, distance: 50 + azimuth / 10 }));
    const judgement = judged(inputOf(close), { asked: { plan: 0.01, height: 0.005, work: [] } });
    expect(judgement.verdict).toBe('unchecked');
    expect(codes(judgement)).toContain('TOO_COARSE');
    expect(judgement.goodTo!).toBeGreaterThan(0.1);
    expect(judgement.doThis.map((step) => step.code)).not.toContain('ACCEPT');
    // Nobody asked for anything: then there is nothing to be too coarse for.
    expect(codes(judged(inputOf(close)))).not.toContain('TOO_COARSE');
  });
});

describe('where it can’t be told', () => {
  it('the station is good to no better than what still stands, and nothing bounds it with two places', () => {
    const list = [0.2, 2.3, 4.4].map((azimuth) => ({ azimuth, distance: 60 }));
    const input = inputOf(list);
    // A slip of the circle, or a mark that moved across the line of sight.
    const moved = input.observations.map((each, i) => (i === 1 ? { ...each, circle: each.circle + 5e-4 } : each));
    const three = judged({ ...input, observations: moved });
    expect(three.explained!.best).toBeNull();
    expect(three.goodTo!).toBeGreaterThan(0.008);
    expect(three.spread!.under.length).toBeGreaterThan(1);
    expect(three.spread!.under[0]!.off).toBeGreaterThanOrEqual(three.spread!.under.at(-1)!.off);
    const short = input.observations.map((each, i) => (i === 1 ? { ...each, slope: each.slope! + 0.05 } : each));
    const two = judged({ ...input, points: input.points.slice(0, 2), observations: short.slice(0, 2) });
    expect(two).toMatchObject({ goodTo: null, verdict: 'unchecked' });
  });
});

describe('heights', () => {
  const weight = (name: string, sd: number) => ({ names: [name], weight: 1 / sd ** 2, kept: 1 / sd ** 2 });

  it('of equal benchmarks hide what the mean of the others leaves', () => {
    const three = ['A', 'B', 'C'].map((name) => weight(name, 0.002));
    const { state, unnoticed } = heightReliability(three, 0.005)!;
    expect(state).toBe('traceable');
    for (const { noticed, effect } of unnoticed) {
      expect(noticed).toBeCloseTo(4.1322 * 0.002 * Math.sqrt(1.5), 6);
      expect(effect).toBeCloseTo(noticed! / 3, 9);
    }
  });

  it('of one benchmark are unchecked, and of two checked as far as they agree', () => {
    expect(heightReliability([weight('A', 0.002)], 0.005)).toMatchObject({
      state: 'unchecked',
      unnoticed: [{ noticed: null, effect: null }],
    });
    expect(heightReliability([weight('A', 0.002), weight('B', 0.002)], 0.005)!.state).toBe('checked');
    expect(heightReliability([weight('A', 0.02), weight('B', 0.02)], 0.005)!.state).toBe('unchecked');
    expect(heightReliability([], 0.005)).toBeNull();
  });

  it('over a mark hang on that mark, and the backsights only test it', () => {
    const over = [
      { names: ['S'], weight: 1 / 0.002 ** 2, kept: 1 / 0.002 ** 2 },
      { names: ['B'], weight: 1 / 0.002 ** 2, kept: 0 },
    ];
    const { unnoticed } = heightReliability(over, 0.005)!;
    expect(unnoticed.map(({ names, effect }) => [names[0], effect! > 0.01])).toEqual([
      ['S', true],
      ['B', false],
    ]);
    expect(unnoticed[1]!.effect).toBe(0);
  });
});
