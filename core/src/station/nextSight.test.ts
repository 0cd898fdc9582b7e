import { describe, expect, it } from '@jest/globals';
import { listed, observe, PRECISION, REDUCTION, SETUP, type TrueStation } from '../../test/perfect.ts';
import { addedSight } from './freeReliability.ts';
import { judgeStation } from './judgement.ts';
import { USUALLY_ASKED } from './reliability.ts';
import { largestRatio, resection, type ResectionInput } from './resection.ts';

const PLACES = {
  A: { e: 4042, n: 8038, z: 4.2 },
  B: { e: 4118, n: 8021, z: 4.6 },
  C: { e: 4236, n: 8033, z: 5.0 },
  D: { e: 4268, n: 8152, z: 5.9 },
  E: { e: 4096, n: 8168, z: 5.7 },
} as const;
type Name = keyof typeof PLACES;
const STATION: TrueStation = { e: 4187, n: 8099, z: 5.8, orientation: 2.5 };
const POLE = { targetHeight: 1.5, targetHeightSd: 0.001, targetCentringSd: 0.001 };

const input = (names: readonly Name[], moved: Partial<Record<Name, number>> = {}): ResectionInput => ({
  instrument: PRECISION,
  setup: SETUP,
  reduction: REDUCTION,
  freeScale: false,
  points: names.map((name) => listed(name, { ...PLACES[name], e: PLACES[name].e + (moved[name] ?? 0) })),
  observations: names.map((name) => observe(STATION, name, PLACES[name])),
});
const solve = (from: ResectionInput) => {
  const result = resection(from);
  if (!result.ok) throw new Error(result.error.code);
  return result.value;
};

const judged = (from: ResectionInput) => {
  const found = judgeStation(from, { pole: POLE });
  if (!found.ok || !found.value.result) throw new Error('no station');
  const { result, judgement, extensible } = found.value;
  return { result, judgement, extensible: extensible! };
};

describe('what one more sight would add', () => {
  const two = judged(input(['A', 'B'])).extensible;

  it('is what it adds once it is taken', () => {
    for (const name of ['C', 'D', 'E'] as const) {
      const told = addedSight(two, listed(name, PLACES[name]), USUALLY_ASKED)!;
      const { result, judgement } = judged(input(['A', 'B', name]));
      expect(told.radius95).toBeCloseTo(result.ellipse95.a, 6);
      expect(told.checkability).toBe(judgement.checkability);
      expect(told.worst!.effect).toBeCloseTo(judgement.reliability!.unnoticed[0]!.effect!, 5);
    }
  });

  it('is more from the far side than from between two marks', () => {
    const between = addedSight(two, listed('M', { e: 4080, n: 8030, z: 4.4 }), USUALLY_ASKED)!;
    const across = addedSight(two, listed('D', PLACES.D), USUALLY_ASKED)!;
    expect(across.radius95).toBeLessThan(between.radius95);
    expect(across.worst!.effect!).toBeLessThan(between.worst!.effect!);
  });

  it('checks nothing where it stands on the post of one that is there', () => {
    const beside = addedSight(two, listed('M', { ...PLACES.B, e: PLACES.B.e + 0.3 }), USUALLY_ASKED)!;
    expect(beside).toMatchObject({ checkability: 'unchecked', worst: { effect: null } });
  });

  it('is nothing for a benchmark without a place', () => {
    expect(addedSight(two, { ...listed('BM', PLACES.C), e: null, n: null }, USUALLY_ASKED)).toBeNull();
  });
});

describe('the judgement of a station', () => {
  const judge = (marks: Parameters<typeof input>[0], moved: Readonly<Record<string, number>> = {}) => {
    const judged = judgeStation(input(marks, moved));
    if (!judged.ok) throw new Error(judged.error.code);
    return judged.value.judgement;
  };

  it('names the mark that moved', () => {
    expect(judge(['A', 'B', 'C', 'D', 'E'], { B: 0.03 }).explained!.best).toMatchObject({
      code: 'MARK_MOVED_PLAN',
      points: ['B'],
    });
    expect(largestRatio(solve(input(['A', 'B', 'C', 'D', 'E'], { B: 0.03 })), 'B')!).toBeGreaterThan(3.3);
  });

  it('says of two marks that nothing would catch a mistake', () => {
    expect(judge(['A', 'C']).because.map((each) => each.code)).toContain('TWO_MARKS');
  });

  it('finds nothing to say against perfect sights', () => {
    expect(judge(['A', 'B', 'C', 'D', 'E']).because.map((each) => each.code)).toEqual(['FITS']);
    expect(largestRatio(solve(input(['A', 'C', 'D'])), 'nobody')).toBeNull();
  });

  it('grows from unchecked over checked to traceable', () => {
    expect(judged(input(['A', 'C'])).judgement.checkability).toBe('unchecked');
    expect(judged(input(['A', 'C', 'D'])).judgement.checkability).toBe('checked');
    expect(judged(input(['A', 'C', 'D', 'E'])).judgement.checkability).toBe('traceable');
  });
});
