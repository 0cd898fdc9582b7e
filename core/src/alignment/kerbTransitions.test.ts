import { describe, expect, it } from '@jest/globals';
import { transitionsAt } from './kerbTransitions.ts';

const row = (station: number, value: number) => ({ station, value });
/** Let down over 3 m for a driveway of 4 m, and up again in two grades. */
const DRIVEWAY = {
  topHeight: [row(0, 0.15), row(20, 0.15), row(23, 0.025), row(27, 0.025), row(29, 0.1), row(30, 0.15), row(60, 0.15)],
  backHeight: null,
};

describe('transitionsAt', () => {
  it('tells from which height to which at both ends of a change, and what lies behind before what lies ahead', () => {
    expect(transitionsAt(DRIVEWAY, 20)).toEqual([
      { part: 'top', begin: 20, end: 23, from: 0.15, to: 0.025, here: 'begins' },
    ]);
    expect(transitionsAt(DRIVEWAY, 23.004)).toEqual([
      { part: 'top', begin: 20, end: 23, from: 0.15, to: 0.025, here: 'ends' },
    ]);
    expect(transitionsAt(DRIVEWAY, 29).map(({ here, from, to }) => [here, from, to])).toEqual([
      ['ends', 0.025, 0.1],
      ['begins', 0.1, 0.15],
    ]);
  });
  it('says nothing on the way, and nothing where the height stays', () => {
    for (const station of [0, 10, 21.5, 25, 40, 60]) expect(transitionsAt(DRIVEWAY, station)).toEqual([]);
  });
  it('knows a step, and a back with a height of its own', () => {
    const step = { topHeight: [row(0, 0.15), row(20, 0.15), row(20, 0.1)], backHeight: [row(0, 0.2), row(20, 0.18)] };
    expect(transitionsAt(step, 20)).toEqual([
      { part: 'back', begin: 0, end: 20, from: 0.2, to: 0.18, here: 'ends' },
      { part: 'top', begin: 20, end: 20, from: 0.15, to: 0.1, here: 'steps' },
    ]);
    expect(transitionsAt(step, 0).map(({ part, here }) => [part, here])).toEqual([['back', 'begins']]);
  });
});
