import { describe, expect, it } from '@jest/globals';
import { RADIANS_PER_DEGREE, type PairFault } from '@idle-marker/core';
import {
  antennaMisfitWords,
  heightsWords,
  pairedDueWords,
  pairedDueShort,
  pairedPromiseWords,
  pairFaultWords,
} from './index.ts';

const METRES = { lengthUnit: 'metre', angleUnit: 'dms' } as const;
const APART = { difference: -0.12, sd: 0.02, limit: 0.066, apart: true };

describe('a receiver and an instrument in words', () => {
  it('say of every fault what it is and what to do, and never offer the receiver’s height', () => {
    const faults: PairFault[] = [
      { code: 'NO_RECEIVER' },
      { code: 'NOT_FIXED', fix: 'float' },
      { code: 'NOT_FIXED', fix: 'single' },
      { code: 'CORRECTIONS_OLD', seconds: null },
      { code: 'CORRECTIONS_OLD', seconds: 12.4 },
      { code: 'COMPENSATING', drop: 0.001, aside: 0.02 },
      { code: 'NOT_PLUMB', lean: 3 * RADIANS_PER_DEGREE, aside: 0.085, drop: 0.002 },
      { code: 'NO_AXIS' },
      { code: 'NOT_LOCKED', lost: true },
      { code: 'NOT_LOCKED', lost: false },
      { code: 'HEIGHT_OLD' },
      { code: 'POLE_CHANGED', misfit: 0.2 },
      { code: 'HEIGHTS_APART', compared: APART },
    ];
    const said = faults.map((fault) => pairFaultWords(fault, METRES));
    expect(new Set(said.map(({ title }) => title)).size).toBe(faults.length);
    for (const { title, text } of said) {
      expect(title).not.toMatch(/undefined|NaN|\.$/);
      expect(text).toMatch(/[.?]$/);
    }
    expect(said[4]!.title).toBe('Corrections are 12 s old');
    expect(said[6]!).toMatchObject({
      title: 'The pole leans by 3.0°',
      text: expect.stringContaining('85 mm aside and the elevation 2 mm too low'),
    });
    expect(said[8]!.text).toContain('is never used instead');
    expect(pairFaultWords({ code: 'COMPENSATING', drop: null, aside: null }, METRES).text).not.toContain('apart now');
  });

  it('tell the two heights with what explains their difference', () => {
    expect(heightsWords({ ...APART, difference: 0.012, apart: false }, 'metre')).toBe(
      'The receiver reads 12 mm above the instrument; up to 66 mm is what their precisions explain.',
    );
    expect(heightsWords(APART, 'metre')).toMatch(
      /^The receiver reads 120 mm below the instrument; .* sight a second benchmark\.$/,
    );
    expect(antennaMisfitWords(-0.2, 'metre')).toMatch(/200 mm too small for the target height/);
  });

  it('say when a class asks for more than the receiver can promise, and nothing when it does not', () => {
    expect(pairedPromiseWords(0.028, { name: 'Building grid', plan: 0.006 }, 'metre')).toMatchObject({
      title: 'Building grid needs better than GNSS accuracy',
    });
    expect(pairedPromiseWords(0.028, { name: 'Building grid', plan: 0.006 }, 'metre')!.text).toContain(
      'Within 6 mm is asked in plan; the receiver is good to 28 mm',
    );
    expect(pairedPromiseWords(0.028, { name: 'Earthworks', plan: 0.05 }, 'metre')).toBeNull();
  });

  it('ask for what is due in long and in short', () => {
    expect(Object.keys(pairedDueShort())).toEqual(Object.keys(pairedDueWords()));
    for (const short of Object.values(pairedDueShort())) expect(short.length).toBeLessThanOrEqual(20);
  });
});
