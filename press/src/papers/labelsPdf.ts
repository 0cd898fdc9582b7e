/**
 * Labels for stakes: on sheets of paper, or one after the other on a narrow roll. What is written is what the stake
 * says.
 */
import QRCode from 'qrcode';
import type { LabelFormat } from '@idle-marker/contract';
import { fitted } from '@idle-marker/paper';
import { msg } from '@idle-marker/words';
import {
  addPage,
  asFigure,
  asFrame,
  finish,
  heightOf,
  INKS,
  LEAST_SIZE,
  measureOn,
  newDocument,
  write,
  type Page,
  type Progress,
} from '../pdf/pdfPage.ts';

export interface Label {
  readonly name: string;
  /** Lines in the order of writing. */
  readonly lines: readonly { readonly text: string; readonly ruled: boolean; readonly unusual: boolean }[];
  /** Address that the square code leads to; null where there is no page for the crew. */
  readonly address: string | null;
  /** Stands at the foot: the work package. */
  readonly about: string;
}

const MM = 72 / 25.4;

/** Sheets of labels: columns and rows that fill the paper between margins. */
const LABEL_SHEETS = {
  a4of24: { paper: 'A4', columns: 3, rows: 8, side: 0, top: 0 },
  a4of14: { paper: 'A4', columns: 2, rows: 7, side: 4 * MM, top: 15 * MM },
  a4of8: { paper: 'A4', columns: 2, rows: 4, side: 0, top: 4 * MM },
  letterOf30: { paper: 'letter', columns: 3, rows: 10, side: 4.8 * MM, top: 12.7 * MM },
  letterOf10: { paper: 'letter', columns: 2, rows: 5, side: 4 * MM, top: 12.7 * MM },
} as const;
/** Rolls by the width of their tape, millimetres, and the length of a label on them. */
const LABEL_ROLLS = { roll24: [24, 90], roll36: [36, 90], roll62: [62, 100] } as const;

const isRoll = (format: LabelFormat): format is keyof typeof LABEL_ROLLS => format in LABEL_ROLLS;

/** Labels between two looks at whether anybody still waits. */
const LABELS_A_STEP = 20;

export async function labelsPdf(
  labels: readonly Label[],
  format: LabelFormat,
  title: string,
  progress: Progress,
): Promise<Buffer> {
  const page = newDocument(title);
  for (const [i, label] of labels.entries()) {
    if (isRoll(format)) {
      const [wide, long] = LABEL_ROLLS[format];
      addPage(page, { size: [long * MM, wide * MM], margin: 0 });
      drawLabel(page, label, 0, 0, page.page.width, page.page.height);
    } else {
      const { paper, columns, rows, side, top } = LABEL_SHEETS[format];
      const at = i % (columns * rows);
      if (at === 0) addPage(page, { size: paper, margin: 0 });
      const [w, h] = [(page.page.width - 2 * side) / columns, (page.page.height - 2 * top) / rows];
      drawLabel(page, label, side + (at % columns) * w, top + Math.floor(at / columns) * h, w, h);
    }
    if (i % LABELS_A_STEP === 0) await progress(i, labels.length);
  }
  return finish(page);
}

/** Printers and cutters are off by a millimetre or two: nothing stands nearer to the edge of a label than this. */
const PAD = 4 * MM;
const LARGEST = 12;
/** Smaller letters than on any other paper, where a narrow tape has no room for larger ones. */
const SMALLEST = 6.5;
/** The name is what a label is looked at for: so many times the other lines. */
const NAME_MORE = 1.35;
const MOST_COLUMNS = 3;
const COLUMN_GAP = 8;

type LabelLine = Label['lines'][number];

/** How the lines of a label stand: in so many columns, in letters of this size. */
interface Setting {
  readonly columns: number;
  readonly size: number;
}

const sizeOf = (label: Label, line: LabelLine, { size }: Setting): number =>
  line.text === label.name ? size * NAME_MORE : size;

const columnWidth = (width: number, { columns }: Setting): number => (width - (columns - 1) * COLUMN_GAP) / columns;

const lineHeight = (page: Page, label: Label, line: LabelLine, width: number, setting: Setting): number =>
  heightOf(page, line.text, columnWidth(width, setting), 'bold', sizeOf(label, line, setting)) +
  (line.ruled ? 2.5 : 0.5);

/** Which line stands in which column; null where they have no room. */
function columnsOf(page: Page, label: Label, width: number, free: number, setting: Setting): LabelLine[][] | null {
  const columns: LabelLine[][] = [[]];
  let used = 0;
  for (const line of label.lines) {
    const tall = lineHeight(page, label, line, width, setting);
    if (used + tall > free + 0.5) {
      columns.push([]);
      used = 0;
    }
    if (tall > free + 0.5 || columns.length > setting.columns) return null;
    columns.at(-1)!.push(line);
    used += tall;
  }
  return columns;
}

/** The largest letters that all lines have room with, in as few columns as possible. */
function settingOf(page: Page, label: Label, width: number, free: number) {
  for (let size = LARGEST; size >= SMALLEST; size -= 0.5)
    for (let columns = 1; columns <= MOST_COLUMNS; columns++) {
      const placed = columnsOf(page, label, width, free, { size, columns });
      if (placed) return { setting: { size, columns }, placed };
    }
  // The name comes first where not all of it can be said; what has no room is said to be missing.
  const named = label.lines.filter(({ text }) => text === label.name);
  const setting = { size: LEAST_SIZE, columns: 1 };
  const lines: LabelLine[] = [];
  let used = LEAST_SIZE * 1.2;
  for (const line of [...named, ...label.lines.filter(({ text }) => text !== label.name)]) {
    used += lineHeight(page, label, line, width, setting);
    if (used > free && lines.length > 0) break;
    lines.push(line);
  }
  return { setting, placed: [[...lines, { text: '…', ruled: false, unusual: true }]] };
}

function drawLabel(page: Page, label: Label, x: number, y: number, w: number, h: number): void {
  // A code smaller than this is not read at arm's length.
  const code = label.address === null ? 0 : Math.min(h - 2 * PAD, Math.max(15 * MM, h * 0.5), w * 0.34);
  if (label.address !== null) drawCode(page, label.address, x + w - PAD - code, y + PAD, code);
  const width = w - 2 * PAD - (code > 0 ? code + 4 : 0);
  const all = h - 2 * PAD;
  // What it is of stands at its foot where the lines leave room for it.
  const foot = LEAST_SIZE * 1.2;
  const isEasy = columnsOf(page, label, width, all - foot, { size: LEAST_SIZE, columns: 1 }) !== null;
  const { setting, placed } = settingOf(page, label, width, all - (isEasy ? foot : 0));
  for (const [i, lines] of placed.entries()) {
    const left = x + PAD + i * (columnWidth(width, setting) + COLUMN_GAP);
    let at = y + PAD;
    for (const line of lines) at += drawLine(page, label, line, left, at, columnWidth(width, setting), setting);
  }
  if (!isEasy) return;
  const room = w - 2 * PAD - (code > all - foot ? code + 4 : 0);
  write(
    page,
    fitted(`${label.name} · ${label.about}`, room, LEAST_SIZE, measureOn(page)),
    x + PAD,
    y + h - PAD - LEAST_SIZE,
    'regular',
    LEAST_SIZE,
    INKS.ink,
  );
}

/** The height that it took. */
function drawLine(
  page: Page,
  label: Label,
  line: LabelLine,
  x: number,
  y: number,
  width: number,
  setting: Setting,
): number {
  const letters = sizeOf(label, line, setting);
  write(page, line.text, x, y, 'bold', letters, line.unusual ? INKS.brick : INKS.ink, { width, lineBreak: true });
  const tall = heightOf(page, line.text, width, 'bold', letters) + 0.5;
  if (!line.ruled) return tall;
  asFrame(page, () =>
    page
      .moveTo(x, y + tall)
      .lineTo(x + width, y + tall)
      .lineWidth(0.8)
      .strokeColor(INKS.ink)
      .stroke(),
  );
  return tall + 2;
}

const QUIET = 3;

/**
 * A square code drawn as squares (ISO/IEC 18004), so that it stays sharp at any size. Adjoining ones of a row are one.
 */
export function drawCode(page: Page, address: string, x: number, y: number, size: number): void {
  const { modules } = QRCode.create(address, { errorCorrectionLevel: 'M' });
  // Readers want a clear edge round the code.
  const cell = size / (modules.size + 2 * QUIET);
  asFigure(page, msg('papers.squareCodeTo', { address }), () => drawSquares(page, modules, x, y, cell));
}

function drawSquares(page: Page, modules: QRCode.QRCode['modules'], x: number, y: number, cell: number): void {
  page.fillColor(INKS.ink);
  for (let row = 0; row < modules.size; row++)
    for (let column = 0; column < modules.size; column++) {
      if (!modules.get(row, column)) continue;
      let end = column;
      while (end < modules.size && modules.get(row, end)) end++;
      page.rect(x + (column + QUIET) * cell, y + (row + QUIET) * cell, (end - column) * cell, cell);
      column = end;
    }
  page.fill();
}
