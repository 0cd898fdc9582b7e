import {
  formatLength,
  type AngleMark,
  type CornerMeaning,
  type LengthUnit,
  type TransitionOnStake,
} from '@idle-marker/core';
import { english, filled } from './languages/index.ts';
import { msg } from './message.ts';
import { isNothing, writtenLength, type Rounding } from './rounding.ts';
import { stringWords } from './road.ts';
import { LENGTH_DECIMALS, meaningWords, unitAbbreviationWords } from './vocabulary.ts';

/** How a mark at an angle stands to the two lines that meet there. */
export function angleWords({ part, toCorner }: AngleMark, unit: LengthUnit): string {
  if (part !== 'inside')
    return part === 'back' ? msg('stakeLines.squareToTheLineBehind') : msg('stakeLines.squareToTheLineAhead');
  return msg('stakeLines.offBothLinesToTheCornerIt', {
    length: formatLength(toCorner, unit, LENGTH_DECIMALS),
    unitAbbreviation: unitAbbreviationWords()[unit],
  });
}

/** A kerb that changes its height at a station: from which to which, over what length. */
export function transitionWords({ part, from, to, over, here }: TransitionOnStake, unit: LengthUnit): string {
  const { line, term } = english();
  const length = (metres: number) => `${formatLength(metres, unit, LENGTH_DECIMALS)} ${unitAbbreviationWords()[unit]}`;
  return filled(line.transition[here], {
    what: filled(line.transitionOf[part], { term: term.kerbHeight }),
    from: length(from),
    to: length(to),
    length: length(over),
  });
}

/** "CUT 0.120" or "FILL 0.332" or "ON GRADE": never a bare sign. */
export function cutFillWords(cutFill: number | null, unit: LengthUnit, rounding: Rounding = 'finest'): string {
  if (cutFill === null) return msg('stakeLines.noHeight');
  if (isNothing(cutFill, unit, rounding)) return msg('stakeLines.onGrade');
  return `${cutFill > 0 ? 'CUT' : 'FILL'} ${writtenLength(Math.abs(cutFill), unit, rounding)}`;
}

/** What a mark leads to: the corner with what it means, or the station with the line of the road. */
export const leadsToWords = ({
  corner,
  meaning,
  string,
}: {
  readonly corner: string;
  readonly meaning: CornerMeaning;
  /** Along a road. */
  readonly string: string | null;
}): string => `${corner}, ${string === null ? meaningWords()[meaning] : stringWords(string)}`;

interface HubPlace {
  readonly offset: number;
  readonly corner: string;
  readonly meaning: CornerMeaning;
  readonly offFace: readonly string[] | null;
  readonly alsoOffFace: readonly string[] | null;
  readonly onLine: readonly string[] | null;
  readonly road?:
    | {
        readonly name: string;
        readonly to: string;
        readonly side: 'on' | 'left' | 'right';
        readonly why: string;
        readonly angle?: AngleMark | undefined;
      }
    | undefined;
}

/** Where a mark stands against what it leads to: "Offset hub, 2.000 m off C5–A5, on the line A5–A1, outside face". */
export function hubPlaceWords(
  { offset, corner, meaning, offFace, alsoOffFace, onLine, road }: HubPlace,
  unit: LengthUnit,
): string {
  if (road) {
    const string = stringWords(road.to);
    const where =
      offset === 0
        ? msg('stakeLines.on', { string })
        : msg('stakeLines.offsetHubOf', {
            length: formatLength(offset, unit, LENGTH_DECIMALS),
            unitAbbreviation: unitAbbreviationWords()[unit],
            side: road.side,
            string,
          });
    const angle = road.angle ? `, ${angleWords(road.angle, unit)}` : '';
    return msg('stakeLines.atOf', { where, corner, name: road.name, why: road.why ? `: ${road.why}` : '', angle });
  }
  const what = meaningWords()[meaning];
  if (offset === 0) return msg('stakeLines.onItself', { corner, what });
  const off = offFace
    ? msg('stakeLines.off', { offFace: offFace.join('–') })
    : onLine
      ? msg('stakeLines.beyond', { corner })
      : msg('stakeLines.beside', { corner });
  const and = alsoOffFace
    ? msg('stakeLines.and', { alsoOffFace: alsoOffFace.join('–') })
    : onLine
      ? msg('stakeLines.onTheLine', { onLine: onLine.join('–') })
      : '';
  return msg('stakeLines.offsetHub', {
    length: formatLength(offset, unit, LENGTH_DECIMALS),
    unitAbbreviation: unitAbbreviationWords()[unit],
    off,
    and,
    what,
  });
}
