/**
 * A convention: what is written where on a stake here, and how. It is data, so that a site can choose one and adapt it.
 * Nothing in it is computed with; lengths are metres.
 */
import { METRES_PER_UNIT, type LengthUnit, type Metres } from '../quantity/unit.ts';
import type { CornerMeaning, HeightReference, KerbPart } from './stakeText.ts';

export const STAKE_SIDES = ['front', 'back', 'left', 'right'] as const;
export type StakeSide = (typeof STAKE_SIDES)[number];

/** What a line of a stake can tell; `to` is a corner or a line of a road, with the station below it. */
export const STAKE_PARTS = [
  'offset',
  'to',
  'station',
  'angle',
  'cutFill',
  'also',
  'hubHeight',
  'designHeight',
  'why',
  'name',
  'package',
  'startsAt',
  'tolerance',
  'set',
] as const;
export type StakePart = (typeof STAKE_PARTS)[number];

export const STAKE_MARK_KINDS = ['hubAndLath', 'nail', 'paintCross', 'plateLine', 'scribedLine'] as const;
export type StakeMarkKind = (typeof STAKE_MARK_KINDS)[number];

export type FigureRounding = 'finest' | 'hundredth' | 'tenth' | 'sixteenth';

/** What changes along a road and has a short form on a stake. */
export const STATION_TERMS = ['curveBegins', 'curveEnds', 'anglePoint', 'gradeBreak', 'highPoint', 'lowPoint'] as const;
export type StationTerm = (typeof STATION_TERMS)[number];

/** Things that have a short form: features, parts of a kerb, what changes, and what a line of a stake begins with. */
export type StakeTerm =
  | CornerMeaning
  | HeightReference
  | KerbPart
  | StationTerm
  | 'offset'
  | 'hub'
  | 'design'
  | 'station'
  | 'centreline'
  | 'kerbHeight';
export const STAKE_TERMS: readonly StakeTerm[] = [
  'offset',
  'hub',
  'design',
  'station',
  'centreline',
  'outsideFace',
  'insideFace',
  'wallCentre',
  'gridLine',
  'waterLine',
  'centre',
  'edge',
  'finishedFloor',
  'topOfWall',
  'underside',
  'invert',
  'topOfKerb',
  'subgrade',
  'surface',
  'face',
  'back',
  'flowLine',
  'kerbHeight',
  ...STATION_TERMS,
];

export interface ConventionLine {
  readonly part: StakePart;
  /** A line is drawn below it. */
  readonly ruled: boolean;
}

export interface LathSize {
  readonly length: Metres;
  readonly width: Metres;
  /** So much of it is driven into the ground. */
  readonly inGround: Metres;
  readonly letterHeight: Metres;
  /** Lines run across the lath, one below the other, or along it. */
  readonly writing: 'across' | 'along';
}

export interface StakeConvention {
  readonly name: string;
  /** What the words are written on: a lath beside the hub, the peg itself, or the surface that carries the mark. */
  readonly carrier: 'lath' | 'peg' | 'surface';
  readonly sides: Readonly<Record<StakeSide, readonly ConventionLine[]>>;
  /** Short forms are used where there are any. */
  readonly abbreviate: boolean;
  /** The unit stands behind each figure. */
  readonly showUnit: boolean;
  /** What stands before the figure; each has a letter in it, never a bare sign. */
  readonly cut: string;
  readonly fill: string;
  readonly onGrade: string;
  readonly rounding: { readonly offset: FigureRounding; readonly height: FigureRounding };
  /** The offset as it was set, or as planned while the mark is inside its tolerance. */
  readonly offsetFigure: 'asSet' | 'plannedWithin';
  readonly abbreviations: readonly { readonly term: StakeTerm; readonly short: string }[];
  /** What offsets and heights lead to as a rule here; anything else is pointed out. Empty: nothing is unusual. */
  readonly usual: { readonly offsetTo: readonly StakeTerm[]; readonly heightTo: readonly StakeTerm[] };
  /** The colour that the unusual is pointed out with. */
  readonly unusualPaint: string;
  /** Toward what it offsets to, turned halfway to the road so that it is read from there, or square to the road. */
  readonly facing: 'toItem' | 'angled' | 'alongRoad';
  readonly lath: LathSize;
  readonly colours: readonly { readonly kind: StakeMarkKind; readonly ribbon: string; readonly paint: string }[];
  /** Languages that the explanation for the crew is given in, as in BCP 47. */
  readonly languages: readonly string[];
}

export type ConventionFault =
  | { readonly code: 'NOTHING_ON_FRONT' }
  | { readonly code: 'PART_TWICE'; readonly part: StakePart }
  | { readonly code: 'NO_LETTER'; readonly which: 'cut' | 'fill' | 'onGrade' }
  | { readonly code: 'CUT_IS_FILL' }
  | { readonly code: 'SHORT_TWICE'; readonly short: string; readonly terms: readonly StakeTerm[] }
  | { readonly code: 'ALL_IN_GROUND' }
  | { readonly code: 'LETTERS_TOO_LARGE' };

const same = (one: string, other: string): boolean => one.trim().toLowerCase() === other.trim().toLowerCase();

/** What keeps a convention from being used: nobody could read the stakes rightly. */
export function conventionFaults(convention: StakeConvention): ConventionFault[] {
  const faults: ConventionFault[] = [];
  if (convention.sides.front.length === 0) faults.push({ code: 'NOTHING_ON_FRONT' });
  const parts = STAKE_SIDES.flatMap((side) => convention.sides[side].map((line) => line.part));
  for (const part of new Set(parts.filter((each, i) => parts.indexOf(each) !== i)))
    faults.push({ code: 'PART_TWICE', part });
  for (const which of ['cut', 'fill', 'onGrade'] as const)
    if (!/\p{L}/u.test(convention[which])) faults.push({ code: 'NO_LETTER', which });
  if (same(convention.cut, convention.fill)) faults.push({ code: 'CUT_IS_FILL' });
  const shorts = [...new Set(convention.abbreviations.map(({ short }) => short.trim().toLowerCase()))];
  for (const short of shorts) {
    const meant = convention.abbreviations.filter((each) => same(each.short, short));
    if (new Set(meant.map((each) => each.term)).size > 1)
      faults.push({ code: 'SHORT_TWICE', short: meant[0]!.short, terms: meant.map((each) => each.term) });
  }
  const { length, inGround, width, letterHeight } = convention.lath;
  if (inGround >= length) faults.push({ code: 'ALL_IN_GROUND' });
  else if (roomOn(convention.lath).characters < 4 || roomOn(convention.lath).lines < 1 || letterHeight > width)
    faults.push({ code: 'LETTERS_TOO_LARGE' });
  return faults;
}

/** Letters of this height can be read at arm's length by who stands over a stake, metres. */
export const READABLE_LETTERS: Metres = 0.02;

/** Room between lines and width of a letter as parts of its height, for hand lettering in capitals. */
const LINE_PITCH = 1.4;
const LETTER_WIDTH = 0.55;
/** A hand can't letter nearer to the edge. */
const EDGE: Metres = 0.003;

/** Lines and characters a line that one side of a lath has room for. */
export function roomOn({ length, width, inGround, letterHeight, writing }: LathSize): {
  readonly lines: number;
  readonly characters: number;
} {
  const free = length - inGround - 2 * EDGE;
  const across = width - 2 * EDGE;
  const [down, along] = writing === 'across' ? [free, across] : [across, free];
  return {
    lines: Math.floor(down / (letterHeight * LINE_PITCH) + 1e-9),
    characters: Math.floor(along / (letterHeight * LETTER_WIDTH) + 1e-9),
  };
}

/**
 * Sides that take what another has no room for: the edges of a lath and the back of a surface are written on only where
 * the convention puts something there.
 */
export const openSides = ({ carrier, sides }: Pick<StakeConvention, 'carrier' | 'sides'>): readonly StakeSide[] =>
  STAKE_SIDES.filter(
    (side) =>
      carrier === 'peg' || side === 'front' || (carrier === 'lath' && side === 'back') || sides[side].length > 0,
  );

/** The most that a figure is off by when it is written so, metres. */
export function roundingStep(rounding: FigureRounding, unit: LengthUnit): Metres {
  const per = rounding === 'sixteenth' ? 12 * 16 : 10 ** { finest: 3, hundredth: 2, tenth: 1 }[rounding];
  return METRES_PER_UNIT[unit] / per / 2;
}
