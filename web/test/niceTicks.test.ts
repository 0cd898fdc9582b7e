import { describe, expect, it } from '@jest/globals';
import { niceTicks } from '../src/ui/niceTicks.ts';

describe('ticks of a scale', () => {
  it('are round figures within its ends', () => {
    expect(niceTicks(0, 7.8)).toEqual([0, 2, 4, 6]);
    expect(niceTicks(-0.026, 0.026)).toEqual([-0.02, 0, 0.02]);
    expect(niceTicks(0, 0.3, 3)).toEqual([0, 0.1, 0.2, 0.3]);
    expect(niceTicks(412.3, 415.1, 5)).toEqual([413, 414, 415]);
    expect(niceTicks(5, 5)).toEqual([5]);
  });
});
