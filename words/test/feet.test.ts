/** What is kept in millimetres and degrees Celsius, said in the units that a site measures in. */
import { describe, expect, it } from '@jest/globals';
import { airWords, crewWords, offAxes, offAxesHead, offAxesNamed, signedSmall, smallFigure } from '../src/index.ts';

describe('a small figure', () => {
  it('is in millimetres on metric sites, as it was typed, and in thousandths of a foot on others', () => {
    expect([smallFigure(2.5, 'metre'), smallFigure(6.096, 'usSurveyFoot'), smallFigure(null, 'foot')]).toEqual([
      '2.5',
      '0.020',
      '–',
    ]);
    expect([signedSmall(-3, 'metre'), signedSmall(-3.048, 'foot')]).toEqual(['−3 mm', '−0.010 ft']);
  });
  it('stands in the order of the site, with the axes named in the same order', () => {
    const off = { dEMm: 3.048, dNMm: -6.096 };
    expect([offAxesHead('EN', 'metre'), offAxes({ dEMm: 3, dNMm: -2 }, 'EN', 'metre')]).toEqual([
      'dE / dN (mm)',
      '+3 / −2',
    ]);
    expect([offAxesHead('NE', 'foot'), offAxes(off, 'NE', 'foot')]).toEqual(['dN / dE (ft)', '−0.020 / +0.010']);
    expect(offAxesNamed(off, 'NE', 'foot')).toBe('N −0.020 ft, E +0.010 ft');
  });
  it('comes with its unit in every language of the crews', () => {
    for (const code of ['en', 'es']) {
      expect(crewWords(code).line.tolerance).toContain('{unit}');
      expect(crewWords(code).reading.tolerance.match(/\{unit\}/g)).toHaveLength(2);
    }
  });
});

describe('air', () => {
  it('is in Celsius and hectopascals, or in Fahrenheit and inches of mercury', () => {
    expect(airWords(12, 1013, 'metre')).toBe('12 °C, 1013 hPa');
    expect(airWords(12, 1013.25, 'usSurveyFoot')).toBe('54 °F, 29.92 inHg');
  });
});
