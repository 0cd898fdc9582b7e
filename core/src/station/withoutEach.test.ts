import { describe, expect, it } from '@jest/globals';
import { listed, observe, PRECISION, REDUCTION, SETUP } from '../../test/perfect.ts';
import { resection, type ResectionInput } from './resection.ts';
import { withoutEach } from './withoutEach.ts';

const STATION = { e: 4150, n: 8090, z: 5, orientation: 0.7 };
const MARKS = {
  A: { e: 4042, n: 8038, z: 4.2 },
  B: { e: 4118, n: 8021, z: 4.6 },
  C: { e: 4236, n: 8033, z: 5.0 },
  D: { e: 4190, n: 8160, z: 5.2 },
} as const;
const input = (
  names: readonly (keyof typeof MARKS)[],
  moved: Partial<Record<keyof typeof MARKS, number>> = {},
): ResectionInput => ({
  instrument: PRECISION,
  setup: SETUP,
  reduction: REDUCTION,
  freeScale: false,
  points: names.map((name) => listed(name, MARKS[name])),
  observations: names.map((name) => observe(STATION, name, { ...MARKS[name], e: MARKS[name].e + (moved[name] ?? 0) })),
});
const solved = (given: ResectionInput) => {
  const result = resection(given);
  if (!result.ok) throw new Error(result.error.code);
  return withoutEach(given, result.value);
};

describe('a station without each of its marks', () => {
  it('stays where it is when all fit, and is less good', () => {
    const given = input(['A', 'B', 'C', 'D']);
    const { marks, perfectMarks } = solved(given);
    const whole = resection(given);
    expect(marks.map((mark) => mark.name)).toEqual(['A', 'B', 'C', 'D']);
    for (const mark of marks) {
      expect(Math.hypot(mark.dE, mark.dN)).toBeLessThan(1e-6);
      expect(mark.radius95).toBeGreaterThan(whole.ok ? whole.value.ellipse95.a : Infinity);
      expect(mark.checkability).toBe('checked');
      expect(mark.ratio).toBeLessThan(1e-3);
    }
    expect(perfectMarks).toBeLessThan(whole.ok ? whole.value.ellipse95.a : 0);
  });

  it('moves, and the others agree, only when the one that moved is left out', () => {
    const { marks } = solved(input(['A', 'B', 'C', 'D'], { C: 0.03 }));
    const of = (name: string) => marks.find((mark) => mark.name === name)!;
    expect(of('C').ratio).toBeGreaterThan(1);
    expect(of('C').othersWithin).toBeLessThan(1e-5);
    expect(of('A').othersWithin).toBeGreaterThan(0.005);
    expect(Math.hypot(of('C').dE, of('C').dN)).toBeGreaterThan(0.002);
  });

  it('is nothing that checks itself when only two would be left', () => {
    expect(solved(input(['A', 'B', 'C'])).marks.map((mark) => mark.checkability)).toEqual([
      'unchecked',
      'unchecked',
      'unchecked',
    ]);
    expect(solved(input(['A', 'B'])).marks).toEqual([]);
  });
});
