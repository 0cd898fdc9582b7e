import { describe, expect, it } from '@jest/globals';
import fc from 'fast-check';
import { distanceToPolygon, insidePolygon, segmentMeetsPolygon } from '../plane/polygon.ts';
import { polar, type PlanPoint } from '../plane/point.ts';
import { survivingOffsets, type KeepClear, type OffsetHub } from './survivingOffsets.ts';

const box = (e: number, n: number, half: number): PlanPoint[] => [
  { e: e - half, n: n - half },
  { e: e + half, n: n - half },
  { e: e + half, n: n + half },
  { e: e - half, n: n + half },
];
const hub = (key: string, design: PlanPoint, direction: number, offset = 2): OffsetHub => ({
  key,
  design,
  direction,
  stretch: 1,
  offset,
});
const NORTH = 0;
const asked = (areas: readonly KeepClear[], instrument: PlanPoint | null = null, outlines: PlanPoint[][] = []) => ({
  step: 1,
  longest: 8,
  areas,
  outlines,
  instrument,
});
const spoil = (corners: PlanPoint[], margin = 0): KeepClear => ({ name: 'Spoil', corners, margin, blocksSight: true });

describe('offsets', () => {
  it('are kept where nothing speaks against them', () => {
    expect(survivingOffsets([hub('a', { e: 0, n: 0 }, NORTH)], asked([spoil(box(50, 50, 5))]))).toEqual([
      { key: 'a', offset: 2, place: { e: 0, n: 2 }, hindrances: [] },
    ]);
  });

  it('go to the nearest round length that is clear, with the reason', () => {
    const [proposal] = survivingOffsets([hub('a', { e: 0, n: 0 }, NORTH)], asked([spoil(box(0, 2.5, 1), 0.5)]));
    expect(proposal).toMatchObject({ offset: 1, hindrances: [{ name: 'Spoil', how: 'inside' }] });
    const [farther] = survivingOffsets([hub('a', { e: 0, n: 0 }, NORTH)], asked([spoil(box(0, 2, 1.6))]));
    expect(farther).toMatchObject({ offset: 4, place: { e: expect.closeTo(0, 9), n: 4 } });
  });

  it('agree on one other length where several must change', () => {
    const hubs = [0, 10, 20].map((e) => hub(`h${e}`, { e, n: 0 }, NORTH));
    // 1 would do for the first, but 5 does for all three.
    const areas = [spoil(box(0, 3, 1.5)), spoil(box(10, 2, 2.5)), spoil(box(20, 2, 2.5))];
    expect(survivingOffsets(hubs, asked(areas)).map((each) => each.offset)).toEqual([5, 5, 5]);
  });

  it('are seen from the instrument', () => {
    const heap = spoil(box(5, 2, 1));
    const [proposal] = survivingOffsets([hub('a', { e: 10, n: 0 }, NORTH)], asked([heap], { e: 0, n: 2 }));
    expect(proposal!.hindrances).toEqual([{ name: 'Spoil', how: 'unseen' }]);
    expect(segmentMeetsPolygon({ e: 0, n: 2 }, proposal!.place!, heap.corners)).toBe(false);
    const fence: KeepClear = { ...heap, blocksSight: false };
    expect(survivingOffsets([hub('a', { e: 10, n: 0 }, NORTH)], asked([fence], { e: 0, n: 2 }))[0]!.offset).toBe(2);
  });

  it('are none when no round length up to the longest is clear, and for a mark on its own point', () => {
    const all = spoil(box(0, 0, 30));
    expect(survivingOffsets([hub('a', { e: 0, n: 0 }, NORTH)], asked([all]))[0]).toMatchObject({
      offset: null,
      place: null,
    });
    expect(survivingOffsets([hub('a', { e: 0, n: 0 }, NORTH, 0)], asked([all]))[0]).toMatchObject({ offset: null });
    expect(survivingOffsets([hub('a', { e: 0, n: 0 }, NORTH)], asked([], null, [box(0, 2, 0.5)]))[0]).toMatchObject({
      offset: 1,
      hindrances: [{ name: null, how: 'inside' }],
    });
  });

  it('never lie in what they keep out of, nor unseen, and are given up only when no length is clear', () => {
    const coordinate = fc.double({ min: -30, max: 30, noNaN: true });
    const area = fc.record({
      e: coordinate,
      n: coordinate,
      half: fc.double({ min: 0.5, max: 8, noNaN: true }),
      margin: fc.double({ min: 0, max: 2, noNaN: true }),
      blocksSight: fc.boolean(),
    });
    fc.assert(
      fc.property(
        fc.array(area, { maxLength: 6 }),
        fc.double({ min: 0, max: 6.28, noNaN: true }),
        fc.option(fc.record({ e: coordinate, n: coordinate })),
        (boxes, turn, instrument) => {
          const areas = boxes.map(({ e, n, half, ...rest }, i) => ({
            name: `Area ${i}`,
            corners: box(e, n, half),
            ...rest,
          }));
          // Far enough apart that none is in the way of another.
          const hubs = [-20, 0, 20].map((e, i) => hub(`h${i}`, { e, n: e / 2 }, turn + i));
          const isClear = (place: PlanPoint) =>
            areas.every(
              ({ corners, margin, blocksSight }) =>
                !insidePolygon(place, corners) &&
                distanceToPolygon(place, corners) >= margin &&
                !(blocksSight && instrument && segmentMeetsPolygon(instrument, place, corners)),
            );
          for (const [i, { offset, place }] of survivingOffsets(hubs, asked(areas, instrument)).entries()) {
            const lengths = [1, 2, 3, 4, 5, 6, 7, 8];
            if (offset === null)
              expect(lengths.some((length) => isClear(polar(hubs[i]!.design, hubs[i]!.direction, length)))).toBe(false);
            else {
              expect(isClear(place!)).toBe(true);
              if (isClear(polar(hubs[i]!.design, hubs[i]!.direction, 2))) expect(offset).toBe(2);
            }
          }
        },
      ),
      { numRuns: 500 },
    );
  });
});
