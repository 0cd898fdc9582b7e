/**
 * The sheet as a workbook: its rows, and what holds for all of them. Every cell has its type, so that no text can
 * become a formula.
 */
import writeXlsxFile from 'write-excel-file/node';
import type { NumberedSheet } from '@idle-marker/records';
import {
  msg,
  allCautions,
  heldBy,
  openCautionWords,
  sheetClock,
  smallLength,
  unitNameWords,
  withheldReasonWords,
} from '@idle-marker/words';
import { printing } from './printing.ts';
import { sheetAbout } from './sheetAbout.ts';
import { sheetTable, type TableCell } from './sheetTable.ts';

interface Style {
  readonly fontWeight?: 'bold';
  readonly wrap?: boolean;
  readonly bottomBorderStyle?: 'medium';
  readonly alignVertical?: 'bottom' | 'top';
  readonly align?: 'left' | 'right';
}

type Cell =
  | ({ value: string; type: StringConstructor } & Style)
  | ({ value: number; type: NumberConstructor; format?: string } & Style)
  | ({ value: Date; type: DateConstructor; format: string } & Style)
  | null;

const MOST_LETTERS = 32_000;
/** Letters that XML 1.0 has no place for would make the whole workbook unreadable. */
const UNWRITABLE =
  // oxlint-disable-next-line no-control-regex
  /[\u0000-\u0008\u000b\u000c\u000e-\u001f\ufffe\uffff]|[\ud800-\udbff](?![\udc00-\udfff])|(?<![\ud800-\udbff])[\udc00-\udfff]/g;
const plain = (text: string): string => text.replace(UNWRITABLE, '').slice(0, MOST_LETTERS);
const words = (text: string, style: Style = {}): Cell => ({ value: plain(text), type: String, ...style });
/** Heads wrap rather than make a column of figures as wide as its title. */
const head = (text: string): Cell =>
  words(text, { fontWeight: 'bold', wrap: true, bottomBorderStyle: 'medium', alignVertical: 'bottom' });
const bold = (text: string): Cell => ({ value: plain(text), type: String, fontWeight: 'bold' });

function cellOf(cell: TableCell): Cell {
  if (cell === null || cell === '') return null;
  if (typeof cell === 'string') return words(cell);
  if (typeof cell === 'number') return { value: cell, type: Number };
  if ('length' in cell) return { value: cell.length, type: Number, format: '0.000' };
  // Written as on the sheet, and with the day where that is another.
  const format = cell.shows === 'day' ? 'yyyy-mm-dd' : /^\d\d:\d\d$/.test(cell.text) ? 'hh:mm' : 'yyyy-mm-dd hh:mm';
  return { value: cell.local, type: Date, format, align: 'right' };
}

export async function sheetXlsx(sheet: NumberedSheet, notices: readonly string[] = []): Promise<Buffer> {
  const { header, rows } = sheetTable(sheet);
  const clock = sheetClock(sheet.timeZone, sheet.setFrom);
  const about: Cell[][] = [
    [bold(msg('papers.cutSheetRevision2', { number: sheet.number, revision: sheet.revision }))],
    ...(
      [
        [msg('common.site'), sheet.site],
        [msg('papers.package'), sheet.selection ? `${sheet.package}: ${sheet.selection}` : sheet.package],
        [
          msg('papers.crew'),
          sheet.givenTo ? msg('papers.givenTo2', { crew: sheet.crew, givenTo: sheet.givenTo }) : sheet.crew,
        ],
        [
          msg('papers.class'),
          msg('papers.planHeight2', {
            className: sheet.className,
            smallLength: smallLength(sheet.planMm / 1000, sheet.lengthUnit),
            smallLength2: smallLength(sheet.heightMm / 1000, sheet.lengthUnit),
          }),
        ],
        [msg('papers.unit'), unitNameWords()[sheet.lengthUnit]],
        [msg('papers.coordinates'), sheetAbout(sheet).lines.join('\n')],
        [
          msg('papers.issued'),
          msg('papers.by5', {
            day: clock.day(sheet.issuedAt),
            time: clock.time(sheet.issuedAt),
            issuedBy: sheet.issuedBy,
            timeZone: sheet.timeZone,
          }),
        ],
        [msg('papers.validUntil'), sheet.validUntil ?? msg('papers.nothingElseIsSaid')],
        ...sheet.stations.map(
          (station) => [msg('papers.station3', { name: station.name }), heldBy(station.method, station.marks)] as const,
        ),
        ...notices.map((notice) => [msg('papers.sinceItWasIssued'), notice] as const),
        ...(sheet.open ?? []).map((each) => [msg('papers.open'), openCautionWords(each)] as const),
        ...sheet.withheld.map(
          (each) => [msg('papers.isWithheld', { name: each.name }), withheldReasonWords()[each.reason]] as const,
        ),
        ...(sheet.remarks ? [[msg('common.remarks'), sheet.remarks] as const] : []),
        ...allCautions().map((caution) => [msg('papers.caution'), caution] as const),
      ] as const
    ).map(([what, text]) => [bold(what), words(text, { wrap: true, alignVertical: 'top' })]),
  ];
  const width = (i: number) => ({
    width: Math.min(40, Math.max(longestWord(header[i]!), ...rows.slice(0, 200).map((row) => lettersIn(row[i]!))) + 2),
  });
  return writeXlsxFile(
    [
      {
        data: [header.map(head), ...rows.map((row) => row.map(cellOf))],
        sheet: msg('common.marks'),
        columns: header.map((_, i) => width(i)),
        stickyRowsCount: 1,
        stickyColumnsCount: 1,
        orientation: 'landscape',
      },
      { data: about, sheet: msg('papers.about'), columns: [{ width: 24 }, { width: 90 }] },
    ],
    {
      features: [
        printing([
          { columns: header.length, rows: rows.length + 1, head: true },
          { columns: 2, rows: about.length, head: false },
        ]),
      ],
    },
  ).toBuffer();
}

const longestWord = (text: string): number => Math.max(...text.split(' ').map((word) => word.length));
const lettersIn = (cell: TableCell): number =>
  cell === null ? 0 : typeof cell !== 'object' ? String(cell).length : 'length' in cell ? 9 : 11;
