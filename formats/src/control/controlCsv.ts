/** Control lists as CSV: reading with a preview that names every fault by row and column. */
import { fail, ok, type LengthUnit, type Metres, type Result } from '@idle-marker/core';
import type { LandXmlFault } from '../landXml/landXmlFault.ts';
import { tableOf, type CellRow } from '../list/cells.ts';
import { decimalOf, figureOf, type DecimalSign } from '../list/figures.ts';
import { FILE_UNIT_OF, METRES_PER_FILE_UNIT, type FileUnit } from '../list/fileUnits.ts';
import { COLUMN_ROLES, hasHeadings, readHeaderCell, usesXY, type ColumnRole } from './columns.ts';

export type ControlKind = 'pin' | 'nail' | 'screw' | 'cross' | 'stake' | 'target' | 'benchmark' | 'other';
export type ControlCondition = 'secure' | 'usable' | 'doubtful' | 'lost';
export const KINDS: readonly ControlKind[] = ['pin', 'nail', 'screw', 'cross', 'stake', 'target', 'benchmark', 'other'];
export const CONDITIONS: readonly ControlCondition[] = ['secure', 'usable', 'doubtful', 'lost'];

/** What a person says of a list. */
export interface ListSaid {
  /** Unit of coordinates, also where the headings name another. */
  readonly unit?: FileUnit | null;
  readonly decimal?: DecimalSign | null;
  /** What each column is, by its role; anything else leaves a column aside. */
  readonly columns?: readonly string[] | null;
}

export interface ControlCsvOptions {
  /** Unit of coordinates where neither the header nor a person names one; null to refuse such a list. */
  readonly unit: LengthUnit | null;
  /** X is the northing, Y the easting; null to refuse a list that says X and Y. */
  readonly xIsNorth: boolean | null;
  readonly said?: ListSaid;
  /** Most rows that are taken; as many as a control list may have where nothing is said. */
  readonly most?: number;
}

export type ListWarning = 'DECIMAL_COMMA_ASSUMED' | 'UNIT_OVERRIDDEN' | 'ENCODING_ASSUMED';

export type FileIssue =
  | { readonly code: 'NO_ROWS' }
  | { readonly code: 'NO_HEADER'; readonly firstRow: string }
  | { readonly code: 'MISSING_COLUMN'; readonly role: 'name' | 'coordinates' }
  | { readonly code: 'REPEATED_COLUMN'; readonly role: ColumnRole; readonly columns: readonly string[] }
  | { readonly code: 'MIXED_UNITS'; readonly units: readonly FileUnit[] }
  | { readonly code: 'NO_UNIT_STATED' }
  | { readonly code: 'XY_ORDER_UNKNOWN' }
  | { readonly code: 'DECIMAL_MIXED'; readonly comma: string; readonly point: string }
  | { readonly code: 'XML'; readonly fault: LandXmlFault }
  | { readonly code: 'OTHER_XML'; readonly root: string }
  | { readonly code: 'UNKNOWN_UNIT'; readonly text: string }
  | {
      readonly code: 'TOO_MANY_ROWS';
      /** Null where nobody counted to the end. */ readonly rows: number | null;
      readonly most: number;
    }
  | { readonly code: 'TOO_MANY_CELLS'; readonly row: number; readonly cells: number; readonly most: number };

export type RowIssue =
  | { readonly code: 'NO_NAME' }
  | { readonly code: 'NAME_TOO_LONG' }
  | { readonly code: 'NOT_A_NUMBER'; readonly column: string; readonly text: string }
  | { readonly code: 'OTHER_UNIT'; readonly column: string; readonly text: string }
  | { readonly code: 'HALF_A_PLACE' }
  | { readonly code: 'NO_COORDINATES' }
  | { readonly code: 'UNKNOWN_WORD'; readonly column: string; readonly text: string; readonly known: readonly string[] }
  | { readonly code: 'NOT_POSITIVE'; readonly column: string; readonly text: string }
  | { readonly code: 'TOO_FEW_CELLS'; readonly cells: number; readonly columns: number };

export interface ControlRow {
  /** Line of the file, counted from 1, header included. */
  readonly row: number;
  readonly name: string;
  readonly e: Metres | null;
  readonly n: Metres | null;
  readonly z: Metres | null;
  readonly sdPlanMm: number | null;
  readonly sdHeightMm: number | null;
  readonly kind: ControlKind;
  readonly condition: ControlCondition;
  /** What the list calls its kind. */
  readonly code: string;
  /** With the code before it: nothing of it is lost on a mark. */
  readonly note: string;
  readonly issues: readonly RowIssue[];
}

export interface ControlList {
  readonly rows: readonly ControlRow[];
  readonly unit: FileUnit;
  /** The file itself names a unit, though another may have been said. */
  readonly unitFromFile: boolean;
  /** Which of the two coordinates comes first. */
  readonly order: 'EN' | 'NE';
  readonly decimal: DecimalSign;
  readonly warnings: readonly ListWarning[];
  /** Columns that were not understood and are left aside. */
  readonly ignoredColumns: readonly string[];
  /** The header says X and Y: which is the easting must be asked. */
  readonly usesXY: boolean;
}

export const MOST_CONTROL_ROWS = 50_000;
/** Lines to a row, with empty rows and line breaks inside of cells; and no list has so many cells in a row. */
const LINES_TO_A_ROW = 4;
const MOST_COLUMNS = 200;
const LONGEST_NAME = 80;
/** A cell with more letters is no number, and no column is headed by more. */
const LONGEST_NUMBER = 60;
const LONGEST_HEAD = 120;

export function readControlCsv(text: string, options: ControlCsvOptions): Result<ControlList, FileIssue> {
  const { most = MOST_CONTROL_ROWS } = options;
  const written = lineCount(text);
  if (written > LINES_TO_A_ROW * most) return fail({ code: 'TOO_MANY_ROWS', rows: written - 1, most });
  const { rows: lines } = tableOf(text);
  const wide = lines.find(({ cells }) => cells.length > MOST_COLUMNS);
  if (wide) return fail({ code: 'TOO_MANY_CELLS', row: wide.row, cells: wide.cells.length, most: MOST_COLUMNS });
  const [first] = lines;
  if (!first) return fail({ code: 'NO_ROWS' });
  const columns = columnsOf(first.cells, options);
  if (!columns.ok) return columns;
  const { at, stated, hasHeader } = columns.value;
  const body = hasHeader ? lines.slice(1) : lines;
  if (body.length === 0) return fail({ code: 'NO_ROWS' });
  if (body.length > most) return fail({ code: 'TOO_MANY_ROWS', rows: body.length, most });
  const said = options.said?.unit ?? null;
  const unit = said ?? stated ?? (options.unit === null ? null : FILE_UNIT_OF[options.unit]);
  if (unit === null) return fail({ code: 'NO_UNIT_STATED' });
  const decimal = decimalOf(figuresIn(body, at), options.said?.decimal ?? null);
  if (!decimal.ok) return decimal;
  const header = hasHeader ? first.cells : first.cells.map((_, i) => String(i + 1));
  const reading: Reading = { header, at, perUnit: METRES_PER_FILE_UNIT[unit], decimal: decimal.value.decimal };
  return ok({
    rows: body.map(({ row, cells }) => readRow(row, cells, reading)),
    unit,
    unitFromFile: stated !== null,
    order: (at.n ?? Infinity) < (at.e ?? -1) ? 'NE' : 'EN',
    decimal: decimal.value.decimal,
    warnings: [
      ...(decimal.value.assumed ? (['DECIMAL_COMMA_ASSUMED'] as const) : []),
      ...(said !== null && stated !== null && said !== stated ? (['UNIT_OVERRIDDEN'] as const) : []),
    ],
    ignoredColumns: hasHeader
      ? first.cells.filter((cell, i) => cell.trim() !== '' && !Object.values(at).includes(i))
      : [],
    usesXY: hasHeader && !options.said?.columns && usesXY(first.cells),
  });
}

function* figuresIn(body: readonly CellRow[], at: Columns): Generator<string> {
  const figures = [at.e, at.n, at.z, at.sdPlan, at.sdHeight].filter((i) => i !== undefined);
  for (const { cells } of body)
    for (const i of figures) {
      const cell = cells[i];
      if (cell !== undefined && cell.length <= LONGEST_NUMBER) yield cell;
    }
}

function lineCount(text: string): number {
  let count = 1;
  for (const mark of ['\n', '\r']) {
    let here = 0;
    for (let at = text.indexOf(mark); at >= 0; at = text.indexOf(mark, at + 1)) here++;
    count = Math.max(count, here + 1);
  }
  return count;
}

type Columns = Partial<Record<ColumnRole, number>>;

interface ColumnsFound {
  readonly at: Columns;
  /** The unit that the headings name. */
  readonly stated: FileUnit | null;
  readonly hasHeader: boolean;
}

/** What each column is: as a person says, or as the first line heads them. */
function columnsOf(cells: readonly string[], options: ControlCsvOptions): Result<ColumnsFound, FileIssue> {
  const isHeaded = hasHeadings(cells);
  const said = options.said?.columns ?? null;
  if (said) return saidColumns(said, isHeaded ? cells : null);
  return isHeaded ? readHeader(cells, options) : fail({ code: 'NO_HEADER', firstRow: cells.join(', ').slice(0, 80) });
}

const SAID: Readonly<Record<string, ColumnRole>> = { sdHMm: 'sdPlan', sdZMm: 'sdHeight' };

function saidColumns(said: readonly string[], header: readonly string[] | null): Result<ColumnsFound, FileIssue> {
  const at: Columns = {};
  said.forEach((word, i) => {
    const role = SAID[word] ?? COLUMN_ROLES.find((each) => each === word);
    if (role && at[role] === undefined) at[role] = i;
  });
  const units = (header ?? []).flatMap((cell) => readHeaderCell(cell.slice(0, LONGEST_HEAD)).unit ?? []);
  return whole({ at, stated: units[0] ?? null, hasHeader: header !== null });
}

function readHeader(cells: readonly string[], options: ControlCsvOptions): Result<ColumnsFound, FileIssue> {
  const read = cells.map((cell) => (cell.length > LONGEST_HEAD ? null : readHeaderCell(cell)));
  if (options.xIsNorth === null && read.some((each) => each?.letter)) return fail({ code: 'XY_ORDER_UNKNOWN' });
  const at: Columns = {};
  const units = new Set<FileUnit>();
  for (const [i, each] of read.entries()) {
    if (!each?.role) continue;
    const role = each.letter !== null && options.xIsNorth ? SWAPPED[each.role]! : each.role;
    if (at[role] !== undefined) {
      // A second name or code is left aside; of two places nobody knows which is meant.
      if (role === 'e' || role === 'n' || role === 'z')
        return fail({ code: 'REPEATED_COLUMN', role, columns: [cells[at[role]]!, cells[i]!] });
      continue;
    }
    at[role] = i;
    // A height in another unit than the plan is as bad as a mixed plan.
    if (each.unit && (role === 'e' || role === 'n' || role === 'z')) units.add(each.unit);
  }
  if (at.name === undefined) {
    const station = read.findIndex((each) => each?.isStation);
    if (station >= 0) at.name = station;
  }
  if (units.size > 1) return fail({ code: 'MIXED_UNITS', units: [...units] });
  if (at.name === undefined && Object.keys(at).length === 0)
    return fail({ code: 'NO_HEADER', firstRow: cells.join(', ').slice(0, 80) });
  const [stated] = units;
  return whole({ at, stated: stated ?? null, hasHeader: true });
}

const SWAPPED: Partial<Record<ColumnRole, ColumnRole>> = { e: 'n', n: 'e' };

/** A list needs names, and places or heights; half a place is none. */
function whole(found: ColumnsFound): Result<ColumnsFound, FileIssue> {
  const { at } = found;
  if (at.name === undefined) return fail({ code: 'MISSING_COLUMN', role: 'name' });
  const hasPlan = at.e !== undefined && at.n !== undefined;
  if (!hasPlan && (at.z === undefined || at.e !== undefined || at.n !== undefined))
    return fail({ code: 'MISSING_COLUMN', role: 'coordinates' });
  return ok(found);
}

interface Reading {
  readonly header: readonly string[];
  readonly at: Columns;
  readonly perUnit: Metres;
  readonly decimal: DecimalSign;
}

function readRow(row: number, cells: readonly string[], { header, at, perUnit, decimal }: Reading): ControlRow {
  const issues: RowIssue[] = [];
  const cell = (role: ColumnRole): string => (at[role] === undefined ? '' : (cells[at[role]] ?? '').trim());
  const columnName = (role: ColumnRole): string => (header[at[role]!] ?? String(at[role]! + 1)).trim();
  const number = (role: ColumnRole): number | null => {
    const text = cell(role);
    if (text === '') return null;
    const value = text.length > LONGEST_NUMBER ? null : figureOf(text, decimal);
    if (value !== null) return value;
    const code = /\d\s*[a-z'′″"]+$/i.test(text.slice(0, LONGEST_NUMBER)) ? 'OTHER_UNIT' : 'NOT_A_NUMBER';
    issues.push({ code, column: columnName(role), text: text.slice(0, LONGEST_NUMBER) });
    return null;
  };
  const word = <T extends string>(role: 'kind' | 'condition', known: readonly T[], fallback: T): T => {
    const text = cell(role).toLowerCase();
    const found = known.find((each) => each === text);
    if (text !== '' && !found) issues.push({ code: 'UNKNOWN_WORD', column: columnName(role), text: cell(role), known });
    return found ?? fallback;
  };
  const sd = (role: 'sdPlan' | 'sdHeight'): number | null => {
    const value = number(role);
    if (value !== null && value < 0) issues.push({ code: 'NOT_POSITIVE', column: columnName(role), text: cell(role) });
    return value;
  };
  if (cells.length <= Math.max(at.e ?? 0, at.n ?? 0) && at.e !== undefined && cells.length < header.length)
    issues.push({ code: 'TOO_FEW_CELLS', cells: cells.length, columns: header.length });
  const name = cell('name');
  if (name === '') issues.push({ code: 'NO_NAME' });
  if (name.length > LONGEST_NAME) issues.push({ code: 'NAME_TOO_LONG' });
  const [e, n, z] = [number('e'), number('n'), number('z')];
  if (issues.length === 0) {
    if ((e === null) !== (n === null)) issues.push({ code: 'HALF_A_PLACE' });
    else if (e === null && z === null) issues.push({ code: 'NO_COORDINATES' });
  }
  const metres = (value: number | null): Metres | null => (value === null ? null : value * perUnit);
  return {
    row,
    name,
    e: metres(e),
    n: metres(n),
    z: metres(z),
    sdPlanMm: sd('sdPlan'),
    sdHeightMm: sd('sdHeight'),
    kind: word('kind', KINDS, e === null ? 'benchmark' : 'other'),
    condition: word('condition', CONDITIONS, 'usable'),
    code: cell('code'),
    note: [cell('code'), cell('note')].filter((each) => each !== '').join(', '),
    issues,
  };
}
