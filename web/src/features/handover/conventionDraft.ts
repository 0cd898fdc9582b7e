/** A convention while it is edited: figures as they are typed, parts with their side and order. */
import {
  conventionFaults,
  kerbOf,
  STAKE_MARK_KINDS,
  STAKE_PARTS,
  STAKE_SIDES,
  STAKE_TERMS,
  type ConventionFault,
  type StakeContent,
  type StakeConvention,
  type StakeMarkKind,
  type StakePart,
  type StakeSide,
  type StakeTerm,
  lengthToMetres,
  type LengthUnit,
} from '@idle-marker/core';
import { msg, worded } from '@idle-marker/words';

export interface PartPlace {
  readonly part: StakePart;
  readonly side: StakeSide | 'none';
  readonly ruled: boolean;
}

export interface ConventionDraft extends Omit<StakeConvention, 'sides' | 'lath' | 'abbreviations' | 'colours'> {
  /** Every part once, those of a side in their order. */
  readonly parts: readonly PartPlace[];
  readonly shorts: Readonly<Record<StakeTerm, string>>;
  /** Millimetres, as typed. */
  readonly lath: Readonly<Record<'length' | 'width' | 'inGround' | 'letterHeight', string>> & {
    readonly writing: StakeConvention['lath']['writing'];
  };
  readonly colours: Readonly<Record<StakeMarkKind, { readonly ribbon: string; readonly paint: string }>>;
}

const LATH_FIELDS = ['length', 'width', 'inGround', 'letterHeight'] as const;

export function draftOfConvention(convention: StakeConvention): ConventionDraft {
  const placed = STAKE_SIDES.flatMap((side) =>
    convention.sides[side].map(({ part, ruled }): PartPlace => ({ part, side, ruled })),
  );
  const rest = STAKE_PARTS.filter((part) => !placed.some((each) => each.part === part)).map((part): PartPlace => ({
    part,
    side: 'none',
    ruled: false,
  }));
  const inMm = (metres: number) => String(Math.round(metres * 1e4) / 10);
  return {
    ...convention,
    parts: [...placed, ...rest],
    shorts: Object.fromEntries(
      STAKE_TERMS.map((term) => [term, convention.abbreviations.find((each) => each.term === term)?.short ?? '']),
    ) as ConventionDraft['shorts'],
    lath: {
      ...(Object.fromEntries(LATH_FIELDS.map((field) => [field, inMm(convention.lath[field])])) as Record<
        (typeof LATH_FIELDS)[number],
        string
      >),
      writing: convention.lath.writing,
    },
    colours: Object.fromEntries(
      STAKE_MARK_KINDS.map((kind) => {
        const { ribbon = '', paint = '' } = convention.colours.find((each) => each.kind === kind) ?? {};
        return [kind, { ribbon, paint }];
      }),
    ) as ConventionDraft['colours'],
  };
}

const millimetres = (text: string): number => (text.trim() === '' ? NaN : Number(text.replace(',', '.')));
/** Least and most of each size, millimetres. */
const RANGE = { length: [50, 5000], width: [10, 1000], inGround: [0, 5000], letterHeight: [3, 200] } as const;

/** What is wrong with a typed size; null when nothing is. */
export function sizeError(draft: ConventionDraft, field: (typeof LATH_FIELDS)[number]): string | null {
  const value = millimetres(draft.lath[field]);
  const [least, most] = RANGE[field];
  return value >= least && value <= most ? null : msg('handover.giveToMm', { least, most });
}

export const hasSizes = (draft: ConventionDraft): boolean =>
  LATH_FIELDS.every((field) => sizeError(draft, field) === null);

/** The convention that a draft comes to. Only for one whose sizes can be read. */
export function conventionOfDraft({ parts, shorts, lath, colours, ...draft }: ConventionDraft): StakeConvention {
  const on = (side: StakeSide) =>
    parts.filter((each) => each.side === side).map(({ part, ruled }) => ({ part, ruled }));
  const metres = (text: string) => Math.round(millimetres(text) * 10) / 1e4;
  return {
    name: draft.name.trim(),
    carrier: draft.carrier,
    sides: { front: on('front'), back: on('back'), left: on('left'), right: on('right') },
    abbreviate: draft.abbreviate,
    showUnit: draft.showUnit,
    cut: draft.cut.trim(),
    fill: draft.fill.trim(),
    onGrade: draft.onGrade.trim(),
    rounding: draft.rounding,
    offsetFigure: draft.offsetFigure,
    abbreviations: STAKE_TERMS.flatMap((term) =>
      shorts[term].trim() === '' ? [] : [{ term, short: shorts[term].trim() }],
    ),
    usual: draft.usual,
    unusualPaint: draft.unusualPaint.trim(),
    facing: draft.facing,
    lath: {
      length: metres(lath.length),
      width: metres(lath.width),
      inGround: metres(lath.inGround),
      letterHeight: metres(lath.letterHeight),
      writing: lath.writing,
    },
    colours: STAKE_MARK_KINDS.flatMap((kind) => {
      const [ribbon, paint] = [colours[kind].ribbon.trim(), colours[kind].paint.trim()];
      return ribbon === '' && paint === '' ? [] : [{ kind, ribbon, paint }];
    }),
    languages: [...draft.languages],
  };
}

export const faultsOf = (draft: ConventionDraft): ConventionFault[] =>
  hasSizes(draft) ? conventionFaults(conventionOfDraft(draft)) : [];

/** Moves a part before or after its neighbour on the same side. */
export function movePart(parts: readonly PartPlace[], part: StakePart, by: -1 | 1): PartPlace[] {
  const at = parts.findIndex((each) => each.part === part);
  const { side } = parts[at]!;
  const others = [...parts.keys()].filter((i) => parts[i]!.side === side && (by < 0 ? i < at : i > at));
  const other = by < 0 ? others.at(-1) : others[0];
  if (other === undefined) return [...parts];
  const next = [...parts];
  [next[at], next[other]] = [next[other]!, next[at]!];
  return next;
}

const metricSamples = worded((): readonly StakeContent[] => [
  {
    name: 'H-B3 E',
    offset: 2,
    offsetAsSet: 2.003,
    within: true,
    to: 'B3',
    meaning: 'outsideFace',
    cutFill: -0.332,
    heightReference: 'finishedFloor',
    hubZ: 5.918,
    designZ: 6.25,
    also: null,
    road: null,
    package: msg('handover.hallHubs'),
    point: 'nail',
    tolerance: { plan: 0.006, height: 0.005 },
    set: { day: '2031-05-06', by: msg('handover.kim') },
  },
  {
    name: 'K-0+040',
    offset: 1,
    offsetAsSet: 1.002,
    within: true,
    to: '0+040',
    meaning: 'centre',
    cutFill: 0.128,
    heightReference: 'string',
    hubZ: 4.402,
    designZ: 4.274,
    also: null,
    road: {
      name: msg('handover.millRoad'),
      to: 'left kerb.back',
      gradeTo: 'left kerb.face',
      why: 'curve begins',
      reasons: [{ words: 'curve begins', term: 'curveBegins' }],
      transitions: [{ kerb: kerbOf('left kerb.back')!, part: 'top', from: 0.15, to: 0.025, over: 2, here: 'begins' }],
      displayed: 40,
    },
    package: msg('handover.kerbHubs'),
    point: 'tack',
    tolerance: { plan: 0.01, height: 0.006 },
    set: { day: '2031-05-06', by: msg('handover.kim') },
  },
]);

/** Metres of a figure in the unit of the site. */
const FEET: readonly Readonly<
  Pick<StakeContent, 'offset' | 'offsetAsSet' | 'cutFill' | 'hubZ' | 'designZ' | 'tolerance'>
>[] = [
  {
    offset: 6,
    offsetAsSet: 6.01,
    cutFill: -1.09,
    hubZ: 410.91,
    designZ: 412,
    tolerance: { plan: 0.02, height: 0.015 },
  },
  {
    offset: 3,
    offsetAsSet: 3.01,
    cutFill: 0.42,
    hubZ: 408.87,
    designZ: 408.45,
    tolerance: { plan: 0.03, height: 0.02 },
  },
];

/** Made-up marks to try a convention on: a hub of a building and one of a curb, round in the unit of the site. */
export function sampleStakes(unit: LengthUnit): readonly StakeContent[] {
  if (unit === 'metre') return metricSamples();
  const metres = (feet: number) => lengthToMetres(feet, unit);
  return metricSamples().map((sample, i) => {
    const feet = FEET[i]!;
    return {
      ...sample,
      offset: metres(feet.offset),
      offsetAsSet: metres(feet.offsetAsSet),
      cutFill: metres(feet.cutFill!),
      hubZ: metres(feet.hubZ!),
      designZ: metres(feet.designZ!),
      tolerance: { plan: metres(feet.tolerance!.plan), height: metres(feet.tolerance!.height) },
    };
  });
}
