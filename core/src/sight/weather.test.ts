import { describe, expect, it } from '@jest/globals';
import fc from 'fast-check';
import { targetCentringSd } from './pole.ts';
import { atmosphericCorrection, groupRefractivity, SIMULATED_REFERENCE } from './weather.ts';

describe('correction for the weather', () => {
  it('is nothing in the air that the instrument was adjusted for', () => {
    expect(atmosphericCorrection(SIMULATED_REFERENCE, SIMULATED_REFERENCE)).toBe(0);
  });

  it('gives the resolution’s own standard refractivity at 0 °C and 1013.25 hPa', () => {
    // IAG resolution of 1999: Ngr = 287.6155 + 4.88660/λ² + 0.06800/λ⁴.
    expect(groupRefractivity({ temperatureC: 0, pressureHPa: 1013.25 }, 0.85)).toBeCloseTo(
      287.6155 + 4.8866 / 0.85 ** 2 + 0.068 / 0.85 ** 4,
      9,
    );
  });

  it('is about 1 ppm a degree and 0.29 ppm a hectopascal', () => {
    const at = (temperatureC: number, pressureHPa: number) =>
      atmosphericCorrection({ temperatureC, pressureHPa }, SIMULATED_REFERENCE) * 1e6;
    expect(at(13, 1013.25) - at(12, 1013.25)).toBeCloseTo(1, 1);
    expect(at(12, 1012.25) - at(12, 1013.25)).toBeCloseTo(0.28, 1);
  });

  it('lengthens in warm thin air and shortens in cold thick air', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 13, max: 45, noNaN: true }),
        fc.double({ min: 850, max: 1013, noNaN: true }),
        (temperatureC, pressureHPa) => {
          expect(atmosphericCorrection({ temperatureC, pressureHPa }, SIMULATED_REFERENCE)).toBeGreaterThan(0);
          expect(
            atmosphericCorrection(
              { temperatureC: 12 - temperatureC, pressureHPa: 2026.5 - pressureHPa },
              SIMULATED_REFERENCE,
            ),
          ).toBeLessThan(0);
        },
      ),
    );
  });
});

describe('centring of a pole', () => {
  it('grows with its height and shrinks on legs', () => {
    expect(targetCentringSd(1.5, false)).toBeGreaterThan(targetCentringSd(1.5, true));
    expect(targetCentringSd(2.5, true)).toBeGreaterThan(targetCentringSd(1.5, true));
    // Four minutes of arc at 2 m are 2.3 mm.
    expect(targetCentringSd(2, false)).toBeCloseTo(0.0024, 4);
    expect(targetCentringSd(0, true)).toBeCloseTo(0.0007, 6);
  });
});
