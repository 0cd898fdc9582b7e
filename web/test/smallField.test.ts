import { describe, expect, it } from '@jest/globals';
import { smallDraft, smallOf, typed } from '../src/field/draft.ts';

describe('a small figure that is typed', () => {
  it('is millimetres on metric sites and decimal feet on others', () => {
    expect(smallOf(typed('2,5'), 'metre')).toBe(2.5);
    expect(smallOf(typed('0.02'), 'foot')).toBe(6.096);
    expect(smallOf(typed('1/4"'), 'metre')).toBeNaN();
  });
  it('can be inches on a site in feet, where it carries their mark', () => {
    expect(['1/4"', '3/16″', '1 1/2"'].map((text) => smallOf(typed(text), 'foot'))).toEqual([6.35, 4.763, 38.1]);
    expect(['', '1/4', 'x"'].map((text) => smallOf(typed(text), 'foot'))).toEqual([NaN, NaN, NaN]);
  });
  it('keeps what was measured as long as nobody edits its text', () => {
    expect(smallOf(smallDraft(2.134, 'foot'), 'foot')).toBe(2.134);
  });
});
