/** A4 page with the project's fonts: the few things that sheets are written with. */
import PDFDocument from 'pdfkit';
import { createRequire } from 'node:module';

const require = createRequire(import.meta.url);
const FONTS = {
  regular: '@fontsource/barlow/files/barlow-latin-400-normal.woff',
  medium: '@fontsource/barlow/files/barlow-latin-500-normal.woff',
  bold: '@fontsource/barlow/files/barlow-latin-600-normal.woff',
} as const;
export type Font = keyof typeof FONTS;

/** For names in other alphabets: wide enough for all of Latin, Greek and Cyrillic. A sheet never loses a letter of a name. */
const WIDE_FONTS: Readonly<Record<Font, string>> = {
  regular: 'dejavu-fonts-ttf/ttf/DejaVuSansCondensed.ttf',
  medium: 'dejavu-fonts-ttf/ttf/DejaVuSansCondensed.ttf',
  bold: 'dejavu-fonts-ttf/ttf/DejaVuSansCondensed-Bold.ttf',
};
/** The characters that the files in FONTS have. */
const USUAL =
  /^[\u0020-\u007e\u00a0-\u00ff\u0131\u0152\u0153\u02c6\u02da\u02dc\u2013\u2014\u2018-\u201a\u201c-\u201e\u2022\u2026\u2032\u2033\u2039\u203a\u2044\u20ac\u2122\u2212\u2215\n]*$/;
const wide = (font: Font): string => `wide ${font}`;

/** Points. */
export const MARGIN = 34;
export const INKS = { ink: '#16262a', ink2: '#435050', rule: '#dad3c0', pencil: '#5a3d98', brick: '#8f1d15', hub: '#c9a35b', tint: '#fbefe9' } as const;

export type Page = PDFKit.PDFDocument;

export function newDocument(title: string): Page {
  const page = new PDFDocument({ size: 'A4', margin: MARGIN, bufferPages: true, info: { Title: title, Producer: 'Idle Marker', Creator: 'Idle Marker' } });
  for (const [name, file] of Object.entries(FONTS)) page.registerFont(name, require.resolve(file));
  for (const [name, file] of Object.entries(WIDE_FONTS)) page.registerFont(wide(name as Font), require.resolve(file));
  return page;
}

export const widthOf = (page: Page): number => page.page.width - 2 * MARGIN;
export const bottomOf = (page: Page): number => page.page.height - MARGIN - 24;

/** Thin blanks are no glyphs of these fonts; a plain one does. */
const printable = (text: string): string => text.replace(/[\u2009\u202f]/g, ' ');

/** Takes up the font for a text, and gives the text as it is to be written. */
function takeUp(page: Page, text: string, font: Font, size: number): string {
  const written = printable(text);
  page.font(USUAL.test(written) ? font : wide(font)).fontSize(size);
  return written;
}

/** Height in points that a text takes when it is wrapped to `width`. */
export const heightOf = (page: Page, text: string, width: number, font: Font, size: number): number =>
  page.heightOfString(takeUp(page, text, font, size), { width });

/** Width in points of a text in one line. */
export const widthOfText = (page: Page, text: string, font: Font, size: number): number => page.widthOfString(takeUp(page, text, font, size));

export function write(page: Page, text: string, x: number, y: number, font: Font, size: number, colour: string, options: PDFKit.Mixins.TextOptions = {}): void {
  const written = takeUp(page, text, font, size);
  page.fillColor(colour).text(written, x, y, { lineBreak: false, ...options });
}

/** Writes a paragraph and gives the height that it took. */
export function paragraph(page: Page, text: string, x: number, y: number, width: number, font: Font, size: number, colour: string): number {
  const height = heightOf(page, text, width, font, size);
  page.fillColor(colour).text(printable(text), x, y, { width });
  return height;
}

export function rule(page: Page, y: number, colour: string, width = 0.75): void {
  page
    .moveTo(MARGIN, y)
    .lineTo(MARGIN + widthOf(page), y)
    .lineWidth(width)
    .strokeColor(colour)
    .stroke();
}

export async function finish(page: Page): Promise<Buffer> {
  const chunks: Buffer[] = [];
  page.on('data', (chunk: Buffer) => chunks.push(chunk));
  const ended = new Promise<void>((resolve) => page.on('end', resolve));
  page.end();
  await ended;
  return Buffer.concat(chunks);
}
