import { describe, expect, it } from '@jest/globals';
import { alongOff } from '../plane/line.ts';
import { offsetHubs } from './outline.ts';
import { otherOffsets } from './otherOffsets.ts';

const square = [
  { name: 'a', e: 0, n: 0 },
  { name: 'b', e: 10, n: 0 },
  { name: 'c', e: 10, n: 10 },
  { name: 'd', e: 0, n: 10 },
];
const hubAt = (corners: typeof square, key: string) => {
  const hubs = offsetHubs(corners, 2);
  if (!hubs.ok) throw new Error(hubs.error.code);
  const { place, designPlace, offset } = hubs.value.find((each) => each.key === key)!;
  return { place, design: designPlace, offset };
};

describe('other offsets for a blocked hub', () => {
  it('go out and in on the line through the corner, the nearest first', () => {
    const found = otherOffsets(hubAt(square, 'a/in'), 1, [square], []);
    expect(found.map((each) => each.offset)).toEqual([3, 4, 5, 6, 8, 10, 1]);
    for (const { place, offset } of found) {
      expect(place.n).toBeCloseTo(0, 9);
      expect(place.e).toBeCloseTo(-offset, 9);
    }
  });

  it('are round lengths, also where the asked one is none', () => {
    const hub = { place: { e: -2.3, n: 0 }, design: { e: 0, n: 0 }, offset: 2.3 };
    expect(otherOffsets(hub, 0.5, [], []).map(({ offset }) => offset)).toEqual([2.5, 3, 3.5, 4, 5, 6, 1.5, 1]);
  });

  it('keep the offset square off the face where the corner is not square', () => {
    const skewed = [square[0]!, square[1]!, { name: 'c', e: 14, n: 10 }, { name: 'd', e: 4, n: 10 }];
    const hub = hubAt(skewed, 'b/in');
    for (const { place, offset } of otherOffsets(hub, 1, [skewed], []))
      expect(Math.abs(alongOff(place, skewed[0]!, skewed[1]!)!.off)).toBeCloseTo(offset, 9);
  });

  it('leave out places inside an outline or on another hub', () => {
    const neighbour = [
      { e: -6.5, n: -5 },
      { e: -3.5, n: -5 },
      { e: -3.5, n: 5 },
      { e: -6.5, n: 5 },
    ];
    const found = otherOffsets(hubAt(square, 'a/in'), 1, [square, neighbour], [{ e: -3.1, n: 0.1 }]);
    expect(found.map((each) => each.offset)).toEqual([8, 10, 1]);
  });

  it('are none for a hub that stands on its corner', () => {
    expect(otherOffsets({ place: { e: 1, n: 1 }, design: { e: 1, n: 1 }, offset: 0 }, 1, [], [])).toEqual([]);
  });
});
