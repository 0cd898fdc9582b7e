/** The sheet as a workbook: its rows, and what holds for all of them. Every cell has its type, so that no text can become a formula. */
import writeXlsxFile from 'write-excel-file/node';
import type { NumberedSheet } from '@idle-marker/records';
import { CAUTIONS, heldBy, openCautionWords, sheetClock, smallLength, UNIT_NAME, WITHHELD_REASON } from '@idle-marker/words';
import { sheetTable, type TableCell } from './sheetTable.ts';

type Cell =
  { value: string; type: StringConstructor; fontWeight?: 'bold'; wrap?: boolean } | { value: number; type: NumberConstructor; format?: string } | null;

const MOST_LETTERS = 32_000;
/** Letters that XML 1.0 has no place for would make the whole workbook unreadable. */
// oxlint-disable-next-line no-control-regex
const UNWRITABLE = /[\u0000-\u0008\u000b\u000c\u000e-\u001f\ufffe\uffff]|[\ud800-\udbff](?![\udc00-\udfff])|(?<![\ud800-\udbff])[\udc00-\udfff]/g;
const plain = (text: string): string => text.replace(UNWRITABLE, '').slice(0, MOST_LETTERS);
const words = (text: string): Cell => ({ value: plain(text), type: String });
const bold = (text: string): Cell => ({ value: plain(text), type: String, fontWeight: 'bold' });

function cellOf(cell: TableCell): Cell {
  if (cell === null || cell === '') return null;
  if (typeof cell === 'string') return words(cell);
  return typeof cell === 'number' ? { value: cell, type: Number } : { value: cell.length, type: Number, format: '0.000' };
}

export async function sheetXlsx(sheet: NumberedSheet, notices: readonly string[] = []): Promise<Buffer> {
  const { header, rows } = sheetTable(sheet);
  const clock = sheetClock(sheet.timeZone, sheet.setFrom);
  const about: Cell[][] = [
    [bold(`Cut sheet ${sheet.number}, revision ${sheet.revision}`)],
    ...(
      [
        ['Site', sheet.site],
        ['Package', sheet.selection ? `${sheet.package}: ${sheet.selection}` : sheet.package],
        ['For', sheet.givenTo ? `${sheet.crew}; given to ${sheet.givenTo}` : sheet.crew],
        [
          'Class',
          `${sheet.className}: ${smallLength(sheet.planMm / 1000, sheet.lengthUnit)} plan, ${smallLength(sheet.heightMm / 1000, sheet.lengthUnit)} height`,
        ],
        ['Unit', UNIT_NAME[sheet.lengthUnit]],
        ['Issued', `${clock.day(sheet.issuedAt)} ${clock.time(sheet.issuedAt)} by ${sheet.issuedBy}, ${sheet.timeZone}`],
        ['Valid until', sheet.validUntil ?? 'nothing else is said'],
        ...sheet.stations.map((station) => [`Station ${station.name}`, heldBy(station.method, station.marks)] as const),
        ...notices.map((notice) => ['Since it was issued', notice] as const),
        ...(sheet.open ?? []).map((each) => ['Open', openCautionWords(each)] as const),
        ...sheet.withheld.map((each) => [`${each.name} is withheld`, WITHHELD_REASON[each.reason]] as const),
        ...(sheet.remarks ? [['Remarks', sheet.remarks] as const] : []),
        ...CAUTIONS.map((caution) => ['Caution', caution] as const),
      ] as const
    ).map(([what, text]) => [bold(what), words(text)]),
  ];
  const width = (i: number) => ({ width: Math.min(40, Math.max(header[i]!.length, ...rows.slice(0, 50).map((row) => lettersIn(row[i]!))) + 2) });
  return writeXlsxFile([
    {
      data: [header.map(bold), ...rows.map((row) => row.map(cellOf))],
      sheet: 'Marks',
      columns: header.map((_, i) => width(i)),
      stickyRowsCount: 1,
      stickyColumnsCount: 1,
    },
    { data: about, sheet: 'About', columns: [{ width: 24 }, { width: 90 }] },
  ]).toBuffer();
}

const lettersIn = (cell: TableCell): number => (cell === null ? 0 : typeof cell === 'object' ? 8 : String(cell).length);
