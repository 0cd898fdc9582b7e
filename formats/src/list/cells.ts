/**
 * A table in text: its separator found or named, comments and the line that names the separator left aside, every row
 * with the line of the file that it begins on.
 */
import Papa from 'papaparse';
import { undefused } from '../csvText.ts';

export interface CellRow {
  /** Line of the file, counted from 1. */
  readonly row: number;
  readonly cells: readonly string[];
}
export interface Table {
  readonly rows: readonly CellRow[];
  readonly separator: Separator;
}
export type Separator = '\t' | ';' | ',' | ' ';

const NAMED = /^\uFEFF?sep=(.)[ \t]*\r?(\n|$)/i;

/** What separates cells, from the first lines that are none of comments. */
function separatorOf(lines: readonly string[]): Separator {
  const [first = ''] = lines;
  if (first.includes('\t')) return '\t';
  if (first.includes(';')) return ';';
  if (!first.includes(',')) return ' ';
  // Commas that stand inside of figures alone, between blanks, are decimal signs.
  const isSpaced = lines
    .slice(0, 5)
    .every((line) => line.trim().split(/\s+/).length >= 3 && !/(^|[^\d]),|,([^\d]|$)/.test(line));
  return isSpaced ? ' ' : ',';
}

/** Rows without anything in them are left away. */
export function tableOf(text: string): Table {
  const named = NAMED.exec(text);
  // Lines keep their numbers: what is no row is emptied.
  const whole = (named ? text.slice(named[0].length).replace(/^/, '\n') : text)
    .replace(/^\uFEFF/, '')
    .replace(/\r\n?/g, '\n')
    .replace(/^#.*$/gm, '');
  const lines = firstLines(whole);
  const separator = named ? asSeparator(named[1]!) : separatorOf(lines);
  if (separator === ' ') {
    const rows = whole
      .split('\n')
      .map((line, i) => ({ row: i + 1, cells: line.trim() === '' ? [] : line.trim().split(/\s+/) }));
    return { separator, rows: rows.filter(({ cells }) => cells.length > 0) };
  }
  const { data } = Papa.parse<string[]>(whole, { delimiter: separator, skipEmptyLines: false });
  let line = 1;
  const rows = data.map((cells): CellRow => {
    const row = line;
    line += 1 + cells.reduce((sum, cell) => sum + (cell.match(/\n/g)?.length ?? 0), 0);
    return { row, cells: cells.map(undefused) };
  });
  return { separator, rows: rows.filter(({ cells }) => cells.some((cell) => cell.trim() !== '')) };
}

const LOOKED_AT = 20;

function firstLines(text: string): string[] {
  const lines: string[] = [];
  let at = 0;
  while (at < text.length && lines.length < LOOKED_AT) {
    const end = text.indexOf('\n', at);
    const line = text.slice(at, end < 0 ? text.length : end);
    // Cells in quotes may hold anything.
    if (line.trim() !== '') lines.push(line.replace(/"[^"]*"/g, '""'));
    at = end < 0 ? text.length : end + 1;
  }
  return lines;
}

const asSeparator = (sign: string): Separator => (sign === '\t' || sign === ';' || sign === ',' ? sign : ' ');
