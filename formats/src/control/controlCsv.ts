/** Control lists as CSV: reading with a preview that names every fault by row and column. */
import Papa from 'papaparse';
import { fail, lengthToMetres, ok, type LengthUnit, type Metres, type Result } from '@idle-marker/core';
import type { LandXmlFault } from '../landXml/landXmlFault.ts';
import { readHeaderCell, usesXY, type ColumnRole } from './columns.ts';

export type ControlKind = 'pin' | 'nail' | 'screw' | 'cross' | 'stake' | 'target' | 'benchmark' | 'other';
export type ControlCondition = 'secure' | 'usable' | 'doubtful' | 'lost';
const KINDS: readonly ControlKind[] = ['pin', 'nail', 'screw', 'cross', 'stake', 'target', 'benchmark', 'other'];
const CONDITIONS: readonly ControlCondition[] = ['secure', 'usable', 'doubtful', 'lost'];

export interface ControlCsvOptions {
  /** Unit of coordinates where the header names none. */
  readonly unit: LengthUnit;
  /** X is the northing, Y the easting. */
  readonly xIsNorth: boolean;
}

export type FileIssue =
  | { readonly code: 'NO_ROWS' }
  | { readonly code: 'NO_HEADER'; readonly firstRow: string }
  | { readonly code: 'MISSING_COLUMN'; readonly role: 'name' | 'coordinates' }
  | { readonly code: 'REPEATED_COLUMN'; readonly role: ColumnRole; readonly columns: readonly string[] }
  | { readonly code: 'MIXED_UNITS'; readonly units: readonly LengthUnit[] }
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
  readonly note: string;
  readonly issues: readonly RowIssue[];
}

export interface ControlList {
  readonly rows: readonly ControlRow[];
  readonly unit: LengthUnit;
  readonly unitFromFile: boolean;
  /** Columns that were not understood and are left aside. */
  readonly ignoredColumns: readonly string[];
  /** The header says X and Y: which is the easting must be asked. */
  readonly usesXY: boolean;
}

export const MOST_CONTROL_ROWS = 50_000;
/** With empty rows and line breaks inside of cells; and no list has so many cells in a row. */
const MOST_LINES = 4 * MOST_CONTROL_ROWS;
const MOST_COLUMNS = 200;
const LONGEST_NAME = 80;
/** A cell with more letters is no number, and no column is headed by more. */
const LONGEST_NUMBER = 60;
const LONGEST_HEAD = 120;

export function readControlCsv(text: string, options: ControlCsvOptions): Result<ControlList, FileIssue> {
  const written = lineCount(text);
  if (written > MOST_LINES) return fail({ code: 'TOO_MANY_ROWS', rows: written - 1, most: MOST_CONTROL_ROWS });
  const parsed = Papa.parse<string[]>(text.replace(/^\uFEFF/, ''), { skipEmptyLines: false });
  const wide = parsed.data.findIndex((cells) => cells.length > MOST_COLUMNS);
  if (wide >= 0)
    return fail({ code: 'TOO_MANY_CELLS', row: wide + 1, cells: parsed.data[wide]!.length, most: MOST_COLUMNS });
  const lines = parsed.data
    .map((cells, i) => ({ row: i + 1, cells }))
    .filter(({ cells }) => cells.some((cell) => cell.trim() !== ''));
  const [header, ...body] = lines;
  if (!header) return fail({ code: 'NO_ROWS' });
  const columns = readHeader(header.cells, options);
  if (!columns.ok) return columns;
  if (body.length === 0) return fail({ code: 'NO_ROWS' });
  if (body.length > MOST_CONTROL_ROWS)
    return fail({ code: 'TOO_MANY_ROWS', rows: body.length, most: MOST_CONTROL_ROWS });
  const decimalComma = parsed.meta.delimiter === ';' || parsed.meta.delimiter === '\t';
  const { unit, at, unitFromFile } = columns.value;
  return ok({
    rows: body.map(({ row, cells }) => readRow(row, cells, header.cells, at, unit, decimalComma)),
    unit,
    unitFromFile,
    ignoredColumns: header.cells.filter((cell, i) => cell.trim() !== '' && !Object.values(at).includes(i)),
    usesXY: usesXY(header.cells),
  });
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

function readHeader(
  cells: readonly string[],
  options: ControlCsvOptions,
): Result<{ at: Columns; unit: LengthUnit; unitFromFile: boolean }, FileIssue> {
  const numeric = cells.filter(
    (cell) => cell.trim() !== '' && Number.isFinite(Number(cell.trim().replace(',', '.'))),
  ).length;
  if (numeric >= 2) return fail({ code: 'NO_HEADER', firstRow: cells.join(', ').slice(0, 80) });
  const at: Columns = {};
  const units = new Set<LengthUnit>();
  for (const [i, cell] of cells.entries()) {
    const { role: named, unit } = cell.length > LONGEST_HEAD ? { role: null, unit: null } : readHeaderCell(cell);
    if (!named) continue;
    const role = swapXY(cell, named, options.xIsNorth);
    if (at[role] !== undefined) return fail({ code: 'REPEATED_COLUMN', role, columns: [cells[at[role]]!, cell] });
    at[role] = i;
    // A height in another unit than the plan is as bad as a mixed plan.
    if (unit && (role === 'e' || role === 'n' || role === 'z')) units.add(unit);
  }
  if (units.size > 1) return fail({ code: 'MIXED_UNITS', units: [...units] });
  if (at.name === undefined && Object.keys(at).length === 0)
    return fail({ code: 'NO_HEADER', firstRow: cells.join(', ').slice(0, 80) });
  if (at.name === undefined) return fail({ code: 'MISSING_COLUMN', role: 'name' });
  const hasPlan = at.e !== undefined && at.n !== undefined;
  if (!hasPlan && (at.z === undefined || at.e !== undefined || at.n !== undefined))
    return fail({ code: 'MISSING_COLUMN', role: 'coordinates' });
  const [fromFile] = units;
  return ok({ at, unit: fromFile ?? options.unit, unitFromFile: fromFile !== undefined });
}

function swapXY(cell: string, role: ColumnRole, xIsNorth: boolean): ColumnRole {
  if (!xIsNorth || !/^[xy]\b/i.test(cell.trim())) return role;
  return role === 'e' ? 'n' : role === 'n' ? 'e' : role;
}

function readRow(
  row: number,
  cells: readonly string[],
  header: readonly string[],
  at: Columns,
  unit: LengthUnit,
  decimalComma: boolean,
): ControlRow {
  const issues: RowIssue[] = [];
  const cell = (role: ColumnRole): string => (at[role] === undefined ? '' : (cells[at[role]] ?? '').trim());
  const columnName = (role: ColumnRole): string => header[at[role]!]!.trim();
  const number = (role: ColumnRole): number | null => {
    const text = cell(role);
    if (text === '') return null;
    const value = text.length > LONGEST_NUMBER ? null : readNumber(text, decimalComma);
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
  const last = Math.max(...Object.values(at));
  if (cells.length <= last && cells.length < header.length)
    issues.push({ code: 'TOO_FEW_CELLS', cells: cells.length, columns: header.length });
  const name = cell('name');
  if (name === '') issues.push({ code: 'NO_NAME' });
  if (name.length > LONGEST_NAME) issues.push({ code: 'NAME_TOO_LONG' });
  const [e, n, z] = [number('e'), number('n'), number('z')];
  if (issues.length === 0) {
    if ((e === null) !== (n === null)) issues.push({ code: 'HALF_A_PLACE' });
    else if (e === null && z === null) issues.push({ code: 'NO_COORDINATES' });
  }
  const metres = (value: number | null): Metres | null => (value === null ? null : lengthToMetres(value, unit));
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
    note: cell('note'),
    issues,
  };
}

/** Plain decimal numbers; groups by spaces or apostrophes, or by commas when the comma is not the decimal mark. */
function readNumber(text: string, decimalComma: boolean): number | null {
  let plain = text.replace(/[\s\u2009\u00a0']/g, '').replace(/^[−–]/, '-');
  if (decimalComma && /^-?\d+,\d+$/.test(plain)) plain = plain.replace(',', '.');
  else if (/^-?\d{1,3}(,\d{3})+(\.\d*)?$/.test(plain)) plain = plain.replace(/,/g, '');
  return /^[-+]?(\d+\.?\d*|\.\d+)(e[-+]?\d+)?$/i.test(plain) && Number.isFinite(Number(plain)) ? Number(plain) : null;
}
