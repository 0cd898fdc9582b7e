/**
 * A paper written from top to bottom: headings, paragraphs, pairs of a name and what it comes to, tables, drawings, each
 * where the one before it ended, and on a new page where there is no room for it. Lengths are points, y down.
 */
import { printable } from './letters.ts';
import {
  addPage,
  asFrame,
  asPiece,
  bottomOf,
  footPages,
  heightOf,
  INKS,
  LEAST_SIZE,
  MARGIN,
  paragraph,
  rule,
  widthOf,
  write,
  type Foot,
  type Font,
  type Page,
  type PaperAsked,
} from './pdfPage.ts';
import { drawTable, type Column, type TableAsked } from './table.ts';
import { tagsOf } from './tags.ts';

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

export const TEXT_SIZE = 9.5;
const HEADING_SIZE = 11;
/** A heading stays with so much of what it is the heading of. */
const AFTER_HEADING = 54;

export class Flow {
  readonly page: Page;
  /** Where the next thing stands. */
  y = MARGIN;
  private paper: PaperAsked;
  /** What each page is of, in the order in which it came. */
  private readonly subjects: string[][] = [];
  private subject: string | null = null;
  private chapter: PDFKit.PDFOutline | null = null;

  constructor(page: Page, paper: PaperAsked = {}) {
    this.page = page;
    this.paper = paper;
    this.newPage();
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
    if (needed <= this.left || this.y === MARGIN) return false;
    this.newPage();
    return true;
  }

  /** Of the same paper, or another from here on. */
  newPage(paper: PaperAsked = this.paper): void {
    this.paper = paper;
    addPage(this.page, paper);
    this.subjects.push(this.subject === null ? [] : [this.subject]);
    this.y = MARGIN;
  }

  /** What is written from here on is of this: it stands at the foot of each of its pages. */
  about(subject: string): void {
    this.subject = subject;
    const here = this.subjects.at(-1)!;
    if (this.y === MARGIN) here.length = 0;
    here.push(subject);
  }

  /** The title of a paper, and at the right of it what it is of. */
  title(text: string, beside: string | null = null, size = 18): void {
    const height = this.titleHeight(text, size);
    asPiece(this.page, 'H1', () =>
      write(this.page, text, MARGIN, this.y, 'bold', size, INKS.ink, { width: this.width, lineBreak: true }),
    );
    this.chapter = this.page.outline.addItem(printable(text), { fit: true, expanded: true } as never);
    this.y += height;
    if (beside === null) return;
    this.text(beside, { size: 10.5, gap: 4 });
  }

  private titleHeight(text: string, size: number): number {
    return heightOf(this.page, text, this.width, 'bold', size) + size * 0.3;
  }

  heading(text: string): void {
    this.y += 9;
    this.room(AFTER_HEADING);
    asPiece(this.page, 'H2', () => write(this.page, text, MARGIN, this.y, 'bold', HEADING_SIZE, INKS.ink));
    (this.chapter ?? this.page.outline).addItem(printable(text), { fit: true } as never);
    rule(this.page, this.y + 15, INKS.ink, 0.75);
    this.y += 20;
  }

  text(
    text: string,
    { font = 'regular', size = TEXT_SIZE, colour = INKS.ink, indent = 0, within, gap = 2 }: Look = {},
  ): void {
    const width = (within ?? this.width) - indent;
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

  /** Names at the left, what they come to at the right: a table of two columns. */
  pairs(rows: readonly (readonly [string, string])[], { size = TEXT_SIZE }: Look = {}): void {
    const { page } = this;
    const tags = tagsOf(page);
    const names = Math.min(
      this.width * 0.3,
      Math.max(...rows.map(([name]) => page.font('first medium').fontSize(size).widthOfString(printable(name)))) + 12,
    );
    const width = this.width - names;
    tags.begin('Table');
    tags.begin('TBody');
    for (const [name, text] of rows) {
      const tall = Math.max(
        heightOf(page, text, width, 'regular', size),
        heightOf(page, name, names - 8, 'medium', size),
      );
      this.room(tall + 3);
      tags.begin('TR');
      asPiece(
        page,
        'TH',
        () => write(page, name, MARGIN, this.y, 'medium', size, INKS.ink, { width: names - 8, lineBreak: true }),
        { scope: 'Row' },
      );
      asPiece(page, 'TD', () => paragraph(page, text, MARGIN + names, this.y, width, 'regular', size, INKS.ink));
      tags.end();
      this.y += tall + 3;
    }
    tags.end();
    tags.end();
  }

  /** Paragraphs in a frame, to be read before anything else. */
  notices(texts: readonly string[]): void {
    if (texts.length === 0) return;
    const [width, size, pad] = [this.width - 20, 10, 6];
    const height = texts.reduce((sum, text) => sum + heightOf(this.page, text, width, 'medium', size) + 3, 10);
    this.room(height + 8);
    asFrame(this.page, () => this.page.rect(MARGIN, this.y, this.width, height).lineWidth(1.5).stroke(INKS.ink));
    let y = this.y + pad;
    for (const text of texts) y += paragraph(this.page, text, MARGIN + 10, y, width, 'medium', size, INKS.brick) + 3;
    this.y += height + 8;
  }

  /** A table whose head stands on every page that it goes on to. */
  table<T>(columns: readonly Column<T>[], rows: readonly T[], asked: TableAsked<T> = {}): Promise<void> {
    return drawTable(this, columns, rows, asked);
  }

  /** Ends the paper: its pages are numbered, and each says what it is of. */
  foot(of: string, rest: Omit<Foot, 'of'> = {}): void {
    footPages(this.page, (i) => ({ of: [...(this.subjects[i] ?? []), of].join(' · '), ...rest }));
  }
}

/** Letters of tables, points. */
export const TABLE_SIZE = LEAST_SIZE;
export type { Column, TableAsked };
