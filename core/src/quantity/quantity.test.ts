import { describe, expect, it } from '@jest/globals';
import fc from 'fast-check';
import { formatAngle, parseAngle, sexagesimalExcess, sexagesimalOrDecimal, wrapHalfTurn, wrapTurn } from './angle.ts';
import {
  formatFeetInches,
  formatLength,
  formatSigned,
  lengthFromMetres,
  lengthToMetres,
  parseLength,
  sharedLead,
  steadyDigits,
  apartByBlanks,
  twoReadings,
} from './length.ts';
import { METRES_PER_UNIT, RADIANS_PER_DEGREE } from './unit.ts';

describe('lengths', () => {
  it('keeps the two feet apart: 2 ppm, 1.2 m at 2 000 000 ft', () => {
    expect(lengthToMetres(2_000_000, 'usSurveyFoot') - lengthToMetres(2_000_000, 'foot')).toBeCloseTo(1.2192, 4);
    expect(METRES_PER_UNIT.usSurveyFoot * 3937).toBeCloseTo(1200, 10);
  });

  it.each([
    ['1.5', 'metre', 1.5],
    ['1,5', 'metre', 1.5],
    ['4.92 ft', 'metre', 4.92 * 0.3048],
    ['1.5 m', 'foot', 1.5],
    ['4\' 11 1/16"', 'foot', ((4 * 12 + 11 + 1 / 16) / 12) * 0.3048],
    ["-2'", 'foot', -2 * 0.3048],
    ['11 1/2"', 'usSurveyFoot', (11.5 / 12) * (1200 / 3937)],
    ['−0.25', 'metre', -0.25],
    ['4 and 35 hundredths', 'foot', 4.35 * 0.3048],
    ['3 tenths', 'foot', 0.3 * 0.3048],
    ['2 and 5 thousandths', 'metre', 2.005],
    [".5'", 'foot', 0.5 * 0.3048],
    ["-.5'", 'foot', -0.5 * 0.3048],
    ["5.25'", 'metre', 5.25 * 0.3048],
    ['.5"', 'foot', (0.5 / 12) * 0.3048],
    ["5' 6", 'foot', 5.5 * 0.3048],
    ["5'6", 'metre', 5.5 * 0.3048],
    ["5' 6 1/2", 'foot', (5 + 6.5 / 12) * 0.3048],
    ["5' .5", 'foot', (5 + 0.5 / 12) * 0.3048],
    ['5-6 1/2', 'foot', (5 + 6.5 / 12) * 0.3048],
    ['5-6-1/2', 'foot', (5 + 6.5 / 12) * 0.3048],
    ['-5-6 1/2', 'usSurveyFoot', -(5 + 6.5 / 12) * (1200 / 3937)],
    ['11-1/2"', 'foot', (11.5 / 12) * 0.3048],
  ] as const)('reads %s on a site in %s', (text, unit, metres) => {
    expect(parseLength(text, unit)).toBeCloseTo(metres, 12);
  });

  it.each([
    '',
    'abc',
    '1.2.3',
    '1 2',
    'NaN',
    'Infinity',
    '1e5',
    '5\' 1/0"',
    '--1',
    '3 halves',
    '5-6 1/2',
    '5-6',
    "5'-",
    '"',
    "'",
  ])('does not read %s', (text) => {
    expect(parseLength(text, 'metre')).toBeNull();
  });

  it('offers both readings of what could be meant in two ways', () => {
    expect(parseLength('5-6', 'foot')).toBeNull();
    const metric = twoReadings('5-6 1/2', 'metre')!;
    expect(metric.feetAndInches).toBeCloseTo((5 + 6.5 / 12) * 0.3048, 12);
    expect(metric.difference).toBeCloseTo(-1.5, 12);
    expect(twoReadings('5-6', 'foot')!.feetAndInches).toBeCloseTo(5.5 * 0.3048, 12);
    for (const text of ['5-6 1/2', '5.5', '5-13', 'abc']) expect(twoReadings(text, 'foot')).toBeNull();
  });

  it.each([
    ['line 5-6 1/2', ['line', '5-6 1/2']],
    ['  line 5\' 6 1/2" left', ['line', '5\' 6 1/2"', 'left']],
    ["30' 40'", ["30'", "40'"]],
    ["24' 6\"  25'", ['24\' 6"', "25'"]],
    ["5' 6 1/2 7' 2 3/4", ["5' 6 1/2", "7' 2 3/4"]],
    ['5-6-1/2 7.2', ['5-6-1/2', '7.2']],
    ['6 6 7.5', ['6', '6', '7.5']],
    ['', ['']],
  ])('keep their blanks where several are apart by blanks: “%s”', (text, parts) => {
    expect(apartByBlanks(text)).toEqual(parts);
  });

  it('writes what it reads back', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: -9_999_999, max: 9_999_999 }),
        fc.constantFrom('metre', 'foot', 'usSurveyFoot'),
        (thousandths, unit) => {
          const metres = lengthToMetres(thousandths / 1000, unit);
          const text = formatLength(metres, unit, 3).replace(/\u2009/g, '');
          expect(Math.round(lengthFromMetres(parseLength(text, unit)!, unit) * 1000)).toBe(thousandths);
        },
      ),
    );
  });

  it('never writes minus zero, and always a true minus', () => {
    expect(formatLength(-0.0001, 'metre', 3)).toBe('0.000');
    expect(formatSigned(-0.4, 0)).toBe('0');
    expect(formatSigned(-2.4, 0)).toBe('−2');
    expect(formatSigned(2.4, 1)).toBe('+2.4');
    expect(formatLength(8094.9951, 'metre', 3)).toBe('8\u2009094.995');
  });

  it('writes feet and inches with the fraction reduced', () => {
    expect(formatFeetInches(lengthToMetres(4 + 11.0625 / 12, 'foot'), 'foot')).toBe('4′ 11 1/16″');
    expect(formatFeetInches(lengthToMetres(-1.5, 'foot'), 'foot')).toBe('−1′ 6″');
    expect(formatFeetInches(lengthToMetres(11.999 / 12, 'foot'), 'foot')).toBe('1′ 0″');
  });

  it.each([
    ['0.059', 0.0004, 'metre', 5],
    ['0.059', 0.005, 'metre', 4],
    ['0.059', 0.3, 'metre', 3],
    ['12', 0.005, 'metre', 2],
    // A millimetre is 0.003 ft: the third decimal of a foot still means something, that of four millimetres does not.
    ['1.234', 0.001, 'usSurveyFoot', 4],
    ['1.234', 0.0005, 'usSurveyFoot', 5],
  ] as const)(
    'of %s with a noise of %f m in %s, the first %d characters mean something',
    (text, noise, unit, characters) => {
      expect(steadyDigits(text, noise, unit)).toBe(characters);
    },
  );

  it('share what can be left away in a list of large ones, and only then', () => {
    expect(sharedLead([4042.3, 4118.9], 'metre')).toBe(0);
    expect(sharedLead([584_042.3, 591_118.9], 'metre')).toBe(580_000);
    expect(sharedLead([584_042.3, 991_118.9], 'metre')).toBe(0);
    expect(sharedLead([lengthToMetres(2_000_250, 'usSurveyFoot')], 'usSurveyFoot')).toBe(2_000_000);
    expect(sharedLead([], 'metre')).toBe(0);
  });
});

describe('angles', () => {
  it('carries over when seconds round to sixty', () => {
    expect(formatAngle((143 + 27 / 60 + 59.96 / 3600) * RADIANS_PER_DEGREE, 'dms', 1)).toBe('143°28′00.0″');
    expect(formatAngle(-0.00001 * RADIANS_PER_DEGREE, 'dms', 0)).toBe('0°00′00″');
  });

  it.each([
    ['143 27 08', 143 + 27 / 60 + 8 / 3600],
    ['143°27\'08.5"', 143 + 27 / 60 + 8.5 / 3600],
    ['143°27′08″', 143 + 27 / 60 + 8 / 3600],
    ['89.8611', 89.8611],
    ['0 00 00', 0],
  ])('reads %s', (text, degrees) => {
    expect(parseAngle(text, 'dms')! / RADIANS_PER_DEGREE).toBeCloseTo(degrees, 9);
  });

  it.each(['143 61 00', '143.5 10', '12 59.5 01', 'north', ''])('does not read %s', (text) => {
    expect(parseAngle(text, 'dms')).toBeNull();
  });

  it('wraps into its range', () => {
    fc.assert(
      fc.property(fc.double({ min: -100, max: 100, noNaN: true }), (angle) => {
        expect(wrapTurn(angle)).toBeGreaterThanOrEqual(0);
        expect(wrapTurn(angle)).toBeLessThan(2 * Math.PI);
        expect(Math.abs(wrapHalfTurn(angle))).toBeLessThanOrEqual(Math.PI);
        expect(Math.cos(wrapHalfTurn(angle))).toBeCloseTo(Math.cos(angle), 9);
      }),
    );
  });
});

describe('minutes and seconds beyond 59', () => {
  it('are told by name, and nothing else is', () => {
    expect(sexagesimalExcess('143 75 08')).toEqual({ part: 'minutes', value: 75 });
    expect(sexagesimalExcess('143°27′61″')).toEqual({ part: 'seconds', value: 61 });
    expect(sexagesimalExcess('143 27 08')).toBeNull();
    expect(sexagesimalExcess('143.7512')).toBeNull();
    expect(sexagesimalExcess('what')).toBeNull();
  });
});

describe('bare decimals where degrees, minutes and seconds are written', () => {
  it.each([
    ['21.4249', 21 + 42 / 60 + 49 / 3600, 21.4249],
    ['21,42495', 21 + 42 / 60 + 49.5 / 3600, 21.42495],
    ['21.5', 21 + 50 / 60, 21.5],
    ['−0.3', -0.5, -0.3],
  ])('%s has two meanings', (text, packed, decimal) => {
    const meant = sexagesimalOrDecimal(text)!;
    expect(meant.packed / RADIANS_PER_DEGREE).toBeCloseTo(packed, 9);
    expect(meant.decimal / RADIANS_PER_DEGREE).toBeCloseTo(decimal, 9);
  });

  it.each(['21', '21.0000', '21.7249', '21.4275', '21 42 49', '21.4249°', 'north'])('%s has one, or none', (text) => {
    expect(sexagesimalOrDecimal(text)).toBeNull();
  });
});
