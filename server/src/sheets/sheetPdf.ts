/** A cut sheet as PDF: text selectable, fonts embedded, every figure as on the CSV. */
import { formatLength, formatSigned, type LengthUnit } from '@idle-marker/core';
import type { CutSheetRow, NumberedSheet } from '@idle-marker/records';
import {
  CAUTIONS,
  cutFillWords,
  HEIGHT_REFERENCE,
  heldBy,
  LENGTH_DECIMALS,
  MARK_KIND,
  MEANING,
  smallLength,
  sheetClock,
  STANDING,
  WITHHELD_REASON,
  UNIT_ABBREVIATION,
  type SheetClock,
} from '@idle-marker/words';
import { bottomOf, finish, heightOf, INKS, MARGIN, newDocument, paragraph, rule, widthOf, write, type Page } from '../paper/pdfPage.ts';
import { drawSketch } from './sketch.ts';

interface Column {
  readonly title: string;
  readonly width: number;
  readonly align: 'left' | 'right';
  text(row: CutSheetRow, unit: LengthUnit, clock: SheetClock, sheet: NumberedSheet): string;
}

const length = (metres: number | null, unit: LengthUnit): string => (metres === null ? 'none' : formatLength(metres, unit, LENGTH_DECIMALS));

/** To the feature of the package, and to the second one where there is one. */
const bothHeights = ({ cutFill }: CutSheetRow, { lengthUnit, rounding, also }: NumberedSheet): string =>
  [cutFillWords(cutFill, lengthUnit, rounding), ...(also && cutFill !== null ? [cutFillWords(cutFill - also.above, lengthUnit, rounding)] : [])].join('\n');

/** Widths in points; together they are the width of the page between its margins. Words that do not fit go on in a second line. */
const COLUMNS: readonly Column[] = [
  { title: 'Mark', width: 50, align: 'left', text: (row) => row.name },
  { title: 'Offset to', width: 66, align: 'left', text: (row) => `${row.corner}, ${MEANING[row.meaning]}` },
  { title: 'Offset', width: 32, align: 'right', text: (row, unit) => length(row.offset, unit) },
  { title: 'Ground', width: 34, align: 'right', text: (row, unit) => length(row.groundZ, unit) },
  { title: 'Hub', width: 34, align: 'right', text: (row, unit) => length(row.hubZ, unit) },
  { title: 'Design', width: 34, align: 'right', text: (row, unit) => length(row.designZ, unit) },
  { title: 'Cut / fill', width: 55, align: 'right', text: (row, _unit, _clock, sheet) => bothHeights(row, sheet) },
  { title: 'E / N off, mm', width: 50, align: 'right', text: (row) => `${formatSigned(row.dEMm, 0)} / ${formatSigned(row.dNMm, 0)}` },
  { title: 'Station', width: 37, align: 'left', text: (row) => (row.provisional ? `${row.station}*` : row.station) },
  { title: 'Set', width: 33, align: 'left', text: (row, _unit, clock) => clock.time(row.setAt) },
  { title: 'Proofs', width: 56, align: 'left', text: (row, _unit, clock) => `${clock.time(row.proofBefore)} / ${clock.time(row.proofAfter)}` },
  { title: 'Standing', width: 46, align: 'left', text: (row) => STANDING[row.standing] },
];
const ROW_SIZE = 7.8;

export async function sheetPdf(sheet: NumberedSheet): Promise<Buffer> {
  const page = newDocument(`Cut sheet ${sheet.number}, revision ${sheet.revision}: ${sheet.package}`);
  let y = drawHead(page, sheet);
  y = drawNotices(page, sheet, y);
  drawSketch(page, sheet, { x: MARGIN, y, width: widthOf(page), height: 290 });
  y = drawTable(page, sheet, y + 298);
  drawFoot(page, sheet, y);
  numberPages(page, sheet);
  return finish(page);
}

function drawHead(page: Page, sheet: NumberedSheet): number {
  const clock = sheetClock(sheet.timeZone, sheet.setFrom);
  const right = (text: string, y: number, bold = false) =>
    write(page, text, MARGIN, y, bold ? 'bold' : 'regular', 9, bold ? INKS.ink : INKS.ink2, { width: widthOf(page), align: 'right' });
  write(page, `Cut sheet ${sheet.number}, revision ${sheet.revision}`, MARGIN, MARGIN, 'bold', 20, INKS.ink);
  write(page, `${sheet.package} · ${sheet.site}`, MARGIN, MARGIN + 26, 'regular', 11, INKS.ink);
  const when =
    sheet.setFrom && sheet.setTo
      ? `Set ${clock.day(sheet.setFrom)}, ${clock.time(sheet.setFrom)} to ${clock.time(sheet.setTo)}, by ${sheet.setBy.join(', ')}`
      : 'Nothing set';
  right(when, MARGIN + 2, true);
  sheet.stations.forEach((station, i) => {
    right(
      `Station ${station.name}: ${heldBy(station.method, station.marks)}${station.radius95Mm === null ? '' : `; 95 %: ${smallLength(station.radius95Mm / 1000, sheet.lengthUnit)}`}`,
      MARGIN + 15 + 12 * i,
    );
  });
  const after = MARGIN + 15 + 12 * Math.max(1, sheet.stations.length);
  right(
    `For ${sheet.crew}: ${sheet.className}, within ${smallLength(sheet.planMm / 1000, sheet.lengthUnit)} plan, ${smallLength(sheet.heightMm / 1000, sheet.lengthUnit)} height`,
    after,
  );
  const use = [sheet.markKind && `Marks: ${MARK_KIND[sheet.markKind]}`, sheet.use && `for ${sheet.use}`].filter(Boolean).join(', ');
  if (use) write(page, use, MARGIN, MARGIN + 41, 'regular', 9, INKS.ink);
  const y = Math.max(after + 16, MARGIN + (use ? 56 : 46));
  rule(page, y, INKS.ink, 1.5);
  return y + 10;
}

const CHANGE = { added: 'added', removed: 'taken away', setAgain: 'set again', withheld: 'withheld: in doubt' } as const;

/** What has to be read first: changes, marks kept back, provisional stations. */
function drawNotices(page: Page, sheet: NumberedSheet, top: number): number {
  const notices: string[] = [];
  if (sheet.changes.length > 0)
    notices.push(`Changed since revision ${sheet.revision - 1}: ${sheet.changes.map((each) => `${each.name} ${CHANGE[each.change]}`).join(', ')}.`);
  for (const each of sheet.withheld) notices.push(`${each.name} is withheld: ${WITHHELD_REASON[each.reason]}. Do not build from it.`);
  for (const station of sheet.stations)
    if (station.provisionalBecause !== null) notices.push(`* Station ${station.name} is provisional: ${station.provisionalBecause}`);
  const open = sheet.rows.filter((row) => row.standing !== 'held');
  if (open.length > 0) notices.push(`Not held by a proof after setting: ${open.map((row) => `${row.name} (${STANDING[row.standing]})`).join(', ')}.`);
  if (notices.length === 0) return top;
  const width = widthOf(page) - 20;
  const height = notices.reduce((sum, notice) => sum + heightOf(page, notice, width, 'medium', 9) + 3, 10);
  page.rect(MARGIN, top, widthOf(page), height).lineWidth(1).fillAndStroke(INKS.tint, INKS.brick);
  let y = top + 6;
  for (const notice of notices) y += paragraph(page, notice, MARGIN + 10, y, width, 'medium', 9, INKS.brick) + 3;
  return top + height + 8;
}

function drawTable(page: Page, sheet: NumberedSheet, top: number): number {
  const clock = sheetClock(sheet.timeZone, sheet.setFrom);
  const unit = UNIT_ABBREVIATION[sheet.lengthUnit];
  const heads = () => {
    write(
      page,
      `Lengths and heights in ${unit}. Design: ${HEIGHT_REFERENCE[sheet.heightReference]}${sheet.also ? `; second figure to ${HEIGHT_REFERENCE[sheet.also.heightReference]}` : ''}. Cut: the hub is above design; fill: below. Proofs: the last before and the first after setting.`,
      MARGIN,
      y,
      'regular',
      8,
      INKS.ink2,
    );
    y += 13;
    y += drawRow(page, y, (column) => column.title, 'bold') + 2;
    rule(page, y, INKS.ink);
    y += 4;
  };
  let y = top;
  heads();
  for (const row of sheet.rows) {
    const text = (column: Column) => column.text(row, sheet.lengthUnit, clock, sheet);
    if (y + rowHeight(page, text) > bottomOf(page)) {
      page.addPage();
      y = MARGIN;
      heads();
    }
    y += drawRow(page, y, text, 'regular') + 3;
    rule(page, y, INKS.rule, 0.5);
    y += 3;
  }
  return y;
}

const isBold = ({ title }: Column, font: 'regular' | 'bold'): boolean => font === 'bold' || title === 'Cut / fill' || title === 'Mark';
/** Words after a column of figures start a little apart from them. */
const indentOf = (column: Column): number => (column.align === 'left' && column !== COLUMNS[0] ? 4 : 0);

function rowHeight(page: Page, text: (column: Column) => string, font: 'regular' | 'bold' = 'regular'): number {
  const heights = COLUMNS.map((column) =>
    heightOf(page, text(column), column.width - 4 - indentOf(column), isBold(column, font) ? 'bold' : 'regular', ROW_SIZE),
  );
  return Math.max(...heights);
}

/** Draws one row and gives the height that it took. */
function drawRow(page: Page, y: number, text: (column: Column) => string, font: 'regular' | 'bold'): number {
  const height = rowHeight(page, text, font);
  let x = MARGIN;
  for (const column of COLUMNS) {
    const indent = indentOf(column);
    write(page, text(column), x + indent, y, isBold(column, font) ? 'bold' : 'regular', ROW_SIZE, INKS.ink, {
      width: column.width - 4 - indent,
      align: column.align,
      lineBreak: true,
    });
    x += column.width;
  }
  return height;
}

/** How to read the hubs, drawn and in words, and the cautions. */
function drawFoot(page: Page, sheet: NumberedSheet, top: number): void {
  const needed = 130;
  let y = top + 12;
  if (y + needed > bottomOf(page)) {
    page.addPage();
    y = MARGIN;
  }
  const example = sheet.rows.find((row) => row.cutFill !== null);
  const textX = MARGIN + 210;
  const width = widthOf(page) - 210;
  if (example) drawExample(page, example, sheet, MARGIN, y);
  write(page, 'How to read these hubs', textX, y, 'bold', 10, INKS.ink);
  const reading = example
    ? `Every figure starts at the nail in the hub. From the nail go up (FILL) or down (CUT) by the figure${thenLevel(example, sheet.lengthUnit)}: that is the ${MEANING[example.meaning]} at ${HEIGHT_REFERENCE[sheet.heightReference]}.`
    : 'The hubs give the place only: no height was measured.';
  const used = paragraph(page, reading, textX, y + 14, width, 'regular', 8.5, INKS.ink);
  paragraph(page, CAUTIONS.join(' '), textX, y + 20 + used, width, 'regular', 8, INKS.ink2);
}

/** Which way the offset is measured from the mark. */
const REACH = {
  face: 'square to the face',
  line: 'straight along the line to the hub at its other end',
  point: 'straight toward the mark on its other side',
} as const;

function thenLevel({ reach, offset }: CutSheetRow, unit: LengthUnit): string {
  if (reach === 'on') return '';
  return `, then level ${length(offset, unit)} ${UNIT_ABBREVIATION[unit]} ${REACH[reach]}`;
}

function drawExample(page: Page, row: CutSheetRow, { lengthUnit, rounding }: NumberedSheet, x: number, y: number): void {
  const fill = row.cutFill! <= 0;
  const hubY = fill ? y + 84 : y + 34;
  const designY = fill ? y + 34 : y + 84;
  page
    .moveTo(x, y + 92)
    .lineTo(x + 190, y + 92)
    .lineWidth(1.2)
    .strokeColor(INKS.ink)
    .stroke();
  page.rect(x + 20, hubY - 2, 12, y + 94 - hubY).fillAndStroke(INKS.hub, INKS.ink);
  page
    .rect(x + 130, designY - 5, 56, 10)
    .fillOpacity(0.15)
    .fillAndStroke(INKS.pencil, INKS.pencil)
    .fillOpacity(1);
  page
    .moveTo(x + 26, hubY)
    .lineTo(x + 26, designY)
    .lineTo(x + 130, designY)
    .dash(3, { space: 2 })
    .lineWidth(0.8)
    .strokeColor(INKS.ink)
    .stroke()
    .undash();
  write(page, cutFillWords(row.cutFill, lengthUnit, rounding), x + 32, (hubY + designY) / 2 - 4, 'bold', 8, INKS.ink);
  write(page, `level ${length(row.offset, lengthUnit)}`, x + 50, designY - 12, 'bold', 8, INKS.ink);
  write(page, `${row.corner}`, x + 134, designY - 18, 'medium', 8, INKS.pencil);
  write(page, 'hub', x + 18, y + 96, 'regular', 8, INKS.ink2);
  write(page, row.name, x + 60, y + 96, 'regular', 8, INKS.ink2);
}

function numberPages(page: Page, sheet: NumberedSheet): void {
  const clock = sheetClock(sheet.timeZone, sheet.setFrom);
  const { start, count } = page.bufferedPageRange();
  const zero = sheet.siteZero;
  const heights =
    zero === null
      ? 'All heights are true heights.'
      : `All heights are true heights. Site zero, 0.000, is ${length(zero, sheet.lengthUnit)} ${UNIT_ABBREVIATION[sheet.lengthUnit]}.`;
  for (let i = 0; i < count; i++) {
    page.switchToPage(start + i);
    const y = page.page.height - MARGIN - 8;
    rule(page, y - 5, INKS.ink);
    // The foot lies in the margin, where text would otherwise start a new page.
    page.page.margins.bottom = 0;
    write(page, heights, MARGIN, y, 'regular', 8, INKS.ink2);
    write(
      page,
      `Page ${i + 1} of ${count} · issued ${clock.day(sheet.issuedAt)} ${clock.time(sheet.issuedAt)} by ${sheet.issuedBy}`,
      MARGIN,
      y,
      'regular',
      8,
      INKS.ink2,
      { width: widthOf(page), align: 'right' },
    );
  }
}
