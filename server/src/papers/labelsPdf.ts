/**
 * Labels for stakes: on sheets of paper, or one after the other on a narrow roll. What is written is what the stake
 * says.
 */
import QRCode from 'qrcode';
import type { LabelFormat } from '@idle-marker/contract';
import { PAPERS } from '@idle-marker/paper';
import { finish, heightOf, INKS, newDocument, widthOfText, write, type Page, type Progress } from '../pdf/pdfPage.ts';

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
  const roll = isRoll(format);
  const size = roll
    ? ([LABEL_ROLLS[format][1] * MM, LABEL_ROLLS[format][0] * MM] as const)
    : LABEL_SHEETS[format].paper;
  const page = newDocument(title, { size, margin: 0 });
  for (const [i, label] of labels.entries()) {
    if (roll) {
      if (i > 0) page.addPage({ size: [...(size as readonly [number, number])], margin: 0 });
      drawLabel(page, label, 0, 0, page.page.width, page.page.height);
    } else {
      const { paper, columns, rows, side, top } = LABEL_SHEETS[format];
      const at = i % (columns * rows);
      if (i > 0 && at === 0) page.addPage({ size: [...PAPERS[paper]], margin: 0 });
      const [w, h] = [(page.page.width - 2 * side) / columns, (page.page.height - 2 * top) / rows];
      drawLabel(page, label, side + (at % columns) * w, top + Math.floor(at / columns) * h, w, h);
    }
    if (i % LABELS_A_STEP === 0) await progress(i, labels.length);
  }
  return finish(page);
}

const PAD = 5;
const LARGEST = 12;
const SMALLEST = 5.5;

function drawLabel(page: Page, label: Label, x: number, y: number, w: number, h: number): void {
  // A code smaller than this is not read at arm's length.
  const code = label.address === null ? 0 : Math.min(h - 2 * PAD, Math.max(15 * MM, h * 0.5), w * 0.38);
  if (label.address !== null) drawCode(page, label.address, x + w - PAD - code, y + PAD, code);
  const width = w - 2 * PAD - (code > 0 ? code + 6 : 0);
  const foot = h > 20 * MM ? 8 : 0;
  const free = h - 2 * PAD - foot;
  const heightAt = (size: number) =>
    label.lines.reduce(
      (sum, line) => sum + heightOf(page, line.text, width, 'bold', size) + (line.ruled ? 2.5 : 0.5),
      0,
    );
  let size: number = LARGEST;
  while (size > SMALLEST && heightAt(size) > free) size -= 0.5;
  let at = y + PAD;
  for (const line of label.lines) {
    const tall = heightOf(page, line.text, width, 'bold', size);
    if (at + tall > y + h - PAD - foot + 0.5) {
      // What has no room is said to be missing rather than left out unsaid.
      write(page, '…', x + PAD, y + h - PAD - foot - size, 'bold', size, INKS.brick, { width, align: 'right' });
      break;
    }
    write(page, line.text, x + PAD, at, 'bold', size, line.unusual ? INKS.brick : INKS.ink, { width, lineBreak: true });
    at += tall + 0.5;
    if (line.ruled) {
      page
        .moveTo(x + PAD, at)
        .lineTo(x + PAD + width, at)
        .lineWidth(0.8)
        .strokeColor(INKS.ink)
        .stroke();
      at += 2;
    }
  }
  if (foot > 0)
    write(
      page,
      clippedTo(page, `${label.name} · ${label.about}`, w - 2 * PAD - (code > h - 2 * PAD - foot ? code + 6 : 0), 6.5),
      x + PAD,
      y + h - PAD - 7,
      'regular',
      6.5,
      INKS.ink2,
    );
}

function clippedTo(page: Page, text: string, width: number, size: number): string {
  if (widthOfText(page, text, 'regular', size) <= width) return text;
  let letters = [...text];
  while (letters.length > 1 && widthOfText(page, `${letters.join('')}…`, 'regular', size) > width)
    letters = letters.slice(0, -2);
  return `${letters.join('')}…`;
}

const QUIET = 3;

/**
 * A square code drawn as squares (ISO/IEC 18004), so that it stays sharp at any size. Adjoining ones of a row are one.
 */
export function drawCode(page: Page, address: string, x: number, y: number, size: number): void {
  const { modules } = QRCode.create(address, { errorCorrectionLevel: 'M' });
  // Readers want a clear edge round the code.
  const cell = size / (modules.size + 2 * QUIET);
  page.fillColor('#000000');
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
