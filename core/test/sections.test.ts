import { describe, expect, it } from '@jest/globals';
import { orderedSections, sectionAt, sectionHeight, type DesignedSection } from '../src/index.ts';

const roof = (station: number, z: number, half: number): DesignedSection => ({
  station,
  lines: [
    {
      name: 'Finished',
      // As files have them: in any order.
      points: [
        { offset: half, z: z - 0.1 },
        { offset: -half, z: z - 0.1 },
        { offset: 0, z },
      ],
    },
    { name: 'dot', points: [{ offset: 0, z }] },
  ],
});
const SECTIONS = orderedSections([roof(40, 6, 4), roof(0, 5, 3), { station: 60, lines: [] }]);

describe('designed cross sections', () => {
  it('are put in order, and what is no line is left away', () => {
    expect(SECTIONS.map(({ station }) => station)).toEqual([0, 40]);
    expect(SECTIONS[0]!.lines.map(({ name, points }) => [name, points.map(({ offset }) => offset)])).toEqual([
      ['Finished', [-3, 0, 3]],
    ]);
  });

  it('are as they were drawn at their stations, and run evenly between', () => {
    expect(sectionAt(SECTIONS, 0)).toEqual(SECTIONS[0]!.lines);
    expect(sectionHeight(SECTIONS, 'Finished', 0, 0)).toBe(5);
    expect(sectionHeight(SECTIONS, 'Finished', 10, 0)).toBeCloseTo(5.25, 12);
    // At 3 m: 4.9 there, and 6 - 0.075 at 0+040.
    expect(sectionHeight(SECTIONS, 'Finished', 20, 3)).toBeCloseTo((4.9 + 5.925) / 2, 12);
    const [between] = sectionAt(SECTIONS, 20);
    for (const { offset, z } of between!.points)
      expect(sectionHeight(SECTIONS, 'Finished', 20, offset)).toBeCloseTo(z, 12);
    expect(between!.points.map(({ offset }) => offset)).toEqual([-3, 0, 3]);
  });

  it('have no height beside their lines, before the first and after the last', () => {
    expect(sectionHeight(SECTIONS, 'Finished', 20, 3.5)).toBeNull();
    expect(sectionHeight(SECTIONS, 'Finished', 40, 3.5)).toBeCloseTo(5.9125, 12);
    expect(sectionHeight(SECTIONS, 'Finished', -1, 0)).toBeNull();
    expect(sectionHeight(SECTIONS, 'Finished', 41, 0)).toBeNull();
    expect(sectionHeight(SECTIONS, 'Subgrade', 20, 0)).toBeNull();
    expect(sectionAt(SECTIONS, 41)).toEqual([]);
    expect(sectionAt([], 0)).toEqual([]);
  });

  it('stand upright at a kerb: the higher of two heights holds there', () => {
    const kerb = orderedSections([
      {
        station: 0,
        lines: [
          {
            name: 'Finished',
            points: [
              { offset: 0, z: 5 },
              { offset: 3, z: 4.94 },
              { offset: 3, z: 5.06 },
              { offset: 4, z: 5.07 },
            ],
          },
        ],
      },
    ]);
    expect(sectionHeight(kerb, 'Finished', 0, 3)).toBeCloseTo(5.06, 12);
    expect(sectionHeight(kerb, 'Finished', 0, 2.999)).toBeCloseTo(4.94002, 5);
  });
});
