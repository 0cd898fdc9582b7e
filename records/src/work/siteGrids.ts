/** Grids of a site: the lines that columns and walls are set out from. */
import {
  columnGrid,
  gridCrossing,
  gridIntersections,
  RADIANS_PER_DEGREE,
  wrapTurn,
  type ColumnGrid,
  type ColumnGridDefinition,
  type Corner,
  type GridError,
  type Result,
} from '@idle-marker/core';
import type { FactBody } from '@idle-marker/contract';

type Grid = FactBody<'grid'>;

const familyOf = ({ azimuthDeg, labels, spacings }: Grid['letters']) => ({
  azimuth: azimuthDeg * RADIANS_PER_DEGREE,
  labels,
  spacings,
});

export const gridOf = (
  body: Pick<Grid, 'origin' | 'letters' | 'numbers' | 'spacingMeasured'>,
): Result<ColumnGrid, GridError> =>
  columnGrid({
    origin: body.origin,
    letters: familyOf(body.letters),
    numbers: familyOf(body.numbers),
    spacingMeasured: body.spacingMeasured,
  });

/** A grid as the fact keeps it: directions in degrees. */
export function gridGeometry({
  origin,
  letters,
  numbers,
  spacingMeasured,
}: ColumnGridDefinition): Pick<Grid, 'origin' | 'letters' | 'numbers' | 'spacingMeasured'> {
  // A billionth of a degree is far below what any coordinate shows, and 360 is 0.
  const family = ({ azimuth, labels, spacings }: ColumnGridDefinition['letters']) => ({
    azimuthDeg: Number((wrapTurn(azimuth) / RADIANS_PER_DEGREE).toFixed(9)) % 360,
    labels: [...labels],
    spacings: [...spacings],
  });
  return { origin: { e: origin.e, n: origin.n }, letters: family(letters), numbers: family(numbers), spacingMeasured };
}

/** All crossings, as points to mark. */
export const crossingsOf = (grid: ColumnGrid): Corner[] =>
  gridIntersections(grid).map(({ name, e, n }) => ({ name, e, n }));

/** Half-way from every crossing to the next one along each line: `A 1–2` is on line A between 1 and 2. */
export function midpointsOf(grid: ColumnGrid): Corner[] {
  const along = (lines: ColumnGrid['letters'], crossing: ColumnGrid['letters']): Corner[] =>
    lines.flatMap((line) =>
      crossing.slice(1).flatMap((next, i): Corner[] => {
        const [from, to] = [gridCrossing(line, crossing[i]!), gridCrossing(line, next)];
        return from && to
          ? [
              {
                name: `${line.label} ${crossing[i]!.label}–${next.label}`,
                e: (from.e + to.e) / 2,
                n: (from.n + to.n) / 2,
              },
            ]
          : [];
      }),
    );
  return [...along(grid.letters, grid.numbers), ...along(grid.numbers, grid.letters)];
}

/** Both ends of every line, two by two: `A@1` is line A where it meets line 1. */
export function lineEndsOf(grid: ColumnGrid): Corner[] {
  const between = (lines: ColumnGrid['letters'], crossing: ColumnGrid['letters']): Corner[] =>
    lines.flatMap((line) => [
      { name: `${line.label}@${crossing[0]!.label}`, e: line.from.e, n: line.from.n },
      { name: `${line.label}@${crossing.at(-1)!.label}`, e: line.to.e, n: line.to.n },
    ]);
  // A family of one line gives the other no ends.
  return [
    ...(grid.numbers.length > 1 ? between(grid.letters, grid.numbers) : []),
    ...(grid.letters.length > 1 ? between(grid.numbers, grid.letters) : []),
  ];
}

/** The four corners of the grid, round it. */
export function gridCorners(grid: ColumnGrid): Corner[] {
  const [a, z, one, last] = [grid.letters[0]!, grid.letters.at(-1)!, grid.numbers[0]!, grid.numbers.at(-1)!];
  return [
    { name: `${a.label}-${one.label}`, ...plain(a.from) },
    { name: `${a.label}-${last.label}`, ...plain(a.to) },
    { name: `${z.label}-${last.label}`, ...plain(z.to) },
    { name: `${z.label}-${one.label}`, ...plain(z.from) },
  ];
}
const plain = ({ e, n }: { readonly e: number; readonly n: number }) => ({ e, n });
