import { describe, expect, it } from '@jest/globals';
import fc from 'fast-check';
import {
  explainMisfit,
  facePairs,
  freeStation,
  judgeStation,
  normal,
  RADIANS_PER_SECOND,
  resection,
  uniform,
  type ControlPoint,
  type Explained,
  type Observation,
  type ResectionInput,
} from '../src/index.ts';
import { observe, PRECISION, REDUCTION, SETUP, type TruePlace } from './perfect.ts';

const STATION = { e: 4120, n: 8090, z: 4.5, orientation: 0.8 };
const PLACES: Readonly<Record<string, TruePlace>> = {
  K1: { e: 4042.3, n: 8038.8, z: 4.2 },
  K2: { e: 4118.9, n: 8021.5, z: 4.6 },
  K3: { e: 4236.1, n: 8033.9, z: 7.0 },
  K4: { e: 4208.9, n: 8152.7, z: 5.9 },
  K5: { e: 4096.8, n: 8168.1, z: 2.7 },
  K6: { e: 4040.2, n: 8120.4, z: 5.1 },
  K7: { e: 4300.5, n: 8210.7, z: 6.3 },
  K8: { e: 3980.4, n: 7990.2, z: 3.9 },
};
const SIGHTED = ['K1', 'K2', 'K3', 'K4', 'K5', 'K6'];

interface Told {
  readonly places?: Readonly<Record<string, Partial<TruePlace>>>;
  readonly change?: (observation: Observation) => Observation;
  readonly marks?: readonly string[];
}

/**
 * Sights with noise by seed to marks that are not quite where they are listed, or that were read or entered wrongly.
 */
function station(seed: number, { places = {}, change = (each) => each, marks = SIGHTED }: Told = {}): ResectionInput {
  let state = seed;
  const noise = (sd: number): number => {
    const draw = normal(state);
    state = draw.state;
    return draw.value * sd;
  };
  const points: ControlPoint[] = Object.entries(PLACES).map(([name, place]) => ({
    name,
    ...place,
    sdPlan: 0.002,
    sdHeight: 0.002,
  }));
  const observations = marks.map((name) => {
    const place = { ...PLACES[name]!, ...places[name] };
    const seen = { e: place.e + noise(0.0015), n: place.n + noise(0.0015), z: place.z + noise(0.0015) };
    return change(observe(STATION, name, seen));
  });
  return { instrument: PRECISION, setup: SETUP, reduction: REDUCTION, freeScale: false, points, observations };
}

const explain = (input: ResectionInput): Explained => {
  const solved = freeStation(input);
  if (!solved.ok) throw new Error(solved.error.code);
  return explainMisfit(solved.value);
};
const bestOf = (input: ResectionInput) => {
  const { best } = explain(input);
  return best && { code: best.code, points: best.points };
};
const at = (name: string, change: (observation: Observation) => Observation) => (each: Observation) =>
  each.point === name ? change(each) : each;

describe('one fault is named', () => {
  const FAULTS: readonly (readonly [string, Told, { readonly code: string; readonly points: readonly string[] }])[] = [
    ['nothing', {}, { code: 'NONE', points: [] }],
    [
      'a mark that moved',
      { places: { K5: { e: PLACES.K5!.e + 0.03, n: PLACES.K5!.n + 0.02 } } },
      { code: 'MARK_MOVED_PLAN', points: ['K5'] },
    ],
    [
      'a mark that heaved',
      { places: { K4: { z: PLACES.K4!.z + 0.021 } } },
      { code: 'MARK_MOVED_HEIGHT', points: ['K4'] },
    ],
    [
      'two names exchanged',
      {
        change: (each) =>
          each.point === 'K2' ? { ...each, point: 'K3' } : each.point === 'K3' ? { ...each, point: 'K2' } : each,
      },
      { code: 'POINTS_SWAPPED', points: ['K2', 'K3'] },
    ],
    [
      'a wrong name',
      { change: at('K2', (each) => ({ ...each, point: 'K7' })) },
      { code: 'POINT_MISNAMED', points: ['K7', 'K2'] },
    ],
    [
      'a wrong prism',
      { change: (each) => ({ ...each, slope: each.slope! + 0.0236 }) },
      { code: 'PRISM_CONSTANT', points: [] },
    ],
    [
      'a wrong target height',
      { change: at('K6', (each) => ({ ...each, targetHeight: each.targetHeight - 0.3 })) },
      { code: 'TARGET_HEIGHT', points: ['K6'] },
    ],
    [
      'feet for metres',
      { change: (each) => ({ ...each, slope: each.slope! / 0.3048 }) },
      { code: 'LENGTH_UNIT', points: [] },
    ],
    [
      'metres for feet',
      { change: (each) => ({ ...each, slope: each.slope! * 0.3048 }) },
      { code: 'LENGTH_UNIT', points: [] },
    ],
    [
      'grid for ground',
      { change: (each) => ({ ...each, slope: each.slope! * 1.0006 }) },
      { code: 'SCALE', points: [] },
    ],
    [
      'a slip of one degree',
      { change: at('K1', (each) => ({ ...each, circle: each.circle + Math.PI / 180 })) },
      { code: 'DIRECTION_READING', points: ['K1'] },
    ],
  ];

  it.each(FAULTS)('%s', (_name, told, expected) => {
    for (const seed of [11, 12, 13]) expect(bestOf(station(seed, told))).toEqual(expected);
  });

  it('with its size: what has to be added, multiplied or moved', () => {
    const prism = explain(station(5, { change: (each) => ({ ...each, slope: each.slope! + 0.03 }) })).best!.figures;
    expect(prism.code === 'PRISM_CONSTANT' && prism.constant).toBeCloseTo(-0.03, 2);
    const height = explain(
      station(5, { change: at('K6', (each) => ({ ...each, targetHeight: each.targetHeight + 0.2 })) }),
    ).best!.figures;
    expect(height.code === 'TARGET_HEIGHT' && height.error).toBeCloseTo(0.2, 2);
    const unit = explain(station(5, { change: (each) => ({ ...each, slope: each.slope! / 0.3048 }) })).best!.figures;
    expect(unit.code === 'LENGTH_UNIT' && unit.factor).toBe(0.3048);
  });
});

describe('two faults', () => {
  it('one in plan and one in height, are both named', () => {
    const both = explain(
      station(21, {
        places: { K5: { e: PLACES.K5!.e + 0.02, n: PLACES.K5!.n + 0.02 }, K4: { z: PLACES.K4!.z + 0.03 } },
      }),
    );
    expect([both.best?.code, both.also?.code].sort()).toEqual(['MARK_MOVED_HEIGHT', 'MARK_MOVED_PLAN']);
    expect([both.best?.points, both.also?.points].flat().sort()).toEqual(['K4', 'K5']);
  });

  it('in the same part can’t be told', () => {
    const both = explain(station(22, { places: { K5: { e: PLACES.K5!.e + 0.04 }, K2: { n: PLACES.K2!.n - 0.05 } } }));
    expect(both.best).toBeNull();
    expect(both.explanations.length).toBeGreaterThan(3);
  });
});

describe('what is not told', () => {
  it('which of two marks is wrong', () => {
    const two = explain(station(31, { marks: ['K1', 'K4'], places: { K4: { e: PLACES.K4!.e + 0.05 } } }));
    expect(two.best?.code === 'MARK_MOVED_PLAN').toBe(false);
    expect(two.explanations.every((each) => each.parameters === 0)).toBe(true);
  });

  it('noise beyond what was stated: nobody is accused', () => {
    let accused = 0;
    for (let seed = 1; seed <= 60; seed++) {
      const { observations, ...rest } = station(seed * 31);
      let state = seed * 977;
      const noisy = observations.map((each) => {
        const draw = normal(state);
        state = draw.state;
        return { ...each, slope: each.slope! + draw.value * 0.004 };
      });
      const { best } = explain({ ...rest, observations: noisy });
      if (best && best.code !== 'NONE') accused++;
    }
    expect(accused).toBeLessThanOrEqual(4);
  });
});

describe('the whole site may turn and shift', () => {
  it('and nothing changes but the coordinates; the order of sights does not matter', () => {
    const told: Told = { places: { K5: { e: PLACES.K5!.e + 0.03 } } };
    fc.assert(
      fc.property(
        fc.double({ min: -3, max: 3, noNaN: true }),
        fc.double({ min: -1e4, max: 1e4, noNaN: true }),
        fc.nat(5),
        (turn, shift, first) => {
          const before = station(7, told);
          const moved = (point: ControlPoint): ControlPoint => ({
            ...point,
            e: point.e! * Math.cos(turn) + point.n! * Math.sin(turn) + shift,
            n: -point.e! * Math.sin(turn) + point.n! * Math.cos(turn) - shift,
          });
          const observations = [...before.observations.slice(first), ...before.observations.slice(0, first)];
          const a = explain(before);
          const b = explain({ ...before, points: before.points.map(moved), observations });
          expect(b.best?.points).toEqual(a.best?.points);
          expect(b.none.plan).toBeCloseTo(a.none.plan, 3);
          expect(b.none.stands!.radius95).toBeCloseTo(a.none.stands!.radius95, 8);
          expect(b.explanations.slice(0, 3).map((each) => each.code)).toEqual(
            a.explanations.slice(0, 3).map((each) => each.code),
          );
        },
      ),
      { numRuns: 30 },
    );
  });
});

describe('two faces of a mark', () => {
  const both = (off: number) => {
    const input = station(3);
    const [first] = input.observations;
    const second = {
      ...first!,
      face: 2 as const,
      circle: first!.circle + Math.PI + off,
      zenith: 2 * Math.PI - first!.zenith,
    };
    const solved = resection({ ...input, observations: [...input.observations, second] });
    if (!solved.ok) throw new Error(solved.error.code);
    return facePairs(solved.value, PRECISION.angleSd);
  };

  it('give the collimation, and say when the instrument wants adjusting', () => {
    expect(both(0)).toMatchObject([{ name: 'K1', otherMark: false, unadjusted: false }]);
    const [pair] = both(-40 * RADIANS_PER_SECOND);
    expect(pair!.collimation / RADIANS_PER_SECOND).toBeCloseTo(20, 6);
    expect(pair).toMatchObject({ otherMark: false, unadjusted: true });
  });

  it('far apart were not of one mark', () => {
    expect(both(Math.PI / 6)).toMatchObject([{ otherMark: true, unadjusted: false }]);
  });
});

describe('names and units that are wrong', () => {
  /** Marks strewn about the station, as a seed has it. */
  const strewn = (seed: number, count: number): ResectionInput => {
    let state = seed;
    const between = (low: number, high: number) => {
      const draw = uniform(state);
      state = draw.state;
      return low + (high - low) * draw.value;
    };
    const places = Array.from({ length: count }, () => ({
      e: STATION.e + between(-120, 120),
      n: STATION.n + between(-120, 120),
      z: between(2, 8),
    }));
    return {
      instrument: PRECISION,
      setup: SETUP,
      reduction: REDUCTION,
      freeScale: false,
      points: places.map((place, i) => ({ name: `M${i}`, ...place, sdPlan: 0.002, sdHeight: 0.002 })),
      observations: places.map((place, i) => observe(STATION, `M${i}`, place)),
    };
  };

  it('are refused with an explanation, and never told as sights that leave the station free to move', () => {
    let contradictions = 0;
    for (let seed = 1; seed <= 60; seed++) {
      const input = strewn(seed * 17, 3 + (seed % 4));
      const swap = (each: Observation) => ({
        ...each,
        point: each.point === 'M0' ? 'M1' : each.point === 'M1' ? 'M0' : each.point,
      });
      const feet = (each: Observation) => ({ ...each, slope: each.slope! * 0.3048 });
      const judged = judgeStation({ ...input, observations: input.observations.map(seed % 3 === 0 ? feet : swap) });
      if (!judged.ok) throw new Error(`${seed}: ${judged.error.code}`);
      expect(judged.value.judgement.verdict).not.toBe('checked');
      if (judged.value.result === null) contradictions++;
    }
    expect(contradictions).toBeGreaterThan(0);
  });
});

describe('sights that are noisier than stated', () => {
  /** Every sight carries so much more noise, along and across. */
  const noisy = (seed: number, sd: number, onto: (each: Observation) => boolean = () => true) => {
    const input = station(seed, { marks: Object.keys(PLACES) });
    let state = seed * 31 + 7;
    const draw = () => {
      const next = normal(state);
      state = next.state;
      return next.value * sd;
    };
    const observations = input.observations.map((each) => {
      const [along, across] = [draw(), draw()];
      return onto(each) ? { ...each, slope: each.slope! + along, circle: each.circle + across / each.slope! } : each;
    });
    return { ...input, observations };
  };
  const reasonOf = (input: ResectionInput) => {
    const judged = judgeStation(input);
    if (!judged.ok) throw new Error(judged.error.code);
    return judged.value.judgement.because.find((each) => each.code === 'NOISIER_THAN_STATED');
  };

  it('are said to be so, with the factor and where to look first', () => {
    const factors: number[] = [];
    for (let seed = 1; seed <= 30; seed++) {
      const reason = reasonOf(noisy(seed, 0.008));
      if (reason?.code === 'NOISIER_THAN_STATED') factors.push(reason.s0);
    }
    expect(factors.length).toBeGreaterThan(20);
    for (const factor of factors) expect(factor).toBeGreaterThan(1.3);
    // Distances alone: the meter, its prism, the weather.
    const distances = noisy(9, 0.012);
    const circles = station(9, { marks: Object.keys(PLACES) }).observations;
    const onlyDistances = {
      ...distances,
      observations: distances.observations.map((each, i) => ({ ...each, circle: circles[i]!.circle })),
    };
    expect(reasonOf(onlyDistances)).toMatchObject({ look: 'DISTANCE' });
    expect(reasonOf(station(4, { marks: Object.keys(PLACES) }))).toBeUndefined();
  });
});
