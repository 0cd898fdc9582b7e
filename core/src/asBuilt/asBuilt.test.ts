import { describe, expect, it } from '@jest/globals';
import fc from 'fast-check';
import { faceAgainstLine, fitPattern, pointAlongOff, polar, type FaceShot, type SitePoint } from '../index.ts';

const line = { from: { e: 100, n: 200 }, to: { e: 130, n: 240 } };
const shot = (
  edge: FaceShot['edge'],
  level: FaceShot['level'],
  along: number,
  off: number,
  z: number | null = level === 'low' ? 1 : 4,
): FaceShot => ({
  edge,
  level,
  place: { ...pointAlongOff(line.from, line.to, along, off)!, z } satisfies SitePoint,
});

describe('a face against a line', () => {
  it('stands off by what its edges average to, less the target that is held against it', () => {
    const face = faceAgainstLine({
      line,
      shots: [shot('first', 'low', 7, 0.163), shot('second', 'low', 7.3, 0.169)],
      targetOffset: 0.012,
      width: 0.3,
    })!;
    expect(face.offset).toBeCloseTo(0.154, 12);
    expect(face.centreOffset).toBeCloseTo(0.004, 12);
    expect(face.centreAlong).toBeCloseTo(7.15, 12);
    expect(face.twist!.across).toBeCloseTo(0.006, 12);
    expect(face.twist!.angle).toBeCloseTo(Math.atan(0.02), 9);
    expect(face.lean).toBeNull();
  });
  it('on the left of the line has its middle toward the line', () => {
    const face = faceAgainstLine({ line, shots: [shot('middle', 'low', 7, -0.16)], targetOffset: 0.01, width: 0.3 })!;
    expect(face.offset).toBeCloseTo(-0.15, 12);
    expect(face.centreOffset).toBeCloseTo(0, 12);
    expect(face.twist).toBeNull();
    expect(face.centreAlong).toBeNull();
  });
  it('leans by what it gains on its way up, of the edges that were shot twice', () => {
    const face = faceAgainstLine({
      line,
      shots: [shot('first', 'low', 7, 0.15), shot('first', 'high', 7, 0.156), shot('second', 'low', 7.3, 0.15)],
      targetOffset: 0,
      width: null,
    })!;
    expect(face.lean).toEqual({ across: expect.closeTo(0.006, 12), over: expect.closeTo(3, 12) });
    expect(face.offset).toBeCloseTo(0.15, 12);
    expect(face.centreOffset).toBeNull();
  });
  it('has the spread of repeated shots beside their mean, whichever way the line runs', () => {
    fc.assert(
      fc.property(
        fc.array(fc.double({ min: 0.1, max: 0.2, noNaN: true }), { minLength: 2, maxLength: 6 }),
        (offsets) => {
          const shots = offsets.map((off) => shot('first', 'low', 5, off));
          const face = faceAgainstLine({ line, shots, targetOffset: 0, width: 0.2 })!;
          const back = faceAgainstLine({ line: { from: line.to, to: line.from }, shots, targetOffset: 0, width: 0.2 })!;
          expect(face.sides[0]!.spread).toBeCloseTo(Math.max(...offsets) - Math.min(...offsets), 9);
          expect(back.offset).toBeCloseTo(-face.offset, 9);
          expect(back.centreOffset).toBeCloseTo(-face.centreOffset!, 9);
        },
      ),
    );
  });
  it('is nothing without a shot, or against a line without length', () => {
    expect(faceAgainstLine({ line, shots: [], targetOffset: 0, width: null })).toBeNull();
    expect(
      faceAgainstLine({
        line: { from: line.from, to: line.from },
        shots: [shot('first', 'low', 1, 1)],
        targetOffset: 0,
        width: null,
      }),
    ).toBeNull();
  });
});

describe('a group as built', () => {
  const design = [0, 1, 2, 3].map((i) => ({ name: `b${i + 1}`, ...polar({ e: 50, n: 60 }, (i * Math.PI) / 2, 0.25) }));
  it('is told apart into shift, turn and what is left at each', () => {
    const turn = 0.004;
    const points = design.map((bolt, i) => ({
      name: bolt.name,
      design: bolt,
      built: {
        e: 50.003 + 0.25 * Math.sin((i * Math.PI) / 2 + turn) + (i === 2 ? 0.004 : 0),
        n: 59.998 + 0.25 * Math.cos((i * Math.PI) / 2 + turn),
      },
    }));
    const fit = fitPattern(points);
    if (!fit.ok) throw new Error(fit.error.code);
    expect(fit.value.shift).toEqual({ e: expect.closeTo(0.004, 9), n: expect.closeTo(-0.002, 9) });
    expect(fit.value.turn).toBeCloseTo(turn - 0.004, 3);
    expect(fit.value.worst.name).toBe('b3');
    const sum = fit.value.misfits.reduce((total, { e, n }) => ({ e: total.e + e, n: total.n + n }), { e: 0, n: 0 });
    expect(Math.hypot(sum.e, sum.n)).toBeCloseTo(0, 9);
  });
  it('needs two things apart', () => {
    expect(fitPattern([{ name: 'b1', design: design[0]!, built: design[0]! }])).toMatchObject({
      ok: false,
      error: { code: 'TOO_FEW_PAIRS' },
    });
  });
});
