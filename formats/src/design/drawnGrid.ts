/** A grid from straight lines: two families of directions, named by the texts at their ends. */
import {
  azimuth,
  fail,
  intersectLines,
  ok,
  planDistance,
  wrapHalfTurn,
  type Corner,
  type Metres,
  type PlanPoint,
  type Radians,
  type Result,
} from '@idle-marker/core';
import type { DrawnLine, DrawnText } from './dxf.ts';

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
}

export type GridError =
  { readonly code: 'GRID_TOO_FEW_LINES'; readonly lines: number } | { readonly code: 'GRID_MANY_DIRECTIONS'; readonly directions: number };

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

const apart = (a: Radians, b: Radians): Radians => Math.min(Math.abs(wrapHalfTurn(a - b)), Math.abs(wrapHalfTurn(a - b + Math.PI)));

const off = (line: DrawnLine, point: PlanPoint): Metres => {
  const length = planDistance(line.from, line.to);
  return ((line.to.e - line.from.e) * (point.n - line.from.n) - (line.to.n - line.from.n) * (point.e - line.from.e)) / length;
};

function families(lines: readonly DrawnLine[]): DrawnLine[][] {
  const groups: DrawnLine[][] = [];
  for (const line of [...lines].sort((a, b) => planDistance(b.from, b.to) - planDistance(a.from, a.to))) {
    const group = groups.find((each) => apart(direction(each[0]!), direction(line)) < SAME_DIRECTION);
    if (!group) groups.push([line]);
    else if (!group.some((other) => Math.abs(off(other, line.from)) < SAME_LINE)) group.push(line);
  }
  return groups;
}

export function gridFromLines(layer: string, lines: readonly DrawnLine[], texts: readonly DrawnText[]): Result<DrawnGrid, GridError> {
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
    lineEnds: [...first.flatMap((_, i) => [crossing(i, 0), crossing(i, lastJ)]), ...second.flatMap((_, j) => [crossing(0, j), crossing(lastI, j)])],
    crossings: first.flatMap((_, i) => second.map((__, j) => crossing(i, j))),
  });
}

/** Spreadsheet-like letters without I and O, which are taken for figures. */
const LETTERS = 'ABCDEFGHJKLMNPQRSTUVWXYZ';
const letter = (i: number): string => (i < LETTERS.length ? LETTERS[i]! : `${letter(Math.floor(i / LETTERS.length) - 1)}${LETTERS[i % LETTERS.length]!}`);

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
