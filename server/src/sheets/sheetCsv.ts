import { csvText } from '@idle-marker/formats';
import type { NumberedSheet } from '@idle-marker/records';
import { LENGTH_DECIMALS } from '@idle-marker/words';
import { sheetTable } from './sheetTable.ts';

/** The sheet's rows as CSV, figures in the site's unit. */
export function sheetCsv(sheet: NumberedSheet): string {
  const { header, rows } = sheetTable(sheet);
  return csvText(
    header,
    rows.map((row) =>
      row.map((cell) => (typeof cell === 'object' && cell !== null ? cell.length.toFixed(LENGTH_DECIMALS) : cell)),
    ),
  );
}
