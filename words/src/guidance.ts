/** What is called out to the person at the pole. Words for both directions of every axis, never a bare in or out. */
import {
  asideOf,
  compassWord,
  formatFeetInches,
  formatLength,
  lengthFromMetres,
  WALK_FROM,
  type Aside,
  type LengthUnit,
  type Metres,
  type Move,
  type MoveGrade,
  type Radians,
  type Viewpoint,
} from '@idle-marker/core';
import { msg, worded } from './message.ts';
import { inchesText, smallFraction, smallLength } from './small.ts';
import { LENGTH_DECIMALS, unitAbbreviationWords } from './vocabulary.ts';

export const viewpointWords = worded((): Readonly<Record<Viewpoint, string>> => ({
  facingInstrument: msg('guidance.facingTheInstrument'),
  fromInstrument: msg('guidance.seenFromTheInstrument'),
  alongLine: msg('guidance.alongTheLine'),
  north: msg('guidance.byNorth'),
}));

/** Words for up, down, left and right of the board. */
export const directionWords = worded(
  (): Readonly<
    Record<Viewpoint, { readonly up: string; readonly down: string; readonly left: string; readonly right: string }>
  > => ({
    facingInstrument: {
      up: msg('guidance.towardInstrument'),
      down: msg('guidance.awayFromInstrument'),
      left: 'left',
      right: 'right',
    },
    fromInstrument: {
      up: msg('guidance.awayFromInstrument'),
      down: msg('guidance.towardInstrument'),
      left: 'left',
      right: 'right',
    },
    alongLine: {
      up: msg('guidance.aheadAlongTheLine'),
      down: msg('guidance.backAlongTheLine'),
      left: msg('guidance.leftOfTheLine'),
      right: msg('guidance.rightOfTheLine'),
    },
    north: { up: 'north', down: 'south', left: 'west', right: 'east' },
  }),
);

const asideWords = worded((): Readonly<Record<Aside, string>> => ({
  ahead: msg('guidance.aheadOfYou'),
  aheadRight: msg('guidance.aheadToYourRight'),
  right: msg('guidance.toYourRight'),
  behindRight: msg('guidance.behindYouToTheRight'),
  behind: msg('guidance.behindYou'),
  behindLeft: msg('guidance.behindYouToTheLeft'),
  left: msg('guidance.toYourLeft'),
  aheadLeft: msg('guidance.aheadToYourLeft'),
}));

/** Where the next mark is: "Next TH-B5 N, 7.2 m, behind you to the right". `facing`: how one looks; null for by compass. */
export const nextMarkWords = (
  name: string,
  distance: Metres,
  direction: Radians,
  facing: Radians | null,
  unit: LengthUnit,
): string =>
  msg('guidance.nextMark', {
    name,
    length: formatLength(distance, unit, 1),
    unit: unitAbbreviationWords()[unit],
    way: facing === null ? compassWord(direction) : asideWords()[asideOf(facing, direction)],
  });

export const moveGradeWords = worded((): Readonly<Record<MoveGrade, string>> => ({
  walk: msg('guidance.walk'),
  move: msg('guidance.move'),
  nudge: msg('guidance.nudge'),
  hold: msg('guidance.hold'),
}));

export interface MovePart {
  readonly figure: string;
  readonly way: string;
}

/** The two ways to go, each with its figure. Components that round to nothing are left out. */
export function moveParts(move: Move, viewpoint: Viewpoint, unit: LengthUnit): MovePart[] {
  const words = directionWords()[viewpoint];
  const part = (metres: number, positive: string, negative: string): MovePart[] => {
    const figure = formatLength(Math.abs(metres), unit, LENGTH_DECIMALS);
    return Number(figure.replace(/\s/g, '')) === 0 ? [] : [{ figure, way: metres > 0 ? positive : negative }];
  };
  return [...part(move.up, words.up, words.down), ...part(move.right, words.right, words.left)];
}

/** A figure to be read while walking, and the unit after it; none where the figure carries its own. */
export interface WalkingFigure {
  readonly figure: string;
  readonly unit: string;
}

/** The unit after such a figure: which foot it is stands with the site, and changes nothing that is walked. */
export const walkingUnit = (unit: LengthUnit): string => (unit === 'metre' ? 'm' : 'ft');

/**
 * The ways to write a length to be read while walking, the finest first: what does not fit loses decimals. Where one
 * still walks a tenth is fine enough.
 */
export function walkingFigures(metres: Metres, unit: LengthUnit): readonly WalkingFigure[] {
  const size = Math.abs(metres);
  const isFar = size >= WALK_FROM;
  const fraction = smallFraction(unit);
  const decimals = (n: number): WalkingFigure => ({
    figure: formatLength(size, unit, n),
    unit: walkingUnit(unit),
  });
  const plain = Array.from({ length: (isFar ? 1 : LENGTH_DECIMALS) + 1 }, (_, i) => decimals(i)).reverse();
  if (fraction === null || isFar) return plain;
  return lengthFromMetres(size, unit) < 1
    ? [{ figure: inchesText(size, unit, fraction), unit: 'in' }, ...plain]
    : [{ figure: formatFeetInches(size, unit, fraction), unit: '' }, ...plain];
}

/** One way to go: its axis on the board, the words of its direction, and whether it is written as something at all. */
export interface WalkingLine {
  readonly arrow: 'up' | 'down' | 'left' | 'right' | null;
  readonly way: string;
  readonly figures: readonly WalkingFigure[];
}

/** Toward or away first, left or right second; always both, so that nothing changes its place. */
export function walkingLines(move: Move, viewpoint: Viewpoint, unit: LengthUnit): readonly [WalkingLine, WalkingLine] {
  const words = directionWords()[viewpoint];
  const line = (metres: Metres, [positive, negative]: readonly ['up', 'down'] | readonly ['right', 'left']) => {
    const figures = walkingFigures(metres, unit);
    const isNothing = !/[1-9]/.test(figures[0]!.figure);
    const arrow = isNothing ? null : metres > 0 ? positive : negative;
    return { arrow, way: arrow === null ? msg('guidance.nothingToGo') : words[arrow], figures };
  };
  return [line(move.up, ['up', 'down']), line(move.right, ['right', 'left'])];
}

/** The large sentence: "0.604 toward instrument, 0.118 left". */
export function moveWords(move: Move, viewpoint: Viewpoint, unit: LengthUnit): string {
  const parts = moveParts(move, viewpoint, unit).map(({ figure, way }) => `${figure} ${way}`);
  return parts.length === 0 ? msg('guidance.onTheSpot') : parts.join(', ');
}

/** What the driven hub's shot says when it is out. */
export const hubOutsideWords = (off: number, tolerance: number, unit: LengthUnit): string =>
  msg('guidance.theDrivenHubIsOffTheClass', {
    smallLength: smallLength(off, unit),
    smallLength2: smallLength(tolerance, unit),
  });

/** How far a shot is off and what is allowed: "2 mm off, inside 6 mm". */
export function shotOffWords(off: Metres, tolerance: Metres, unit: LengthUnit): string {
  const said = { off: smallLength(off, unit), tolerance: smallLength(tolerance, unit) };
  return off <= tolerance ? msg('pole.offInside', said) : msg('pole.offOutside', said);
}

/** What was kept without another look, as it is spoken back: "D12 kept: 3 mm north-east of its point". */
export function keptWords(
  name: string,
  { deltaE, deltaN }: { readonly deltaE: number; readonly deltaN: number },
  unit: LengthUnit,
): string {
  const off = smallLength(Math.hypot(deltaE, deltaN), unit);
  // Written as nothing it lies on no side.
  return /[1-9]/.test(off)
    ? msg('pole.keptInside', { name, smallLength: off, compassWord: compassWord(Math.atan2(-deltaE, -deltaN)) })
    : msg('pole.keptOn', { name });
}

/** A driven hub is corrected through the ground: "push it 12 mm toward the instrument". */
export function pushWords(move: Move, viewpoint: Viewpoint, unit: LengthUnit): string {
  const words = directionWords()[viewpoint];
  const part = (metres: number, positive: string, negative: string): string[] => {
    const said = smallLength(metres, unit);
    return /[1-9]/.test(said) ? [`${said} ${metres > 0 ? positive : negative}`] : [];
  };
  const parts = [...part(move.up, words.up, words.down), ...part(move.right, words.right, words.left)];
  if (parts.length === 0) return msg('guidance.itStandsWhereItShould');
  return msg('guidance.itWantsToGoALittleOf', { parts: parts.join(' and ') });
}

/** More shots a mark than this are walked for nothing. */
const MANY_SHOTS = 3.5;

/** How many shots a mark took so far, and how to need fewer. One of them is that of the driven hub. */
export function paceWords(marks: number, shotsPerMark: number): string {
  const so = msg('guidance.shotsAMarkOverTheDrivenHub', { shotsPerMark: shotsPerMark.toFixed(1), marks });
  return shotsPerMark > MANY_SHOTS ? msg('guidance.walkByTheLiveFigureTapeThe', { so }) : so;
}

/** What the tape is for, from the same two figures. */
export function tapeWords(move: Move, viewpoint: Viewpoint, unit: LengthUnit): string {
  const words = directionWords()[viewpoint];
  const figure = (metres: number) => formatLength(Math.abs(metres), unit, LENGTH_DECIMALS);
  const side = move.right > 0 ? words.right : words.left;
  const along = move.up > 0 ? words.up : words.down;
  return msg('guidance.closeEnoughToTapeStepOntoThe', {
    figure: figure(move.right),
    side,
    figure2: figure(move.up),
    along,
  });
}
