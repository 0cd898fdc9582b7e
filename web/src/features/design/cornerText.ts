/**
 * Corners as lines of text, one a line: name, two coordinates in the site's order and unit, and where wanted height,
 * code and arc. A line that was written here stands for its corner exactly, for as long as it is as it was written: an arc near
 * half a turn could not be told from its rounded radius.
 */
import { fail, ok, planDistance, type Metres, type PathCorner, type Result } from '@idle-marker/core';
import { msg } from '@idle-marker/words';
import { afterSentence, withBothReadings } from '../../field/doubtfulLength.ts';
import type { Units } from '../../field/useUnits.ts';

/** Radius of the arc that a side with a bulge is. */
function radiusOf(chord: Metres, bulge: number): Metres {
  const delta = 4 * Math.atan(Math.abs(bulge));
  return chord / 2 / Math.sin(delta / 2);
}

function arcText(corner: PathCorner, next: PathCorner | undefined, units: Units): string[] {
  if (!corner.bulge || !next) return [];
  const radius = radiusOf(planDistance(corner, next), corner.bulge);
  return [
    `arc ${corner.bulge > 0 ? 'left' : 'right'} ${units.edit(radius)}${Math.abs(corner.bulge) > 1 ? ' long' : ''}`,
  ];
}

/** A code stands behind this word: one of digits alone is no height. */
const CODE = 'code';
const LONGEST_CODE = 80;
const CODE_PART = /^code (.+)$/i;

const writeCorners = (corners: readonly PathCorner[], units: Units): string =>
  corners
    .map((corner, i) =>
      [
        corner.name,
        ...units.axes.map((axis) => units.edit(corner[axis])),
        ...(corner.z === undefined || corner.z === null ? [] : [units.edit(corner.z)]),
        ...(corner.code ? [`${CODE} ${corner.code}`] : []),
        ...arcText(corner, corners[(i + 1) % corners.length], units),
      ].join(', '),
    )
    .join('\n');

/** A corner by what was written for it; its arc holds for as long as the next corner lies where it did. */
interface Known {
  readonly corner: PathCorner;
  /** What was written of the next one. */
  readonly next: string;
}

export interface CornersDraft {
  readonly text: string;
  /** By the whole line, and by what follows its name: a corner that was only named anew lies where it did. */
  readonly known: ReadonlyMap<string, Known>;
}

export const NO_CORNERS: CornersDraft = { text: '', known: new Map() };

/** What stands on a line after the name. */
const placeOn = (line: string): string => partsOf(line).slice(1).join(', ');
const byPlace = (line: string): string => `place ${placeOn(line)}`;

/** Where two lines say the same to the letter, what stands behind them is not known any more. */
function knownLines(corners: readonly PathCorner[], units: Units): Map<string, Known> {
  const lines = writeCorners(corners, units)
    .split('\n')
    .map((line) => line.trim());
  const known = new Map<string, Known>();
  const twice = new Set<string>();
  for (const [i, corner] of corners.entries()) {
    const next = placeOn(lines[(i + 1) % lines.length]!);
    for (const key of [lines[i]!, byPlace(lines[i]!)]) {
      if (known.has(key)) twice.add(key);
      known.set(key, { corner, next });
    }
  }
  for (const key of twice) known.delete(key);
  return known;
}

export const cornersDraft = (corners: readonly PathCorner[], units: Units): CornersDraft =>
  corners.length === 0 ? NO_CORNERS : { text: writeCorners(corners, units), known: knownLines(corners, units) };

/** Lines that were not touched stay what they are. */
export const withText = ({ known }: CornersDraft, text: string): CornersDraft => ({ text, known });

export const withCorner = ({ text, known }: CornersDraft, corner: PathCorner, units: Units): CornersDraft => ({
  text: [text.trim(), writeCorners([corner], units)].filter((each) => each !== '').join('\n'),
  known: new Map([...known, ...knownLines([corner], units)]),
});

export const withoutLast = (draft: CornersDraft): CornersDraft =>
  withText(draft, draft.text.trim().split('\n').slice(0, -1).join('\n'));

interface Arc {
  readonly left: boolean;
  readonly radius: Metres;
  readonly long: boolean;
}
const ARC = /^arc (left|right) (\S+?)( long)?$/i;

/** Where semicolons or tabs part the line, a comma is a decimal comma. */
const partsOf = (line: string): string[] =>
  line
    .split(/[;\t]/.test(line) ? /[;\t]/ : /,|\s{2,}/)
    .map((part) => part.trim())
    .filter((part) => part !== '');

/**
 * Reads the lines; the sentence names the first line that is not a corner.
 *
 * @param shared the same name may stand twice, as ends of grid lines do
 * @param more what is understood behind the two coordinates
 */
export const readCorners = (
  draft: CornersDraft,
  units: Units,
  shared: boolean,
  more: CornerMore = 'none',
): Result<PathCorner[], string> =>
  withBothReadings(units, (watched) => cornersIn(draft, watched, shared, more), afterSentence);

interface Line {
  /** Counted as an editor does. */
  readonly number: number;
  readonly text: string;
  readonly known: Known | undefined;
  /** It stands for a known corner but for its name. */
  readonly isNamedAnew: boolean;
}

function linesOf({ text, known }: CornersDraft): Line[] {
  return text.split('\n').flatMap((each, i): Line[] => {
    const line = each.trim();
    const whole = known.get(line);
    return line === ''
      ? []
      : [{ number: i + 1, text: line, known: whole ?? known.get(byPlace(line)), isNamedAnew: whole === undefined }];
  });
}

/** What a line may say behind name and place: nothing, a height and a code, or an arc as well. */
export type CornerMore = 'none' | 'height' | 'arc';

const NO_CORNER = (more: CornerMore) =>
  msg('design.isNotANameAndTwoCoordinates', {
    withMore: {
      none: '',
      height: msg('design.withAHeightAndACodeWhere'),
      arc: msg('design.withAHeightAndAnArcWhere'),
    }[more],
  });

/** The corner that a line says, its arc apart. */
function cornerOn(
  { text, known, isNamedAnew }: Line,
  units: Units,
  more: CornerMore,
): Result<{ corner: PathCorner; arc: Arc | null }, string> {
  const [name = '', ...rest] = partsOf(text);
  const found = (more === 'arc' && rest.map((part) => ARC.exec(part)).find((each) => each !== null)) || null;
  if (known && (more === 'arc' || !known.corner.bulge)) {
    const { bulge: _bulge, ...whole } = known.corner;
    const corner = more === 'none' ? { name: whole.name, e: whole.e, n: whole.n } : whole;
    return ok({ corner: isNamedAnew ? { ...corner, name } : corner, arc: found && arcOf(found, units) });
  }
  const said = rest.map((part) => CODE_PART.exec(part)?.[1]).find((each) => each !== undefined);
  const figures = rest
    .filter((part) => part !== found?.[0] && (more === 'none' || !CODE_PART.test(part)))
    .map((part) => units.readLength(part));
  if (figures.some((figure) => figure === null) || figures.length < 2 || figures.length > (more === 'none' ? 2 : 3))
    return fail(NO_CORNER(more));
  const [first, second, z] = figures as number[];
  const [e, n] = units.axes[0] === 'e' ? [first!, second!] : [second!, first!];
  const arc = found && arcOf(found, units);
  if (arc && !(arc.radius > 0)) return fail(msg('design.hasAnArcWithoutARadius'));
  return ok({
    corner: {
      name,
      e,
      n,
      ...(z === undefined ? {} : { z }),
      ...(said === undefined ? {} : { code: said.trim().slice(0, LONGEST_CODE) }),
    },
    arc,
  });
}

const arcOf = ([, way, radius, long]: RegExpExecArray, units: Units): Arc => ({
  left: way!.toLowerCase() === 'left',
  radius: units.readLength(radius!) ?? NaN,
  long: long !== undefined,
});

/**
 * Radius and coordinates are written to a tenth of a millimetre: nearer to half a turn than this the text can't say it.
 */
const HALF_TURN: Metres = 3e-4;

function bulgeOf({ left, radius, long }: Arc, chord: Metres): number | null {
  if (chord > 2 * radius + HALF_TURN) return null;
  const half = chord > 2 * radius - HALF_TURN ? Math.PI / 2 : Math.asin(chord / (2 * radius));
  return (left ? 1 : -1) * Math.tan((long ? 2 * Math.PI - 2 * half : 2 * half) / 4);
}

function cornersIn(draft: CornersDraft, units: Units, shared: boolean, more: CornerMore): Result<PathCorner[], string> {
  const lines = linesOf(draft);
  const read: { readonly corner: PathCorner; readonly arc: Arc | null }[] = [];
  for (const line of lines) {
    const each = cornerOn(line, units, more);
    if (!each.ok)
      return fail(msg('design.line', { number: line.number, text: line.text.slice(0, 40), error: each.error }));
    if (!shared && read.some(({ corner }) => corner.name === each.value.corner.name))
      return fail(msg('design.lineIsNamedTwice', { number: line.number, name: each.value.corner.name }));
    read.push(each.value);
  }
  if (read.length === 0) return fail(msg('design.noCornersYet'));
  const corners: PathCorner[] = [];
  for (const [i, { corner, arc }] of read.entries()) {
    const [line, next] = [lines[i]!, (i + 1) % read.length];
    if (arc === null) corners.push(corner);
    else if (line.known && line.known.next === placeOn(lines[next]!.text))
      corners.push({ ...corner, bulge: line.known.corner.bulge! });
    else {
      const bulge = read.length < 2 ? null : bulgeOf(arc, planDistance(corner, read[next]!.corner));
      if (bulge === null)
        return fail(
          msg('design.theArcFromToHasARadius', {
            name: corner.name,
            name2: read[next]!.corner.name,
            edit: units.edit(arc.radius),
          }),
        );
      corners.push({ ...corner, bulge });
    }
  }
  return ok(corners);
}
