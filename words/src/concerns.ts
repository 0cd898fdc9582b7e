/** What control wants looking after, in sentences. */
import type { LengthUnit } from '@idle-marker/core';
import { smallLength } from './small.ts';

export interface ConcernFacts {
  readonly code: 'SPARE' | 'USE_SOON' | 'WORKS' | 'REFRESH' | 'ALIKE';
  readonly name: string;
  readonly days?: number;
  readonly on?: string | null;
  readonly work?: string;
  readonly kind?: 'dig' | 'pour' | 'demolish';
  readonly left?: number;
  readonly other?: string;
}

const DOES = { dig: 'digs', pour: 'pours over', demolish: 'tears down' } as const;

export function concernWords({ code, name, days = 0, on, work, kind = 'dig', left = 0, other }: ConcernFacts): {
  readonly title: string;
  readonly text: string;
} {
  switch (code) {
    case 'WORKS':
      return {
        title: `${name} will be lost`,
        text: `${work} ${DOES[kind]} the ground there${on ? ` from ${on}` : ''}. ${
          left >= 3 ? '' : left === 1 ? 'Only one usable mark is left then. ' : `Only ${left} usable marks are left then. `
        }Measure a mark to replace it now, outside the works, and prove that by a second station while ${name} still stands.`,
      };
    case 'SPARE':
      return {
        title: left === 1 ? 'One usable mark' : `${left} usable marks`,
        text: 'Some are lost in every job. Measure extra control first in the day, while these still stand: four or more let one bad mark be named.',
      };
    case 'USE_SOON':
      return days < 0
        ? { title: `${name} is past its day`, text: `It was to be used before ${on}. Replace it by a firm mark, or look at it and give it another day.` }
        : {
            title: `${name}: use it soon`,
            text: `Before ${on}, ${days === 0 ? 'today' : days === 1 ? 'tomorrow' : `in ${days} days`}. A soft mark gets shoved: use it now, or replace it by a firm one.`,
          };
    case 'REFRESH':
      return { title: `${name}: look at it`, text: `Not seen for ${days} days. Crosses wear off, are swept or covered: find it and refresh it.` };
    case 'ALIKE':
      return { title: `${name} looks like ${other}`, text: 'Two names that look alike get mixed up. Give one of them a new name, as a new revision.' };
  }
}

/** What a receiver found at a mark: its own finding, with what it is good to. */
export function receiverWords(
  name: string,
  { planMm, radius95Mm, isBeyond }: { readonly planMm: number; readonly radius95Mm: number | null; readonly isBeyond: boolean },
  unit: LengthUnit,
): string {
  const length = (mm: number) => smallLength(mm / 1000, unit);
  const goodTo = radius95Mm === null ? '' : `, good to ${length(radius95Mm)} (95 %)`;
  return `${name}: a satellite receiver put it ${length(planMm)} from where it is listed${goodTo}. ${
    isBeyond
      ? 'That is more than its precision explains: sight the mark with the instrument before anything is decided.'
      : 'Its precision explains that; it speaks against nobody.'
  }`;
}
