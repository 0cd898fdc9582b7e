/** The rows of a sheet as a table with every figure that it has: what CSV and spreadsheets hold. Figures in the site's unit. */
import { lengthFromMetres } from '@idle-marker/core';
import type { CheckOnPaper, CutSheetRow, NumberedSheet } from '@idle-marker/records';
import {
  cutFillWords,
  gradeWords,
  HEIGHT_REFERENCE,
  LENGTH_DECIMALS,
  MEANING,
  sheetClock,
  smallLength,
  STANDING,
  stringWords,
  UNIT_ABBREVIATION,
  type Rounding,
  sheetCheckWords,
} from '@idle-marker/words';

/** A length keeps its decimals as text of a number; anything else is text or a plain number. */
export type TableCell = { readonly length: number } | string | number | null;

type Column = readonly [string, (row: CutSheetRow) => TableCell];

export interface SheetTable {
  readonly header: readonly string[];
  readonly rows: readonly (readonly TableCell[])[];
}

/** What the offset leads to: a corner and what it means, or a line of a road. */
export const leadsTo = ({ corner, meaning, reading }: CutSheetRow): string =>
  reading?.string ? `${corner}, ${stringWords(reading.string)}` : `${corner}, ${MEANING[meaning]}`;

/** What the first height is given to. */
export const gradeOf = ({ reading }: CutSheetRow, sheet: NumberedSheet): string => {
  const string = reading?.heights[0]?.string;
  return string ? gradeWords(string) : HEIGHT_REFERENCE[sheet.heightReference];
};

/** As on the stake, where that is known. */
export const roundingOf = ({ reading }: CutSheetRow, { rounding }: NumberedSheet): Rounding => reading?.rounding.height ?? rounding ?? 'finest';

/** Cut or fill to a second feature, by its name; null where there is none. */
export function secondHeight(row: CutSheetRow, sheet: NumberedSheet): { readonly to: string; readonly text: string } | null {
  const { also, lengthUnit } = sheet;
  const second = row.reading?.heights[1];
  const rounding = roundingOf(row, sheet);
  if (second)
    return { to: second.string ? gradeWords(second.string) : HEIGHT_REFERENCE[second.reference], text: cutFillWords(second.cutFill, lengthUnit, rounding) };
  return also && row.cutFill !== null
    ? { to: HEIGHT_REFERENCE[also.heightReference], text: cutFillWords(row.cutFill - also.above, lengthUnit, rounding) }
    : null;
}

export function sheetTable(sheet: NumberedSheet): SheetTable {
  const { lengthUnit, siteZero, timeZone } = sheet;
  const unit = UNIT_ABBREVIATION[lengthUnit];
  const clock = sheetClock(timeZone, sheet.setFrom);
  const stations = new Map(sheet.stations.map((station) => [station.name, station]));
  const length = (metres: number | null): TableCell =>
    metres === null ? null : { length: Number(lengthFromMetres(metres, lengthUnit).toFixed(LENGTH_DECIMALS)) };
  const overZero = (metres: number | null): TableCell => length(metres === null || siteZero === null ? null : metres - siteZero);
  const both = sheet.bothHeights === true && siteZero !== null;
  const zeroColumns: readonly Column[] = [
    [`Hub over site zero ${unit}`, (row) => overZero(row.hubZ)],
    [`Design over site zero ${unit}`, (row) => overZero(row.designZ)],
  ];
  const columns: readonly Column[] = [
    ['Mark', (row) => row.name],
    ['Offset to', leadsTo],
    [`Offset ${unit}`, (row) => length(row.reading?.offset ?? row.offset)],
    [`Offset planned ${unit}`, (row) => length(row.offset)],
    [`Ground height ${unit}`, (row) => length(row.groundZ)],
    [`Hub height ${unit}`, (row) => length(row.hubZ)],
    ['Design', (row) => gradeOf(row, sheet)],
    [`Design height ${unit}`, (row) => length(row.designZ)],
    ...(both ? zeroColumns : []),
    ['Cut or fill', (row) => cutFillWords(row.cutFill, lengthUnit, roundingOf(row, sheet))],
    ['Second feature', (row) => secondHeight(row, sheet)?.to ?? null],
    ['Cut or fill to it', (row) => secondHeight(row, sheet)?.text ?? null],
    [`East ${unit}`, (row) => length(row.place.e)],
    [`North ${unit}`, (row) => length(row.place.n)],
    ['East off mm', (row) => Math.round(row.dEMm)],
    ['North off mm', (row) => Math.round(row.dNMm)],
    ['Station', (row) => (row.provisional ? `${row.station} (provisional)` : row.station)],
    ['Station 95 %', (row) => promised(stations.get(row.station)?.radius95Mm ?? null)],
    ['Station check', (row) => checkedWords(stations.get(row.station)?.checked)],
    ['Set on', (row) => clock.day(row.setAt)],
    ['Set at', (row) => clock.time(row.setAt)],
    ['Proof before', (row) => clock.time(row.proofBefore)],
    ['Proof after', (row) => clock.time(row.proofAfter)],
    ['Time zone', () => timeZone],
    ['Standing', (row) => STANDING[row.standing]],
    ['Within mm plan', () => sheet.planMm],
    ['Within mm height', () => sheet.heightMm],
    [`Site zero ${unit}`, () => length(siteZero)],
    ['Stake text', (row) => row.stakeText.join(' | ')],
    ['Sheet', () => sheet.number],
    ['Revision', () => sheet.revision],
  ];
  // None on sheets of before it was kept, nor where the plan came from a receiver.
  const checkedWords = (checked: CheckOnPaper | null | undefined): string => (checked ? sheetCheckWords(checked, lengthUnit) : '');
  // None where the plan came from a receiver.
  const promised = (radius95Mm: number | null): string => (radius95Mm === null ? '' : smallLength(radius95Mm / 1000, lengthUnit));
  return { header: columns.map(([title]) => title), rows: sheet.rows.map((row) => columns.map(([, cell]) => cell(row))) };
}
