/** The words on a stake: lines as data become text, in the language and the forms of a convention. */
import {
  CENTRELINE,
  fitStake,
  heightTerm,
  kerbPartOf,
  lengthFromMetres,
  lengthToMetres,
  openSides,
  stakeSides,
  STAKE_SIDES,
  type FigureRounding,
  type HeightReference,
  type LengthUnit,
  type Metres,
  type ReasonOnStake,
  type StakeContent,
  type StakeConvention,
  type StakeFaces,
  type StakeLine,
  type StakeNotice,
  type StakeSide,
  type StakeTerm,
  type StationFormat,
  type WordOnStake,
  type WrittenLine,
} from '@idle-marker/core';
import { msg, worded } from './message.ts';
import { crewWords, english, filled, type CrewWords } from './languages/index.ts';
import { shortStation, usualStationFormat } from './road.ts';
import { asWritten, isNothing, writtenLength } from './rounding.ts';
import { unitAbbreviationWords } from './vocabulary.ts';
import { toleranceFigures } from './small.ts';

export interface StakeStyle {
  readonly convention: StakeConvention;
  readonly unit: LengthUnit;
  /** How stations are written here; as is usual for the unit without it. */
  readonly stations?: StationFormat | undefined;
  /** How finely this crew reads, where that was said for its package. */
  readonly rounding?: FigureRounding | undefined;
}

const STATION_DECIMALS = { finest: 3, hundredth: 2, tenth: 1 } as const;

const withoutPart = (string: string): string => string.replace(/\.(face|back|flowLine)$/, '');

/** What a feature is called on a stake: short where the convention has a form for it. */
function termWords(term: StakeTerm, { abbreviate, abbreviations }: StakeConvention, words: CrewWords): string {
  return (abbreviate && abbreviations.find((each) => each.term === term)?.short) || words.term[term];
}

/** The short form of a part of a kerb, without the kerb's name. */
function shortPart(string: string, { abbreviate, abbreviations }: StakeConvention, as: 'partOf' | 'gradeOf') {
  const part = kerbPartOf(string);
  if (part === null || !abbreviate) return undefined;
  // The top at the back has no short form that couldn't be taken for the back itself.
  const term = as === 'partOf' ? part : { face: 'topOfKerb' as const, back: null, flowLine: 'flowLine' as const }[part];
  return abbreviations.find((each) => each.term === term)?.short;
}

/** A line of a road as an offset leads to it, or as a height does: along the face of a kerb that is its top. */
function stringForm(string: string, convention: StakeConvention, words: CrewWords, as: 'partOf' | 'gradeOf'): string {
  if (string === CENTRELINE) return termWords('centreline', convention, words);
  const part = kerbPartOf(string);
  if (part === null) return string;
  const short = shortPart(string, convention, as);
  return short ? `${short} ${withoutPart(string)}` : filled(words.line[as][part], { name: withoutPart(string) });
}

/** The station as finely as offsets are written here; as it is named where how the road counts was not kept. */
function stationForm(
  { station, displayed }: Extract<StakeLine, { line: 'station' }>,
  { unit, stations, rounding, convention }: StakeStyle,
): string {
  if (displayed === null) return station;
  const as = rounding ?? convention.rounding.offset;
  const decimals = as === 'sixteenth' ? 2 : STATION_DECIMALS[as];
  const rounded = Number(lengthFromMetres(displayed, unit).toFixed(decimals));
  return shortStation(lengthToMetres(rounded, unit), { unit, format: stations ?? usualStationFormat(unit) });
}

/** In English the words say more than the term: which spiral ends where a curve begins. */
function reasonWords({ words: said, term }: ReasonOnStake, convention: StakeConvention, words: CrewWords): string {
  if (term === undefined) return said;
  const short = convention.abbreviate && convention.abbreviations.find((each) => each.term === term)?.short;
  return short || (words.code === 'en' ? said : words.term[term]);
}

/** Whether a cut or fill is written as nothing. */
function isOnGrade({ by }: { readonly by: Metres }, { convention, unit, rounding }: StakeStyle): boolean {
  return isNothing(by, unit, rounding ?? convention.rounding.height);
}

/** Room for a figure to be written by hand, with its unit where figures have one. */
const blankOf = ({ convention, unit, rounding }: StakeStyle): string => {
  const inches = (rounding ?? convention.rounding.height) === 'sixteenth';
  return convention.showUnit && !inches ? `________ ${unitAbbreviationWords()[unit]}` : '________';
};

/** The words of one line. */
export function stakeLineWords(line: StakeLine, style: StakeStyle): string {
  const { convention, unit, rounding } = style;
  const words = crewWords(convention.languages[0]);
  const { line: form } = words;
  const figure = (metres: Metres, as: FigureRounding) =>
    // Feet and inches carry their own signs.
    `${writtenLength(metres, unit, as)}${convention.showUnit && as !== 'sixteenth' ? ` ${unitAbbreviationWords()[unit]}` : ''}`;
  const level = (metres: Metres) => figure(metres, rounding ?? convention.rounding.offset);
  const height = (metres: Metres) => figure(metres, rounding ?? convention.rounding.height);
  const term = (each: StakeTerm) => termWords(each, convention, words);
  const heightOf = ({
    heightReference,
    string,
    sameKerb,
  }: {
    readonly heightReference: HeightReference;
    readonly string?: string;
    readonly sameKerb?: boolean;
  }) => {
    if (string === undefined) return term(heightReference);
    const part = kerbPartOf(string);
    return sameKerb && convention.abbreviate && part
      ? (shortPart(string, convention, 'gradeOf') ?? form.gradeHere[part])
      : stringForm(string, convention, words, 'gradeOf');
  };
  switch (line.line) {
    case 'offset':
      return line.offset === 0
        ? form.noOffset
        : filled(form.offset, { length: level(line.offset), offset: term('offset') });
    case 'to':
      // A point is its own centre: there is nothing more to say of it.
      if (line.on && line.meaning === 'centre') return filled(form.onPoint, { to: line.to });
      return filled(line.on ? form.on : line.beyond ? form.beyond : form.to, {
        to: line.to,
        what: term(line.meaning),
      });
    case 'string':
      return filled(line.on ? form.onLine : form.toLine, {
        what: stringForm(line.string, convention, words, 'partOf'),
      });
    case 'station':
      return `${stationForm(line, style)} ${line.road}`;
    case 'why':
      return line.reasons.map((each) => reasonWords(each, convention, words)).join(', ');
    case 'transition':
      return filled(form.transition[line.here], {
        what: filled(form.transitionOf[line.part], { term: term('kerbHeight') }),
        // Rounded as heights are, a dropped kerb would be written as none.
        from: figure(line.from, rounding === 'sixteenth' ? rounding : 'finest'),
        to: figure(line.to, rounding === 'sixteenth' ? rounding : 'finest'),
        length: level(line.over),
      });
    case 'angle':
      // An offset from two lines that is read as the distance to the corner puts the form too near.
      return line.part === 'inside'
        ? filled(form.insideAngle, { length: level(line.toCorner) })
        : line.part === 'back'
          ? form.squareBack
          : form.squareAhead;
    case 'cut':
    case 'fill':
      if (isOnGrade(line, style)) return filled(form.onGrade, { word: convention.onGrade, what: heightOf(line) });
      return filled(form.cutFill, { word: convention[line.line], length: height(line.by), what: heightOf(line) });
    case 'openCutFill':
      return filled(form.cutFill, {
        word: `${convention.cut} / ${convention.fill}`,
        length: blankOf(style),
        what: heightOf(line),
      });
    case 'openHub':
      return filled(form.hubHeight, { hub: term('hub'), length: blankOf(style) });
    case 'noHeight':
      return form.noHeight;
    case 'hubHeight':
      return filled(form.hubHeight, { hub: term('hub'), length: height(line.z) });
    case 'designHeight':
      return filled(form.designHeight, { design: term('design'), length: height(line.z) });
    case 'package':
      return line.package;
    case 'startsAt':
      return filled(form.startsAt, { point: words.point[line.point] });
    case 'tolerance':
      return filled(form.tolerance, toleranceFigures(line, unit));
    case 'set':
      return filled(form.set, { day: line.day, who: line.by });
    case 'name':
      return line.name;
  }
}

export interface WrittenStake {
  readonly faces: StakeFaces;
  readonly notices: readonly (StakeNotice | StakeTextNotice)[];
}

/** What is to be noticed before a stake is written so. */
export type StakeTextNotice =
  | {
      readonly code: 'AMBIGUOUS';
      readonly short: string;
      readonly term: StakeTerm;
      readonly meanings: readonly string[];
      readonly better: string;
    }
  | {
      readonly code: 'ROUNDED';
      readonly figure: string;
      readonly exact: Metres;
      readonly by: Metres;
      readonly tolerance: Metres;
    }
  | { readonly code: 'UNUSUAL'; readonly text: string };

/**
 * Read more coarsely than to the last decimal, the hub's elevation gives way: design and cut or fill are what a crew
 * builds from, and the three have to add up.
 */
function withHubThatAddsUp(content: StakeContent, { convention, unit, rounding }: StakeStyle): StakeContent {
  const { hubZ, designZ, cutFill } = content;
  const as = rounding ?? convention.rounding.height;
  if (as === 'finest' || hubZ === null || designZ === null || cutFill === null) return content;
  return {
    ...content,
    hubZ: asWritten(designZ, unit, as) + Math.sign(cutFill) * asWritten(Math.abs(cutFill), unit, as),
  };
}

/** What is written on the sides of a stake, fitted to its lath, and what ought to be noticed. */
export function writtenStake(content: StakeContent, style: StakeStyle): WrittenStake {
  const sides = stakeSides(withHubThatAddsUp(content, style), style.convention);
  const written = (side: StakeSide): WrittenLine[] =>
    sides[side].map(({ part, content: line, ruled }) => ({
      part,
      text: stakeLineWords(line, style),
      ruled,
      unusual: 'unusual' in line && line.unusual,
    }));
  const { faces, notices } = fitStake(
    { front: written('front'), back: written('back'), left: written('left'), right: written('right') },
    style.convention.lath,
    openSides(style.convention),
  );
  const lines = STAKE_SIDES.flatMap((side) => sides[side].map((each) => each.content));
  return {
    faces,
    notices: [
      ...notices,
      ...ambiguousOn(lines, style.convention),
      ...roundedPast(lines, content, style),
      ...STAKE_SIDES.flatMap((side) =>
        faces[side].flatMap((line) => (line.unusual ? [{ code: 'UNUSUAL' as const, text: line.text }] : [])),
      ),
    ],
  };
}

/** All lines in the order of writing: front, back, then the sides. */
export const stakeTextOf = (faces: StakeFaces): string[] =>
  STAKE_SIDES.flatMap((side) => faces[side].map((line) => line.text));

/** Letters that crews read in more than one way. */
const alsoReadAs = worded((): Readonly<Record<string, readonly string[]>> => ({
  BC: [msg('stakeText.beginOfCurve'), msg('stakeText.backOfKerb'), msg('stakeText.bottomOfKerb')],
  BK: [msg('stakeText.backOfKerb'), msg('stakeText.bank'), msg('stakeText.backStation')],
  BW: [msg('stakeText.bottomOfWall'), msg('stakeText.backOfWalk')],
  C: [msg('stakeText.cut'), msg('stakeText.centre'), msg('stakeText.column')],
  CB: [msg('stakeText.catchBasin'), msg('stakeText.curveBegins')],
  CF: [msg('stakeText.kerbFace'), msg('stakeText.cubicFeet')],
  EC: [msg('stakeText.endOfCurve'), msg('stakeText.edgeOfConcrete')],
  EP: [msg('stakeText.edgeOfPavement'), msg('stakeText.endPoint')],
  F: [msg('stakeText.fill'), msg('stakeText.face'), msg('stakeText.floor')],
  FC: [msg('stakeText.faceOfKerb'), msg('stakeText.fullCut')],
  FF: [msg('stakeText.finishedFloor'), msg('stakeText.frontFace')],
  FG: [msg('stakeText.finishedGrade'), msg('stakeText.faceOfGutter')],
  FL: [msg('stakeText.flowLine'), msg('stakeText.floor'), msg('stakeText.fenceLine')],
  FS: [msg('stakeText.finishedSurface'), msg('stakeText.foresight')],
  GB: [msg('stakeText.gradeBreak'), msg('stakeText.gutterBottom')],
  PC: [msg('stakeText.beginOfCurve'), msg('stakeText.precast')],
  SG: [msg('stakeText.subgrade'), msg('stakeText.stormGrate')],
  TC: [msg('stakeText.topOfKerb'), msg('stakeText.beginOfSpiral')],
  TW: [msg('stakeText.topOfWall'), msg('stakeText.topOfWalk')],
}));

/** Other readings of a short form than the one that is meant; empty when there is one reading. */
export const otherReadings = (short: string): readonly string[] =>
  alsoReadAs()[short.replace(/[./\s]/g, '').toUpperCase()] ?? [];

/** Terms that a line has a word for. */
function termsOf(line: StakeLine, { abbreviate }: StakeConvention): StakeTerm[] {
  if (line.line === 'offset') return ['offset'];
  if (line.line === 'to') return [line.meaning];
  if (line.line === 'hubHeight') return ['hub'];
  if (line.line === 'designHeight') return ['design'];
  // In full they explain themselves.
  if (line.line === 'why') return line.reasons.flatMap(({ term }) => (term && abbreviate ? [term] : []));
  if (line.line === 'transition') return ['kerbHeight'];
  if (line.line === 'string') return [kerbPartOf(line.string)].filter((part) => part !== null);
  if (line.line === 'cut' || line.line === 'fill')
    return [heightTerm(line.heightReference, line.string)].filter((term) => term !== null);
  return [];
}

function cutFillWord(line: 'cut' | 'fill', figure: { readonly by: Metres }, style: StakeStyle): WordOnStake {
  const means = isOnGrade(figure, style) ? 'onGrade' : line;
  return { word: style.convention[means], means };
}

/**
 * The words that stand on a stake, each with its meaning, so that a reader of another language or other forms is told.
 */
export function wordsOnStake(content: StakeContent, style: StakeStyle): WordOnStake[] {
  const { convention } = style;
  const words = crewWords(convention.languages[0]);
  const sides = stakeSides(content, convention);
  const lines = STAKE_SIDES.flatMap((side) => sides[side].map((each) => each.content));
  const found = lines.flatMap((line): WordOnStake[] => [
    ...(line.line === 'cut' || line.line === 'fill' ? [cutFillWord(line.line, line, style)] : []),
    ...(line.line === 'offset' && line.offset === 0 ? [] : termsOf(line, convention)).map((term) => ({
      word: termWords(term, convention, words),
      means: term,
    })),
  ]);
  return found.filter(({ means }, i) => found.findIndex((each) => each.means === means) === i);
}

function ambiguousOn(lines: readonly StakeLine[], convention: StakeConvention): StakeTextNotice[] {
  if (!convention.abbreviate) return [];
  const used = new Set<StakeTerm>(lines.flatMap((line) => termsOf(line, convention)));
  return convention.abbreviations.flatMap(({ term, short }) => {
    const meanings = otherReadings(short);
    return used.has(term) && meanings.length > 1
      ? [{ code: 'AMBIGUOUS' as const, short, term, meanings, better: english().term[term] }]
      : [];
  });
}

/** Figures that are written farther off than the mark may be. */
function roundedPast(
  lines: readonly StakeLine[],
  { tolerance }: StakeContent,
  { convention, unit, rounding }: StakeStyle,
): StakeTextNotice[] {
  if (!tolerance) return [];
  return lines.flatMap((line): StakeTextNotice[] => {
    const [exact, allowed, as] =
      line.line === 'offset'
        ? [line.offset, tolerance.plan, rounding ?? convention.rounding.offset]
        : line.line === 'cut' || line.line === 'fill'
          ? [line.by, tolerance.height, rounding ?? convention.rounding.height]
          : [null, 0, 'finest' as const];
    if (exact === null) return [];
    const by = Math.abs(asWritten(exact, unit, as) - exact);
    return by > allowed
      ? [{ code: 'ROUNDED', figure: writtenLength(exact, unit, as), exact, by, tolerance: allowed }]
      : [];
  });
}
