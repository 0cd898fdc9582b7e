import { readFileSync } from 'node:fs';
import { getDocument } from 'pdfjs-dist/legacy/build/pdf.mjs';

/** One piece of text of a PDF, as another reader sees it. Points from the page's lower left corner. */
export interface PdfPiece {
  readonly text: string;
  readonly x: number;
  readonly y: number;
  readonly width: number;
  readonly page: number;
}

export async function pdfPieces(path: string): Promise<PdfPiece[]> {
  const document = await getDocument({ data: new Uint8Array(readFileSync(path)), useSystemFonts: true, verbosity: 0 })
    .promise;
  const pieces: PdfPiece[] = [];
  for (let page = 1; page <= document.numPages; page++) {
    const { items } = await (await document.getPage(page)).getTextContent();
    for (const item of items) {
      if (!('str' in item) || item.str.trim() === '') continue;
      const [, , , , x, y] = item.transform as number[];
      pieces.push({ text: item.str.trim(), x: x!, y: y!, width: item.width, page });
    }
  }
  return pieces;
}

export const textOf = (pieces: readonly PdfPiece[]): string =>
  pieces
    .map((piece) => piece.text)
    .join(' ')
    .replace(/\s+/g, ' ');

/** Lines of one cell stand no farther apart, points. */
const LINE = 15;

/**
 * The cells of a row from left to right: a piece lower down goes on in the cell that starts, or ends, where it does.
 */
function cellsOf(row: readonly PdfPiece[]): PdfPiece[] {
  const cells: PdfPiece[] = [];
  const near = (a: number, b: number) => Math.abs(a - b) < 1;
  for (const piece of [...row].sort((a, b) => Math.round(b.y - a.y) || a.x - b.x)) {
    const at = cells.findIndex(
      (cell) => cell.y - piece.y > 1 && (near(cell.x, piece.x) || near(cell.x + cell.width, piece.x + piece.width)),
    );
    if (at < 0) cells.push(piece);
    else cells[at] = { ...cells[at]!, text: `${cells[at]!.text} ${piece.text}` };
  }
  return cells.sort((a, b) => a.x - b.x);
}

/**
 * The table's rows by their first cell: the pieces that stand at its height or, gone on in lines below, down to the
 * next row.
 */
export function pdfRows(pieces: readonly PdfPiece[], names: readonly string[]): Map<string, string> {
  const left = Math.min(...pieces.map((piece) => piece.x));
  const starts = pieces
    .filter((piece) => names.includes(piece.text) && piece.x - left < 2)
    .sort((a, b) => a.page - b.page || b.y - a.y);
  return new Map(
    starts.map((start, i) => {
      const below = starts[i + 1];
      const end = below && below.page === start.page ? below.y + 1 : -Infinity;
      const under = pieces
        .filter((piece) => piece.page === start.page && piece.y <= start.y + 1 && piece.y > end)
        .sort((a, b) => b.y - a.y);
      // The last row ends where the next line is farther away than one of its own would be.
      const gap = under.findIndex((piece, k) => k > 0 && under[k - 1]!.y - piece.y > LINE);
      return [start.text, textOf(cellsOf(gap < 0 ? under : under.slice(0, gap)))];
    }),
  );
}
