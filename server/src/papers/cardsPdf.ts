/** Cards for the crew: one a mark, how to read it in pictures and words, in as many languages as are asked for. */
import { planScene, READING_HEIGHT, READING_WIDTH, sectionScene } from '@idle-marker/paper';
import type { LengthUnit, Standing, StakeReading } from '@idle-marker/core';
import { crewWords, filled, readingSentences } from '@idle-marker/words';
import { Flow } from '../pdf/flow.ts';
import {
  drawScene,
  finish,
  footPages,
  INKS,
  MARGIN,
  measureOn,
  newDocument,
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
  const flow = new Flow(newDocument(title));
  const { page } = flow;
  const measure = measureOn(page);
  let done = 0;
  for (const card of cards) {
    for (const language of languages) {
      const words = crewWords(language);
      const sentences = readingSentences(card.reading, { words, unit, standing: card.standing, who });
      flow.room(READING_HEIGHT * SCALE + 150);
      const top = flow.y;
      if (card.address !== null) drawCode(page, card.address, MARGIN + flow.width - CODE, top - 4, CODE);
      flow.title(filled(words.reading.title, { name: card.reading.name }), null, 14);
      for (const { text } of sentences.filter(({ kind }) => kind === 'warning'))
        flow.text(text, { font: 'bold', size: 11, colour: INKS.brick, within: flow.width - CODE - 10, gap: 3 });
      if (card.address !== null) flow.y = Math.max(flow.y, top + CODE);
      drawScene(page, sectionScene(card.reading, { words, unit, measure }), MARGIN, flow.y, SCALE);
      const beside = MARGIN + READING_WIDTH * SCALE + 14;
      drawScene(page, planScene(card.reading, { words, unit, measure }), beside, flow.y, SCALE);
      flow.space(READING_HEIGHT * SCALE + 6);
      const steps = sentences.filter(({ kind }) => kind === 'step');
      for (const [i, { text }] of steps.entries()) {
        write(page, `${i + 1}`, MARGIN, flow.y, 'bold', 11, INKS.ink);
        flow.text(text, { font: 'medium', size: 11, indent: 16 });
      }
      for (const { text } of sentences.filter(({ kind }) => kind === 'words' || kind === 'note'))
        flow.text(text, { size: 9, colour: INKS.ink2, indent: 16, gap: 1 });
      flow.space(8);
      flow.rule(INKS.ink, 1, 12);
    }
    await progress(++done, cards.length);
  }
  footPages(page, foot, '');
  return finish(page);
}
