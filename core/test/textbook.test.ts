/** Results that textbooks give in closed form, or by another construction, against the adjustment. */
import { describe, expect, it } from '@jest/globals';
import fc from 'fast-check';
import { resection, type ResectionInput } from '../src/index.ts';
import type { PlanPoint } from '../src/index.ts';
import { PRECISION, REDUCTION, SETUP } from './perfect.ts';

const azimuth = (from: PlanPoint, to: PlanPoint) => Math.atan2(to.e - from.e, to.n - from.n);
const distance = (from: PlanPoint, to: PlanPoint) => Math.hypot(to.e - from.e, to.n - from.n);
const turn = (angle: number) => ((angle % (2 * Math.PI)) + 2 * Math.PI) % (2 * Math.PI);

/**
 * Three-point resection by Collins' auxiliary point. Source: Schofield, Breach, "Engineering Surveying", resection: the
 * circle through A, B and the station meets the line to C again in H; angles at A and B give H, and H with C the
 * azimuths from the station.
 */
function collins(a: PlanPoint, b: PlanPoint, c: PlanPoint, alpha: number, beta: number): PlanPoint {
  // alpha: angle at the station from A to C; beta: from C to B, both clockwise. Angles over one chord are equal.
  const ab = azimuth(a, b);
  const ah = (distance(a, b) * Math.sin(alpha)) / Math.sin(alpha + beta);
  const h = { e: a.e + ah * Math.sin(ab - beta), n: a.n + ah * Math.cos(ab - beta) };
  // H may lie this side of C or beyond it: the station is where the line to C really points to C.
  for (const towardC of [azimuth(h, c), azimuth(h, c) + Math.PI]) {
    const [sa, ca] = [Math.sin(towardC - alpha), Math.cos(towardC - alpha)];
    const [sb, cb] = [Math.sin(towardC + beta), Math.cos(towardC + beta)];
    const t = ((a.e - b.e) * cb - (a.n - b.n) * sb) / (sa * cb - ca * sb);
    const station = { e: a.e - t * sa, n: a.n - t * ca };
    if (t > 0 && Math.cos(azimuth(station, c) - towardC) > 0) return station;
  }
  throw new Error('no construction');
}

function input(
  marks: readonly (PlanPoint & { readonly name: string })[],
  station: PlanPoint,
  orientation: number,
  withDistance: boolean,
): ResectionInput {
  return {
    instrument: PRECISION,
    setup: SETUP,
    reduction: { ...REDUCTION, combinedScaleFactor: 1 },
    freeScale: false,
    points: marks.map((mark) => ({ ...mark, z: null, sdPlan: 0, sdHeight: null })),
    observations: marks.map((mark) => ({
      point: mark.name,
      face: 1 as const,
      circle: turn(azimuth(station, mark) - orientation),
      zenith: Math.PI / 2,
      slope: withDistance ? distance(station, mark) : null,
      targetHeight: 1.5,
      targetHeightSd: 0.001,
      targetCentringSd: 0.0005,
      usePlan: true,
      useHeight: false,
    })),
  };
}

describe('three directions', () => {
  it('give the station that Collins’ construction gives', () => {
    // Well inside of the circle through the three marks, on which no three directions give a station.
    fc.assert(
      fc.property(
        fc.double({ min: -40, max: 40, noNaN: true }),
        fc.double({ min: -30, max: 30, noNaN: true }),
        fc.double({ min: 0, max: 6, noNaN: true }),
        (e, n, o) => {
          const [a, b, c] = [
            { name: 'A', e: -120, n: 60 },
            { name: 'B', e: 130, n: 40 },
            { name: 'C', e: 10, n: 180 },
          ] as const;
          const station = { e, n };
          const alpha = turn(azimuth(station, c) - azimuth(station, a));
          const beta = turn(azimuth(station, b) - azimuth(station, c));
          const built = collins(a, b, c, alpha, beta);
          const solved = resection(input([a, b, c], station, o, false));
          if (!solved.ok) throw new Error(solved.error.code);
          expect(built.e).toBeCloseTo(e, 6);
          expect(built.n).toBeCloseTo(n, 6);
          expect(solved.value.e).toBeCloseTo(built.e, 5);
          expect(solved.value.n).toBeCloseTo(built.n, 5);
        },
      ),
    );
  });

  it('give none on the circle through the three marks, the danger circle', () => {
    // Schofield, Breach: on that circle the angles are the same everywhere.
    const on = (degrees: number, name: string) => ({
      name,
      e: 100 * Math.sin((degrees * Math.PI) / 180),
      n: 100 * Math.cos((degrees * Math.PI) / 180),
    });
    const station = on(200, 'S');
    expect(resection(input([on(-40, 'A'), on(10, 'B'), on(70, 'C')], station, 1, false))).toMatchObject({
      ok: false,
      error: { code: 'UNDETERMINED' },
    });
  });
});

describe('the figures of an adjustment', () => {
  const square = [
    { name: 'N', e: 0, n: 100 },
    { name: 'E', e: 100, n: 0 },
    { name: 'S', e: 0, n: -100 },
    { name: 'W', e: -100, n: 0 },
  ];

  it('of a station in the middle of four like marks are those of the mean: round, and half of one sight', () => {
    // Ghilani, "Adjustment Computations": independent equal observations. By symmetry every sight weighs alike in E and
    // N.
    const solved = resection(input(square, { e: 0, n: 0 }, 0.4, true));
    if (!solved.ok) throw new Error(solved.error.code);
    const { value } = solved;
    const varPlace = 0.0005 ** 2;
    const varRadial = PRECISION.distanceSd ** 2 + (PRECISION.distanceSdRatio * 100) ** 2 + varPlace;
    const varLateral = (PRECISION.angleSd * 100) ** 2 + varPlace;
    // Two sights along an axis measure it by distance, two by direction; a shift is held by both pairs.
    const weight = 2 / varRadial + 2 / varLateral;
    expect(value.sdE).toBeCloseTo(Math.sqrt(1 / weight), 9);
    expect(value.sdN).toBeCloseTo(Math.sqrt(1 / weight), 9);
    expect(value.ellipse.a).toBeCloseTo(value.ellipse.b, 9);
    expect(value.sdOrientation).toBeCloseTo(Math.sqrt(varLateral / 4) / 100, 10);
  });

  it('have redundancy numbers that sum to the surplus, and detectable biases of 4.13 over their root', () => {
    // Baarda, "A Testing Procedure for Use in Geodetic Networks" (1968): level 0.001, power 0.80.
    fc.assert(
      fc.property(
        fc.double({ min: -60, max: 60, noNaN: true }),
        fc.double({ min: -60, max: 60, noNaN: true }),
        (e, n) => {
          const solved = resection(input(square, { e, n }, 2, true));
          if (!solved.ok) throw new Error(solved.error.code);
          const parts = solved.value.observations.flatMap((each) => [each.direction!, each.distance!]);
          expect(parts.reduce((sum, part) => sum + part.redundancy, 0)).toBeCloseTo(solved.value.fit.dof, 6);
          for (const part of parts)
            expect(part.detectableBias! / part.sd).toBeCloseTo(4.13 / Math.sqrt(part.redundancy), 6);
        },
      ),
    );
  });

  it('do not change when readings are given in another order', () => {
    const there = { e: 12, n: -30 };
    const forward = resection(input(square, there, 1, true));
    const backward = resection(input([...square].reverse(), there, 1, true));
    if (!forward.ok || !backward.ok) throw new Error('no station');
    expect(backward.value.ellipse95.a).toBeCloseTo(forward.value.ellipse95.a, 12);
    expect(backward.value.sumOfSquares).toBeCloseTo(forward.value.sumOfSquares, 9);
  });
});
