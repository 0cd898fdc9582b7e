/** What control wants looking after, in sentences. */
import type { LengthUnit } from '@idle-marker/core';
import { msg, worded } from './message.ts';
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

const doesWords = worded(
  () => ({ dig: 'digs', pour: msg('concerns.poursOver'), demolish: msg('concerns.tearsDown') }) as const,
);

export function concernWords({ code, name, days = 0, on, work, kind = 'dig', left = 0, other }: ConcernFacts): {
  readonly title: string;
  readonly text: string;
} {
  switch (code) {
    case 'WORKS':
      return {
        title: msg('concerns.willBeLost', { name }),
        text: msg('concerns.theGroundThereMeasureAMarkTo', {
          work,
          does: doesWords()[kind],
          on: on ? msg('concerns.from', { on }) : '',
          left:
            left >= 3
              ? ''
              : left === 1
                ? msg('concerns.onlyOneUsableMarkIsLeftThen')
                : msg('concerns.onlyUsableMarksAreLeftThen', { left }),
          name,
        }),
      };
    case 'SPARE':
      return {
        title: left === 1 ? msg('concerns.oneUsableMark') : msg('concerns.usableMarks', { left }),
        text: msg('concerns.someAreLostInEveryJobMeasure'),
      };
    case 'USE_SOON':
      return days < 0
        ? { title: msg('concerns.isPastItsDay', { name }), text: msg('concerns.itWasToBeUsedBeforeReplace', { on }) }
        : {
            title: msg('concerns.useItSoon', { name }),
            text: msg('concerns.beforeASoftMarkGetsShovedUse', {
              on,
              days: days === 0 ? 'today' : days === 1 ? 'tomorrow' : msg('concerns.inDays', { days }),
            }),
          };
    case 'REFRESH':
      return {
        title: msg('concerns.lookAtIt', { name }),
        text: msg('concerns.notSeenForDaysCrossesWearOff', { days }),
      };
    case 'ALIKE':
      return { title: msg('concerns.looksLike', { name, other }), text: msg('concerns.twoNamesThatLookAlikeGetMixed') };
  }
}

/** What a receiver found at a mark: its own finding, with what it is good to. */
export function receiverWords(
  name: string,
  {
    planMm,
    radius95Mm,
    isBeyond,
  }: { readonly planMm: number; readonly radius95Mm: number | null; readonly isBeyond: boolean },
  unit: LengthUnit,
): string {
  const length = (mm: number) => smallLength(mm / 1000, unit);
  const goodTo = radius95Mm === null ? '' : msg('concerns.goodTo95', { length: length(radius95Mm) });
  return msg('concerns.aSatelliteReceiverPutItFromWhere', {
    name,
    length: length(planMm),
    goodTo,
    isBeyond: isBeyond
      ? msg('concerns.thatIsMoreThanItsPrecisionExplains')
      : msg('concerns.itsPrecisionExplainsThatItSpeaks'),
  });
}
