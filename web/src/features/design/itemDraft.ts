/** One item of a package as it is typed, and what it amounts to. */
import { RADIANS_PER_DEGREE, type PathCorner, type Result } from '@idle-marker/core';
import type { FactBody } from '@idle-marker/contract';
import { heightsOfItem, usualHeights } from '@idle-marker/records';
import { msg } from '@idle-marker/words';
import type { SurfaceChoice } from '../../drawings/useSurfaces.ts';
import type { Units } from '../../field/useUnits.ts';
import { lengthDraft, lengthOf, typed, valueOf, written, type Draft } from '../../field/draft.ts';
import { cornersDraft, NO_CORNERS, readCorners, type CornersDraft } from './cornerText.ts';

export type Item = FactBody<'package'>['items'][number];
type MoveWhy = NonNullable<Item['moved']>[number]['why'];

export interface DraftItem {
  readonly name: string;
  readonly meaning: Item['meaning'];
  readonly rule: Item['rule'];
  readonly height: Draft<number>;
  readonly corners: CornersDraft;
  readonly source: string;
  readonly drawing: string | null;
  readonly grid: string | null;
  /** Where heights come from; the surface is that of `surface`. */
  readonly heights: NonNullable<Item['heights']>;
  readonly surface: SurfaceChoice | null;
  /** The line that is marked lies outside or inside of the one that is given. */
  readonly moved: readonly { readonly by: Draft<number>; readonly way: 'outward' | 'inward'; readonly why: MoveWhy }[];
  readonly spacing: Draft<number>;
  readonly divide: 'interval' | 'parts';
  readonly side: 'on' | 'left' | 'right';
  readonly closed: boolean;
  readonly bolts: 'rectangle' | 'circle';
  readonly along: Draft<number>;
  readonly across: Draft<number>;
  readonly alongCount: string;
  readonly acrossCount: string;
  readonly diameter: Draft<number>;
  readonly count: string;
  /** Of the pattern, or the way the piles lean: degrees from north, under 360. */
  readonly azimuth: Draft<number>;
  readonly ratio: string;
  readonly workingZ: Draft<number>;
}

export const EMPTY_ITEM: DraftItem = {
  name: '',
  meaning: 'outsideFace',
  rule: 'outline',
  height: typed(''),
  corners: NO_CORNERS,
  source: 'typed',
  drawing: null,
  grid: null,
  heights: 'rule',
  surface: null,
  moved: [],
  spacing: typed(''),
  divide: 'interval',
  side: 'on',
  closed: false,
  bolts: 'rectangle',
  along: typed(''),
  across: typed(''),
  alongCount: '2',
  acrossCount: '2',
  diameter: typed(''),
  count: '4',
  azimuth: typed(''),
  ratio: '',
  workingZ: typed(''),
};

/** What corners usually are under a rule: a point has no outside face. */
const USUAL_MEANING: Readonly<Record<Item['rule'], Item['meaning']>> = {
  outline: 'outsideFace',
  linePairs: 'outsideFace',
  lineEnds: 'gridLine',
  points: 'centre',
  recoveries: 'centre',
  along: 'edge',
  bolts: 'centre',
  rakedPiles: 'centre',
  road: 'edge',
};

/** An item under another rule; what its corners are follows, unless somebody said otherwise. */
export function underRule({ rule, meaning }: DraftItem, next: Item['rule']): Pick<DraftItem, 'rule' | 'meaning'> {
  const isBound = next === 'bolts' || next === 'rakedPiles';
  return { rule: next, meaning: isBound || meaning === USUAL_MEANING[rule] ? USUAL_MEANING[next] : meaning };
}

/** Rules whose corners may have heights and arcs. */
export const isPath = (rule: Item['rule']): boolean => rule === 'along';

/** @param drawingOf the drawing that a revision belongs to */
export function itemDraftOf(item: Item, units: Units, drawingOf: (revision: string) => string | null): DraftItem {
  const { pattern, rake, along } = item;
  const azimuthDeg = pattern?.azimuthDeg ?? rake?.azimuthDeg;
  const surfaceIn = item.surface?.drawing === undefined ? null : drawingOf(item.surface.drawing);
  return {
    ...EMPTY_ITEM,
    name: item.name,
    meaning: item.meaning,
    rule: item.rule,
    height: lengthDraft(item.designZ, units),
    corners: cornersDraft(item.corners, units),
    source: item.source,
    drawing: item.drawing ?? null,
    grid: item.grid ?? null,
    heights: heightsOfItem(item),
    surface: item.surface && surfaceIn !== null ? { drawing: surfaceIn, name: item.surface.name } : null,
    moved: (item.moved ?? []).map(({ outward, why }) => ({
      by: lengthDraft(Math.abs(outward), units),
      way: outward < 0 ? 'inward' : 'outward',
      why,
    })),
    ...(along
      ? {
          divide: 'interval' in along.spacing ? ('interval' as const) : ('parts' as const),
          spacing:
            'interval' in along.spacing
              ? lengthDraft(along.spacing.interval, units)
              : typed(String(along.spacing.parts)),
          side: along.side,
          closed: along.closed,
        }
      : {}),
    ...(pattern?.kind === 'rectangle'
      ? {
          bolts: 'rectangle' as const,
          along: lengthDraft(pattern.along, units),
          across: lengthDraft(pattern.across, units),
          alongCount: String(pattern.alongCount),
          acrossCount: String(pattern.acrossCount),
        }
      : {}),
    ...(pattern?.kind === 'circle'
      ? { bolts: 'circle' as const, diameter: lengthDraft(pattern.diameter, units), count: String(pattern.count) }
      : {}),
    ...(azimuthDeg === undefined
      ? {}
      : { azimuth: written(azimuthDeg, units.angle(azimuthDeg * RADIANS_PER_DEGREE, 4)) }),
    ...(rake ? { ratio: String(rake.ratio), workingZ: lengthDraft(rake.workingZ, units) } : {}),
  };
}

export interface ReadItem {
  readonly draft: DraftItem;
  readonly corners: Result<PathCorner[], string>;
  /** What is wrong with the fields of the rule; null when nothing is. */
  readonly faults: Readonly<
    Partial<Record<'height' | 'moved' | 'spacing' | 'pattern' | 'azimuth' | 'ratio' | 'workingZ', string>>
  >;
  /** Null while something is wrong. */
  readonly item: Item | null;
}

/** A stepped footing: an outline for every step, each moved by one step more than the one before it. */
export const stepsOf = (item: DraftItem): DraftItem[] =>
  item.moved.map((_, i) => ({
    ...item,
    name: msg('design.step', { name: item.name.trim() || msg('design.footing'), i: i + 1 }),
    height: typed(''),
    moved: item.moved.slice(0, i + 1),
  }));

const isEmpty = ({ text }: Draft<unknown>): boolean => text.trim() === '';
const whole = (text: string): number | null => (/^\d+$/.test(text.trim()) ? Number(text) : null);
const positive = (value: number | null): value is number => value !== null && value > 0;

export function readItem(draft: DraftItem, units: Units): ReadItem {
  const { rule } = draft;
  const corners = readCorners(draft.corners, units, rule === 'lineEnds', isPath(rule) ? 'arc' : 'height');
  const z = isEmpty(draft.height) ? null : lengthOf(draft.height, units);
  const faults: { -readonly [K in keyof ReadItem['faults']]: ReadItem['faults'][K] } = {};
  if (!isEmpty(draft.height) && z === null) faults.height = msg('design.giveAHeightOrLeaveItEmpty');
  const options: Partial<Item> = {};
  if ((rule === 'outline' || rule === 'linePairs') && draft.moved.length > 0) {
    const moved = draft.moved.map(({ by, way, why }) => ({ by: lengthOf(by, units), way, why }));
    if (moved.some(({ by }) => by === null || by < 0 || by > 100))
      faults.moved = msg('design.giveHowFarSuchAsOutwardOr', { edit: units.edit(units.round(0.3, 1)) });
    else options.moved = moved.map(({ by, way, why }) => ({ outward: way === 'outward' ? by! : -by!, why }));
  }
  if (rule === 'along') {
    const spacing = draft.divide === 'interval' ? lengthOf(draft.spacing, units) : whole(draft.spacing.text);
    if (!positive(spacing))
      faults.spacing =
        draft.divide === 'interval'
          ? msg('design.giveTheDistanceFromPointToPoint', { edit: units.edit(units.round(5, 15)) })
          : msg('design.giveAWholeNumberOfParts');
    else
      options.along = {
        spacing: draft.divide === 'interval' ? { interval: spacing } : { parts: spacing },
        side: draft.side,
        closed: draft.closed,
      };
  }
  const azimuth = isEmpty(draft.azimuth)
    ? null
    : valueOf<number | null>(draft.azimuth, (text) => turnOf(units.readAngle(text)));
  if ((rule === 'bolts' || rule === 'rakedPiles') && azimuth === null)
    faults.azimuth = msg('design.giveTheDirectionFromNorthSuchAs');
  if (rule === 'bolts') {
    const [along, across, diameter] = [draft.along, draft.across, draft.diameter].map((each) =>
      lengthOf(each, units),
    ) as [number | null, number | null, number | null];
    const [alongCount, acrossCount, count] = [draft.alongCount, draft.acrossCount, draft.count].map(whole) as [
      number | null,
      number | null,
      number | null,
    ];
    const azimuthDeg = azimuth ?? 0;
    if (draft.bolts === 'rectangle') {
      if (!positive(along) || !positive(across) || !positive(alongCount) || !positive(acrossCount))
        faults.pattern = msg('design.giveBothSpacingsAndHowManyBolts');
      else options.pattern = { kind: 'rectangle', along, across, alongCount, acrossCount, azimuthDeg };
    } else if (!positive(diameter) || !positive(count)) faults.pattern = msg('design.giveTheDiameterOfTheCircleAnd');
    else options.pattern = { kind: 'circle', diameter, count, azimuthDeg };
  }
  if (rule === 'rakedPiles') {
    const ratio = Number(draft.ratio.replace(',', '.'));
    const workingZ = lengthOf(draft.workingZ, units);
    if (!(draft.ratio.trim() !== '' && ratio > 0)) faults.ratio = msg('design.sayHowFarDownItGoesFor');
    if (workingZ === null) faults.workingZ = msg('design.giveTheLevelThatThePilesAre');
    const headOf = (own: number | null) =>
      draft.heights === 'design' ? z : draft.heights === 'own' ? own : (own ?? z);
    if (corners.ok && corners.value.some((head) => headOf(head.z ?? null) === null))
      faults.height ??= msg('design.giveTheHeightOfThePileHeads');
    if (ratio > 0 && workingZ !== null) options.rake = { azimuthDeg: azimuth ?? 0, ratio, workingZ };
  }
  const isGood = corners.ok && Object.keys(faults).length === 0;
  return {
    draft,
    corners,
    faults,
    item: isGood
      ? {
          name: draft.name.trim(),
          meaning: draft.meaning,
          rule,
          designZ: z,
          corners: corners.value,
          source: draft.source,
          ...(draft.heights === usualHeights(rule, draft.surface !== null) ? {} : { heights: draft.heights }),
          ...options,
          ...(draft.drawing === null ? {} : { drawing: draft.drawing }),
          ...(draft.grid === null ? {} : { grid: draft.grid }),
        }
      : null,
  };
}

function turnOf(radians: number | null): number | null {
  if (radians === null) return null;
  // A billionth of a degree is far below what any place shows.
  const degrees = Number((radians / RADIANS_PER_DEGREE).toFixed(9)) % 360;
  return degrees < 0 ? degrees + 360 : degrees;
}
