/** The words of a PDF, read back by a reader that knows nothing of who wrote it. */
import { getDocument } from 'pdfjs-dist/legacy/build/pdf.mjs';

export const opened = (bytes: Buffer) =>
  getDocument({ data: new Uint8Array(bytes), useSystemFonts: true, verbosity: 0 }).promise;

export async function textOf(bytes: Buffer): Promise<string> {
  const document = await opened(bytes);
  const pages = [];
  for (let page = 1; page <= document.numPages; page++) {
    const { items } = await (await document.getPage(page)).getTextContent();
    pages.push(items.map((item) => ('str' in item ? item.str : '')).join(' '));
  }
  return pages.join('\n').replace(/\s+/g, ' ');
}
