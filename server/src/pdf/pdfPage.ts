/** Pages with the project's fonts: the few things that papers are written with. Lengths are points, y down. */
import PDFDocument from 'pdfkit';
import { INKS, PAPERS, type Measure, type Paper, type Scene, type Weight } from '@idle-marker/paper';
import { msg } from '@idle-marker/words';
import { FIRST_FONTS, printable, runsOf, SECOND_FONTS } from './letters.ts';

export { INKS };
export type Font = Weight;

export const MARGIN = 34;

export type Page = PDFKit.PDFDocument;

/** How far along a paper is, as a part of the whole. Whoever waits may have left: then it throws. */
export type Progress = (done: number, of: number) => Promise<void>;

const fontName = (font: Font, of: 'first' | 'second'): string => `${of} ${font}`;

/** @param size a paper, or width and height in points */
export function newDocument(title: string, { size = 'A4', upright = true, margin = MARGIN }: PaperAsked = {}): Page {
  const [short, long] = typeof size === 'string' ? PAPERS[size] : size;
  const page = new PDFDocument({
    size: typeof size === 'string' && !upright ? [long, short] : [short, long],
    margin,
    bufferPages: true,
    info: { Title: printable(title), Producer: 'Idle Marker', Creator: 'Idle Marker' },
  });
  for (const font of ['regular', 'medium', 'bold'] as const) {
    page.registerFont(fontName(font, 'first'), FIRST_FONTS[font]);
    page.registerFont(fontName(font, 'second'), SECOND_FONTS[font]);
  }
  return page;
}

export interface PaperAsked {
  readonly size?: Paper | readonly [number, number];
  readonly upright?: boolean;
  readonly margin?: number;
}

export const widthOf = (page: Page): number => page.page.width - 2 * MARGIN;
export const bottomOf = (page: Page): number => page.page.height - MARGIN - 24;

/** From one line of text to the next, as a part of its size. */
const LEADING = 1.2;

/** Width in points of a text in one line. */
export const widthOfText = (page: Page, text: string, font: Font, size: number): number =>
  widthOfPrinted(page, printable(text), font, size);

/**
 * Widths at a size of one point, by font and text: the fonts are the same in every paper, and widths grow with the
 * size.
 */
const widths = new Map<string, number>();
const MOST_WIDTHS = 50_000;

function widthOfPrinted(page: Page, line: string, font: Font, size: number): number {
  const key = `${font} ${line}`;
  let width = widths.get(key);
  if (width === undefined) {
    width = runsOf(line).reduce(
      (sum, run) =>
        sum +
        page
          .font(fontName(font, run.font))
          .fontSize(MEASURED_AT)
          .widthOfString(run.text, run.turned ? { features: [] } : {}) /
          MEASURED_AT,
      0,
    );
    if (widths.size >= MOST_WIDTHS) widths.clear();
    widths.set(key, width);
  }
  return width * size;
}
const MEASURED_AT = 100;

export const measureOn =
  (page: Page): Measure =>
  (text, size, weight) =>
    widthOfText(page, text, weight, size);

/** A text broken at blanks, and inside of words that are longer than a line. */
function linesOf(page: Page, text: string, width: number, font: Font, size: number): string[] {
  return printable(text)
    .split('\n')
    .flatMap((paragraph) => {
      const lines: string[] = [];
      let line = '';
      for (const word of paragraph.split(' ')) {
        const longer = line === '' ? word : `${line} ${word}`;
        if (widthOfPrinted(page, longer, font, size) <= width) {
          line = longer;
          continue;
        }
        if (line !== '') lines.push(line);
        line = '';
        for (const letter of word) {
          if (line !== '' && widthOfPrinted(page, line + letter, font, size) > width) {
            lines.push(line);
            line = '';
          }
          line += letter;
        }
      }
      return [...lines, line];
    });
}

/** Height in points that a text takes when it is wrapped to `width`. */
export const heightOf = (page: Page, text: string, width: number, font: Font, size: number): number =>
  linesOf(page, text, width, font, size).length * size * LEADING;

interface Placing {
  readonly width?: number;
  readonly align?: 'left' | 'center' | 'right';
  /** Goes on in further lines where it does not fit; else it stands in one line, however long. */
  readonly lineBreak?: boolean;
}

/** Writes a text with the top of its first line at `y`. */
export function write(
  page: Page,
  text: string,
  x: number,
  y: number,
  font: Font,
  size: number,
  colour: string,
  { width, align = 'left', lineBreak = false }: Placing = {},
): void {
  const lines =
    lineBreak && width !== undefined ? linesOf(page, text, width, font, size) : [printable(text).replace(/\n/g, ' ')];
  for (const [i, line] of lines.entries()) {
    const free = align === 'left' || width === undefined ? 0 : width - widthOfPrinted(page, line, font, size);
    writeLine(
      page,
      line,
      x + (align === 'center' ? free / 2 : free),
      y + i * size * LEADING + size,
      font,
      size,
      colour,
    );
  }
}

/** One line with its base line at `y`. */
function writeLine(page: Page, line: string, x: number, y: number, font: Font, size: number, colour: string): void {
  let at = x;
  page.fillColor(colour);
  for (const run of runsOf(line)) {
    const features = run.turned ? { features: [] } : {};
    page.font(fontName(font, run.font)).fontSize(size);
    page.text(run.text, at, y, { lineBreak: false, baseline: 'alphabetic', ...features });
    at += page.widthOfString(run.text, features);
  }
}

/** Writes a paragraph and gives the height that it took. */
export function paragraph(
  page: Page,
  text: string,
  x: number,
  y: number,
  width: number,
  font: Font,
  size: number,
  colour: string,
): number {
  write(page, text, x, y, font, size, colour, { width, lineBreak: true });
  return heightOf(page, text, width, font, size);
}

export function rule(page: Page, y: number, colour: string, width = 0.75): void {
  page
    .moveTo(MARGIN, y)
    .lineTo(MARGIN + widthOf(page), y)
    .lineWidth(width)
    .strokeColor(colour)
    .stroke();
}

/** Draws a scene with its corner at (x, y), so many times its size. */
export function drawScene(page: Page, scene: Pick<Scene, 'items'>, x = 0, y = 0, scale = 1): void {
  for (const item of scene.items) {
    if (item.kind === 'path') {
      item.points.forEach(([px, py], i) =>
        i === 0 ? page.moveTo(x + px * scale, y + py * scale) : page.lineTo(x + px * scale, y + py * scale),
      );
      if (item.closed) page.closePath();
      page.lineWidth(item.width * scale).fillOpacity(item.opacity ?? 1);
      if (item.dash) page.dash(item.dash * scale, { space: item.dash * scale });
      if (item.fill && item.stroke) page.fillAndStroke(INKS[item.fill], INKS[item.stroke]);
      else if (item.fill) page.fill(INKS[item.fill]);
      else page.strokeColor(INKS[item.stroke ?? 'ink']).stroke();
      page.undash().fillOpacity(1);
      continue;
    }
    const size = item.size * scale;
    const line = printable(item.text).replace(/\n/g, ' ');
    const width = item.align === 'start' ? 0 : widthOfPrinted(page, line, item.weight, size);
    const [tx, ty] = [x + item.x * scale, y + item.y * scale];
    if (item.turn) page.save().rotate(item.turn, { origin: [tx, ty] });
    writeLine(page, line, tx - (item.align === 'middle' ? width / 2 : width), ty, item.weight, size, INKS[item.ink]);
    if (item.turn) page.restore();
  }
}

/** A line at the foot of every page: what holds for all of them, and which page of how many. */
export function footPages(page: Page, left: string, right: string): void {
  const { start, count } = page.bufferedPageRange();
  for (let i = 0; i < count; i++) {
    page.switchToPage(start + i);
    const y = page.page.height - MARGIN - 8;
    rule(page, y - 5, INKS.ink);
    // The foot lies in the margin, where text would otherwise start a new page.
    page.page.margins.bottom = 0;
    write(page, left, MARGIN, y, 'regular', 8, INKS.ink2);
    write(page, msg('papers.pageOf', { i: i + 1, count, right }), MARGIN, y, 'regular', 8, INKS.ink2, {
      width: widthOf(page),
      align: 'right',
    });
  }
}

export async function finish(page: Page): Promise<Buffer> {
  const chunks: Buffer[] = [];
  page.on('data', (chunk: Buffer) => chunks.push(chunk));
  const ended = new Promise<void>((resolve) => page.on('end', resolve));
  page.end();
  await ended;
  return Buffer.concat(chunks);
}
