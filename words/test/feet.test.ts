/** What is kept in millimetres and degrees Celsius, said in the units that a site measures in. */
import { afterAll, beforeAll, describe, expect, it } from '@jest/globals';
import fc from 'fast-check';
import {
  parseLength,
  roundingStep,
  SHIPPED_CONVENTIONS,
  type FigureRounding,
  type LengthUnit,
  type StakeContent,
} from '@idle-marker/core';
import {
  airWords,
  crewWords,
  cutFillAsWritten,
  stakeTextOf,
  writtenStake,
  offAxes,
  offAxesHead,
  offAxesNamed,
  NORTH_AMERICAN,
  sayIn,
  smallLength,
  toleranceFigures,
  toleranceWords,
  wordingKey,
  signedSmall,
  smallFigure,
} from '../src/index.ts';

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

describe('a small length on a site that says inches', () => {
  beforeAll(() => sayIn({ preset: 'northAmerican', small: 'sixteenth' }));
  afterAll(() => sayIn(NORTH_AMERICAN));
  const inch = 0.0254;
  it('has its decimal feet beside, and goes over to feet and inches at a foot', () => {
    expect([0.25 * inch, 3.3125 * inch, 0.2 / 1000, 27 * inch].map((metres) => smallLength(metres, 'foot'))).toEqual([
      '1/4 in (0.021 ft)',
      '3 5/16 in (0.276 ft)',
      '0 in (0.001 ft)',
      '2′ 3″ (2.250 ft)',
    ]);
    expect(smallLength(0.006, 'metre')).toBe('6 mm');
  });
  it('carries its sign on both figures', () => {
    expect([signedSmall(-3.175, 'foot'), signedSmall(3.175, 'foot'), signedSmall(0, 'foot')]).toEqual([
      '−1/8 in (−0.010 ft)',
      '+1/8 in (+0.010 ft)',
      '0 in (0.000 ft)',
    ]);
    expect(offAxesNamed({ dEMm: 3.175, dNMm: -6.35 }, 'NE', 'foot')).toBe(
      'N −1/4 in (−0.021 ft), E +1/8 in (+0.010 ft)',
    );
  });
  it('is a tolerance in inches, to the thirty-second where the site reads that', () => {
    const tolerance = { plan: 0.25 * inch, height: 0.16 * inch };
    expect(toleranceWords(tolerance, 'usSurveyFoot')).toBe('1/4 / 3/16 in (0.021 / 0.013 ft)');
    sayIn({ preset: 'northAmerican', small: 'thirtySecond' });
    expect(toleranceFigures(tolerance, 'foot')).toEqual({ plan: '1/4', height: '5/32', unit: 'in' });
    expect(toleranceFigures({ plan: 0.006, height: 0.005 }, 'metre')).toEqual({ plan: '6', height: '5', unit: 'mm' });
    const kept = ['northAmerican', 'northAmerican|thirtySecond'];
    expect([NORTH_AMERICAN, { ...NORTH_AMERICAN, small: 'thirtySecond' as const }].map(wordingKey)).toEqual(kept);
  });
});

describe('air', () => {
  it('is in Celsius and hectopascals, or in Fahrenheit and inches of mercury', () => {
    expect(airWords(12, 1013, 'metre')).toBe('12 °C, 1013 hPa');
    expect(airWords(12, 1013.25, 'usSurveyFoot')).toBe('54 °F, 29.92 inHg');
  });
});

describe('the figures of a stake', () => {
  /** Elevations as they are measured and designed on a site, metres. */
  const elevation = fc.double({ min: -50, max: 900, noNaN: true });
  const content = (hubZ: number, designZ: number, unit: LengthUnit): StakeContent => ({
    name: 'S-1',
    offset: 2,
    offsetAsSet: 2,
    within: true,
    to: 'A1',
    meaning: 'outsideFace',
    cutFill: cutFillAsWritten(hubZ, designZ, unit),
    heightReference: 'finishedFloor',
    hubZ,
    designZ,
    also: null,
    road: null,
    package: 'Slab',
    point: 'nail',
    tolerance: { plan: 0.006, height: 0.005 },
    set: null,
  });
  const convention = { ...SHIPPED_CONVENTIONS.plainWords, showUnit: false };
  it.each(['metre', 'foot', 'usSurveyFoot'] as const)('add up as they are written, in %s', (unit) => {
    const roundings: readonly FigureRounding[] =
      unit === 'metre' ? ['finest', 'hundredth'] : ['finest', 'hundredth', 'tenth', 'sixteenth'];
    fc.assert(
      fc.property(
        elevation,
        fc.double({ min: -4, max: 4, noNaN: true }),
        fc.constantFrom(...roundings),
        (designZ, above, rounding) => {
          const text = stakeTextOf(
            writtenStake(content(designZ + above, designZ, unit), { convention, unit, rounding }).faces,
          );
          const figure = (begins: string): number | null => {
            const line = text.find((each) => each.startsWith(begins));
            // "CUT 0.128 to finished floor": the figure stands between its word and what it goes to.
            const written = line
              ?.slice(begins.length)
              .replace(/ to .*| m$| ft$/g, '')
              .trim();
            return written === undefined
              ? null
              : parseLength(rounding === 'sixteenth' ? written : written.replace(/\s/g, ''), unit);
          };
          const [hub, design, cut, fill] = ['hub', 'design', 'CUT', 'FILL'].map(figure);
          expect([hub, design]).not.toContain(null);
          expect(hub! - design!).toBeCloseTo(cut ?? -(fill ?? 0), 8);
          // And what is cut or filled is what was measured, to what is read.
          expect(Math.abs((cut ?? -(fill ?? 0)) - above)).toBeLessThan(roundingStep(rounding, unit) + 0.0005);
        },
      ),
      {
        numRuns: 300,
        // Halves of the last place, and so little that only the written elevations differ.
        examples: [
          [0, -0.4245, unit === 'metre' ? 'hundredth' : 'tenth'],
          [0, 0.425, 'hundredth'],
          [0, 0.00015240000000000002, 'finest'],
          [-2.805537211074422, 2.2204460492503136e-16, 'finest'],
        ],
      },
    );
  });
});
