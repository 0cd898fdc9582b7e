import { describe, expect, it } from '@jest/globals';
import { alikeName } from '@idle-marker/records';
import { alikePairs } from '../src/site/names.ts';

describe('names that look alike', () => {
  it.each([
    ['K10', ['KIO']],
    ['k-1', ['K1']],
    ['Hall grid', ['hallgrid']],
    ['Kl', ['K1']],
    ['B8', ['BB']],
    ['S5', ['5S', 'SS']],
    ['Größe', ['GRÖSSE', 'große', 'größe']],
  ])('%s and %j are told', (name, taken) => {
    expect(taken).toContain(alikeName(name, taken));
  });

  it.each([
    ['K1', ['K2', 'K11', 'L1']],
    ['Hall', ['Halls', 'Wall']],
    ['', ['']],
    ['  ', ['a']],
  ])('%s and %j aren’t', (name, taken) => {
    expect(alikeName(name, taken)).toBeNull();
  });

  it('are found in a list in one pass, each told with the first that it looks like', () => {
    expect(alikePairs(['K1', 'K2', 'KI', 'k-1', 'P0', 'PO'])).toEqual([
      [2, 'K1'],
      [3, 'K1'],
      [5, 'P0'],
    ]);
    const many = Array.from({ length: 20_000 }, (_, i) => `M${i * 7 + 1_000_000}x`);
    expect(alikePairs([...many, many[0]!])).toHaveLength(1 + alikePairs(many).length);
  });
});
