import { lengthFromMetres, type LengthUnit } from '@idle-marker/core';
import { csvText, type CsvCell } from '@idle-marker/formats';
import type { NumberedSheet } from '@idle-marker/records';
import { cutFillWords, HEIGHT_REFERENCE, LENGTH_DECIMALS, MEANING, sheetClock, smallLength, STANDING, UNIT_ABBREVIATION } from '@idle-marker/words';

/** None where the plan came from a receiver. */
const promised = (radius95Mm: number | null, unit: LengthUnit): string => (radius95Mm === null ? '' : smallLength(radius95Mm / 1000, unit));

/** The sheet's rows as CSV, figures in the site's unit. */
export function sheetCsv(sheet: NumberedSheet): string {
  const unit = UNIT_ABBREVIATION[sheet.lengthUnit];
  const length = (metres: number | null): CsvCell => (metres === null ? null : lengthFromMetres(metres, sheet.lengthUnit).toFixed(LENGTH_DECIMALS));
  const clock = sheetClock(sheet.timeZone, sheet.setFrom);
  const stations = new Map(sheet.stations.map((station) => [station.name, station]));
  const header = [
    'Mark',
    'Offset to',
    `Offset ${unit}`,
    `Ground height ${unit}`,
    `Hub height ${unit}`,
    'Design',
    `Design height ${unit}`,
    'Cut or fill',
    sheet.also ? `Cut or fill to ${HEIGHT_REFERENCE[sheet.also.heightReference]}` : 'Cut or fill to a second feature',
    'East off mm',
    'North off mm',
    'Station',
    'Station 95 %',
    'Set on',
    'Set at',
    'Proof before',
    'Proof after',
    'Time zone',
    'Standing',
    'Within mm plan',
    'Within mm height',
    `Site zero ${unit}`,
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
      length(row.groundZ),
      length(row.hubZ),
      HEIGHT_REFERENCE[sheet.heightReference],
      length(row.designZ),
      cutFillWords(row.cutFill, sheet.lengthUnit, sheet.rounding),
      sheet.also && row.cutFill !== null ? cutFillWords(row.cutFill - sheet.also.above, sheet.lengthUnit, sheet.rounding) : null,
      Math.round(row.dEMm),
      Math.round(row.dNMm),
      row.provisional ? `${row.station} (provisional)` : row.station,
      promised(stations.get(row.station)?.radius95Mm ?? null, sheet.lengthUnit),
      clock.day(row.setAt),
      clock.time(row.setAt),
      clock.time(row.proofBefore),
      clock.time(row.proofAfter),
      sheet.timeZone,
      STANDING[row.standing],
      sheet.planMm,
      sheet.heightMm,
      length(sheet.siteZero),
      row.stakeText.join(' | '),
      sheet.number,
      sheet.revision,
    ]),
  );
}
