/** A grid as it is typed: names and spacings as people write them, read into the body of the fact. */
import { apartByBlanks, azimuth, fail, ok, RADIANS_PER_DEGREE, type PlanPoint, type Result } from '@idle-marker/core';
import type { FactBody } from '@idle-marker/contract';
import { gridGeometry } from '@idle-marker/records';
import { msg } from '@idle-marker/words';
import { withBothReadings } from '../../field/doubtfulLength.ts';
import { lengthDraft, lengthOf, typed, valueOf, written, type Draft } from '../../field/draft.ts';
import type { Units } from '../../field/useUnits.ts';

type Grid = FactBody<'grid'>;

export interface FamilyDraft {
  readonly labels: string;
  readonly spacings: Draft<readonly number[]>;
}
export interface GridDraft {
  readonly name: string;
  readonly letters: FamilyDraft;
  readonly numbers: FamilyDraft;
  /** Two coordinates in the site's order. */
  readonly origin: readonly [Draft<number>, Draft<number>];
  /** A second place on the first lettered line, or its azimuth. */
  readonly by: 'azimuth' | 'secondPlace';
  readonly azimuth: Draft<number>;
  readonly second: readonly [Draft<number>, Draft<number>];
  /** From the lettered to the numbered lines, clockwise. */
  readonly turn: Draft<number>;
  readonly spacingMeasured: Grid['spacingMeasured'];
}

const MOST_LINES = 200;

/** `A-D`, `1-12`, or names apart by blanks or commas. Null when it is neither. */
export function readLabels(text: string): string[] | null {
  const trimmed = text.trim();
  const run = /^([A-Za-z]|\d{1,3})\s*(?:-|–|to|\.\.)\s*([A-Za-z]|\d{1,3})$/.exec(trimmed);
  if (run) {
    const [from, to] = [run[1]!, run[2]!];
    const isNumber = /^\d/.test(from);
    if (isNumber !== /^\d/.test(to)) return null;
    const [first, last] = isNumber ? [Number(from), Number(to)] : [from.charCodeAt(0), to.charCodeAt(0)];
    if (last < first || last - first >= MOST_LINES) return null;
    return Array.from({ length: last - first + 1 }, (_, i) =>
      isNumber ? String(first + i) : String.fromCharCode(first + i),
    );
  }
  const labels = trimmed.split(/[\s,;]+/).filter((label) => label !== '');
  return labels.length === 0 || labels.length > MOST_LINES || labels.some((label) => label.length > 12) ? null : labels;
}

/**
 * Lengths apart by commas, or by blanks where no feet and inches are written; `3 x 7.2` is three of them. Null when one
 * is not a length.
 */
export function readSpacings(text: string, units: Units): number[] | null {
  const trimmed = text.trim();
  if (trimmed === '') return [];
  const separators = /[;,]/.test(trimmed) || /['"′″]/.test(trimmed) ? /[;,]/ : null;
  const spacings: number[] = [];
  const whole = trimmed.replace(/\s*[x×]\s*/gi, 'x');
  for (const part of separators ? whole.split(separators) : apartByBlanks(whole)) {
    const repeat = /^\s*(\d{1,3})x(.+)$/.exec(part);
    const length = units.readLength(repeat ? repeat[2]! : part);
    if (length === null || spacings.length > MOST_LINES) return null;
    for (let i = 0; i < Number(repeat?.[1] ?? 1); i++) spacings.push(length);
  }
  return spacings;
}

const spacingsDraft = (spacings: readonly number[], units: Units): Draft<readonly number[]> =>
  written(spacings, spacings.map((each) => units.edit(each)).join(', '));

const SQUARE = 90;

/** A tenth of a millimetre at a hundred metres. */
const ANGLE_DECIMALS = { dms: 2, degree: 6, gon: 6 } as const;

export function gridDraft(body: (GridGeometry & { readonly name: string }) | null, units: Units): GridDraft {
  const angle = (degrees: number) =>
    written(
      degrees * RADIANS_PER_DEGREE,
      units.angle(degrees * RADIANS_PER_DEGREE, ANGLE_DECIMALS[units.angleUnit]).replace(/ gon$|°$/, ''),
    );
  return {
    name: body?.name ?? '',
    letters: {
      labels: body?.letters.labels.join(' ') ?? 'A-D',
      spacings: body ? spacingsDraft(body.letters.spacings, units) : typed(''),
    },
    numbers: {
      labels: body?.numbers.labels.join(' ') ?? '1-5',
      spacings: body ? spacingsDraft(body.numbers.spacings, units) : typed(''),
    },
    origin: body
      ? [lengthDraft(body.origin[units.axes[0]], units), lengthDraft(body.origin[units.axes[1]], units)]
      : [typed(''), typed('')],
    by: body ? 'azimuth' : 'secondPlace',
    azimuth: body ? angle(body.letters.azimuthDeg) : typed(''),
    second: [typed(''), typed('')],
    turn: angle(body ? (body.numbers.azimuthDeg - body.letters.azimuthDeg + 360) % 360 : SQUARE),
    spacingMeasured: body?.spacingMeasured ?? 'perpendicular',
  };
}

export type GridGeometry = Pick<Grid, 'origin' | 'letters' | 'numbers' | 'spacingMeasured'>;
/** Which field is wrong, and what to do. */
export interface DraftFault {
  readonly field:
    'lettersLabels' | 'lettersSpacings' | 'numbersLabels' | 'numbersSpacings' | 'origin' | 'direction' | 'turn';
  readonly text: string;
}

export function readPlace(place: readonly [Draft<number>, Draft<number>], units: Units): PlanPoint | null {
  const [first, second] = place.map((each) => lengthOf(each, units));
  if (first === null || second === null || first === undefined || second === undefined) return null;
  return units.axes[0] === 'e' ? { e: first, n: second } : { e: second, n: first };
}

function readFamily(
  draft: FamilyDraft,
  of: 'letters' | 'numbers',
  units: Units,
): Result<{ labels: string[]; spacings: readonly number[] }, DraftFault> {
  const labels = readLabels(draft.labels);
  if (!labels)
    return fail({
      field: `${of}Labels`,
      text: of === 'letters' ? msg('design.nameTheLinesADOrA') : msg('design.nameTheLines15Or1'),
    });
  const spacings = valueOf<readonly number[] | null>(draft.spacings, (text) => readSpacings(text, units));
  const wanted = labels.length - 1;
  if (!spacings)
    return fail({
      field: `${of}Spacings`,
      text: msg('design.giveLengthsSuchAs', {
        wanted: wanted > 1 ? `${wanted} x ` : '',
        edit: units.edit(units.round(7.2, 24)),
      }),
    });
  if (spacings.length !== wanted)
    return fail({
      field: `${of}Spacings`,
      text: msg('design.linesHaveBetweenThemGiven', { labels: labels.length, wanted, spacings: spacings.length }),
    });
  const low = spacings.findIndex((spacing) => !(spacing > 0 && spacing <= 1000));
  if (low >= 0)
    return fail({
      field: `${of}Spacings`,
      text: msg('design.theSpacingBetweenAndMustBeOver', { labels: labels[low], labels2: labels[low + 1] }),
    });
  return ok({ labels, spacings });
}

/** The grid that is typed, or the first thing that is wrong with it. */
export const readGrid = (draft: GridDraft, units: Units): Result<GridGeometry, DraftFault> =>
  withBothReadings(
    units,
    (watched) => gridIn(draft, watched),
    (fault, doubt) => ({ ...fault, text: `${fault.text} ${doubt}` }),
  );

function gridIn(draft: GridDraft, units: Units): Result<GridGeometry, DraftFault> {
  const letters = readFamily(draft.letters, 'letters', units);
  if (!letters.ok) return letters;
  const numbers = readFamily(draft.numbers, 'numbers', units);
  if (!numbers.ok) return numbers;
  const origin = readPlace(draft.origin, units);
  const [a, one] = [letters.value.labels[0]!, numbers.value.labels[0]!];
  if (!origin) return fail({ field: 'origin', text: msg('design.giveBothCoordinatesOfThePlaceWhere', { a, one }) });
  const second = draft.by === 'secondPlace' ? readPlace(draft.second, units) : null;
  const direction =
    draft.by === 'azimuth' ? valueOf<number | null>(draft.azimuth, units.readAngle) : second && azimuth(origin, second);
  if (direction === null)
    return fail({
      field: 'direction',
      text:
        draft.by === 'azimuth'
          ? msg('design.giveTheDirectionOfLineClockwiseFrom', { a })
          : msg('design.giveBothCoordinatesOfASecondPlace', { a }),
    });
  if (second && Math.hypot(second.e - origin.e, second.n - origin.n) < 0.01)
    return fail({ field: 'direction', text: msg('design.theSecondPlaceOnLineIsThe', { a }) });
  const turn = valueOf<number | null>(draft.turn, units.readAngle);
  if (turn === null)
    return fail({
      field: 'turn',
      text: msg('design.giveTheAngleBetweenTheLinesSquare', { angle: units.angle(Math.PI / 2) }),
    });
  return ok(
    gridGeometry({
      origin,
      letters: { azimuth: direction, ...letters.value },
      numbers: { azimuth: direction + turn, ...numbers.value },
      spacingMeasured: draft.spacingMeasured,
    }),
  );
}
