import { describe, expect, it } from '@jest/globals';
import {
  profileAt,
  profileExtremes,
  profileOf,
  type GradePoint,
  type Profile,
  type VerticalRounding,
} from '../src/index.ts';

const point = (station: number, z: number, rounding: VerticalRounding | null = null): GradePoint => ({
  station,
  z,
  rounding,
});
function made(...points: GradePoint[]): Profile {
  const profile = profileOf(points);
  if (!profile.ok) throw new Error(JSON.stringify(profile.error));
  return profile.value;
}
const fault = (...points: GradePoint[]) => {
  const profile = profileOf(points);
  return profile.ok ? null : profile.error;
};

describe('profiles', () => {
  it('give the equal-tangent curve of a textbook', () => {
    // C. D. Ghilani, P. R. Wolf, Elementary Surveying, example 25.1: +3.00 and −2.40 percent meet at 46+70, 853.48 ft;
    // 600 ft.
    const profile = made(
      point(4000, 853.48 - 670 * 0.03),
      point(4670, 853.48, { kind: 'parabola', length: 600 }),
      point(5200, 853.48 - 530 * 0.024),
    );
    expect(profile.curves[0]).toMatchObject({
      begin: { station: 4370, z: expect.closeTo(844.48, 9) },
      end: { station: 4970, z: expect.closeTo(846.28, 9) },
    });
    expect([4400, 4500, 4600, 4700, 4800, 4900].map((station) => profileAt(profile, station)!.z.toFixed(2))).toEqual([
      '845.34',
      '847.62',
      '849.00',
      '849.48',
      '849.06',
      '847.74',
    ]);
    expect(profileExtremes(profile)).toEqual([
      { kind: 'high', station: expect.closeTo(4370 + 600 * (3 / 5.4), 9), z: expect.closeTo(849.48, 2) },
    ]);
  });

  it.each([
    ['parabola', { kind: 'parabola', length: 80 }],
    ['unsymmetric parabola', { kind: 'unsymmetricParabola', lengthIn: 50, lengthOut: 20 }],
    ['circle', { kind: 'circular', radius: 900 }],
  ] as const)('run on without a jump in height or grade through a %s, a crest and a sag', (_, rounding) => {
    for (const sign of [1, -1]) {
      const profile = made(point(0, 10), point(100, 10 + sign * 4, rounding), point(220, 10 + sign * 1));
      for (const { begin, end } of profile.curves)
        for (const { station, z } of [begin, end]) {
          const [before, after] = [profileAt(profile, station - 1e-4)!, profileAt(profile, station + 1e-4)!];
          expect(before.z).toBeCloseTo(z, 4);
          expect(after.grade).toBeCloseTo(before.grade, 4);
        }
      for (let station = 1; station < 220; station += 3.7) {
        const [a, b, c] = [station - 1e-3, station, station + 1e-3].map((at) => profileAt(profile, at)!);
        expect((c!.z - a!.z) / 2e-3).toBeCloseTo(b!.grade, 5);
      }
      expect(profileExtremes(profile).map(({ kind }) => kind)).toEqual([sign > 0 ? 'high' : 'low']);
    }
  });

  it('have high and low points at breaks and where a curve of two meets level, none at the ends', () => {
    const level: VerticalRounding = { kind: 'unsymmetricParabola', lengthIn: 30, lengthOut: 30 };
    expect(profileExtremes(made(point(0, 0), point(100, 3, level), point(200, 0), point(300, 5)))).toEqual([
      { kind: 'high', station: 100, z: expect.closeTo(2.55, 9) },
      { kind: 'low', station: 200, z: 0 },
    ]);
    expect(profileExtremes(made(point(0, 0), point(50, 1), point(80, 1), point(120, 4)))).toEqual([]);
  });

  it('are nothing outside, and take the grade ahead at a break', () => {
    const profile = made(point(10, 5), point(20, 6), point(40, 5));
    expect(profileAt(profile, 9.9)).toBeNull();
    expect(profileAt(profile, 40.1)).toBeNull();
    expect(profileAt(profile, 20)).toEqual({ z: 6, grade: expect.closeTo(-0.05, 12) });
    expect(profile.breaks).toEqual([
      { station: 20, z: 6, gradeIn: expect.closeTo(0.1, 12), gradeOut: expect.closeTo(-0.05, 12) },
    ]);
  });

  it('are refused with the station that is wrong', () => {
    const curve = (length: number): VerticalRounding => ({ kind: 'parabola', length });
    expect(fault(point(0, 0))).toEqual({ code: 'PROFILE_TOO_SHORT', points: 1 });
    expect(fault(point(0, 0), point(50, 1), point(50, 2))).toEqual({
      code: 'PROFILE_NOT_RISING',
      station: 50,
      before: 50,
    });
    expect(fault(point(0, 0, curve(10)), point(50, 1))).toEqual({ code: 'PROFILE_CURVE_AT_END', station: 0 });
    expect(fault(point(0, 0), point(50, 1, curve(-4)), point(90, 1))).toEqual({
      code: 'PROFILE_CURVE_WITHOUT_SIZE',
      station: 50,
    });
    expect(fault(point(0, 0), point(50, 1, curve(60)), point(100, 1, curve(60)), point(200, 0))).toEqual({
      code: 'PROFILE_CURVES_OVERLAP',
      station: 50,
      next: 100,
      by: 10,
    });
    expect(fault(point(0, 0), point(50, 1, curve(120)), point(200, 0))).toMatchObject({
      code: 'PROFILE_CURVES_OVERLAP',
    });
  });
});
