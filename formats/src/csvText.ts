import Papa from 'papaparse';
import { oneLine } from './export/siteAbout.ts';

/** Numbers written with fixed decimals are no formulas, signed or not. */
const PLAIN_NUMBER = /^-?\d+(\.\d+)?$/;
/** What a spreadsheet could take for a formula, and what has been kept from being one. */
const FORMULA = /^'*[=+\-@\t\r]/;
const DEFUSED = /^'+[=+\-@\t\r]/;

export type CsvCell = string | number | null;

export interface CsvHead {
  /** Lines above the headings, each a comment. */
  readonly comments?: readonly string[];
  readonly separator?: ',' | ';' | '\t';
  /** Whether there are headings; there are where nothing is said. */
  readonly headings?: boolean;
}

/** Tells a spreadsheet that letters beyond Latin are meant. */
export const BYTE_ORDER_MARK = '\uFEFF';

/**
 * CSV text that a spreadsheet cannot mistake for formulas: text that starts with = + - @ tab or return gets an
 * apostrophe before it, and `undefused` takes it away again. Numbers are written as numbers. Lines end with CRLF (RFC
 * 4180). Where there are comments, they stand above the headings, after a byte order mark.
 */
export function csvText(
  header: readonly string[],
  rows: readonly (readonly CsvCell[])[],
  { comments = [], separator = ',', headings = true }: CsvHead = {},
): string {
  const cell = (value: CsvCell): string | number => {
    if (value === null) return '';
    if (typeof value === 'number' || PLAIN_NUMBER.test(value)) return value;
    return FORMULA.test(value) ? `'${value}` : value;
  };
  const table = Papa.unparse([...(headings ? [header.map(cell)] : []), ...rows.map((row) => row.map(cell))], {
    newline: '\r\n',
    delimiter: separator,
    // A row that begins so would be a comment.
    quotes: (value, column) => column === 0 && String(value).startsWith('#'),
  });
  const above = comments.map((line) => `# ${oneLine(line)}\r\n`);
  return `${above.length > 0 ? BYTE_ORDER_MARK : ''}${above.join('')}${table}\r\n`;
}

/** A cell without the apostrophe that keeps it from being a formula. */
export const undefused = (cell: string): string => (DEFUSED.test(cell) ? cell.slice(1) : cell);
