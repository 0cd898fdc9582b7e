import { describe, expect, it } from '@jest/globals';
import fc from 'fast-check';
import { exactCount } from './exactCount.ts';
import {
  convertLength,
  formatStation,
  parseDms,
  parseFeetInches,
  parseGon,
  parseStation,
  plainCutFill,
  plainDms,
  plainFeetInches,
  plainGon,
} from './fixedText.ts';

const value = fc.double({ min: -1e6, max: 1e6, noNaN: true });

describe('counting whole units', () => {
  it('judges the exact value of the double, not that of a rounded product', () => {
    // The double next to a sixth lies below it: three of them are less than a half, but the product is rounded to the
    // tie.
    expect((1 / 6) * 3).toBe(0.5);
    expect(exactCount(1 / 6, 3)).toBe(0);
    expect(exactCount(0.5, 1)).toBe(1);
    expect(exactCount(-0.5, 1)).toBe(-1);
    expect(exactCount(2.5, 1)).toBe(3);
  });

  it('is never further off than half a unit, and never minus zero', () => {
    fc.assert(
      fc.property(
        value,
        fc.integer({ min: 1, max: 7200 }),
        fc.integer({ min: 1, max: 9 }),
        (number, numerator, denominator) => {
          const count = exactCount(number, numerator, denominator);
          expect(Object.is(count, -0)).toBe(false);
          expect(Math.abs((number * numerator) / denominator - count)).toBeLessThanOrEqual(0.5 + 1e-5);
        },
      ),
    );
    expect(Object.is(exactCount(-1e-9, 16), 0)).toBe(true);
    expect(exactCount(5e-324, 1)).toBe(0);
    expect(exactCount(NaN, 16)).toBeNaN();
  });
});

describe('feet and inches', () => {
  it('are read back as they were written, to half of the fraction', () => {
    fc.assert(
      fc.property(value, fc.constantFrom(1, 2, 4, 8, 16, 32, 64), (feet, denominator) => {
        const back = parseFeetInches(plainFeetInches(feet, denominator))!;
        expect(Math.abs(back - feet)).toBeLessThanOrEqual(1 / (24 * denominator) + 1e-9);
      }),
    );
  });

  it.each([
    [7.9999, 16, `8'-0"`],
    [-0.0001, 16, `0'-0"`],
    [-3.375, 16, `-3'-4 1/2"`],
    [1 + 1 / 36, 3, `1'-0 1/3"`],
  ])('carry over and reduce: %d in 1/%d', (feet, denominator, text) =>
    expect(plainFeetInches(feet, denominator)).toBe(text),
  );

  it.each([
    ['12′-3 5/16″', 12 + 3.3125 / 12],
    [`12' - 3"`, 12.25],
    [`15"`, 1.25],
    ['-0.5', -0.5],
  ])('are read as people write them: %s', (text, feet) => expect(parseFeetInches(text)).toBeCloseTo(feet, 12));

  it.each([`6.25'-3"`, `12'-12"`, `5/16`, `3' 4`, `'`, `"`, `1/0"`, '1,5', `--1'`, '1e3'])(
    'are refused when they could mean two things: %s',
    (text) => expect(parseFeetInches(text)).toBeNull(),
  );
});

describe('stations', () => {
  it('are read back as they were written', () => {
    fc.assert(
      fc.property(
        value,
        fc.constantFrom('hundred' as const, 'thousand' as const, 'plain' as const),
        fc.integer({ min: 0, max: 4 }),
        (station, format, decimals) => {
          const text = formatStation(station, format, decimals);
          expect(text).not.toMatch(/^-[0+.]*$/);
          expect(Math.abs(parseStation(text, format)! - station)).toBeLessThanOrEqual(0.5 / 10 ** decimals + 1e-9);
        },
      ),
    );
  });

  it('carry over into the hundreds', () => {
    expect(formatStation(99.996, 'hundred', 2)).toBe('1+00.00');
    expect(formatStation(-0.004, 'hundred', 2)).toBe('0+00.00');
  });

  it.each(['12+134', '12+3', '+34', '12+', '1 2', '12.', '.5', '1e2', '٣+00'])(
    'are refused when they are not written so: %s',
    (text) => expect(parseStation(text, 'hundred')).toBeNull(),
  );
});

describe('angles', () => {
  it('are read back as they were written', () => {
    fc.assert(
      fc.property(
        fc.double({ min: -720, max: 720, noNaN: true }),
        fc.integer({ min: 0, max: 3 }),
        (degrees, decimals) => {
          expect(Math.abs(parseDms(plainDms(degrees, decimals))! - degrees) * 3600).toBeLessThanOrEqual(
            0.5 / 10 ** decimals + 1e-6,
          );
          expect(Math.abs(parseGon(plainGon(degrees, decimals))! - degrees)).toBeLessThanOrEqual(
            0.45 / 10 ** decimals + 1e-9,
          );
        },
      ),
    );
  });

  it('are wrapped to the turn as azimuths, also when they round up to it', () => {
    expect(plainDms(359.9999999, 0, true)).toBe(`0°00'00"`);
    expect(plainDms(-90, 0, true)).toBe(`270°00'00"`);
    expect(plainGon(359.9999999, 4, true)).toBe('0.0000');
    expect(plainGon(-0.9, 1, true)).toBe('399.0');
  });

  it.each([`12°60'`, `12°30'60"`, `12.5°30'`, `12°-30'`, `1 2 3 4`, 'N', `45'`, `45°30"`])(
    'are refused when a part can’t be: %s',
    (text) => expect(parseDms(text)).toBeNull(),
  );
});

describe('cut and fill', () => {
  it('say what to do, and nothing where there is nothing to do', () => {
    expect(plainCutFill(0.1235, { unit: 'm', decimals: 3 })).toBe('C 0.123 m');
    expect(plainCutFill(-2, { unit: 'ftIn', denominator: 16 })).toBe(`F 2'-0"`);
    expect(plainCutFill(-0.002, { unit: 'ftIn', denominator: 16 })).toBe('ON GRADE');
    expect(plainCutFill(0.004, { unit: 'ft', decimals: 2 })).toBe('ON GRADE');
  });
});

it('both feet are kept apart', () => {
  expect(convertLength(1e6, 'foot', 'usSurveyFoot')).toBeCloseTo(999_998, 6);
  expect(convertLength(3937, 'usSurveyFoot', 'metre')).toBeCloseTo(1200, 9);
});
