/** Pages with the project's fonts: the few things that papers are written with. Lengths are points, y down. */
import PDFDocument from 'pdfkit';
import {
  fitted,
  INKS as DRAWN_INKS,
  PAPERS,
  type Ink,
  type Measure,
  type Paper,
  type Scene,
  type ScenePath,
  type Weight,
} from '@idle-marker/paper';
import { msg, wordingNow } from '@idle-marker/words';
import { FIRST_FONTS, printable, runsOf, SECOND_FONTS } from './letters.ts';
import { tagsOf, type Piece, type PieceAsked } from './tags.ts';

/**
 * Inks as they are printed. Black is black alone: mixed from colours it bleeds, and a grey is a screen of dots that is
 * gone after a day in a pocket.
 */
export const INKS: Readonly<Record<Ink, string>> = {
  ...DRAWN_INKS,
  ink: '#000000',
  ink2: '#000000',
  rule: '#8c8c8c',
  tint: '#ffffff',
  paper: '#ffffff',
};
export type Font = Weight;

export const MARGIN = 34;
/** Kept free at the bottom of each page for what says which page it is. */
const FOOT = 34;
/** No paper has smaller letters than these, points. */
export const LEAST_SIZE = 9;

export type Page = PDFKit.PDFDocument;

/** How far along a paper is, as a part of the whole. Whoever waits may have left: then it throws. */
export type Progress = (done: number, of: number) => Promise<void>;

const fontName = (font: Font, of: 'first' | 'second'): string => `${of} ${font}`;

const LANGUAGES = { northAmerican: 'en-US', british: 'en-GB' } as const;

/** A document without a page yet. */
export function newDocument(title: string): Page {
  const page = new PDFDocument({
    autoFirstPage: false,
    bufferPages: true,
    pdfVersion: '1.7',
    tagged: true,
    lang: LANGUAGES[wordingNow().preset],
    displayTitle: true,
    info: { Title: printable(title), Producer: 'Idle Marker', Creator: 'Idle Marker' },
  });
  for (const font of ['regular', 'medium', 'bold'] as const) {
    page.registerFont(fontName(font, 'first'), FIRST_FONTS[font]);
    page.registerFont(fontName(font, 'second'), SECOND_FONTS[font]);
  }
  return page;
}

/** Begins a page. */
export function addPage(page: Page, { size = 'A4', upright = true, margin = MARGIN }: PaperAsked = {}): void {
  const [short, long] = typeof size === 'string' ? PAPERS[size] : size;
  page.addPage({ size: typeof size === 'string' && !upright ? [long, short] : [short, long], margin });
}

/** What is written or drawn within is one piece of the text: see `tags.ts`. */
export const asPiece = (page: Page, role: Piece, draw: () => void, asked: PieceAsked = {}): void =>
  tagsOf(page).piece(role, asked, draw);
/** A drawing, and what it shows in words. */
export const asFigure = (page: Page, alt: string, draw: () => void): void =>
  tagsOf(page).piece('Figure', { alt: printable(alt) }, draw);
/** Rules and frames. */
export const asFrame = (page: Page, draw: () => void): void => tagsOf(page).artifact('Layout', draw);

export interface PaperAsked {
  readonly size?: Paper | readonly [number, number];
  readonly upright?: boolean;
  readonly margin?: number;
}

export const widthOf = (page: Page): number => page.page.width - 2 * MARGIN;
export const bottomOf = (page: Page): number => page.page.height - MARGIN - FOOT;

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

/** A blank that no line ends at; it is written as any other. */
const TIE = '\u00a0';
/**
 * Figures and what belongs to them stay on one line: feet with their inches, inches with their sixteenths, a figure with
 * its unit, a word of cut or fill with its figure.
 */
const TIES = [
  /(?<=\d['′]-?) (?=\d+(?:\/\d+)?["″])/g,
  /(?<=\d['′]) (?=\d+ \d+\/\d+["″])/g,
  /(?<=\d) (?=\d+\/\d+)/g,
  /(?<=\d) (?=(?:mm|cm|m|km|ft|usft|in|°|%|ppm)(?:[\s,.;:)]|$))/g,
];
export const tied = (text: string): string => TIES.reduce((sum, tie) => sum.replace(tie, TIE), text);

/** A text broken at blanks, and inside of words that are longer than a line. */
/** One that ends where a blank was keeps it: words that are taken out of the paper stay apart. */
function linesOf(page: Page, text: string, width: number, font: Font, size: number): string[] {
  return printable(text)
    .split('\n')
    .flatMap((paragraph, i, all) => {
      const lines: string[] = [];
      let line = '';
      // Blanks that tie are written as blanks.
      for (const word of tied(paragraph)
        .split(' ')
        .map((each) => each.replaceAll(TIE, ' '))) {
        const longer = line === '' ? word : `${line} ${word}`;
        if (widthOfPrinted(page, longer, font, size) <= width) {
          line = longer;
          continue;
        }
        if (line !== '') lines.push(`${line} `);
        line = '';
        for (const letter of word) {
          if (line !== '' && widthOfPrinted(page, line + letter, font, size) > width) {
            lines.push(line);
            line = '';
          }
          line += letter;
        }
      }
      return [...lines, i < all.length - 1 ? `${line} ` : line];
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
  tagsOf(page).piece('P', {}, () => {
    const lines =
      lineBreak && width !== undefined ? linesOf(page, text, width, font, size) : [printable(text).replace(/\n/g, ' ')];
    for (const [i, line] of lines.entries()) {
      const free =
        align === 'left' || width === undefined ? 0 : width - widthOfPrinted(page, line.trimEnd(), font, size);
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
  });
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
  asFrame(page, () =>
    page
      .moveTo(MARGIN, y)
      .lineTo(MARGIN + widthOf(page), y)
      .lineWidth(width)
      .strokeColor(colour)
      .stroke(),
  );
}

/** Draws a scene with its corner at (x, y), so many times its size; `alt` says what it shows. */
export function drawScene(page: Page, scene: Pick<Scene, 'items'>, alt: string, x = 0, y = 0, scale = 1): void {
  asFigure(page, alt, () => {
    for (const item of scene.items) {
      if (item.kind === 'path') {
        drawPath(page, item, x, y, scale);
        continue;
      }
      const size = item.size * scale;
      const line = printable(item.text).replace(/\n/g, ' ');
      const width = item.align === 'start' ? 0 : widthOfPrinted(page, line, item.weight, size);
      const [tx, ty] = [x + item.x * scale, y + item.y * scale];
      if (item.turn) page.save().rotate(item.turn, { origin: [tx, ty] });
      // With a blank after it: what stands apart in a drawing is not one word where it is taken out.
      const left = tx - (item.align === 'middle' ? width / 2 : width);
      writeLine(page, `${line} `, left, ty, item.weight, size, INKS[item.ink]);
      if (item.turn) page.restore();
    }
  });
}

function drawPath(page: Page, item: ScenePath, x: number, y: number, scale: number): void {
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
}

export interface Foot {
  /** What the page is of: site, package, sheet, revision. */
  readonly of: string;
  /** What holds for all of it. */
  readonly note?: string;
  /** When and by whom. */
  readonly by?: string;
}

const FOOT_SIZE = LEAST_SIZE;

/** Two lines at the foot of every page, so that one alone says what it is of, and which of how many. */
export function footPages(page: Page, footOf: (index: number) => Foot): void {
  const { start, count } = page.bufferedPageRange();
  for (let i = 0; i < count; i++) {
    page.switchToPage(start + i);
    const width = widthOf(page);
    const y = page.page.height - MARGIN - 22;
    const { of, note = '', by = '' } = footOf(i);
    // The foot lies in the margin, where text would otherwise start a new page.
    page.page.margins.bottom = 0;
    tagsOf(page).artifact('Pagination', () => {
      rule(page, y - 4, INKS.ink);
      const measure = measureOn(page);
      const line = (left: string, right: string, at: number, font: Font) => {
        const room = width - measure(right, FOOT_SIZE, font) - 10;
        write(page, fitted(left, room, FOOT_SIZE, measure, font), MARGIN, at, font, FOOT_SIZE, INKS.ink);
        write(page, right, MARGIN, at, font, FOOT_SIZE, INKS.ink, { width, align: 'right' });
      };
      line(of, msg('papers.pageOf', { i: i + 1, count }), y, 'bold');
      line(note, by, y + FOOT_SIZE * LEADING + 1, 'regular');
    });
  }
}

export async function finish(page: Page): Promise<Buffer> {
  const chunks: Buffer[] = [];
  page.on('data', (chunk: Buffer) => chunks.push(chunk));
  const ended = new Promise<void>((resolve) => page.on('end', resolve));
  tagsOf(page).finish();
  page.end();
  await ended;
  return Buffer.concat(chunks);
}
