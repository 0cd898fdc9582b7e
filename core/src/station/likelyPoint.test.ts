import { describe, expect, it } from '@jest/globals';
import { likelierPoint } from './likelyPoint.ts';

const listed = [
  { name: 'K1', e: 100, n: 100 },
  { name: 'K2', e: 160, n: 100 },
  { name: 'K3', e: 160.2, n: 100 },
];

describe('the mark that a reading was to', () => {
  it('is another one when it lies on that and far from the named one', () => {
    expect(likelierPoint({ e: 160.01, n: 100 }, 'K1', listed)).toMatchObject({ name: 'K2' });
  });

  it('is not doubted for a mark that was knocked', () => {
    expect(likelierPoint({ e: 100.2, n: 100.1 }, 'K1', listed)).toBeNull();
  });

  it('is not another one that does not fit either', () => {
    expect(likelierPoint({ e: 130, n: 120 }, 'K1', listed)).toBeNull();
  });

  it('is not another one where two marks stand side by side and the named one fits nearly as well', () => {
    expect(likelierPoint({ e: 160.2, n: 100 }, 'K2', listed)).toBeNull();
    expect(likelierPoint({ e: 160.2, n: 100 }, 'K9', listed)).toBeNull();
  });
});
