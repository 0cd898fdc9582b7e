import { csvText } from '@idle-marker/formats';
import type { NumberedSheet } from '@idle-marker/records';
import { LENGTH_DECIMALS } from '@idle-marker/words';
import { sheetAbout } from './sheetAbout.ts';
import { sheetTable } from './sheetTable.ts';

/** Marks of feet, inches and speech as every keyboard has them: what reads the file may know no others. */
const plainMarks = (text: string): string => text.replace(/[′‘’]/g, "'").replace(/[″“”]/g, '"');

/** The sheet's rows as CSV, figures in the site's unit; `head` for lines above them that say what it is. */
export function sheetCsv(sheet: NumberedSheet, { head = true }: { readonly head?: boolean } = {}): string {
  const { header, rows } = sheetTable(sheet);
  return csvText(
    header,
    rows.map((row) =>
      row.map((cell, i) =>
        typeof cell === 'object' && cell !== null
          ? 'length' in cell
            ? cell.length.toFixed(LENGTH_DECIMALS)
            : cell.text
          : // The first is the mark's name, and stays as it is.
            typeof cell === 'string' && i > 0
            ? plainMarks(cell)
            : cell,
      ),
    ),
    { comments: head ? sheetAbout(sheet).lines : [] },
  );
}
