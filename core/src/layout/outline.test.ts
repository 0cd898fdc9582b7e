import { describe, expect, it } from '@jest/globals';
import fc from 'fast-check';
import { distanceToPolygon, insidePolygon } from '../plane/polygon.ts';
import { pointAlongOff } from '../plane/line.ts';
import { offsetHubs, type Corner } from './outline.ts';

/** An L: outside corners everywhere but at d. */
const L: readonly Corner[] = [
  { name: 'a', e: 0, n: 0 },
  { name: 'b', e: 20, n: 0 },
  { name: 'c', e: 20, n: 10 },
  { name: 'd', e: 10, n: 10 },
  { name: 'e', e: 10, n: 20 },
  { name: 'f', e: 0, n: 20 },
];

const hubsOf = (corners: readonly Corner[], offset: number) => {
  const result = offsetHubs(corners, offset);
  if (!result.ok) throw new Error(result.error.code);
  return result.value;
};

describe('offset hubs', () => {
  it('stand on the prolongation of both sides of an outside corner', () => {
    const at = hubsOf(L, 2).filter((hub) => hub.corner === 'a');
    expect(
      at.map((hub) => [Math.round(hub.place.e * 1e6) / 1e6 + 0, Math.round(hub.place.n * 1e6) / 1e6 + 0]).sort(),
    ).toEqual([
      [-2, 0],
      [0, -2],
    ]);
  });

  it('stand once, off both faces, at a re-entrant corner', () => {
    const [hub, ...more] = hubsOf(L, 2).filter((each) => each.corner === 'd');
    expect(more).toEqual([]);
    expect(hub!.place.e).toBeCloseTo(12, 9);
    expect(hub!.place.n).toBeCloseTo(12, 9);
    expect(hub!.alsoOffFace).not.toBeNull();
  });

  it('are the same whichever way round the outline was drawn', () => {
    const places = (corners: readonly Corner[]) =>
      hubsOf(corners, 2)
        .map((hub) =>
          `${hub.corner} ${hub.place.e.toFixed(6)} ${hub.place.n.toFixed(6)}`.replace(/-0\.000000/g, '0.000000'),
        )
        .sort();
    expect(places([...L].reverse())).toEqual(places(L));
  });

  it('lie outside and nowhere nearer than the offset, for any turned and shifted L', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0, max: 6.28, noNaN: true }),
        fc.double({ min: 0.5, max: 4, noNaN: true }),
        fc.double({ min: -1e6, max: 1e6, noNaN: true }),
        (turn, offset, shift) => {
          const corners = L.map(({ name, e, n }) => ({
            name,
            e: shift + e * Math.cos(turn) + n * Math.sin(turn),
            n: shift + n * Math.cos(turn) - e * Math.sin(turn),
          }));
          for (const hub of hubsOf(corners, offset)) {
            expect(insidePolygon(hub.place, corners)).toBe(false);
            expect(distanceToPolygon(hub.place, corners)).toBeGreaterThan(offset - 1e-3);
            expect(hub.clear).toBe(true);
          }
        },
      ),
    );
  });

  it('keep their keys when a corner moves', () => {
    const moved = L.map((corner) => (corner.name === 'b' ? { ...corner, e: 21 } : corner));
    expect(hubsOf(moved, 2).map((hub) => hub.key)).toEqual(hubsOf(L, 2).map((hub) => hub.key));
  });

  it('say so when a narrow notch leaves no room', () => {
    const notch: readonly Corner[] = [
      { name: 'a', e: 0, n: 0 },
      { name: 'b', e: 10, n: 0 },
      { name: 'c', e: 10, n: 10 },
      { name: 'd', e: 6, n: 10 },
      { name: 'e', e: 6, n: 4 },
      { name: 'f', e: 5, n: 4 },
      { name: 'g', e: 5, n: 10 },
      { name: 'h', e: 0, n: 10 },
    ];
    expect(
      hubsOf(notch, 2)
        .filter((hub) => !hub.clear)
        .map((hub) => hub.corner),
    ).toEqual(expect.arrayContaining(['e', 'f']));
  });

  it.each([
    [L.slice(0, 2), 2, 'OUTLINE_TOO_FEW_CORNERS'],
    [L, 0, 'OFFSET_NOT_POSITIVE'],
    [L, NaN, 'OFFSET_NOT_POSITIVE'],
    [[L[0]!, L[1]!, { ...L[1]!, name: 'b2' }, L[4]!], 2, 'OUTLINE_REPEATED_CORNER'],
    [[L[0]!, L[2]!, L[1]!, L[5]!], 2, 'OUTLINE_CROSSES_ITSELF'],
    [[L[0]!, { name: 'm', e: 5, n: 0 }, L[1]!], 2, 'OUTLINE_NO_AREA'],
  ])('are refused for outlines that are none (%#)', (corners, offset, code) => {
    expect(offsetHubs(corners, offset)).toMatchObject({ ok: false, error: { code } });
  });
});

describe('points along and off a line', () => {
  it('lie right for plus, left for minus', () => {
    expect(pointAlongOff({ e: 0, n: 0 }, { e: 0, n: 10 }, 4, 2)).toEqual({ e: 2, n: 4 });
  });
});
