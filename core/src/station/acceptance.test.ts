import { describe, expect, it } from '@jest/globals';
import fc from 'fast-check';
import { listed, observe, PRECISION, REDUCTION, SETUP, type TrueStation } from '../../test/perfect.ts';
import type { Observation } from '../sight/observation.ts';
import { normal } from '../simulator/random.ts';
import { obstaclesTo } from './acceptance.ts';
import { judgeStation } from './judgement.ts';
import { stationOnLines, type LineStationInput } from './lineStation.ts';
import type { ResectionInput } from './resection.ts';

const PLACES = {
  A: { e: 4042, n: 8038, z: 4.2 },
  B: { e: 4118, n: 8021, z: 4.6 },
  C: { e: 4236, n: 8033, z: 5.0 },
  D: { e: 4268, n: 8152, z: 5.9 },
  E: { e: 4096, n: 8168, z: 5.7 },
} as const;
type Name = keyof typeof PLACES;
const STATION: TrueStation = { e: 4187, n: 8099, z: 5.8, orientation: 2.5 };
const GRID = { plan: 0.006, height: 0.005, leastMarks: 3 };

type Misreading = (observation: Observation, i: number) => Observation;
const AS_READ: Misreading = (observation) => observation;

/** Sights to marks, of which some may have moved, with the noise of one seed, and perhaps misread. */
function input(
  names: readonly Name[],
  moved: Partial<Record<Name, number>> = {},
  seed: number | null = null,
  misread = AS_READ,
): ResectionInput {
  let state = seed ?? 0;
  const noise = (sd: number): number => {
    if (seed === null) return 0;
    const drawn = normal(state);
    state = drawn.state;
    return drawn.value * sd;
  };
  return {
    instrument: PRECISION,
    setup: SETUP,
    reduction: REDUCTION,
    freeScale: false,
    points: names.map((name) => listed(name, { ...PLACES[name], e: PLACES[name].e + (moved[name] ?? 0) })),
    observations: names.map((name, i) => {
      // Listed places, centring and the pole, each as good as it is stated.
      const seen = {
        e: PLACES[name].e + noise(0.0022),
        n: PLACES[name].n + noise(0.0022),
        z: PLACES[name].z + noise(0.0022),
      };
      const read = observe(STATION, name, seen);
      const noisy = {
        ...read,
        circle: read.circle + noise(PRECISION.angleSd),
        zenith: read.zenith + noise(PRECISION.angleSd),
      };
      return misread({ ...noisy, slope: read.slope! + noise(PRECISION.distanceSd) }, i);
    }),
  };
}

const judged = (from: ResectionInput) => {
  const found = judgeStation(from, { asked: { plan: GRID.plan, height: GRID.height, work: [] } });
  if (!found.ok || !found.value.result) throw new Error('no station');
  return { result: found.value.result, judgement: found.value.judgement };
};
const against = (from: ResectionInput, needsHeight = true) => obstaclesTo(judged(from), GRID, needsHeight);
const codes = (from: ResectionInput, needsHeight = true) => against(from, needsHeight).map((each) => each.code);

describe('whether a station may be accepted', () => {
  it('depends on how many places it uses', () => {
    expect(against(input(['A', 'C']))).toContainEqual({ code: 'TOO_FEW_MARKS', used: 2, needed: 3 });
    expect(against(input(['A', 'C', 'D', 'E']))).toEqual([]);
  });

  it('is not given as good where nothing bounds what is wrong, however few marks the class asks', () => {
    const long = input(['A', 'C'], {}, 3, (each) => ({ ...each, slope: each.slope! + 0.03 }));
    expect(judged(long).judgement.goodTo).toBeNull();
    expect(obstaclesTo(judged(long), { ...GRID, leastMarks: 2 }, true).map((each) => each.code)).toContain(
      'PLAN_UNBOUNDED',
    );
  });

  it('depends on its precision', () => {
    const tight = obstaclesTo(judged(input(['A', 'B', 'C'])), { plan: 0.001, height: 0.001, leastMarks: 2 }, true).map(
      (each) => each.code,
    );
    expect(tight).toEqual(expect.arrayContaining(['PLAN_IMPRECISE', 'HEIGHT_IMPRECISE']));
  });

  it('depends on every mark that is still used, and tells it once', () => {
    const obstacles = against(input(['A', 'B', 'C', 'D', 'E'], { D: 0.04 }));
    expect(obstacles.find((each) => each.code === 'MARK_MISFIT')).toMatchObject({ name: 'D' });
    expect(obstacles.map((each) => each.code)).toContain('PLAN_MISFIT');
    expect(obstacles.map((each) => each.code)).not.toContain('FAULT');
  });

  it('asks for a height only where heights are needed', () => {
    const four = input(['A', 'C', 'D', 'E']);
    const planOnly = { ...four, observations: four.observations.map((each) => ({ ...each, useHeight: false })) };
    expect(against(planOnly)).toEqual([{ code: 'NO_HEIGHT' }]);
    // They have heights: that none is used is something else than that there is none.
    expect(judged(planOnly).judgement.because).toContainEqual({ code: 'NO_HEIGHT', why: 'NOT_USED' });
    const flat = { ...four, points: four.points.map((each) => ({ ...each, z: null })) };
    expect(judged(flat).judgement.because).toContainEqual({ code: 'NO_HEIGHT', why: 'NONE' });
    expect(against(planOnly, false)).toEqual([]);
    const wrongHeight = input(['A', 'B', 'C', 'D'], {}, 4, (each, i) =>
      i === 1 ? { ...each, targetHeight: each.targetHeight + 0.1 } : each,
    );
    expect(codes(wrongHeight)).toContain('MARK_HEIGHT_MISFIT');
    expect(against(wrongHeight, false)).toEqual([]);
  });

  it('is held up by a mark of one’s own that nobody has confirmed, while it is used', () => {
    const unproven = new Set(['D']);
    expect(obstaclesTo(judged(input(['A', 'C', 'D', 'E'])), GRID, true, 0, unproven)).toEqual([
      { code: 'MARK_UNPROVEN', name: 'D' },
    ]);
    expect(obstaclesTo(judged(input(['A', 'B', 'C', 'E'])), GRID, true, 0, unproven)).toEqual([]);
  });

  it('is not doubted by chance: of faultless stations hardly one in fifty', () => {
    const stations = Array.from({ length: 300 }, (_, i) => codes(input(['A', 'C', 'D', 'E'], {}, 1000 + 77 * i)));
    expect(stations.filter((each) => each.length > 0).length).toBeLessThan(10);
  });

  it('is never given as good to what its own judgement refuses', () => {
    const fault = fc.constantFrom<Misreading>(
      (each) => ({ ...each, slope: each.slope! + 0.02 }),
      (each) => ({ ...each, slope: each.slope! * 1.0003 }),
      (each, i) => (i === 0 ? { ...each, circle: each.circle + 0.0005 } : each),
      (each, i) => (i === 1 ? { ...each, slope: each.slope! + 0.012 } : each),
      (each, i) => (i === 2 ? { ...each, targetHeight: each.targetHeight + 0.02 } : each),
      (each, i) => (i === 0 ? { ...each, slope: each.slope! - 0.008, targetHeight: each.targetHeight + 0.01 } : each),
    );
    let refused = 0;
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 1e6 }), fault, fc.boolean(), (seed, misread, five) => {
        const from = input(five ? ['A', 'B', 'C', 'D', 'E'] : ['A', 'C', 'D'], {}, seed, misread);
        if (judged(from).judgement.verdict !== 'refused') return;
        refused++;
        expect(against(from)).not.toEqual([]);
      }),
      { numRuns: 150, seed: 7 },
    );
    expect(refused).toBeGreaterThan(50);
  });

  it('names a prism constant, which no single mark shows', () => {
    const wrong = input(['A', 'B', 'C', 'D', 'E'], {}, 11, (each) => ({ ...each, slope: each.slope! + 0.03 }));
    // First, and without the marks that it pulls off.
    const obstacles = against(wrong);
    expect(obstacles[0]).toMatchObject({ code: 'FAULT', explanation: { code: 'PRISM_CONSTANT' } });
    expect(obstacles.map((each) => each.code)).not.toContain('MARK_MISFIT');
  });

  it('names the sight that lies beside its line', () => {
    const corner = { e: 1000, n: 2000 };
    const lines = [
      { name: 'A', from: corner, to: { e: 1000, n: 2060 }, sd: 0.002 },
      { name: '1', from: corner, to: { e: 1036, n: 2000 }, sd: 0.002 },
    ];
    const stand = { e: 1015, n: 2020 };
    const spots = [
      ['A', 1000, 2010],
      ['A', 1000, 2030],
      ['A', 1000.05, 2050],
      ['1', 1008, 2000],
      ['1', 1022, 2000],
      ['1', 1033, 2000],
    ] as const;
    const observations: LineStationInput['observations'] = spots.map(([line, e, n]) => ({
      line,
      face: 1,
      circle: (Math.atan2(e - stand.e, n - stand.n) + 4 * Math.PI) % (2 * Math.PI),
      zenith: Math.PI / 2,
      slope: Math.hypot(e - stand.e, n - stand.n),
      targetHeight: 1.5,
      targetHeightSd: 0.001,
      targetCentringSd: 0.001,
    }));
    const solved = stationOnLines({ instrument: PRECISION, reduction: REDUCTION, lines, observations, near: stand });
    if (!solved.ok) throw new Error(solved.error.code);
    expect(solved.value.judgement.verdict).toBe('refused');
    expect(obstaclesTo(solved.value, GRID, false, 2).map((each) => each.code)).toContain('LINE_MISFIT');
  });
});
