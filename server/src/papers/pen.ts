/** What pages of the book are written with: headings, lines, pairs of a name and what it comes to, tables. */
import { formatLength, formatSigned, type AngleUnit, type LengthUnit } from '@idle-marker/core';
import { LENGTH_DECIMALS, sheetClock, smallUnit, type SheetClock } from '@idle-marker/words';
import {
  heightOf,
  INKS,
  MARGIN,
  newDocument,
  paragraph,
  room,
  rule,
  widthOf,
  write,
  type Page,
  type Progress,
} from '../pdf/pdfPage.ts';

export interface BookAsked {
  readonly site: string;
  readonly unit: LengthUnit;
  readonly axes: 'EN' | 'NE';
  readonly angleUnit: AngleUnit;
  readonly timeZone: string;
  readonly progress: Progress;
  /** Photos that PDF can hold, by image; the others are named alone. */
  readonly photos?: ReadonlyMap<string, Buffer>;
}

export const SIZE = 8.5;
const LABEL_WIDTH = 92;

/** What writes pages: the document, and how this site writes figures and times. */
export interface Pen extends BookAsked {
  readonly page: Page;
  readonly clock: SheetClock;
  length(metres: number | null): string;
  small(mm: number | null): string;
}

export function penOf(title: string, asked: BookAsked, own: string): Pen {
  const small = smallUnit(asked.unit);
  return {
    ...asked,
    page: newDocument(title),
    clock: sheetClock(asked.timeZone, own),
    length: (metres) => (metres === null ? '–' : formatLength(metres, asked.unit, LENGTH_DECIMALS)),
    small: (mm) => (mm === null ? '–' : formatSigned((mm / 1000) * small.perMetre, small.decimals)),
  };
}

export function heading(pen: Pen, top: number, title: string): number {
  const y = room(pen.page, top + 8, 40);
  write(pen.page, title, MARGIN, y, 'bold', 10.5, INKS.ink);
  rule(pen.page, y + 14, INKS.ink, 0.75);
  return y + 18;
}

export function line(pen: Pen, top: number, text: string, colour: string = INKS.ink): number {
  const y = room(pen.page, top, heightOf(pen.page, text, widthOf(pen.page), 'regular', SIZE) + 2);
  return y + paragraph(pen.page, text, MARGIN, y, widthOf(pen.page), 'regular', SIZE, colour) + 2;
}

/** Names at the left, what they come to at the right. */
export function pairs(pen: Pen, top: number, rows: readonly (readonly [string, string])[]): number {
  let y = top;
  const width = widthOf(pen.page) - LABEL_WIDTH;
  for (const [name, text] of rows) {
    y = room(pen.page, y, heightOf(pen.page, text, width, 'regular', SIZE + 0.5) + 3);
    write(pen.page, name, MARGIN, y, 'medium', SIZE + 0.5, INKS.ink2);
    y += paragraph(pen.page, text, MARGIN + LABEL_WIDTH, y, width, 'regular', SIZE + 0.5, INKS.ink) + 3;
  }
  return y;
}

export interface Column<T> {
  readonly title: string;
  readonly width: number;
  readonly right?: boolean;
  text(row: T): string;
}

const INDENT = 5;

/** A table whose head stands on every page that it goes on to. */
export async function table<T>(
  pen: Pen,
  top: number,
  columns: readonly Column<T>[],
  rows: readonly T[],
  crossedOut: (row: T) => boolean = () => false,
): Promise<number> {
  const { page } = pen;
  const size = 7.6;
  const cells = (y: number, text: (column: Column<T>) => string, font: 'regular' | 'bold', colour: string) => {
    let x = MARGIN;
    for (const [i, column] of columns.entries()) {
      // Words after a column of figures start a little apart from them.
      const indent = i > 0 && !column.right ? INDENT : 0;
      write(page, text(column), x + indent, y, font, size, colour, {
        width: column.width - 4 - indent,
        align: column.right ? 'right' : 'left',
        lineBreak: true,
      });
      x += column.width;
    }
  };
  const tall = (text: (column: Column<T>) => string, font: 'regular' | 'bold') =>
    Math.max(...columns.map((column) => heightOf(page, text(column), column.width - 4 - INDENT, font, size)));
  const head = (y: number) => {
    cells(y, (column) => column.title, 'bold', INKS.ink);
    return y + tall((column) => column.title, 'bold') + 3;
  };
  let y = head(room(page, top, 40));
  for (const [i, row] of rows.entries()) {
    const text = (column: Column<T>) => column.text(row);
    const height = tall(text, 'regular');
    const next = room(page, y, height + 3);
    if (next < y) y = head(next);
    cells(y, text, 'regular', crossedOut(row) ? INKS.ink2 : INKS.ink);
    if (crossedOut(row))
      page
        .moveTo(MARGIN, y + 5)
        .lineTo(MARGIN + widthOf(page), y + 5)
        .lineWidth(0.5)
        .strokeColor(INKS.ink2)
        .stroke();
    y += height + 2;
    rule(page, y, INKS.rule, 0.4);
    y += 2;
    if (i % 40 === 39) await pen.progress(i, rows.length);
  }
  return y;
}
