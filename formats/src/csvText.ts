import Papa from 'papaparse';

/** Numbers written with fixed decimals are no formulas, signed or not. */
const PLAIN_NUMBER = /^-?\d+(\.\d+)?$/;

export type CsvCell = string | number | null;

/**
 * CSV text that a spreadsheet cannot mistake for formulas: text that starts with = + - @ tab or return gets an
 * apostrophe before it. Numbers are written as numbers. Lines end with CRLF (RFC 4180).
 */
export function csvText(header: readonly string[], rows: readonly (readonly CsvCell[])[]): string {
  const cell = (value: CsvCell): string | number => {
    if (value === null) return '';
    if (typeof value === 'number' || PLAIN_NUMBER.test(value)) return value;
    return /^[=+\-@\t\r]/.test(value) ? `'${value}` : value;
  };
  return `${Papa.unparse([header.map(cell), ...rows.map((row) => row.map(cell))], { newline: '\r\n' })}\r\n`;
}
