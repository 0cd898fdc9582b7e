/** How one stake is read, from the side and from above, beside one another and as wide as the page. */
import { planScene, READING_HEIGHT, READING_WIDTH, sectionScene } from '@idle-marker/paper';
import type { LengthUnit, StakeReading } from '@idle-marker/core';
import type { CrewWords } from '@idle-marker/words';
import type { Flow } from '../pdf/flow.ts';
import { drawScene, MARGIN, measureOn } from '../pdf/pdfPage.ts';

const GAP = 10;
/** Larger than this says no more. */
const LARGEST = 1.15;

const scaleOn = (flow: Flow): number => Math.min(LARGEST, (flow.width - GAP) / 2 / READING_WIDTH);

/** Points that it takes of the page. */
export const readingHeight = (flow: Flow): number => READING_HEIGHT * scaleOn(flow) + 6;

export function drawReadingScenes(
  flow: Flow,
  reading: StakeReading,
  asked: { readonly words: CrewWords; readonly unit: LengthUnit },
  alt: string,
): void {
  const { page } = flow;
  const scale = scaleOn(flow);
  const drawn = { ...asked, measure: measureOn(page) };
  drawScene(page, sectionScene(reading, drawn), `${alt}: ${asked.words.reading.section}`, MARGIN, flow.y, scale);
  const x = MARGIN + READING_WIDTH * scale + GAP;
  drawScene(page, planScene(reading, drawn), `${alt}: ${asked.words.reading.plan}`, x, flow.y, scale);
  flow.space(readingHeight(flow));
}
