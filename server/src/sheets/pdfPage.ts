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

/** Points. */
export const MARGIN = 34;
export const INKS = { ink: '#16262a', ink2: '#435050', rule: '#dad3c0', pencil: '#5a3d98', brick: '#8f1d15', hub: '#c9a35b', tint: '#fbefe9' } as const;

export type Page = PDFKit.PDFDocument;

export function newDocument(title: string): Page {
  const page = new PDFDocument({ size: 'A4', margin: MARGIN, bufferPages: true, info: { Title: title, Producer: 'Idle Marker', Creator: 'Idle Marker' } });
  for (const [name, file] of Object.entries(FONTS)) page.registerFont(name, require.resolve(file));
  return page;
}

export const widthOf = (page: Page): number => page.page.width - 2 * MARGIN;
export const bottomOf = (page: Page): number => page.page.height - MARGIN - 24;

/** Glyphs that the font lacks are written with ones it has. */
export const printable = (text: string): string => text.replace(/[\u2009\u202f]/g, ' ');

export function write(page: Page, text: string, x: number, y: number, font: Font, size: number, colour: string, options: PDFKit.Mixins.TextOptions = {}): void {
  page
    .font(font)
    .fontSize(size)
    .fillColor(colour)
    .text(printable(text), x, y, { lineBreak: false, ...options });
}

/** Writes a paragraph and gives the height that it took. */
export function paragraph(page: Page, text: string, x: number, y: number, width: number, font: Font, size: number, colour: string): number {
  page.font(font).fontSize(size).fillColor(colour);
  const height = page.heightOfString(printable(text), { width });
  page.text(printable(text), x, y, { width });
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
