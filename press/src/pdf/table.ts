/** Tables on paper: columns as wide as what stands in them, figures in one piece, a head on every page. */
import {
  asFrame,
  asPiece,
  heightOf,
  INKS,
  LEAST_SIZE,
  MARGIN,
  tied,
  widthOfText,
  write,
  type Font,
  type Page,
  type Progress,
} from './pdfPage.ts';
import type { Flow } from './flow.ts';
import { tagsOf } from './tags.ts';

export interface Column<T> {
  readonly title: string;
  /** Figures stand at the right, and never break. */
  readonly right?: boolean;
  readonly bold?: boolean;
  /** Letters of its cells, points; those of the table where nothing is said. */
  readonly size?: number;
  text(row: T): string;
}

export interface TableAsked<T> {
  readonly size?: number;
  /** Letters of the heads, points. */
  readonly headSize?: number;
  /** Stands above the head on every page. */
  readonly about?: string;
  readonly crossedOut?: (row: T) => boolean;
  readonly colour?: (row: T) => string;
  /** Stands under a row, as wide as the page. */
  readonly note?: (row: T) => string | null;
  readonly progress?: Progress | undefined;
}

/** Free at the right of a cell; more where words follow figures that end there. */
const CELL_GAP = 8;
const FIGURES_GAP = 16;
const NOTE_INDENT = 10;
const NOTE_SIZE = 9.5;
const ROWS_A_STEP = 10;
/** Words of a cell go on in further lines rather than take more than this, points. */
const WIDEST_WISH = 190;

/** What a column takes: in no case less than `least`, and all that stands in it in one line with `wish`. */
interface Width {
  readonly least: number;
  readonly wish: number;
}

function gapOf<T>(columns: readonly Column<T>[], i: number): number {
  const next = columns[i + 1];
  // Figures end where their column does; the gap of the last column is of no use.
  return next === undefined ? 0 : columns[i]!.right && !next.right ? FIGURES_GAP : CELL_GAP;
}

const fontOf = (column: { readonly bold?: boolean }): Font => (column.bold ? 'bold' : 'regular');

const widest = (page: Page, pieces: readonly string[], font: Font, size: number): number =>
  pieces.reduce((most, piece) => Math.max(most, widthOfText(page, piece.replaceAll('\u00a0', ' '), font, size)), 0);

const wordsOf = (text: string): string[] => text.split('\n').flatMap((line) => tied(line).split(' '));

function widthsOf<T>(
  page: Page,
  columns: readonly Column<T>[],
  rows: readonly T[],
  { size = LEAST_SIZE, headSize = size }: TableAsked<T>,
): Width[] {
  return columns.map((column, i) => {
    const gap = gapOf(columns, i);
    const font = fontOf(column);
    const letters = column.size ?? size;
    const cells = [...new Set(rows.map((row) => column.text(row)))];
    const lines = cells.flatMap((cell) => cell.split('\n'));
    const whole = widest(page, lines, font, letters);
    const head = widest(page, wordsOf(column.title), 'bold', headSize);
    const least = Math.max(head, column.right ? whole : widest(page, lines.flatMap(wordsOf), font, letters));
    return { least: least + gap, wish: Math.max(least, Math.min(whole, WIDEST_WISH)) + gap };
  });
}

/** How wide a table would like to be, points: for choosing how a page lies. */
export const tableWidth = <T>(page: Page, columns: readonly Column<T>[], rows: readonly T[], asked: TableAsked<T>) =>
  widthsOf(page, columns, rows, asked).reduce((sum, { wish }) => sum + wish, 0);

/** Shares a width among columns: none less than its least where that is possible, and the rest by what they wish. */
function shared(widths: readonly Width[], all: number, isFigures: (i: number) => boolean): number[] {
  const least = widths.reduce((sum, each) => sum + each.least, 0);
  const wish = widths.reduce((sum, each) => sum + each.wish, 0);
  if (wish <= all) {
    // What is left over goes to all alike, so that the table is as wide as what stands around it.
    const more = all / wish;
    return widths.map((each) => each.wish * more);
  }
  if (least <= all) {
    const part = (all - least) / (wish - least);
    return widths.map((each) => each.least + (each.wish - each.least) * part);
  }
  // Words break before figures do.
  const figures = widths.reduce((sum, each, i) => sum + (isFigures(i) ? each.least : 0), 0);
  const words = least - figures;
  const part = Math.max(0.2, (all - figures) / Math.max(words, 1));
  return widths.map((each, i) => (isFigures(i) ? each.least : each.least * part));
}

export async function drawTable<T>(
  flow: Flow,
  columns: readonly Column<T>[],
  rows: readonly T[],
  asked: TableAsked<T>,
): Promise<void> {
  const { size = LEAST_SIZE, headSize = size, about, progress } = asked;
  const { crossedOut = () => false, colour = () => INKS.ink, note = () => null } = asked;
  const { page } = flow;
  const tags = tagsOf(page);
  const widths = shared(widthsOf(page, columns, rows, asked), flow.width, (i) => columns[i]!.right === true);
  const cells = columns.map((column, i) => ({
    column,
    x: MARGIN + widths.slice(0, i).reduce((sum, each) => sum + each, 0),
    width: widths[i]! - gapOf(columns, i),
  }));
  const heads = Math.max(...cells.map(({ column, width }) => heightOf(page, column.title, width, 'bold', headSize)));
  const lettersOf = (column: Column<T>) => column.size ?? size;
  const largest = Math.max(...columns.map(lettersOf));
  const tall = (row: T) =>
    Math.max(
      ...cells.map(
        ({ column, width }) =>
          heightOf(page, column.text(row), width, fontOf(column), lettersOf(column)) + largest - lettersOf(column),
      ),
    );
  const drawHead = () => {
    for (const { column, x, width } of cells)
      asPiece(
        page,
        'TH',
        () =>
          write(
            page,
            column.title,
            x,
            flow.y + heads - heightOf(page, column.title, width, 'bold', headSize),
            'bold',
            headSize,
            INKS.ink,
            { width, align: column.right ? 'right' : 'left', lineBreak: true },
          ),
        { scope: 'Column' },
      );
    flow.y += heads + 3;
    flow.rule(INKS.ink, 1, 4);
  };
  const firstRow = rows.length > 0 ? tall(rows[0]!) : 0;
  flow.room(heads + 12 + firstRow + (about ? heightOf(page, about, flow.width, 'regular', NOTE_SIZE) + 4 : 0));
  if (about) flow.text(about, { size: NOTE_SIZE, gap: 5 });
  tags.begin('Table');
  tags.begin('THead');
  tags.begin('TR');
  drawHead();
  tags.end();
  tags.end();
  tags.begin('TBody');
  for (const [i, row] of rows.entries()) {
    const noted = note(row);
    const noteWidth = flow.width - NOTE_INDENT;
    const height = tall(row);
    if (flow.room(height + (noted ? heightOf(page, noted, noteWidth, 'medium', NOTE_SIZE) + 2 : 0) + 5))
      tags.artifact('Pagination', drawHead);
    const [from, isOut] = [flow.y, crossedOut(row)];
    tags.begin('TR');
    for (const { column, x, width } of cells)
      asPiece(page, 'TD', () =>
        // Letters of different size stand on one line.
        write(
          page,
          column.text(row),
          x,
          flow.y + largest - lettersOf(column),
          fontOf(column),
          lettersOf(column),
          colour(row),
          { width, align: column.right ? 'right' : 'left', lineBreak: true },
        ),
      );
    tags.end();
    flow.y += height + 2;
    if (isOut)
      asFrame(page, () =>
        page
          .moveTo(MARGIN, from + largest * 0.65)
          .lineTo(MARGIN + flow.width, from + largest * 0.65)
          .lineWidth(0.6)
          .strokeColor(INKS.ink)
          .stroke(),
      );
    if (noted) {
      tags.begin('TR');
      asPiece(
        page,
        'TD',
        () =>
          write(page, noted, MARGIN + NOTE_INDENT, flow.y, 'medium', NOTE_SIZE, colour(row), {
            width: noteWidth,
            lineBreak: true,
          }),
        { span: columns.length },
      );
      tags.end();
      flow.y += heightOf(page, noted, noteWidth, 'medium', NOTE_SIZE) + 2;
    }
    flow.rule(INKS.rule, 0.5, 3);
    if (i % ROWS_A_STEP === ROWS_A_STEP - 1) await progress?.(i + 1, rows.length);
  }
  tags.end();
  tags.end();
}
