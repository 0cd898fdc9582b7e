/** What is called out to the person at the pole. Words for both directions of every axis, never a bare in or out. */
import {
  compassWord,
  formatLength,
  type LengthUnit,
  type Move,
  type MoveGrade,
  type Viewpoint,
} from '@idle-marker/core';
import { msg, worded } from './message.ts';
import { smallLength } from './small.ts';
import { LENGTH_DECIMALS } from './vocabulary.ts';

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
