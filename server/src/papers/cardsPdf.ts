/** Cards for the crew: one a mark, how to read it in pictures and words, in as many languages as are asked for. */
import { planScene, READING_HEIGHT, READING_WIDTH, sectionScene } from '@idle-marker/paper';
import type { LengthUnit, Standing, StakeReading } from '@idle-marker/core';
import { crewWords, filled, readingSentences } from '@idle-marker/words';
import {
  drawScene,
  finish,
  footPages,
  INKS,
  MARGIN,
  measureOn,
  newDocument,
  paragraph,
  room,
  rule,
  widthOf,
  write,
  type Progress,
} from '../pdf/pdfPage.ts';
import { drawCode } from './labelsPdf.ts';

export interface Card {
  readonly reading: StakeReading;
  readonly standing: Standing | 'destroyed';
  readonly address: string | null;
}

export interface CardsAsked {
  readonly title: string;
  readonly unit: LengthUnit;
  readonly languages: readonly string[];
  /** Whom the crew has to ask. */
  readonly who: string;
  /** Stands at the foot of each page. */
  readonly foot: string;
  readonly progress: Progress;
}

const SCALE = 0.85;
const CODE = 62;

export async function cardsPdf(
  cards: readonly Card[],
  { title, unit, languages, who, foot, progress }: CardsAsked,
): Promise<Buffer> {
  const page = newDocument(title);
  const measure = measureOn(page);
  let y = MARGIN;
  let done = 0;
  for (const card of cards) {
    for (const language of languages) {
      const words = crewWords(language);
      const sentences = readingSentences(card.reading, { words, unit, standing: card.standing, who });
      y = room(page, y, READING_HEIGHT * SCALE + 150);
      write(page, filled(words.reading.title, { name: card.reading.name }), MARGIN, y, 'bold', 14, INKS.ink);
      if (card.address !== null) drawCode(page, card.address, MARGIN + widthOf(page) - CODE, y - 4, CODE);
      y += 22;
      for (const { text } of sentences.filter(({ kind }) => kind === 'warning'))
        y += paragraph(page, text, MARGIN, y, widthOf(page) - CODE - 10, 'bold', 11, INKS.brick) + 3;
      y = Math.max(y, card.address === null ? y : y + Math.max(0, CODE - 26));
      drawScene(page, sectionScene(card.reading, { words, unit, measure }), MARGIN, y, SCALE);
      drawScene(page, planScene(card.reading, { words, unit, measure }), MARGIN + READING_WIDTH * SCALE + 14, y, SCALE);
      y += READING_HEIGHT * SCALE + 6;
      const steps = sentences.filter(({ kind }) => kind === 'step');
      for (const [i, { text }] of steps.entries()) {
        write(page, `${i + 1}`, MARGIN, y, 'bold', 11, INKS.ink);
        y += paragraph(page, text, MARGIN + 16, y, widthOf(page) - 16, 'medium', 11, INKS.ink) + 2;
      }
      for (const { text } of sentences.filter(({ kind }) => kind === 'words' || kind === 'note'))
        y += paragraph(page, text, MARGIN + 16, y, widthOf(page) - 16, 'regular', 9, INKS.ink2) + 1;
      y += 8;
      rule(page, y, INKS.ink, 1);
      y += 12;
    }
    await progress(++done, cards.length);
  }
  footPages(page, foot, '');
  return finish(page);
}
