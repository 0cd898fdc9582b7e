/** A grid of lettered and numbered lines at any angle to each other, as columns stand on. */
import { crossLines } from '../plane/crossing.ts';
import { alongOff } from '../plane/line.ts';
import { polar, type PlanPoint } from '../plane/point.ts';
import type { Metres, Radians } from '../quantity/unit.ts';
import { fail, ok, type Result } from '../result.ts';

export interface GridFamily {
  /** Direction of the lines of this family. */
  readonly azimuth: Radians;
  readonly labels: readonly string[];
  /** Between each label and the next. */
  readonly spacings: readonly Metres[];
}
export interface ColumnGridDefinition {
  /** Where the first lettered and the first numbered line meet. */
  readonly origin: PlanPoint;
  readonly letters: GridFamily;
  /** Its lines follow each other along the azimuth of the letters, and the lettered ones along the azimuth of these. */
  readonly numbers: GridFamily;
  /** Square to the lines, or along the lines that cross them. */
  readonly spacingMeasured: 'perpendicular' | 'alongCrossing';
}
export interface GridLine {
  readonly label: string;
  /** On the first line of the other family. */
  readonly from: PlanPoint;
  /** On the last line of the other family. */
  readonly to: PlanPoint;
  readonly azimuth: Radians;
  /** Labels of the lines beside it. */
  readonly right: string | null;
  readonly left: string | null;
}
export interface ColumnGrid {
  readonly letters: readonly GridLine[];
  readonly numbers: readonly GridLine[];
}
export interface AgainstGridLine {
  /** Positive to the right of the line's azimuth. */
  readonly offset: Metres;
  /** Label of the next line on that side; `on` within half a millimetre, `outside` when there is none. */
  readonly toward: string;
}
export type GridError =
  | { readonly code: 'GRID_WITHOUT_LINES'; readonly family: 'letters' | 'numbers' }
  | {
      readonly code: 'GRID_SPACING_COUNT';
      readonly family: 'letters' | 'numbers';
      readonly labels: number;
      readonly spacings: number;
    }
  | {
      readonly code: 'GRID_SPACING_NOT_POSITIVE';
      readonly family: 'letters' | 'numbers';
      readonly index: number;
      readonly spacing: Metres;
    }
  | { readonly code: 'GRID_LABEL_TWICE'; readonly label: string }
  | { readonly code: 'GRID_LINES_PARALLEL' };

/** Sine below which the two families do not cross at a place that could be marked: about 0.6°. */
const FLATTEST = 0.01;
const ON_LINE: Metres = 0.0005;

function familyError(grid: ColumnGridDefinition, family: 'letters' | 'numbers'): GridError | null {
  const { labels, spacings } = grid[family];
  if (labels.length === 0) return { code: 'GRID_WITHOUT_LINES', family };
  if (spacings.length !== labels.length - 1)
    return { code: 'GRID_SPACING_COUNT', family, labels: labels.length, spacings: spacings.length };
  const index = spacings.findIndex((spacing) => !(spacing > 0) || !Number.isFinite(spacing));
  return index < 0 ? null : { code: 'GRID_SPACING_NOT_POSITIVE', family, index, spacing: spacings[index]! };
}

export function columnGrid(definition: ColumnGridDefinition): Result<ColumnGrid, GridError> {
  const { origin, letters, numbers, spacingMeasured } = definition;
  const wrong = familyError(definition, 'letters') ?? familyError(definition, 'numbers');
  if (wrong) return fail(wrong);
  const all = [...letters.labels, ...numbers.labels];
  const twice = all.find((label, i) => all.indexOf(label) < i);
  if (twice !== undefined) return fail({ code: 'GRID_LABEL_TWICE', label: twice });
  const sine = Math.sin(numbers.azimuth - letters.azimuth);
  if (Math.abs(sine) < FLATTEST) return fail({ code: 'GRID_LINES_PARALLEL' });
  const step = spacingMeasured === 'perpendicular' ? 1 / Math.abs(sine) : 1;
  const placesOf = ({ spacings }: GridFamily): Metres[] =>
    spacings.reduce<Metres[]>((places, spacing) => [...places, places.at(-1)! + spacing * step], [0]);
  const [lettersAt, numbersAt] = [placesOf(letters), placesOf(numbers)];
  const at = (alongLetters: Metres, alongNumbers: Metres) =>
    polar(polar(origin, letters.azimuth, alongLetters), numbers.azimuth, alongNumbers);
  // Lettered lines follow each other along the numbered ones: to the right of their azimuth when that turns right.
  const followsRight = { letters: sine > 0, numbers: sine < 0 };
  const beside = (labels: readonly string[], i: number, right: boolean) => {
    const [next, previous] = [labels[i + 1] ?? null, labels[i - 1] ?? null];
    return right ? { right: next, left: previous } : { right: previous, left: next };
  };
  return ok({
    letters: letters.labels.map((label, i) => ({
      label,
      from: at(0, lettersAt[i]!),
      to: at(numbersAt.at(-1)!, lettersAt[i]!),
      azimuth: letters.azimuth,
      ...beside(letters.labels, i, followsRight.letters),
    })),
    numbers: numbers.labels.map((label, i) => ({
      label,
      from: at(numbersAt[i]!, 0),
      to: at(numbersAt[i]!, lettersAt.at(-1)!),
      azimuth: numbers.azimuth,
      ...beside(numbers.labels, i, followsRight.numbers),
    })),
  });
}

const asSegment = (line: GridLine) => ({ from: line.from, to: polar(line.from, line.azimuth, 1) });

/** Where two lines of a grid cross, whichever families they are of; null for lines of one family. */
export function gridCrossing(a: GridLine, b: GridLine): PlanPoint | null {
  const [point] = crossLines(asSegment(a), asSegment(b))?.points ?? [];
  return point ? { e: point.e, n: point.n } : null;
}

/** Every crossing, lettered line by lettered line, named letter-number. */
export const gridIntersections = (grid: ColumnGrid): (PlanPoint & { readonly name: string })[] =>
  grid.letters.flatMap((letter) =>
    grid.numbers.map((number) => ({ name: `${letter.label}-${number.label}`, ...gridCrossing(letter, number)! })),
  );

export const gridLine = (grid: ColumnGrid, label: string): GridLine | null =>
  [...grid.letters, ...grid.numbers].find((line) => line.label === label) ?? null;

/** Where a point lies against a line of the grid. */
export function againstGridLine(line: GridLine, point: PlanPoint): AgainstGridLine {
  const { from, to } = asSegment(line);
  const offset = alongOff(point, from, to)!.off;
  if (Math.abs(offset) <= ON_LINE) return { offset, toward: 'on' };
  return { offset, toward: (offset > 0 ? line.right : line.left) ?? 'outside' };
}

/**
 * A place said as people say it: so far from a line toward the next, and so far from a line of the other family toward
 * its next. Null when a neighbour is not beside its line or both lines are of one family.
 */
export function placeInGrid(
  grid: ColumnGrid,
  first: { readonly line: string; readonly toward: string; readonly distance: Metres },
  second: { readonly line: string; readonly toward: string; readonly distance: Metres },
): PlanPoint | null {
  const offsetLine = ({ line, toward, distance }: typeof first) => {
    const base = gridLine(grid, line);
    if (!base || (toward !== base.right && toward !== base.left)) return null;
    const square = base.azimuth + (toward === base.right ? Math.PI / 2 : -Math.PI / 2);
    const from = polar(base.from, square, distance);
    return { from, to: polar(from, base.azimuth, 1) };
  };
  const [a, b] = [offsetLine(first), offsetLine(second)];
  const [point] = (a && b && crossLines(a, b)?.points) || [];
  return point ? { e: point.e, n: point.n } : null;
}
