/**
 * Cards for the crew: one a mark, how to read it in pictures and words, in as many languages as are asked for. Two stand
 * on a sheet, to be cut apart and folded into a pocket.
 */
import type { LengthUnit, Standing, StakeReading } from '@idle-marker/core';
import type { SitePaper } from '@idle-marker/records';
import { crewWords, filled, readingSentences } from '@idle-marker/words';
import { Flow } from '../pdf/flow.ts';
import { asFrame, asPiece, finish, heightOf, INKS, MARGIN, newDocument, write, type Progress } from '../pdf/pdfPage.ts';
import { drawReadingScenes, readingHeight } from './drawReading.ts';
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
  readonly paper: SitePaper;
  readonly progress: Progress;
}

const CODE = 72;
const TITLE = 18;
const STEP = 11;
const NOTE = 9.5;
const INDENT = 16;
const GAP = 14;

export async function cardsPdf(
  cards: readonly Card[],
  { title, unit, languages, who, foot, paper, progress }: CardsAsked,
): Promise<Buffer> {
  const flow = new Flow(newDocument(title), { size: paper });
  const { page } = flow;
  let done = 0;
  let isFirst = true;
  for (const card of cards) {
    for (const language of languages) {
      const words = crewWords(language);
      const sentences = readingSentences(card.reading, { words, unit, standing: card.standing, who });
      const of = (...kinds: readonly (typeof sentences)[number]['kind'][]) =>
        sentences.filter(({ kind }) => kinds.includes(kind)).map(({ text }) => text);
      const [warnings, steps, notes] = [of('warning'), of('step'), of('words', 'note')];
      const beside = flow.width - (card.address === null ? 0 : CODE + 10);
      const heightIn = (texts: readonly string[], width: number, font: 'bold' | 'medium' | 'regular', size: number) =>
        texts.reduce((sum, text) => sum + heightOf(page, text, width, font, size) + 3, 0);
      const head = Math.max(TITLE * 1.5 + heightIn(warnings, beside, 'bold', STEP), card.address === null ? 0 : CODE);
      const needed =
        head +
        readingHeight(flow) +
        heightIn(steps, flow.width - INDENT, 'medium', STEP) +
        heightIn(notes, flow.width - INDENT, 'regular', NOTE);
      if (!isFirst && !flow.room(needed + GAP)) drawCut(flow);
      isFirst = false;
      const top = flow.y;
      const name = filled(words.reading.title, { name: card.reading.name });
      if (card.address !== null) drawCode(page, card.address, MARGIN + flow.width - CODE, top - 4, CODE);
      asPiece(page, 'H1', () => write(page, name, MARGIN, flow.y, 'bold', TITLE, INKS.ink));
      flow.space(TITLE * 1.5);
      for (const text of warnings)
        flow.text(text, { font: 'bold', size: STEP, colour: INKS.brick, within: beside, gap: 3 });
      flow.y = top + head;
      drawReadingScenes(flow, card.reading, { words, unit }, name);
      for (const [i, text] of steps.entries()) flow.text(`${i + 1}  ${text}`, { font: 'medium', size: STEP, gap: 3 });
      for (const text of notes) flow.text(text, { size: NOTE, indent: INDENT, gap: 3 });
      flow.space(GAP / 2);
    }
    await progress(++done, cards.length);
  }
  flow.foot(foot);
  return finish(page);
}

/** Where one card is cut from the next. */
function drawCut(flow: Flow): void {
  const { page } = flow;
  asFrame(page, () =>
    page
      .moveTo(MARGIN, flow.y)
      .lineTo(MARGIN + flow.width, flow.y)
      .lineWidth(0.75)
      .dash(4, { space: 4 })
      .strokeColor(INKS.ink)
      .stroke()
      .undash(),
  );
  flow.space(GAP / 2);
}
