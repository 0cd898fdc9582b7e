/**
 * A paper written from top to bottom: headings, paragraphs, pairs of a name and what it comes to, tables, drawings, each
 * where the one before it ended, and on a new page where there is no room for it. Lengths are points, y down.
 */
import {
  bottomOf,
  heightOf,
  INKS,
  MARGIN,
  paragraph,
  rule,
  widthOf,
  write,
  type Font,
  type Page,
  type Progress,
} from './pdfPage.ts';

export interface Column<T> {
  readonly title: string;
  readonly width: number;
  /** Figures stand at the right. */
  readonly right?: boolean;
  readonly bold?: boolean;
  text(row: T): string;
}

export interface Look {
  readonly font?: Font;
  readonly size?: number;
  readonly colour?: string;
  /** How far from the left margin. */
  readonly indent?: number;
  /** As wide as this; to the right margin where nothing is said. */
  readonly within?: number;
  /** Kept free below it. */
  readonly gap?: number;
}

export interface TableAsked<T> {
  readonly size?: number;
  /** Stands above the head on every page. */
  readonly about?: string;
  readonly crossedOut?: (row: T) => boolean;
  readonly colour?: (row: T) => string;
  /** Stands under a row, as wide as the page. */
  readonly note?: (row: T) => string | null;
  readonly progress?: Progress | undefined;
}

const TEXT_SIZE = 8.5;
const TABLE_SIZE = 7.8;
const LABEL_WIDTH = 92;
/** Free at the right of a cell. */
const CELL_GAP = 4;
/** Words after a column of figures start a little apart from them. */
const WORD_INDENT = 4;
const NOTE_INDENT = 10;
const ROWS_A_STEP = 10;

export class Flow {
  readonly page: Page;
  /** Where the next thing stands. */
  y = MARGIN;

  constructor(page: Page) {
    this.page = page;
  }

  get width(): number {
    return widthOf(this.page);
  }

  /** What is left of this page. */
  get left(): number {
    return bottomOf(this.page) - this.y;
  }

  /** A new page where less than `needed` is left of this one; whether there is one now. */
  room(needed: number): boolean {
    if (needed <= this.left) return false;
    this.newPage();
    return true;
  }

  /** Of the same paper, or lying. */
  newPage(lying = false): void {
    this.page.addPage({ size: 'A4', layout: lying ? 'landscape' : 'portrait', margin: MARGIN });
    this.y = MARGIN;
  }

  /** The title of a paper, and at the right of it what it is of. */
  title(text: string, beside: string | null = null, size = 18): void {
    write(this.page, text, MARGIN, this.y, 'bold', size, INKS.ink);
    if (beside !== null)
      write(this.page, beside, MARGIN, this.y + size / 3, 'regular', 9.5, INKS.ink2, {
        width: this.width,
        align: 'right',
      });
    this.y += size + 8;
  }

  heading(text: string): void {
    this.y += 8;
    this.room(40);
    write(this.page, text, MARGIN, this.y, 'bold', 10.5, INKS.ink);
    rule(this.page, this.y + 14, INKS.ink, 0.75);
    this.y += 18;
  }

  text(text: string, { font = 'regular', size = TEXT_SIZE, colour = INKS.ink, indent = 0, gap = 2 }: Look = {}): void {
    const width = this.width - indent;
    this.room(heightOf(this.page, text, width, font, size) + gap);
    this.y += paragraph(this.page, text, MARGIN + indent, this.y, width, font, size, colour) + gap;
  }

  rule(colour: string = INKS.rule, width = 0.5, gap = 3): void {
    rule(this.page, this.y, colour, width);
    this.y += gap;
  }

  space(height: number): void {
    this.y += height;
  }

  /** Names at the left, what they come to at the right. */
  pairs(rows: readonly (readonly [string, string])[], { size = TEXT_SIZE + 0.5 }: Look = {}): void {
    for (const [name, text] of rows) {
      const width = this.width - LABEL_WIDTH;
      this.room(heightOf(this.page, text, width, 'regular', size) + 3);
      write(this.page, name, MARGIN, this.y, 'medium', size, INKS.ink2);
      this.y += paragraph(this.page, text, MARGIN + LABEL_WIDTH, this.y, width, 'regular', size, INKS.ink) + 3;
    }
  }

  /** Paragraphs in a frame, to be read before anything else. */
  notices(texts: readonly string[]): void {
    if (texts.length === 0) return;
    const [width, size, pad] = [this.width - 20, 9, 6];
    const height = texts.reduce((sum, text) => sum + heightOf(this.page, text, width, 'medium', size) + 3, 10);
    this.page.rect(MARGIN, this.y, this.width, height).lineWidth(1).fillAndStroke(INKS.tint, INKS.brick);
    let y = this.y + pad;
    for (const text of texts) y += paragraph(this.page, text, MARGIN + 10, y, width, 'medium', size, INKS.brick) + 3;
    this.y += height + 8;
  }

  /** A table whose head stands on every page that it goes on to. */
  async table<T>(
    columns: readonly Column<T>[],
    rows: readonly T[],
    {
      size = TABLE_SIZE,
      about,
      crossedOut = () => false,
      colour = () => INKS.ink,
      note = () => null,
      progress,
    }: TableAsked<T> = {},
  ): Promise<void> {
    const { page } = this;
    const cells = columns.map((column, i) => {
      const indent = i > 0 && !column.right ? WORD_INDENT : 0;
      return { column, indent, width: column.width - CELL_GAP - indent };
    });
    const fontOf = (column: Column<T>, head: boolean): Font => (head || column.bold ? 'bold' : 'regular');
    const tall = (text: (column: Column<T>) => string, head: boolean) =>
      Math.max(...cells.map(({ column, width }) => heightOf(page, text(column), width, fontOf(column, head), size)));
    const draw = (text: (column: Column<T>) => string, head: boolean, ink: string) => {
      let x = MARGIN;
      for (const { column, indent, width } of cells) {
        write(page, text(column), x + indent, this.y, fontOf(column, head), size, ink, {
          width,
          align: column.right ? 'right' : 'left',
          lineBreak: true,
        });
        x += column.width;
      }
      this.y += tall(text, head) + 2;
    };
    const head = () => {
      if (about) this.text(about, { size: 8, colour: INKS.ink2, gap: 4 });
      draw(({ title }) => title, true, INKS.ink);
      this.rule(INKS.ink, 0.75, 4);
    };
    this.room(40);
    head();
    for (const [i, row] of rows.entries()) {
      const text = (column: Column<T>) => column.text(row);
      const noted = note(row);
      const noteWidth = this.width - NOTE_INDENT;
      const needed = tall(text, false) + (noted ? heightOf(page, noted, noteWidth, 'regular', size) : 0);
      if (this.room(needed + 5)) head();
      const [from, isOut] = [this.y, crossedOut(row)];
      draw(text, false, isOut ? INKS.ink2 : colour(row));
      if (isOut)
        page
          .moveTo(MARGIN, from + 5)
          .lineTo(MARGIN + this.width, from + 5)
          .lineWidth(0.5)
          .strokeColor(INKS.ink2)
          .stroke();
      if (noted) this.text(noted, { size, indent: NOTE_INDENT, colour: colour(row) });
      this.rule(INKS.rule, 0.5, 2);
      if (i % ROWS_A_STEP === ROWS_A_STEP - 1) await progress?.(i + 1, rows.length);
    }
  }
}
