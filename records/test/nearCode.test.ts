import { describe, expect, it } from '@jest/globals';
import { nearCode } from '@idle-marker/records';

describe('a code that is like one in use', () => {
  const used = ['road', 'kerb', 'top of wall', 'manhole'];
  it.each([
    ['RD', 'road'],
    ['Road', 'road'],
    ['kb', 'kerb'],
    ['kerbs', 'kerb'],
    ['top-of-wall', 'top of wall'],
    ['manhloe', null],
    ['mannhole', 'manhole'],
    ['kerb', null],
    ['tree', null],
    ['k', null],
    ['', null],
  ])('%s', (typed, meant) => {
    expect(nearCode(typed, used)).toBe(meant);
  });
});
