/**
 * The parts of a road as tables: a row for each line of its text form (`roadText`), so that what is typed in cells,
 * pasted from a spreadsheet or written as text is the same, and is read by one reader.
 */
import { apartByBlanks } from '@idle-marker/core';
import { msg, readStation, shortStation, worded, type StationStyle } from '@idle-marker/words';
import type { CellColumn, Cells } from '../../field/CellTable.tsx';
import type { Units } from '../../field/useUnits.ts';

export interface RoadPart {
  readonly columns: readonly CellColumn[];
  toLine(row: Cells): string;
  /** Null for a line that no table can show: it stays text. */
  fromLine(line: string): Cells | null;
}

interface Site {
  readonly units: Units;
  readonly style: StationStyle;
}

const words = worded(() => ({
  left: msg('design.cellLeft'),
  right: msg('design.cellRight'),
}));
const hands = (): CellColumn['options'] => [
  ['left', words().left],
  ['right', words().right],
];

const partsOf = (line: string, apart: RegExp): string[] => line.split(apart).map((part) => part.trim());
/** Rest of a part after its first word; null when it begins with none of these. */
function after(part: string, ...firsts: readonly string[]): string | null {
  const word = firsts.find((each) => part.toLowerCase().startsWith(`${each} `));
  return word === undefined ? null : part.slice(word.length + 1).trim();
}

const lengthFault =
  ({ readLength }: Units) =>
  (cell: string): string | null =>
    // In the text form a comma stands between two figures.
    cell.includes(',') ? msg('design.cellPoint') : readLength(cell) === null ? msg('design.cellNoLength') : null;
const stationFault = (style: StationStyle) => (cell: string) =>
  readStation(cell, style) === null ? msg('design.cellNoStation', { station: shortStation(140, style) }) : null;
/** One figure, or figures from stations on: "3.25, 3.75 @ 0+122". */
const tableFault =
  (style: StationStyle, isFigure: (text: string) => boolean) =>
  (cell: string): string | null => {
    const isGood = cell.split(',').every((part, i) => {
      const [value = '', station] = part.split('@').map((each) => each.trim());
      return isFigure(value) && (station === undefined ? i === 0 : readStation(station, style) !== null);
    });
    return isGood ? null : msg('design.cellNoTable', { station: shortStation(122, style) });
  };
const isPercent = (text: string): boolean => /^[-−]?\d+(\.\d+)?$/.test(text);
const nameFault = (cell: string): string | null => (/[;:@]/.test(cell) ? msg('design.cellName') : null);

const axisWords = (units: Units): readonly [string, string] =>
  units.axes[0] === 'e' ? [msg('common.east'), msg('common.north')] : [msg('common.north'), msg('common.east')];

/** By intersection points: two coordinates, and how the point is rounded. */
export function intersectionPart({ units }: Site): RoadPart {
  const check = lengthFault(units);
  const [first, second] = axisWords(units);
  const { unit } = units;
  return {
    columns: [
      { label: first, unit, check },
      { label: second, unit, check },
      { label: msg('design.cellRadius'), unit, check, isOptional: true },
      { label: msg('design.cellSpiralIn'), unit, check, isOptional: true },
      { label: msg('design.cellSpiralOut'), unit, check, isOptional: true },
    ],
    toLine: ([a = '', b = '', radius = '', spiralIn = '', spiralOut = '']) =>
      [
        a,
        b,
        ...(radius.trim() === '' ? [] : [`radius ${radius}`]),
        ...(spiralIn.trim() === '' && spiralOut.trim() === ''
          ? []
          : [`spirals ${spiralIn || '0'} ${spiralOut || '0'}`]),
      ].join(', '),
    fromLine: (line) => {
      const [a = '', b = '', ...rest] = partsOf(line, /[,;]/);
      const cells = [a, b, '', '', ''];
      for (const part of rest) {
        const [radius, spirals] = [after(part, 'radius', 'r'), after(part, 'spirals', 'spiral')];
        if (radius !== null) cells[2] = radius;
        else if (spirals !== null) {
          const figures = apartByBlanks(spirals);
          if (figures.length > 2) return null;
          [cells[3], cells[4]] = [figures[0]!, figures[1] ?? figures[0]!];
        } else return null;
      }
      return cells;
    },
  };
}

/** Where a way that is told element after element begins. */
export function startPart({ units }: Site): RoadPart {
  const check = lengthFault(units);
  const [first, second] = axisWords(units);
  return {
    columns: [
      { label: first, unit: units.unit, check },
      { label: second, unit: units.unit, check },
      {
        label: msg('design.cellDirection'),
        isWide: true,
        check: (cell) => (units.readAngle(cell) === null ? msg('design.cellNoDirection') : null),
      },
    ],
    toLine: ([a = '', b = '', direction = '']) => `start ${a}, ${b}, direction ${direction}`,
    fromLine: (line) => {
      if (!/^start\b/i.test(line)) return null;
      const [a = '', b = '', direction = ''] = partsOf(line.replace(/^start\s*/i, ''), /[,;]/);
      return [a, b, direction.replace(/^direction\s*/i, '')];
    },
  };
}

export function elementPart({ units }: Site): RoadPart {
  const check = lengthFault(units);
  const { unit } = units;
  return {
    columns: [
      {
        label: msg('design.cellElement'),
        options: [
          ['line', msg('design.cellLine')],
          ['curve', msg('design.cellCurve')],
          ['spiral', msg('design.cellSpiral')],
        ],
      },
      { label: msg('design.cellLength'), unit, check },
      {
        label: msg('design.cellRadius'),
        unit,
        check,
        isOff: ([kind]) => kind === 'line',
        // A spiral has none where it leaves a straight line.
        isOptional: true,
      },
      { label: msg('design.cellRadiusEnd'), unit, check, isOptional: true, isOff: ([kind]) => kind !== 'spiral' },
      { label: msg('design.cellHand'), options: hands()!, isOff: ([kind]) => kind === 'line' },
    ],
    toLine: ([kind = 'line', length = '', radius = '', end = '', hand = 'left']) =>
      kind === 'line'
        ? `line ${length}`
        : kind === 'curve'
          ? `curve ${length} radius ${radius} ${hand}`
          : ['spiral', length, ...(radius ? ['from', radius] : []), ...(end ? ['to', end] : []), hand].join(' '),
    fromLine: (line) => {
      const all = apartByBlanks(line.toLowerCase());
      const [kind = '', length = ''] = all;
      const figure = (word: string) => (all.includes(word) ? (all[all.indexOf(word) + 1] ?? '') : '');
      const hand = all.at(-1) === 'right' ? 'right' : 'left';
      if (kind === 'line') return ['line', length, '', '', 'left'];
      if (kind === 'curve') return ['curve', length, figure('radius'), '', hand];
      return kind === 'spiral' ? ['spiral', length, figure('from'), figure('to'), hand] : null;
    },
  };
}

export function equationPart({ style }: Site): RoadPart {
  const check = stationFault(style);
  return {
    columns: [
      { label: msg('design.cellBack'), check },
      { label: msg('design.cellAhead'), check },
      {
        label: msg('design.cellCounts'),
        options: [
          ['up', msg('design.cellUp')],
          ['down', msg('design.cellDown')],
        ],
      },
    ],
    toLine: ([back = '', ahead = '', counts = 'up']) => `${back} = ${ahead}${counts === 'down' ? ' down' : ''}`,
    fromLine: (line) => {
      const found = /^(\S+)\s*=\s*(\S+)(\s+down)?$/i.exec(line);
      return found && [found[1]!, found[2]!, found[3] ? 'down' : 'up'];
    },
  };
}

export function profilePart({ units, style }: Site): RoadPart {
  const check = lengthFault(units);
  const { unit } = units;
  return {
    columns: [
      { label: msg('common.station'), check: stationFault(style) },
      { label: msg('common.height'), unit, check },
      {
        label: msg('design.cellRounded'),
        options: [
          ['none', msg('design.cellNot')],
          ['curve', msg('design.cellCurveLength')],
          ['lengths', msg('design.cellTwoLengths')],
          ['radius', msg('design.cellByRadius')],
        ],
      },
      { label: msg('design.cellBy'), unit, check, isOff: ([, , kind]) => kind === 'none' },
      { label: msg('design.cellSecondLength'), unit, check, isOff: ([, , kind]) => kind !== 'lengths' },
    ],
    toLine: ([station = '', z = '', kind = 'none', by = '', second = '']) =>
      [
        station,
        z,
        ...(kind === 'none'
          ? []
          : [kind === 'radius' ? `radius ${by}` : `curve ${by}${kind === 'lengths' ? ` ${second}` : ''}`]),
      ].join(', '),
    fromLine: (line) => {
      const [station = '', z = '', round = '', ...rest] = partsOf(line, /[,;]/);
      if (rest.length > 0) return null;
      if (round === '') return [station, z, 'none', '', ''];
      const [curve, radius] = [after(round, 'curve', 'length'), after(round, 'radius', 'r')];
      if (radius !== null) return [station, z, 'radius', radius, ''];
      const [by = '', second = ''] = apartByBlanks(curve ?? '');
      return curve === null ? null : [station, z, second === '' ? 'curve' : 'lengths', by, second];
    },
  };
}

export function stringPart({ units, style }: Site): RoadPart {
  const isLength = (text: string) => units.readLength(text) !== null;
  return {
    columns: [
      { label: msg('common.name'), isWide: true, check: nameFault },
      { label: msg('design.cellSide'), options: hands()! },
      { label: msg('design.cellOffset'), unit: units.unit, check: tableFault(style, isLength), isWide: true },
      {
        label: msg('design.cellHeightBy'),
        options: [
          ['fall', msg('design.cellFall')],
          ['above', msg('design.cellAbove')],
        ],
      },
      { label: msg('design.cellFrom'), isWide: true, isOptional: true, check: nameFault },
      {
        label: msg('design.cellFigure'),
        unit: `%, ${units.unit}`,
        isWide: true,
        check: tableFault(style, (text) => isPercent(text) || isLength(text)),
      },
    ],
    toLine: ([name = '', side = 'left', offset = '', rule = 'fall', from = '', figure = '']) =>
      `${name}; ${side} ${offset}; ${rule === 'fall' ? `fall ${from === '' ? '' : `from ${from}: `}` : `above ${from || 'centreline'}: `}${figure}`,
    fromLine: (line) => {
      const [name = '', second = '', third = '', ...rest] = partsOf(line, /;/);
      const side = /^(left|right)\s+(.*)$/i.exec(second);
      const high = /^(falls?|above)\s+(.*)$/i.exec(third);
      if (!side || !high || rest.length > 0) return null;
      const at = high[2]!.indexOf(':');
      const from =
        at < 0
          ? ''
          : high[2]!
              .slice(0, at)
              .trim()
              .replace(/^from\s+/i, '');
      return [
        name,
        side[1]!.toLowerCase(),
        side[2]!,
        high[1]!.toLowerCase() === 'above' ? 'above' : 'fall',
        from === 'centreline' ? '' : from,
        high[2]!.slice(at + 1).trim(),
      ];
    },
  };
}

export function kerbPart({ units, style }: Site): RoadPart {
  const isLength = (text: string) => units.readLength(text) !== null;
  const check = lengthFault(units);
  const { unit } = units;
  return {
    columns: [
      { label: msg('common.name'), isWide: true, check: nameFault },
      { label: msg('design.cellOnString'), isWide: true, check: nameFault },
      { label: msg('design.cellFace'), unit, check },
      { label: msg('design.cellTop'), unit, check: tableFault(style, isLength), isWide: true },
      { label: msg('design.cellKerbBack'), unit, check },
      { label: msg('design.cellBackTop'), unit, check: tableFault(style, isLength), isWide: true, isOptional: true },
    ],
    toLine: ([name = '', on = '', face = '', top = '', back = '', backTop = '']) =>
      [
        name,
        `kerb on ${on}`,
        `face ${face || '0'}`,
        `top ${top}`,
        `back ${back}`,
        ...(backTop.trim() === '' ? [] : [`back top ${backTop}`]),
      ].join('; '),
    fromLine: (line) => {
      const [name = '', second = '', ...rest] = partsOf(line, /;/);
      const on = after(second, 'kerb on');
      if (on === null) return null;
      const part = (word: string) =>
        rest.flatMap((each) => after(each, word) ?? []).find((each) => !(word === 'back' && /^top /i.test(each))) ?? '';
      return [name, on, part('face') || '0', part('top'), part('back'), part('back top')];
    },
  };
}
