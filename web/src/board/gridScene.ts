import { polar, type ColumnGrid, type GridLine, type PlanPoint } from '@idle-marker/core';
import type { Scene } from './scene.ts';

const BUBBLE_OUT = 0.06;
const LEAST_OUT = 1.2;

const span = (grid: ColumnGrid): number =>
  Math.max(...[...grid.letters, ...grid.numbers].map(({ from, to }) => Math.hypot(to.e - from.e, to.n - from.n)));

/** The lines of a grid, carried on a little beyond the crossings, with the name of each at both ends. */
export function gridScene(grid: ColumnGrid): Partial<Scene> {
  const out = Math.max(LEAST_OUT, span(grid) * BUBBLE_OUT);
  const ends = (line: GridLine): readonly [PlanPoint, PlanPoint] => [
    polar(line.from, line.azimuth, -out),
    polar(line.to, line.azimuth, out),
  ];
  const lines = [...grid.letters, ...grid.numbers];
  return {
    lines: lines.map((line) => ({ points: ends(line), ink: 'ink2' as const, dash: [10, 3, 2, 3], width: 1 })),
    texts: lines.flatMap((line) => {
      const [from, to] = [polar(line.from, line.azimuth, -out * 1.5), polar(line.to, line.azimuth, out * 1.5)];
      return [from, to].map((at) => ({ at, text: line.label, ink: 'ink2' as const }));
    }),
  };
}
