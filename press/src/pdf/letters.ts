/**
 * Which letters the paper's fonts have, and in which order they stand: names come in any script. A letter that no font
 * has is written by its number and reported; a box says nothing.
 */
import bidiFactory from 'bidi-js';
import * as fontkit from 'fontkit';
import { readFileSync } from 'node:fs';
import { createRequire } from 'node:module';
import type { Weight } from '@idle-marker/paper';
import { plainFont } from './plainFont.ts';

const require = createRequire(import.meta.url);
const fontOf = (file: string): Buffer => plainFont(readFileSync(require.resolve(file)));

/** Latin, as the application itself is written. */
export const FIRST_FONTS: Readonly<Record<Weight, Buffer>> = {
  regular: fontOf('@fontsource/barlow/files/barlow-latin-400-normal.woff'),
  medium: fontOf('@fontsource/barlow/files/barlow-latin-500-normal.woff'),
  bold: fontOf('@fontsource/barlow/files/barlow-latin-600-normal.woff'),
};
const condensed = fontOf('dejavu-fonts-ttf/ttf/DejaVuSansCondensed.ttf');
/** Wide enough for all of Latin, Greek, Cyrillic, Hebrew and Arabic, and signs such as that of a centreline. */
export const SECOND_FONTS: Readonly<Record<Weight, Buffer>> = {
  regular: condensed,
  medium: condensed,
  bold: fontOf('dejavu-fonts-ttf/ttf/DejaVuSansCondensed-Bold.ttf'),
};

const lettersOf = (font: Buffer): ReadonlySet<number> => new Set((fontkit.create(font) as fontkit.Font).characterSet);
const first = lettersOf(FIRST_FONTS.regular);
/** Those that regular and bold both have. */
const second = ((regular, bold) => new Set([...regular].filter((code) => bold.has(code))))(
  lettersOf(SECOND_FONTS.regular),
  lettersOf(SECOND_FONTS.bold),
);

/** Letters without a picture of their own: they shape their neighbours or turn the direction. */
const INVISIBLE = /\p{Default_Ignorable_Code_Point}/gu;
/** Thin blanks are no glyphs of these fonts; a plain one does. */
const BLANKS = /[\u2000-\u200a\u202f\u205f\u3000\t]/g;
/** Feet and inches: these fonts leave a wide gap after the signs meant for them, where a figure follows. */
const FEET = /′/g;
const INCHES = /″/g;
/** Control characters but the end of a line. */
// oxlint-disable-next-line no-control-regex
const CONTROL = /[\u0000-\u0008\u000b-\u001f\u007f-\u009f]/g;

const byNumber = (code: number): string => `[U+${code.toString(16).toUpperCase().padStart(4, '0')}]`;

/** The text as it can be printed; `missing` gets the letters that no font has. */
export function printable(text: string, missing?: Set<string>): string {
  const plain = text
    .normalize('NFC')
    .replace(CONTROL, '')
    .replace(BLANKS, ' ')
    .replace(INVISIBLE, '')
    .replace(FEET, "'")
    .replace(INCHES, '"');
  let written = '';
  for (const letter of plain) {
    const code = letter.codePointAt(0)!;
    if (letter === '\n' || first.has(code) || second.has(code)) written += letter;
    else {
      missing?.add(letter);
      written += byNumber(code);
    }
  }
  return written;
}

/** Letters of some texts that can't be printed, each once. */
export function missingLetters(texts: Iterable<string>): string[] {
  const missing = new Set<string>();
  for (const text of texts) printable(text, missing);
  return [...missing];
}

export interface Run {
  readonly text: string;
  readonly font: 'first' | 'second';
  /** Its letters are shaped and turned round by the font. */
  readonly turned: boolean;
}

const bidi = bidiFactory();
const RIGHT_TO_LEFT = /[\u0590-\u08ff\ufb1d-\ufdff\ufe70-\ufeff]/;

/**
 * The pieces of one line from left to right, each in one font and one direction (The Unicode Consortium, Unicode
 * Bidirectional Algorithm). Pieces that run from right to left hold their letters in the order of reading.
 */
export function runsOf(line: string): Run[] {
  const fontOf = (word: string): Run['font'] =>
    [...word].every((letter) => first.has(letter.codePointAt(0)!)) ? 'first' : 'second';
  // A word stays in one font: half of it in another looks torn, and is torn when it is selected.
  if (!RIGHT_TO_LEFT.test(line))
    return gathered(line.split(/(?<= )/).map((word) => ({ text: word, font: fontOf(word), turned: false })));
  const levels = bidi.getEmbeddingLevels(line, 'ltr');
  const order = bidi.getReorderedIndices(line, levels);
  const pieces: Run[] = order.map((i) => {
    const turned = levels.levels[i]! % 2 === 1;
    const letter = (turned ? bidi.getMirroredCharacter(line[i]!) : null) ?? line[i]!;
    // Blanks and signs inside of a turned piece stay with it, so that it is shaped as a whole.
    return { text: letter, font: turned ? 'second' : fontOf(letter), turned };
  });
  return gathered(pieces).map((run) => (run.turned ? { ...run, text: [...run.text].reverse().join('') } : run));
}

function gathered(pieces: readonly Run[]): Run[] {
  const runs: Run[] = [];
  for (const piece of pieces) {
    const last = runs.at(-1);
    // A blank goes with whatever stands before it: a change of font for it alone would be a waste.
    if (
      last &&
      last.turned === piece.turned &&
      (last.font === piece.font || (piece.text.trim() === '' && !piece.turned))
    )
      runs[runs.length - 1] = { ...last, text: last.text + piece.text };
    else runs.push(piece);
  }
  return runs;
}
