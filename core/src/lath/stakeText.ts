/** What is written on a stake, line by line, as data: the words are put to it in one place. */
import type { Metres } from '../quantity/unit.ts';
import type { TransitionHere } from '../alignment/kerbTransitions.ts';
import {
  STAKE_SIDES,
  type StakeConvention,
  type StakePart,
  type StakeSide,
  type StakeTerm,
  type StationTerm,
} from './convention.ts';

/** Feature that heights are given to; `string` is a line of a road, named at each mark. */
export type HeightReference =
  'finishedFloor' | 'topOfWall' | 'underside' | 'invert' | 'topOfKerb' | 'subgrade' | 'surface' | 'string';

/** What the corner of an item means. */
export type CornerMeaning = 'outsideFace' | 'insideFace' | 'wallCentre' | 'gridLine' | 'waterLine' | 'centre' | 'edge';

/** Part of a kerb, as the end of the name of its string. */
export type KerbPart = 'face' | 'back' | 'flowLine';

/** What exactly on the mark is the point that every figure starts at. */
export type PointOnMark = 'nail' | 'tack' | 'hubCentre' | 'top' | 'crossing' | 'punch';

/**
 * A mark at an angle of a line: square to the line behind or ahead of it, or inside, off both lines and farther from
 * the corner than that.
 */
export interface AngleMark {
  readonly part: 'back' | 'ahead' | 'inside';
  /** Level distance from the mark to the corner. */
  readonly toCorner: Metres;
}

/** What changes at a station, in words, and the term that it has a short form by. */
export interface ReasonOnStake {
  readonly words: string;
  readonly term?: StationTerm | undefined;
}

/** A change of a kerb's height that is met at a station. */
export interface TransitionOnStake extends Pick<TransitionHere, 'part' | 'from' | 'to' | 'here'> {
  /** Name of the kerb. */
  readonly kerb: string;
  /** Level length of the change along the line; 0 of a step. */
  readonly over: Metres;
}

export interface StakeContent {
  readonly name: string;
  /** Level distance from hub to feature, as it was planned. */
  readonly offset: Metres;
  /** The same from where the mark stands; the planned one where it is not set yet. */
  readonly offsetAsSet: Metres;
  /** It stands inside its tolerance. */
  readonly within: boolean;
  /** Name of the corner or line that the offset leads to. */
  readonly to: string;
  readonly meaning: CornerMeaning;
  /** The hub stands on a line carried on beyond its end. */
  readonly beyond?: boolean | undefined;
  /** Hub height minus design height: positive cut, negative fill. Null when no height was measured or asked. */
  readonly cutFill: Metres | null;
  readonly heightReference: HeightReference;
  readonly hubZ: Metres | null;
  readonly designZ: Metres | null;
  /** A second feature that the same hub is written for. */
  readonly also?: {
    readonly cutFill: Metres | null;
    readonly heightReference: HeightReference;
    /** Its own name, before the reference. */ readonly to?: string;
  } | null;
  /** Along a road: the names of what offset and height lead to, and what changes at the station. */
  readonly road?: {
    readonly name: string;
    readonly to: string;
    readonly gradeTo: string;
    readonly why: string;
    /** The same one by one, where it was kept so. */
    readonly reasons?: readonly ReasonOnStake[] | undefined;
    readonly transitions?: readonly TransitionOnStake[] | undefined;
    /** The station as the road counts it, where it was kept. */
    readonly displayed?: Metres | undefined;
    readonly angle?: AngleMark | undefined;
  } | null;
  readonly package: string;
  readonly point: PointOnMark;
  readonly tolerance: { readonly plan: Metres; readonly height: Metres } | null;
  /** Day it was set, and by whom; null while it is not. */
  readonly set: { readonly day: string; readonly by: string } | null;
}

interface Leading {
  /** It leads to something that is not usual here. */
  readonly unusual: boolean;
}

export type StakeLine =
  | { readonly line: 'offset'; readonly offset: Metres }
  | ({
      readonly line: 'to';
      readonly to: string;
      readonly meaning: CornerMeaning;
      /** The mark stands on it. */ readonly on: boolean;
      /** The mark stands on the line carried on, so far beyond it. */ readonly beyond: boolean;
    } & Leading)
  | ({ readonly line: 'string'; readonly string: string; /** The mark stands on it. */ readonly on: boolean } & Leading)
  | {
      readonly line: 'station';
      /** Its name, and how the road counts it where that was kept. */
      readonly station: string;
      readonly displayed: Metres | null;
      readonly road: string;
    }
  | { readonly line: 'why'; readonly reasons: readonly ReasonOnStake[] }
  | ({ readonly line: 'transition' } & TransitionOnStake)
  | ({ readonly line: 'angle' } & AngleMark)
  | ({
      readonly line: 'cut' | 'fill';
      readonly by: Metres;
      readonly heightReference: HeightReference;
      /** The string that it leads to, instead. */ readonly string?: string;
      /** The offset leads to the same kerb, which is named there. */ readonly sameKerb?: boolean;
    } & Leading)
  /** Cut or fill, to be written once the hub is driven. */
  | ({
      readonly line: 'openCutFill';
      readonly heightReference: HeightReference;
      readonly string?: string;
      readonly sameKerb?: boolean;
    } & Leading)
  | { readonly line: 'openHub' }
  | { readonly line: 'noHeight' }
  | { readonly line: 'hubHeight' | 'designHeight'; readonly z: Metres }
  | { readonly line: 'package'; readonly package: string }
  | { readonly line: 'startsAt'; readonly point: PointOnMark }
  | { readonly line: 'tolerance'; readonly plan: Metres; readonly height: Metres }
  | { readonly line: 'set'; readonly day: string; readonly by: string }
  | { readonly line: 'name'; readonly name: string };

export interface PlacedLine {
  readonly part: StakePart;
  readonly content: StakeLine;
  readonly ruled: boolean;
}

/** The part of a kerb that a string is, from the end of its name; null for any other line. */
export const kerbPartOf = (string: string): KerbPart | null =>
  (/\.(face|back|flowLine)$/.exec(string)?.[1] as KerbPart | undefined) ?? null;

/** The kerb that a string is a part of; null for any other line. */
export const kerbOf = (string: string): string | null =>
  kerbPartOf(string) === null ? null : string.slice(0, string.lastIndexOf('.'));

/** The term by which a convention knows what an offset leads to. */
export const offsetTerm = ({ meaning, road }: Pick<StakeContent, 'meaning' | 'road'>): StakeTerm | null =>
  road ? kerbPartOf(road.to) : meaning;
/** The term by which it knows what a height leads to: along the face of a kerb that is its top. */
export function heightTerm(reference: HeightReference, string: string | undefined): StakeTerm | null {
  if (string === undefined) return reference;
  const part = kerbPartOf(string);
  return part === 'face' ? 'topOfKerb' : part;
}

const isUnusual = (term: StakeTerm | null, usual: readonly StakeTerm[]): boolean =>
  usual.length > 0 && term !== null && !usual.includes(term);

export function stakeLine(
  part: Exclude<StakePart, 'why'>,
  content: StakeContent,
  { usual, offsetFigure }: Pick<StakeConvention, 'usual' | 'offsetFigure'>,
): StakeLine | null {
  const { road } = content;
  const on = content.offset === 0;
  const ofString = (string?: string) => {
    if (string === undefined) return {};
    const sameKerb = road !== null && kerbOf(string) !== null && kerbOf(string) === kerbOf(road?.to ?? '');
    return { string, ...(sameKerb ? { sameKerb } : {}) };
  };
  const heightLine = (cutFill: Metres, heightReference: HeightReference, string?: string): StakeLine => {
    // Whether so little is written as nothing, "on grade", depends on unit and rounding.
    const line = cutFill < 0 ? 'fill' : 'cut';
    const unusual = isUnusual(heightTerm(heightReference, string), usual.heightTo);
    return { line, by: Math.abs(cutFill), heightReference, unusual, ...ofString(string) };
  };
  // Before it is set everything is known but where the hub comes to stand.
  const isOpen = content.set === null && content.hubZ === null && content.designZ !== null;
  const open = (heightReference: HeightReference, string?: string): StakeLine => ({
    line: 'openCutFill',
    heightReference,
    unusual: isUnusual(heightTerm(heightReference, string), usual.heightTo),
    ...ofString(string),
  });
  switch (part) {
    case 'offset':
      return {
        line: 'offset',
        offset: on ? 0 : offsetFigure === 'plannedWithin' && content.within ? content.offset : content.offsetAsSet,
      };
    case 'to': {
      const unusual = isUnusual(offsetTerm(content), usual.offsetTo);
      return road
        ? { line: 'string', string: road.to, on, unusual }
        : { line: 'to', to: content.to, meaning: content.meaning, on, beyond: content.beyond ?? false, unusual };
    }
    case 'station':
      return road ? { line: 'station', station: content.to, displayed: road.displayed ?? null, road: road.name } : null;
    case 'angle':
      return road?.angle ? { line: 'angle', ...road.angle } : null;
    case 'cutFill':
      if (isOpen) return open(content.heightReference, road?.gradeTo);
      return content.cutFill === null
        ? { line: 'noHeight' }
        : heightLine(content.cutFill, content.heightReference, road?.gradeTo);
    case 'also':
      if (isOpen && content.also) return open(content.also.heightReference, content.also.to);
      return content.also && content.also.cutFill !== null
        ? heightLine(content.also.cutFill, content.also.heightReference, content.also.to)
        : null;
    case 'hubHeight':
      if (isOpen) return { line: 'openHub' };
      return content.hubZ === null ? null : { line: 'hubHeight', z: content.hubZ };
    case 'designHeight':
      return content.designZ === null ? null : { line: 'designHeight', z: content.designZ };
    case 'package':
      return { line: 'package', package: content.package };
    case 'startsAt':
      return { line: 'startsAt', point: content.point };
    case 'tolerance':
      return content.tolerance && { line: 'tolerance', ...content.tolerance };
    case 'set':
      return content.set && { line: 'set', ...content.set };
    case 'name':
      return { line: 'name', name: content.name };
  }
}

/** What changes at a station: in words, and each change of a kerb on a line of its own. */
function whyLines({ road }: StakeContent): StakeLine[] {
  if (!road) return [];
  const reasons = road.reasons ?? (road.why === '' ? [] : [{ words: road.why }]);
  return [
    ...(reasons.length > 0 ? [{ line: 'why' as const, reasons }] : []),
    ...(road.transitions ?? []).map((each) => ({ line: 'transition' as const, ...each })),
  ];
}

/**
 * The lines of each side of a stake, in the order of the convention; parts that there is nothing to say of are left
 * out.
 */
export function stakeSides(content: StakeContent, convention: StakeConvention): Record<StakeSide, PlacedLine[]> {
  const placed = (side: StakeSide): PlacedLine[] =>
    convention.sides[side].flatMap(({ part, ruled }) => {
      const lines = part === 'why' ? whyLines(content) : [stakeLine(part, content, convention)];
      return lines.flatMap((line, i) =>
        line ? [{ part, content: line, ruled: ruled && i === lines.length - 1 }] : [],
      );
    });
  return Object.fromEntries(STAKE_SIDES.map((side) => [side, placed(side)])) as Record<StakeSide, PlacedLine[]>;
}
