import { describe, expect, it } from '@jest/globals';
import fc from 'fast-check';
import { polar } from '../plane/point.ts';
import { gradeAngle, stationGeometry, workOutside } from './geometry.ts';

const DEGREE = Math.PI / 180;
const STATION = { e: 4000, n: 8000 };
const at = (name: string, degrees: number, distance: number) => ({
  name,
  ...polar(STATION, degrees * DEGREE, distance),
});
const codes = (control: readonly ReturnType<typeof at>[], work: readonly ReturnType<typeof at>[] = []) =>
  stationGeometry(STATION, control, work).remarks.map((remark) => remark.code);

describe('the geometry of a station', () => {
  it('grades the angle between directions as the rules of thumb do', () => {
    expect([90, 60, 120, 50, 135, 30, 160, 5, 176].map((degrees) => gradeAngle(degrees * DEGREE))).toEqual([
      'good',
      'good',
      'good',
      'fair',
      'fair',
      'weak',
      'weak',
      'veryWeak',
      'veryWeak',
    ]);
  });

  it('warns of short sights, of all marks on one side, and of one line', () => {
    expect(codes([at('A', 10, 80), at('B', 130, 4), at('C', 250, 90)])).toEqual(['SHORT_SIGHT']);
    expect(codes([at('A', 10, 80), at('B', 60, 70), at('C', 110, 90)])).toEqual(['ONE_SIDE']);
    expect(codes([at('A', 10, 80), at('B', 192, 70), at('C', 14, 120)])).toEqual(['ONE_LINE']);
    expect(codes([at('A', 10, 80), at('B', 130, 70), at('C', 250, 90)])).toEqual([]);
  });

  it('warns when all marks stand on one wall, seen from off it', () => {
    const wall = [-30, 0, 40].map((along, i) => ({ name: `W${i}`, e: STATION.e + along, n: STATION.n + 50 + i * 0.1 }));
    expect(codes(wall)).toEqual(['ONE_WALL']);
    expect(codes([...wall, at('K', 200, 60)])).toEqual([]);
  });

  it('names the work outside, and none where the control spans nothing', () => {
    const control = [at('A', 10, 80), at('B', 130, 70), at('C', 250, 90)];
    expect(workOutside(STATION, control, [at('M1', 40, 10), at('M2', 90, 200)]).map((mark) => mark.name)).toEqual([
      'M2',
    ]);
    expect(workOutside(STATION, control.slice(0, 1), [at('M2', 90, 200)])).toEqual([]);
  });

  it('counts the work that lies outside of the control, and says how far it reaches', () => {
    const control = [at('A', 10, 80), at('B', 130, 70), at('C', 250, 90)];
    const { remarks } = stationGeometry(STATION, control, [at('M1', 40, 10), at('M2', 90, 200)]);
    expect(remarks.map((remark) => remark.code)).toEqual(['WORK_FAR', 'WORK_OUTSIDE']);
    expect(remarks[0]!.code === 'WORK_FAR' && remarks[0]!.times).toBeCloseTo(200 / 90, 6);
    expect(remarks[1]).toEqual({ code: 'WORK_OUTSIDE', count: 1, of: 2 });
  });

  it('does not change when the whole site is turned', () => {
    fc.assert(
      fc.property(
        fc.array(fc.tuple(fc.integer({ min: 0, max: 359 }), fc.integer({ min: 6, max: 150 })), {
          minLength: 2,
          maxLength: 6,
        }),
        fc.integer({ min: 0, max: 359 }),
        (marks, turn) => {
          const turned = (by: number) => marks.map(([degrees, distance], i) => at(`K${i}`, degrees + by, distance));
          const [a, b] = [stationGeometry(STATION, turned(0), []), stationGeometry(STATION, turned(turn), [])];
          expect(Math.abs(b.bestAngle! - Math.PI / 2)).toBeCloseTo(Math.abs(a.bestAngle! - Math.PI / 2), 9);
        },
      ),
    );
  });
});
