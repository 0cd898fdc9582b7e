/** What pages of the book are written with: a flow, and how this site writes figures and times. */
import { formatLength, formatSigned, type AngleUnit, type LengthUnit } from '@idle-marker/core';
import type { SitePaper } from '@idle-marker/records';
import { LENGTH_DECIMALS, sheetClock, smallUnit, type SheetClock } from '@idle-marker/words';
import { Flow } from '../pdf/flow.ts';
import { newDocument, type Progress } from '../pdf/pdfPage.ts';

export interface BookAsked {
  readonly site: string;
  readonly paper: SitePaper;
  readonly unit: LengthUnit;
  readonly axes: 'EN' | 'NE';
  readonly angleUnit: AngleUnit;
  readonly timeZone: string;
  readonly progress: Progress;
  /** Photos that PDF can hold, by image; the others are named alone. */
  readonly photos?: ReadonlyMap<string, Buffer>;
}

export interface Pen extends BookAsked {
  readonly flow: Flow;
  readonly clock: SheetClock;
  length(metres: number | null): string;
  small(mm: number | null): string;
}

/** @param lies how the pages do: pages of sights are wide */
export function penOf(title: string, asked: BookAsked, own: string, lies: 'upright' | 'lying'): Pen {
  const small = smallUnit(asked.unit);
  return {
    ...asked,
    flow: new Flow(newDocument(title), { size: asked.paper, upright: lies === 'upright' }),
    clock: sheetClock(asked.timeZone, own),
    length: (metres) => (metres === null ? '–' : formatLength(metres, asked.unit, LENGTH_DECIMALS)),
    small: (mm) => (mm === null ? '–' : formatSigned((mm / 1000) * small.perMetre, small.decimals)),
  };
}
