/**
 * The rows of a sheet as a table with every figure that it has: what CSV and spreadsheets hold. Figures in the site's
 * unit.
 */
import { lengthFromMetres } from '@idle-marker/core';
import type { CheckOnPaper, CutSheetRow, NumberedSheet } from '@idle-marker/records';
import {
  msg,
  cutFillWords,
  gradeWords,
  heightReferenceWords,
  LENGTH_DECIMALS,
  meaningWords,
  sheetClock,
  smallLength,
  standingWords,
  stringWords,
  unitAbbreviationWords,
  type Rounding,
  sheetCheckWords,
  smallUnit,
} from '@idle-marker/words';

/** A length keeps its decimals as text of a number, and a time what it is; anything else is text or a plain number. */
export type TableCell = { readonly length: number } | TableTime | string | number | null;

/** As it is written, and as the wall of the site had it: a date whose figures in UTC are those of the place. */
export interface TableTime {
  readonly text: string;
  readonly local: Date;
  readonly shows: 'day' | 'time';
}

type Column = readonly [string, (row: CutSheetRow) => TableCell];

export interface SheetTable {
  readonly header: readonly string[];
  readonly rows: readonly (readonly TableCell[])[];
}

/** What the offset leads to: a corner and what it means, or a line of a road. */
export const leadsTo = ({ corner, meaning, reading }: CutSheetRow): string =>
  reading?.string ? `${corner}, ${stringWords(reading.string)}` : `${corner}, ${meaningWords()[meaning]}`;

/** What the first height is given to. */
export const gradeOf = ({ reading }: CutSheetRow, sheet: NumberedSheet): string => {
  const string = reading?.heights[0]?.string;
  return string ? gradeWords(string) : heightReferenceWords()[sheet.heightReference];
};

/** As on the stake, where that is known. */
export const roundingOf = ({ reading }: CutSheetRow, { rounding }: NumberedSheet): Rounding =>
  reading?.rounding.height ?? rounding ?? 'finest';

/** Cut or fill to a second feature, by its name; null where there is none. */
export function secondHeight(
  row: CutSheetRow,
  sheet: NumberedSheet,
): { readonly to: string; readonly text: string } | null {
  const { also, lengthUnit } = sheet;
  const second = row.reading?.heights[1];
  const rounding = roundingOf(row, sheet);
  if (second)
    return {
      to: second.string ? gradeWords(second.string) : heightReferenceWords()[second.reference],
      text: cutFillWords(second.cutFill, lengthUnit, rounding),
    };
  return also && row.cutFill !== null
    ? {
        to: heightReferenceWords()[also.heightReference],
        text: cutFillWords(row.cutFill - also.above, lengthUnit, rounding),
      }
    : null;
}

/** An instant as clocks of a place show it, in the figures of UTC. */
export function localTime(at: string, timeZone: string): Date {
  const parts = new Intl.DateTimeFormat('en-GB', {
    timeZone,
    year: 'numeric',
    month: '2-digit',
    day: '2-digit',
    hour: '2-digit',
    minute: '2-digit',
    second: '2-digit',
    hourCycle: 'h23',
  }).formatToParts(new Date(at));
  const of = (type: Intl.DateTimeFormatPartTypes) => Number(parts.find((part) => part.type === type)!.value);
  return new Date(Date.UTC(of('year'), of('month') - 1, of('day'), of('hour'), of('minute'), of('second')));
}

export function sheetTable(sheet: NumberedSheet): SheetTable {
  const { lengthUnit, siteZero, timeZone } = sheet;
  const unit = unitAbbreviationWords()[lengthUnit];
  const clock = sheetClock(timeZone, sheet.setFrom);
  const stations = new Map(sheet.stations.map((station) => [station.name, station]));
  const length = (metres: number | null): TableCell =>
    metres === null ? null : { length: Number(lengthFromMetres(metres, lengthUnit).toFixed(LENGTH_DECIMALS)) };
  const timeOf = (at: string | null, shows: TableTime['shows']): TableCell =>
    at === null
      ? clock.time(at)
      : { text: shows === 'day' ? clock.day(at) : clock.time(at), local: localTime(at, timeZone), shows };
  const overZero = (metres: number | null): TableCell =>
    length(metres === null || siteZero === null ? null : metres - siteZero);
  const small = smallUnit(lengthUnit);
  const off = (mm: number, decimals = 0): number =>
    Number(((mm / 1000) * small.perMetre).toFixed(small.decimals || decimals));
  const inOrder = <T>(east: T, north: T): readonly T[] => (sheet.axes === 'NE' ? [north, east] : [east, north]);
  const both = sheet.bothHeights === true && siteZero !== null;
  const zeroColumns: readonly Column[] = [
    [msg('papers.hubOverSiteZero', { unit }), (row) => overZero(row.hubZ)],
    [msg('papers.designOverSiteZero', { unit }), (row) => overZero(row.designZ)],
  ];
  const columns: readonly Column[] = [
    [msg('common.mark'), (row) => row.name],
    [msg('papers.offsetTo'), leadsTo],
    [msg('papers.offset2', { unit }), (row) => length(row.reading?.offset ?? row.offset)],
    [msg('papers.offsetPlanned', { unit }), (row) => length(row.offset)],
    [msg('papers.groundHeight', { unit }), (row) => length(row.groundZ)],
    [msg('papers.hubHeight', { unit }), (row) => length(row.hubZ)],
    [msg('papers.design'), (row) => gradeOf(row, sheet)],
    [msg('papers.designHeight', { unit }), (row) => length(row.designZ)],
    ...(both ? zeroColumns : []),
    [msg('papers.cutOrFill'), (row) => cutFillWords(row.cutFill, lengthUnit, roundingOf(row, sheet))],
    // The same as a figure to compute with: above the design is more.
    [msg('papers.hubOverDesign', { unit }), (row) => length(row.cutFill)],
    [msg('papers.secondFeature'), (row) => secondHeight(row, sheet)?.to ?? null],
    [msg('papers.cutOrFillToIt'), (row) => secondHeight(row, sheet)?.text ?? null],
    ...inOrder<Column>(
      [msg('papers.east', { unit }), (row) => length(row.place.e)],
      [msg('papers.north', { unit }), (row) => length(row.place.n)],
    ),
    ...inOrder<Column>(
      [msg('papers.eastOff', { unit: small.name }), (row) => off(row.dEMm)],
      [msg('papers.northOff', { unit: small.name }), (row) => off(row.dNMm)],
    ),
    [
      msg('common.station'),
      (row) => (row.provisional ? msg('papers.provisional', { station: row.station }) : row.station),
    ],
    ['Station 95 %', (row) => promised(stations.get(row.station)?.radius95Mm ?? null)],
    [msg('papers.stationCheck'), (row) => checkedWords(stations.get(row.station)?.checked)],
    [msg('papers.setOn'), (row) => timeOf(row.setAt, 'day')],
    [msg('papers.setAt'), (row) => timeOf(row.setAt, 'time')],
    [msg('papers.proofBefore'), (row) => timeOf(row.proofBefore, 'time')],
    [msg('papers.proofAfter'), (row) => timeOf(row.proofAfter, 'time')],
    [msg('papers.timeZone'), () => timeZone],
    [msg('papers.standing'), (row) => standingWords()[row.standing]],
    [msg('papers.withinPlan', { unit: small.name }), () => off(sheet.planMm, 1)],
    [msg('papers.withinHeight', { unit: small.name }), () => off(sheet.heightMm, 1)],
    [msg('papers.siteZero', { unit }), () => length(siteZero)],
    [msg('papers.stakeText'), (row) => row.stakeText.join(' | ')],
    [msg('papers.sheet'), () => sheet.number],
    [msg('papers.revision2'), () => sheet.revision],
  ];
  // None on sheets of before it was kept, nor where the plan came from a receiver.
  const checkedWords = (checked: CheckOnPaper | null | undefined): string =>
    checked ? sheetCheckWords(checked, lengthUnit) : '';
  // None where the plan came from a receiver.
  const promised = (radius95Mm: number | null): string =>
    radius95Mm === null ? '' : smallLength(radius95Mm / 1000, lengthUnit);
  return {
    header: columns.map(([title]) => title),
    rows: sheet.rows.map((row) => columns.map(([, cell]) => cell(row))),
  };
}
