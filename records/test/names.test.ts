import { describe, expect, it } from '@jest/globals';
import { alikeName } from '../src/index.ts';

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
  ])('%s and %j are not', (name, taken) => {
    expect(alikeName(name, taken)).toBeNull();
  });
});
