/** A grid from straight lines: two families of directions, named by the texts at their ends. */
import {
  azimuth,
  columnGrid,
  fail,
  gridCrossing,
  lengthFromMetres,
  lengthToMetres,
  intersectLines,
  ok,
  planDistance,
  wrapHalfTurn,
  type ColumnGridDefinition,
  type Corner,
  type LengthUnit,
  type Metres,
  type PlanPoint,
  type Radians,
  type Result,
} from '@idle-marker/core';
import type { DrawnLine, DrawnText } from './drawing.ts';

export interface DrawnGrid {
  readonly layer: string;
  /** Names of the lines of both families, in order across. */
  readonly first: readonly string[];
  readonly second: readonly string[];
  /** The crossings of the outermost lines, in order round the grid. */
  readonly corners: readonly Corner[];
  /** The ends of every line where it crosses the outermost lines of the other family, two by two: from, to. */
  readonly lineEnds: readonly Corner[];
  /** Every crossing, named by its two lines. */
  readonly crossings: readonly Corner[];
  /** The grid by its origin, directions and spacings, these as round as the drawing lets them be. */
  readonly definition: ColumnGridDefinition;
  /**
   * How far a drawn crossing lies at most from where that definition puts it: large when the lines are not quite
   * parallel.
   */
  readonly misfit: Metres;
}

export type GridError =
  | { readonly code: 'GRID_TOO_FEW_LINES'; readonly lines: number }
  | { readonly code: 'GRID_MANY_DIRECTIONS'; readonly directions: number };

/** Lines that differ less than this in direction are of one family. */
const SAME_DIRECTION: Radians = 0.5 * (Math.PI / 180);
/** Lines of one family nearer than this are one line drawn in pieces. */
const SAME_LINE: Metres = 0.01;
/** A label belongs to a line whose end or prolongation it stands this near to. */
const LABEL_REACH: Metres = 3;

/** Direction of a line without its sense, in [0, π). */
const direction = (line: DrawnLine): Radians => {
  const angle = azimuth(line.from, line.to);
  return angle >= Math.PI ? angle - Math.PI : angle;
};

const apart = (a: Radians, b: Radians): Radians =>
  Math.min(Math.abs(wrapHalfTurn(a - b)), Math.abs(wrapHalfTurn(a - b + Math.PI)));

const off = (line: DrawnLine, point: PlanPoint): Metres => {
  const length = planDistance(line.from, line.to);
  return (
    ((line.to.e - line.from.e) * (point.n - line.from.n) - (line.to.n - line.from.n) * (point.e - line.from.e)) / length
  );
};

function families(lines: readonly DrawnLine[]): DrawnLine[][] {
  const groups: DrawnLine[][] = [];
  for (const line of [...lines].sort((a, b) => planDistance(b.from, b.to) - planDistance(a.from, a.to))) {
    const group = groups.find((each) => apart(direction(each[0]!), direction(line)) < SAME_DIRECTION);
    // A third direction makes it no grid: what else comes does not matter, and drawings are large.
    if (!group && groups.push([line]) > 2) break;
    if (!group) continue;
    if (!group.some((other) => Math.abs(off(other, line.from)) < SAME_LINE)) group.push(line);
  }
  return groups;
}

/** @param unit in which the spacings are taken to be round */
export function gridFromLines(
  layer: string,
  lines: readonly DrawnLine[],
  texts: readonly DrawnText[],
  unit: LengthUnit = 'metre',
): Result<DrawnGrid, GridError> {
  const own = lines.filter((line) => line.layer === layer && planDistance(line.from, line.to) > SAME_LINE);
  const groups = families(own);
  if (groups.length > 2) return fail({ code: 'GRID_MANY_DIRECTIONS', directions: groups.length });
  const [a, b] = groups.map(ordered) as [DrawnLine[] | undefined, DrawnLine[] | undefined];
  if (!a || !b || a.length < 2 || b.length < 2) return fail({ code: 'GRID_TOO_FEW_LINES', lines: own.length });
  // Labels on the grid's own layer go before words that happen to stand near.
  const ownTexts = texts.filter((each) => each.layer === layer);
  const labelled = ownTexts.length > 0 ? ownTexts : texts;
  const namesA = labels(a, labelled);
  const namesB = labels(b, labelled);
  // Letters first, as grids are spoken of: A-1, not 1-A. Unnamed families get letters and numbers.
  const lettersFirst = !(namesA?.every((name) => /^\d+$/.test(name)) ?? false);
  const [first, second] = lettersFirst ? [a, b] : [b, a];
  const firstNames = (lettersFirst ? namesA : namesB) ?? first.map((_, i) => letter(i));
  const secondNames = (lettersFirst ? namesB : namesA) ?? second.map((_, i) => String(i + 1));
  const crossing = (i: number, j: number): Corner => {
    const place = intersectLines(first[i]!.from, first[i]!.to, second[j]!.from, second[j]!.to)!;
    return { name: `${firstNames[i]!}${secondNames[j]!}`, ...place };
  };
  const [lastI, lastJ] = [first.length - 1, second.length - 1];
  return ok({
    layer,
    first: firstNames,
    second: secondNames,
    corners: [crossing(0, 0), crossing(lastI, 0), crossing(lastI, lastJ), crossing(0, lastJ)],
    lineEnds: [
      ...first.flatMap((_, i) => [crossing(i, 0), crossing(i, lastJ)]),
      ...second.flatMap((_, j) => [crossing(0, j), crossing(lastI, j)]),
    ],
    crossings: first.flatMap((_, i) => second.map((__, j) => crossing(i, j))),
    ...definitionOf(counting(firstNames), counting(secondNames), crossing, unit),
  });
}

interface Counted {
  readonly name: string;
  /** Place in the family as it was found. */
  readonly at: number;
}
/** Lines in the order in which their names count: drawings list them from either side. */
const counting = (names: readonly string[]): Counted[] => {
  const counted = names.map((name, at) => ({ name, at }));
  return names[0]!.localeCompare(names.at(-1)!, 'en', { numeric: true }) > 0 ? counted.reverse() : counted;
};

/** Coordinates of a drawing are rounded themselves: a bay of 7.1999 was drawn as 7.200. */
const DRAWN_ROUNDING: Metres = 0.001;
const STEPS = [1e-3, 1e-4, 1e-6] as const;

function definitionOf(
  letters: readonly Counted[],
  numbers: readonly Counted[],
  found: (i: number, j: number) => PlanPoint,
  unit: LengthUnit,
): Pick<DrawnGrid, 'definition' | 'misfit'> {
  const [lastI, lastJ] = [letters.length - 1, numbers.length - 1];
  const crossing = (i: number, j: number) => found(letters[i]!.at, numbers[j]!.at);
  const corner = crossing(0, 0);
  const [alongLetters, alongNumbers] = [azimuth(corner, crossing(0, lastJ)), azimuth(corner, crossing(lastI, 0))];
  const square = Math.abs(Math.sin(alongNumbers - alongLetters));
  const rounded = (step: number): Pick<DrawnGrid, 'definition' | 'misfit'> => {
    const to = (length: Metres) =>
      lengthToMetres(Number((Math.round(lengthFromMetres(length, unit) / step) * step).toFixed(6)), unit);
    const spacings = (count: number, at: (i: number) => PlanPoint) =>
      Array.from({ length: count }, (_, i) => to(planDistance(at(i), at(i + 1)) * square));
    const definition: ColumnGridDefinition = {
      origin: { e: corner.e, n: corner.n },
      letters: {
        azimuth: alongLetters,
        labels: letters.map(({ name }) => name),
        spacings: spacings(lastI, (i) => crossing(i, 0)),
      },
      numbers: {
        azimuth: alongNumbers,
        labels: numbers.map(({ name }) => name),
        spacings: spacings(lastJ, (j) => crossing(0, j)),
      },
      spacingMeasured: 'perpendicular',
    };
    const built = columnGrid(definition);
    const misfits = built.ok
      ? built.value.letters.flatMap((letterLine, i) =>
          built.value.numbers.map((numberLine, j) =>
            planDistance(gridCrossing(letterLine, numberLine)!, crossing(i, j)),
          ),
        )
      : [Infinity];
    return { definition, misfit: Math.max(...misfits) };
  };
  const tries = STEPS.map(rounded);
  return tries.find(({ misfit }) => misfit < DRAWN_ROUNDING) ?? tries.at(-1)!;
}

/** Spreadsheet-like letters without I and O, which are taken for figures. */
const LETTERS = 'ABCDEFGHJKLMNPQRSTUVWXYZ';
const letter = (i: number): string =>
  i < LETTERS.length ? LETTERS[i]! : `${letter(Math.floor(i / LETTERS.length) - 1)}${LETTERS[i % LETTERS.length]!}`;

/** In order across the family. */
const ordered = (lines: readonly DrawnLine[]): DrawnLine[] => {
  const base = lines[0]!;
  return [...lines].sort((x, y) => off(base, x.from) - off(base, y.from));
};

/** The text at an end of each line; null unless every line has one of its own. */
function labels(lines: readonly DrawnLine[], texts: readonly DrawnText[]): string[] | null {
  const names = lines.map((line) => {
    const near = texts
      .filter((each) => each.text.length > 0 && each.text.length <= 4)
      .map((each) => ({
        text: each.text,
        reach: Math.min(planDistance(each.at, line.from), planDistance(each.at, line.to)),
        aside: Math.abs(off(line, each.at)),
      }))
      .filter((each) => each.reach < LABEL_REACH && each.aside < LABEL_REACH / 3)
      .sort((x, y) => x.reach - y.reach);
    return near[0]?.text;
  });
  const found = names.filter((name) => name !== undefined);
  return found.length === lines.length && new Set(found).size === lines.length ? found : null;
}
