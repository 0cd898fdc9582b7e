import { describe, expect, it } from '@jest/globals';
import fc from 'fast-check';
import { listed, observe, PRECISION, REDUCTION, type TruePlace } from '../../test/perfect.ts';
import { reduceObservations } from '../sight/reduce.ts';
import { controlPairs } from './pairs.ts';

const PLACES: Readonly<Record<string, TruePlace>> = {
  A: { e: 4042.3, n: 8038.8, z: 4.2 },
  B: { e: 4118.9, n: 8021.5, z: 4.6 },
  C: { e: 4236.1, n: 8033.9, z: 5.0 },
  D: { e: 4268.9, n: 8152.7, z: 5.9 },
};

function pairs(station: TruePlace & { orientation: number }, moved: Readonly<Record<string, Partial<TruePlace>>> = {}) {
  const observations = Object.entries(PLACES).map(([name, place]) =>
    observe(station, name, { ...place, ...moved[name] }),
  );
  return controlPairs(
    reduceObservations(observations, PRECISION, REDUCTION),
    new Map(Object.entries(PLACES).map(([name, place]) => [name, listed(name, place)])),
  );
}

describe('control pair by pair', () => {
  it('fits perfect sights from anywhere, whatever the orientation', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 4060, max: 4220, noNaN: true }),
        fc.double({ min: 8050, max: 8130, noNaN: true }),
        fc.double({ min: 0, max: 6, noNaN: true }),
        (e, n, orientation) => {
          for (const pair of pairs({ e, n, z: 5, orientation })) {
            expect(Math.abs(pair.dDistance!)).toBeLessThan(1e-6);
            expect(Math.abs(pair.dHeight!)).toBeLessThan(1e-6);
          }
        },
      ),
    );
  });

  it('ranks the pairs of a mark that moved first, and leaves the others alone', () => {
    const found = pairs({ e: 4150, n: 8080, z: 5, orientation: 1 }, { C: { e: PLACES.C!.e + 0.03 } });
    expect(found.slice(0, 2).every((pair) => pair.from === 'C' || pair.to === 'C')).toBe(true);
    expect(found[0]!.exceeds).toBe(true);
    expect(found.filter((pair) => pair.from !== 'C' && pair.to !== 'C').some((pair) => pair.exceeds)).toBe(false);
  });

  it('tells a heave by its sign: the difference from the first to the second grows', () => {
    const pair = pairs({ e: 4150, n: 8080, z: 5, orientation: 1 }, { D: { z: PLACES.D!.z + 0.02 } }).find(
      (each) => each.from === 'A' && each.to === 'D',
    )!;
    expect(pair.dHeight).toBeCloseTo(0.02, 6);
    expect(pair.dDistance).toBeCloseTo(0, 4);
  });
});
