import { lengthFromMetres } from '@idle-marker/core';
import { csvText, type CsvCell } from '@idle-marker/formats';
import type { NumberedSheet } from '@idle-marker/records';
import { cutFillWords, HEIGHT_REFERENCE, LENGTH_DECIMALS, MEANING, STANDING, UNIT_ABBREVIATION } from '@idle-marker/words';

/** The sheet's rows as CSV, figures in the site's unit. */
export function sheetCsv(sheet: NumberedSheet): string {
  const unit = UNIT_ABBREVIATION[sheet.lengthUnit];
  const length = (metres: number | null): CsvCell => (metres === null ? null : lengthFromMetres(metres, sheet.lengthUnit).toFixed(LENGTH_DECIMALS));
  const header = [
    'Mark',
    'Offset to',
    `Offset ${unit}`,
    `Hub height ${unit}`,
    'To',
    `Design height ${unit}`,
    'Cut or fill',
    `Ground height ${unit}`,
    'East off mm',
    'North off mm',
    'Station',
    'Standing',
    'Set at',
    'Proof before',
    'Proof after',
    'Stake text',
    'Sheet',
    'Revision',
  ];
  return csvText(
    header,
    sheet.rows.map((row) => [
      row.name,
      `${row.corner}, ${MEANING[row.meaning]}`,
      length(row.offset),
      length(row.hubZ),
      HEIGHT_REFERENCE[sheet.heightReference],
      length(row.designZ),
      cutFillWords(row.cutFill, sheet.lengthUnit),
      length(row.groundZ),
      Math.round(row.dEMm),
      Math.round(row.dNMm),
      row.provisional ? `${row.station} (provisional)` : row.station,
      STANDING[row.standing],
      row.setAt,
      row.proofBefore,
      row.proofAfter,
      row.stakeText.join(' | '),
      sheet.number,
      sheet.revision,
    ]),
  );
}
