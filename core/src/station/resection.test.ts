import { describe, expect, it } from '@jest/globals';
import fc from 'fast-check';
import { RADIANS_PER_SECOND } from '../quantity/unit.ts';
import { normal } from '../simulator/random.ts';
import type { ControlPoint, Observation } from '../sight/observation.ts';
import { judgeStation, type Judgement } from './judgement.ts';
import { resection, type ResectionInput } from './resection.ts';

const MARKS: readonly (readonly [string, number, number, number])[] = [
  ['A', 4042.318, 8038.774, 4.212],
  ['B', 4118.905, 8021.46, 4.638],
  ['C', 4236.127, 8033.915, 5.02],
  ['D', 4268.871, 8152.664, 5.914],
  ['E', 4096.758, 8168.092, 5.732],
];

interface Shift {
  readonly mark: string;
  readonly e?: number;
  readonly n?: number;
  readonly z?: number;
}

/** Sights from a known place, with noise by seed, to marks of which one may have moved. */
function observed(
  place: { e: number; n: number; z: number; orientation: number },
  marks: readonly string[],
  seed: number | null,
  shift?: Shift,
): ResectionInput {
  let random = seed ?? 0;
  const noise = (sd: number) => {
    if (seed === null) return 0;
    const draw = normal(random);
    random = draw.state;
    return draw.value * sd;
  };
  const chosen = MARKS.filter(([name]) => marks.includes(name));
  const observations = chosen.map(([name, e, n, z]): Observation => {
    const moved: Partial<Shift> = shift?.mark === name ? shift : {};
    const de = e + (moved.e ?? 0) - place.e + noise(0.002);
    const dn = n + (moved.n ?? 0) - place.n + noise(0.002);
    const horizontal = Math.hypot(de, dn);
    const vertical = z + (moved.z ?? 0) + noise(0.002) + 1.5 - place.z - 1.6 - (0.87 * horizontal ** 2) / (2 * 6371000);
    return {
      point: name,
      face: 1,
      circle: Math.atan2(de, dn) - place.orientation + noise(RADIANS_PER_SECOND) + 4 * Math.PI,
      zenith: Math.atan2(horizontal, vertical) + noise(RADIANS_PER_SECOND),
      slope: Math.hypot(horizontal, vertical) + noise(0.001),
      targetHeight: 1.5,
      targetHeightSd: 0.001,
      targetCentringSd: 0.001,
      usePlan: true,
      useHeight: true,
    };
  });
  return {
    instrument: { angleSd: RADIANS_PER_SECOND, distanceSd: 0.001, distanceSdRatio: 1.5e-6 },
    setup: { instrumentHeight: 1.6, instrumentHeightSd: 0.001 },
    reduction: {
      combinedScaleFactor: 1,
      refraction: 0.13,
      earthRadius: 6371000,
      prismConstant: 0,
      atmosphericRatio: 0,
    },
    freeScale: false,
    points: chosen.map(([name, e, n, z]): ControlPoint => ({ name, e, n, z, sdPlan: 0.002, sdHeight: 0.002 })),
    observations,
  };
}

const PLACE = { e: 4189, n: 8095, z: 5.8, orientation: 1.234 };
const solve = (input: ResectionInput) => {
  const result = resection(input);
  if (!result.ok) throw new Error(result.error.code);
  return result.value;
};

describe('resection', () => {
  it('finds any place and orientation from perfect sights', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 4060, max: 4250, noNaN: true }),
        fc.double({ min: 8040, max: 8150, noNaN: true }),
        fc.double({ min: 0, max: 6.28, noNaN: true }),
        (e, n, orientation) => {
          const result = solve(observed({ e, n, z: 5, orientation }, ['A', 'B', 'C', 'D'], null));
          expect(result.e).toBeCloseTo(e, 6);
          expect(result.n).toBeCloseTo(n, 6);
          expect(result.height!.z).toBeCloseTo(5, 6);
          expect(Math.cos(result.orientation - orientation)).toBeCloseTo(1, 12);
        },
      ),
      { numRuns: 60 },
    );
  });

  it('does not change when the whole site is shifted or turned', () => {
    const input = observed(PLACE, ['A', 'B', 'C', 'D', 'E'], 11);
    const before = solve(input);
    const angle = 0.7;
    const turn = (e: number, n: number) => ({
      e: 500_000 + e * Math.cos(angle) + n * Math.sin(angle),
      n: 5_000_000 + n * Math.cos(angle) - e * Math.sin(angle),
    });
    const after = solve({ ...input, points: input.points.map((point) => ({ ...point, ...turn(point.e!, point.n!) })) });
    const expected = turn(before.e, before.n);
    expect(after.e).toBeCloseTo(expected.e, 6);
    expect(after.n).toBeCloseTo(expected.n, 6);
    expect(after.sumOfSquares).toBeCloseTo(before.sumOfSquares, 4);
    expect(after.ellipse.a).toBeCloseTo(before.ellipse.a, 9);
  });

  it('gives the same place when all standard deviations are scaled alike, and an ellipse scaled with them', () => {
    const input = observed(PLACE, ['A', 'B', 'C', 'D'], 5);
    const twice: ResectionInput = {
      ...input,
      instrument: {
        angleSd: 2 * input.instrument.angleSd,
        distanceSd: 2 * input.instrument.distanceSd,
        distanceSdRatio: 2 * input.instrument.distanceSdRatio,
      },
      points: input.points.map((point) => ({ ...point, sdPlan: 0.004, sdHeight: 0.004 })),
      observations: input.observations.map((each) => ({ ...each, targetCentringSd: 0.002, targetHeightSd: 0.002 })),
    };
    const [one, two] = [solve(input), solve(twice)];
    expect(two.e).toBeCloseTo(one.e, 6);
    expect(two.ellipse.a / one.ellipse.a).toBeCloseTo(2, 4);
    expect(one.sumOfSquares / two.sumOfSquares).toBeCloseTo(4, 2);
  });

  it('has redundancy numbers that add up to the degrees of freedom', () => {
    const result = solve(observed(PLACE, ['A', 'B', 'C', 'D', 'E'], 3));
    const plan = result.observations.reduce(
      (sum, each) => sum + each.direction!.redundancy + each.distance!.redundancy,
      0,
    );
    expect(plan).toBeCloseTo(result.fit.dof, 9);
    expect(result.observations.reduce((sum, each) => sum + each.height!.redundancy, 0)).toBeCloseTo(
      result.height!.fit.dof,
      9,
    );
  });

  it('solves three directions alone, and a distance with a direction', () => {
    const input = observed(PLACE, ['A', 'C', 'E'], null);
    const directions = {
      ...input,
      observations: input.observations.map((each) => ({ ...each, slope: null, useHeight: false })),
    };
    const byDirections = solve(directions);
    expect(Math.hypot(byDirections.e - PLACE.e, byDirections.n - PLACE.n)).toBeLessThan(1e-6);
    expect(byDirections.fit.dof).toBe(0);
    const mixed = {
      ...input,
      observations: input.observations
        .slice(0, 2)
        .map((each, i) => (i === 1 ? { ...each, slope: null, useHeight: false } : each)),
    };
    const byBoth = solve(mixed);
    expect(Math.hypot(byBoth.e - PLACE.e, byBoth.n - PLACE.n)).toBeLessThan(1e-6);
  });

  it('refuses the circle through the marks, where directions alone say nothing', () => {
    const circle = (t: number) => ({ e: 100 * Math.sin(t), n: 100 * Math.cos(t) });
    const at = circle(4);
    const points = [0.3, 1.5, 2.6].map((t, i): ControlPoint => ({
      name: `K${i}`,
      ...circle(t),
      z: null,
      sdPlan: 0.002,
      sdHeight: null,
    }));
    const base = observed(PLACE, ['A'], null);
    const observations = points.map((point): Observation => ({
      ...base.observations[0]!,
      point: point.name,
      slope: null,
      useHeight: false,
      circle: Math.atan2(point.e! - at.e, point.n! - at.n) + 7,
    }));
    expect(resection({ ...base, points, observations })).toMatchObject({ ok: false, error: { code: 'UNDETERMINED' } });
  });
});

describe('judgement', () => {
  const judge = (input: ResectionInput, times: Readonly<Record<string, number>> = {}): Judgement => {
    const judged = judgeStation(input, { times: new Map(Object.entries(times)) });
    if (!judged.ok) throw new Error(judged.error.code);
    return judged.value.judgement;
  };

  it('calls two marks unchecked, and says why', () => {
    const judged = judge(observed(PLACE, ['A', 'C'], 2));
    expect(judged).toMatchObject({ verdict: 'unchecked', checkability: 'unchecked' });
    expect(judged.because.map((each) => each.code)).toContain('TWO_MARKS');
    expect(judged.doThis.map((step) => step.code)).toEqual(['SIGHT_ANOTHER']);
  });

  it('names the mark that was knocked, by how much and whither', () => {
    let named = 0;
    for (let seed = 1; seed <= 40; seed++) {
      const { best } = judge(
        observed(PLACE, ['A', 'B', 'C', 'D', 'E'], seed, { mark: 'D', e: 0.018, n: 0.018 }),
      ).explained!;
      if (best?.figures.code !== 'MARK_MOVED_PLAN') continue;
      named++;
      expect(best.points).toEqual(['D']);
      expect(Math.hypot(best.figures.dE - 0.018, best.figures.dN - 0.018)).toBeLessThan(0.012);
    }
    expect(named).toBeGreaterThan(32);
  });

  it('names the mark that has heaved, and that it stands higher', () => {
    const { best } = judge(observed(PLACE, ['A', 'B', 'C', 'D', 'E'], 4, { mark: 'C', z: 0.02 })).explained!;
    expect(best).toMatchObject({ code: 'MARK_MOVED_HEIGHT', points: ['C'] });
    if (best?.figures.code === 'MARK_MOVED_HEIGHT') expect(best.figures.dZ).toBeGreaterThan(0.01);
  });

  it('leaves good marks in peace', () => {
    let accused = 0;
    for (let seed = 1; seed <= 300; seed++) {
      const { best } = judge(observed(PLACE, ['A', 'B', 'C', 'D', 'E'], seed * 7919)).explained!;
      if (best !== null && best.code !== 'NONE') accused++;
    }
    expect(accused).toBeLessThanOrEqual(3);
  });

  it('asks for a repeat first, and to leave out what repeated; of three none is left out', () => {
    const input = observed(PLACE, ['A', 'B', 'C', 'D', 'E'], 1, { mark: 'D', e: 0.03 });
    const codes = (judged: Judgement) => judged.doThis.map((step) => step.code);
    expect(codes(judge(input))).toEqual(['CHECK_NAME', 'LEVEL_POLE', 'SIGHT_AGAIN', 'LEAVE_OUT_PLAN']);
    expect(codes(judge(input, { D: 2 }))).toEqual(['CHECK_NAME', 'LEAVE_OUT_PLAN']);
    const three = judge(observed(PLACE, ['A', 'C', 'E'], 6, { mark: 'E', e: 0.05 }));
    expect(codes(three)).not.toContain('LEAVE_OUT_PLAN');
  });

  it('says when a mark is sighted over and over', () => {
    const often = judge(observed(PLACE, ['A', 'B', 'C', 'D', 'E'], 1), { B: 4 });
    expect(often.because).toContainEqual({ code: 'SIGHTED_OFTEN', name: 'B', times: 4 });
  });

  it('gives the smallest mistake that would be noticed at each mark', () => {
    const { unnoticed, height } = judge(observed(PLACE, ['A', 'B', 'C', 'D', 'E'], 1)).reliability!;
    const marks = unnoticed.filter((each) => each.fault === 'PLACE');
    expect(marks.map((each) => each.names[0]).sort()).toEqual(['A', 'B', 'C', 'D', 'E']);
    for (const { noticed, effect } of marks) {
      expect(noticed!).toBeGreaterThan(0.006);
      expect(noticed!).toBeLessThan(0.05);
      expect(effect!).toBeLessThan(noticed!);
    }
    for (const { noticed } of height!.unnoticed) expect(noticed!).toBeGreaterThan(0.006);
    expect(judge(observed(PLACE, ['A', 'C'], 2)).reliability!.unnoticed.map((each) => each.noticed)).toEqual([
      null,
      null,
    ]);
  });

  it('tells a height misfit that grows with distance from one that does not', () => {
    const input = observed(PLACE, ['A', 'B', 'C', 'D', 'E'], 3);
    // A zenith index of half a minute: 15 mm in 100 m.
    const tilted = {
      ...input,
      observations: input.observations.map((each) => ({ ...each, zenith: each.zenith + 30 * RADIANS_PER_SECOND })),
    };
    expect(judge(tilted).because.map((each) => each.code)).toContain('HEIGHT_GROWS');
    expect(judge(input).because.map((each) => each.code)).not.toContain('HEIGHT_GROWS');
  });
});
