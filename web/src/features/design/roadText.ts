/**
 * A road as lines of text in the site's units: its way by intersection points or element after element, where its
 * stations jump, its heights, and its strings. Each writer gives what its reader takes; the reader's sentence names the
 * line that is wrong.
 */
import {
  apartByBlanks,
  elementsAlong,
  elementsThrough,
  fail,
  ok,
  stationBack,
  type HorizontalElement,
  type IntersectionPoint,
  type Metres,
  type PlanPoint,
  type Result,
  type StationTable,
  type TypedElement,
  sexagesimalOrDecimal,
} from '@idle-marker/core';
import type { AlignmentFactBody } from '@idle-marker/records';
import { msg, readStation, roadFaultWords, shortStation, type StationStyle } from '@idle-marker/words';
import { afterSentence, withBothReadings } from '../../field/doubtfulLength.ts';
import type { Units } from '../../field/useUnits.ts';

type Equations = AlignmentFactBody['equations'];
type Profile = NonNullable<AlignmentFactBody['profile']>['points'];
type Strings = Pick<AlignmentFactBody, 'strings' | 'kerbs'>;

interface Ways {
  readonly units: Units;
  readonly style: StationStyle;
}

const linesOf = (text: string): { readonly line: string; readonly said: string }[] =>
  text
    .split('\n')
    .flatMap((raw, i) =>
      raw.trim() === ''
        ? []
        : [{ line: raw.trim(), said: msg('design.line2', { i: i + 1, raw: raw.trim().slice(0, 40) }) }],
    );

/** Rest of a part after its first word, when it is one of these. */
function after(part: string, ...words: readonly string[]): string | null {
  const word = words.find((each) => part.toLowerCase().startsWith(`${each} `));
  return word === undefined ? null : part.slice(word.length + 1).trim();
}

const placeOf = (first: string, second: string, units: Units): PlanPoint | null => {
  const [a, b] = [units.readLength(first), units.readLength(second)];
  if (a === null || b === null) return null;
  return units.axes[0] === 'e' ? { e: a, n: b } : { e: b, n: a };
};

export interface TypedWay {
  readonly elements: HorizontalElement[];
  /** As typed, where it was typed by intersection points. */
  readonly intersections: IntersectionPoint[] | null;
}

/** “4018, 8052” a line, with “radius 80” and “spirals 30 30” where a curve rounds the point. */
export const writeIntersections = (points: readonly IntersectionPoint[], { units }: Ways): string =>
  points
    .map((point) =>
      [
        ...units.axes.map((axis) => units.edit(point[axis])),
        ...(point.radius === null ? [] : [`radius ${units.edit(point.radius)}`]),
        ...(point.spiralIn > 0 || point.spiralOut > 0
          ? [`spirals ${units.edit(point.spiralIn)} ${units.edit(point.spiralOut)}`]
          : []),
      ].join(', '),
    )
    .join('\n');

export const readWay = (text: string, ways: Ways): Result<TypedWay, string> =>
  withBothReadings(ways.units, (units) => wayIn(text, { ...ways, units }), afterSentence);

function wayIn(text: string, ways: Ways): Result<TypedWay, string> {
  const lines = linesOf(text);
  if (lines.length === 0) return fail(msg('design.giveTheWayItsIntersectionPointsOr'));
  return /^start\b/i.test(lines[0]!.line) ? readElements(lines, ways) : readIntersections(lines, ways);
}

function readIntersections(lines: ReturnType<typeof linesOf>, ways: Ways): Result<TypedWay, string> {
  const { units } = ways;
  const points: IntersectionPoint[] = [];
  for (const { line, said } of lines) {
    const [first = '', second = '', ...rest] = line.split(/[,;]/).map((part) => part.trim());
    const place = placeOf(first, second, units);
    if (!place) return fail(msg('design.isNotTwoCoordinatesWithARadius', { said }));
    let [radius, spiralIn, spiralOut]: [number | null, number, number] = [null, 0, 0];
    for (const part of rest) {
      const [radiusText, spiralText] = [after(part, 'radius', 'r'), after(part, 'spirals', 'spiral')];
      if (radiusText !== null) {
        radius = units.readLength(radiusText);
        if (radius === null) return fail(msg('design.hasARadiusThatIsNoLength', { said }));
      } else if (spiralText !== null) {
        const figures = apartByBlanks(spiralText).map((each) => units.readLength(each));
        if (figures.some((each) => each === null || each < 0) || figures.length > 2)
          return fail(msg('design.hasSpiralsThatAreNotOneOr', { said }));
        [spiralIn, spiralOut] = [figures[0]!, figures[1] ?? figures[0]!];
      } else return fail(msg('design.hasWhichIsNeitherARadiusNor', { said, part }));
    }
    points.push({ ...place, radius, spiralIn, spiralOut });
  }
  if (points[0]!.radius !== null || points.at(-1)!.radius !== null)
    return fail(msg('design.theFirstAndTheLastPointHave'));
  const elements = elementsThrough(points);
  return elements.ok
    ? ok({ elements: elements.value, intersections: points })
    : fail(roadFaultWords(elements.error, ways.style));
}

/**
 * “start 4018, 8052, direction 97°”, then “line 92”, “spiral 30 to 80 left”, “curve 62 radius 80 left”, “spiral 30 from
 * 80 left”.
 */
function readElements(lines: ReturnType<typeof linesOf>, { units, style }: Ways): Result<TypedWay, string> {
  const [first, ...rest] = lines;
  const [e = '', n = '', way = ''] = first!.line
    .replace(/^start\s*/i, '')
    .split(/[,;]/)
    .map((part) => part.trim());
  const start = placeOf(e, n, units);
  const direction = units.readAngle(way.replace(/^direction\s*/i, ''));
  if (direction === null && units.angleUnit === 'dms' && sexagesimalOrDecimal(way.replace(/^direction\s*/i, '')))
    return fail(msg('design.canBeDegreesMinutesAndSecondsOr', { said: first!.said, way }));
  if (!start || direction === null) return fail(msg('design.isNotStartTwoCoordinatesAndA', { said: first!.said }));
  const typed: TypedElement[] = [];
  for (const { line, said } of rest) {
    const words = apartByBlanks(line.toLowerCase());
    const length = units.readLength(words[1] ?? '');
    const hand = words.at(-1);
    const rotation = hand === 'left' ? 'ccw' : hand === 'right' ? 'cw' : null;
    const figure = (word: string): Metres | null => {
      const at = words.indexOf(word);
      return at < 0 ? null : units.readLength(words[at + 1] ?? '');
    };
    if (length === null) return fail(msg('design.hasNoLengthAfterItsFirstWord', { said }));
    if (words[0] === 'line') typed.push({ kind: 'line', length });
    else if (words[0] === 'curve') {
      const radius = figure('radius');
      if (radius === null || !rotation) return fail(msg('design.needsARadiusAndLeftOrRight', { said }));
      typed.push({ kind: 'curve', length, radius, rotation });
    } else if (words[0] === 'spiral') {
      const [radiusStart, radiusEnd] = [figure('from'), figure('to')];
      if ((radiusStart === null && radiusEnd === null) || !rotation)
        return fail(msg('design.needsTheRadiusThatItComesFrom', { said }));
      typed.push({ kind: 'spiral', length, radiusStart, radiusEnd, rotation });
    } else return fail(msg('design.beginsWithNoneOfLineCurveAnd', { said }));
  }
  const elements = elementsAlong(start, direction, typed);
  if (!elements.ok) return fail(roadFaultWords(elements.error, style));
  return elements.value.length === 0
    ? fail(msg('design.giveAtLeastOneElementAfterThe'))
    : ok({ elements: elements.value, intersections: null });
}

/**
 * “0+200 = 0+500” a line: the station as the line comes to it, and what it is from there on; “down” where they count
 * down.
 */
export function writeEquations(equations: Equations, { style }: Ways): string {
  return equations
    .map((equation, i) => {
      return `${shortStation(stationBack({ equations }, i), style)} = ${shortStation(equation.ahead, style)}${equation.counts < 0 ? ' down' : ''}`;
    })
    .join('\n');
}

export function readEquations(text: string, { style }: Ways): Result<Equations, string> {
  const equations: Equations = [];
  for (const { line, said } of linesOf(text)) {
    const found = /^(\S+)\s*=\s*(\S+)(\s+down)?$/i.exec(line);
    const [back, ahead] = [found?.[1], found?.[2]].map((each) =>
      each === undefined ? null : readStation(each, style),
    );
    if (!found || back === null || back === undefined || ahead === null || ahead === undefined)
      return fail(
        msg('design.isNot', { said, shortStation: shortStation(200, style), shortStation2: shortStation(500, style) }),
      );
    const before = equations.at(-1);
    const at = before ? before.at + before.counts * (back - before.ahead) : back;
    equations.push({ at, ahead, counts: found[3] ? -1 : 1 });
  }
  return ok(equations);
}

/**
 * “0+110, 6.15, curve 70” a line: station, height, and how it is rounded: a length, two lengths, or a radius. Stations
 * without jumps.
 */
export const writeProfile = (points: Profile, { units, style }: Ways): string =>
  points
    .map(({ station, z, rounding }) => {
      const round =
        rounding === null
          ? []
          : rounding.kind === 'parabola'
            ? [`curve ${units.edit(rounding.length)}`]
            : rounding.kind === 'circular'
              ? [`radius ${units.edit(rounding.radius)}`]
              : [`curve ${units.edit(rounding.lengthIn)} ${units.edit(rounding.lengthOut)}`];
      return [shortStation(station, style).replace('−', '-'), units.edit(z), ...round].join(', ');
    })
    .join('\n');

export const readProfile = (text: string, ways: Ways): Result<Profile, string> =>
  withBothReadings(ways.units, (units) => profileIn(text, { ...ways, units }), afterSentence);

function profileIn(text: string, { units, style }: Ways): Result<Profile, string> {
  const points: Profile = [];
  for (const { line, said } of linesOf(text)) {
    const [stationText = '', heightText = '', round, ...rest] = line.split(/[,;]/).map((part) => part.trim());
    const [station, z] = [readStation(stationText, style), units.readLength(heightText)];
    if (station === null || z === null || rest.length > 0) return fail(msg('design.isNotAStationAndAHeight', { said }));
    const [curve, radius] = [after(round ?? '', 'curve', 'length'), after(round ?? '', 'radius', 'r')];
    const figures = apartByBlanks(curve ?? radius ?? '').map((each) => units.readLength(each));
    if (
      round !== undefined &&
      round !== '' &&
      ((curve === null && radius === null) || figures.some((each) => each === null))
    )
      return fail(msg('design.hasWhichIsNeitherCurve70Nor', { said, round }));
    const rounding: Profile[number]['rounding'] =
      curve !== null
        ? figures.length === 1
          ? { kind: 'parabola', length: figures[0]! }
          : { kind: 'unsymmetricParabola', lengthIn: figures[0]!, lengthOut: figures[1]! }
        : radius !== null
          ? { kind: 'circular', radius: figures[0]! }
          : null;
    points.push({ station, z, rounding });
  }
  return ok(points);
}

/** “3.25, 3.75 @ 0+122”: the first figure from the start on, then from row to row. Written in `edit`'s units. */
function writeTable(table: StationTable, edit: (value: number) => string, { style }: Ways): string {
  if (table.length === 1) return edit(table[0]!.value);
  return table
    .map(({ station, value }) => `${edit(value)} @ ${shortStation(station, style).replace('−', '-')}`)
    .join(', ');
}

function readTable(
  text: string,
  read: (text: string) => number | null,
  { style }: Ways,
): { station: number; value: number }[] | null {
  const rows: { station: number; value: number }[] = [];
  for (const [i, part] of text.split(',').entries()) {
    const [valueText = '', stationText] = part.split('@').map((each) => each.trim());
    const value = read(valueText);
    const station = stationText === undefined ? (i === 0 ? 0 : null) : readStation(stationText, style);
    if (value === null || station === null) return null;
    rows.push({ station, value });
  }
  return rows;
}

const readPercent = (text: string): number | null =>
  /^[-−]?\d+(\.\d+)?$/.test(text.trim()) ? Number(text.trim().replace('−', '-')) : null;
const writePercent = (value: number): string => String(Number(value.toFixed(4)));
const negated = (table: StationTable) => table.map(({ station, value }) => ({ station, value: -value }));

/**
 * A string a line: “left edge; left 3.25; fall 2.5”, “walk; left 5.25; above left edge 0.16”, and kerbs: “left kerb;
 * kerb on left edge; face 0.02; top 0.12, 0.02 @ 0+140; back 0.15”.
 */
export function writeStrings({ strings, kerbs }: Strings, ways: Ways): string {
  const edit = (value: number) => ways.units.edit(value);
  return [
    ...strings.map(({ name, from, offset, height }) => {
      const isLeft = offset[0]!.value < 0;
      const rise = height.values;
      const high =
        height.rule === 'fall'
          ? `fall ${from === null ? '' : `from ${from}: `}${writeTable(rise, writePercent, ways)}`
          : `above ${from ?? 'centreline'}: ${writeTable(rise, edit, ways)}`;
      return `${name}; ${isLeft ? 'left' : 'right'} ${writeTable(isLeft ? negated(offset) : offset, edit, ways)}; ${high}`;
    }),
    ...kerbs.map(({ name, flowLine, faceOffset, topHeight, backOffset, backHeight }) =>
      [
        name,
        `kerb on ${flowLine}`,
        `face ${edit(faceOffset)}`,
        `top ${writeTable(topHeight, edit, ways)}`,
        `back ${edit(backOffset)}`,
        ...(backHeight ? [`back top ${writeTable(backHeight, edit, ways)}`] : []),
      ].join('; '),
    ),
  ].join('\n');
}

export const readStrings = (text: string, ways: Ways): Result<Strings, string> =>
  withBothReadings(ways.units, (units) => stringsIn(text, { ...ways, units }), afterSentence);

function stringsIn(text: string, ways: Ways): Result<Strings, string> {
  const { units } = ways;
  const length = (each: string) => units.readLength(each);
  const found: Strings = { strings: [], kerbs: [] };
  for (const { line, said } of linesOf(text)) {
    const [name = '', second = '', ...rest] = line.split(';').map((part) => part.trim());
    const flowLine = after(second, 'kerb on');
    if (flowLine !== null) {
      const part = (word: string) =>
        rest
          .map((each) => after(each, word))
          .find((each, i) => each !== null && !(word === 'back' && /^back top /i.test(rest[i]!))) ?? null;
      const [faceOffset, backOffset] = [length(part('face') ?? '0'), length(part('back') ?? '')];
      const topHeight = readTable(part('top') ?? '', length, ways);
      const backText = part('back top');
      const backHeight = backText === null ? null : readTable(backText, length, ways);
      if (faceOffset === null || backOffset === null || !topHeight || (backText !== null && !backHeight))
        return fail(msg('design.isNotAKerbSuchAsLeft', { said }));
      found.kerbs.push({ name, flowLine, faceOffset, topHeight, backOffset, backHeight });
      continue;
    }
    const [leftText, rightText] = [after(second, 'left'), after(second, 'right')];
    const offset = readTable(leftText ?? rightText ?? '', length, ways);
    const [high = ''] = rest;
    const [fallText, aboveText] = [after(high, 'fall', 'falls'), after(high, 'above')];
    const [base, figures] = splitBase(fallText ?? aboveText ?? '', fallText !== null);
    const values = readTable(figures, fallText !== null ? readPercent : length, ways);
    if (!offset || !values || (fallText === null && aboveText === null) || rest.length > 1 || name === '')
      return fail(msg('design.isNotAStringSuchAsLeft', { said }));
    found.strings.push({
      name,
      from: base === null || base === 'centreline' ? null : base,
      offset: leftText === null ? offset : negated(offset),
      height: { rule: fallText !== null ? 'fall' : 'difference', values },
    });
  }
  return ok(found);
}

/** “from left edge: 2.5” or “left edge: 0.16”: what it counts from, and the figures. */
function splitBase(text: string, isFall: boolean): readonly [string | null, string] {
  const at = text.indexOf(':');
  if (at < 0) return [null, text];
  const base = text.slice(0, at).trim();
  return [isFall ? base.replace(/^from\s+/i, '') : base, text.slice(at + 1).trim()];
}
