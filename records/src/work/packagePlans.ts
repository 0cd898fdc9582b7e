/**
 * The marks that a work package asks for, generated from its items by rule. Keys are stable, so that regenerating keeps
 * what is set.
 */
import {
  boltMarks,
  distanceToPolygon,
  drawnSide,
  fail,
  hindrancesAt,
  insidePolygon,
  lengthFromMetres,
  lineEndHubs,
  linePairs,
  markOn,
  marksAlongPath,
  METRES_PER_UNIT,
  movedOutline,
  offsetHubs,
  ok,
  otherOffsets,
  pathOf,
  pointMarks,
  pointsError,
  pointsWithRecoveries,
  planDistance,
  polar,
  RADIANS_PER_DEGREE,
  rakedAt,
  wrapTurn,
  type BoltsError,
  type HubPlan,
  type KeepClear,
  type LengthUnit,
  type LineEndsError,
  type Metres,
  type MovedOutlineError,
  type OtherOffset,
  type OutlineError,
  type PathError,
  type PointsError,
  type PlanPoint,
  type Radians,
  type Result,
} from '@idle-marker/core';
import type { Fact, FactBody } from '@idle-marker/contract';

type Package = FactBody<'package'>;
type Item = Package['items'][number];
type Plan = Package['plans'][number];

const COMPASS_LETTERS = ['N', 'NE', 'E', 'SE', 'S', 'SW', 'W', 'NW'] as const;
const compassLetters = (direction: Radians): string => COMPASS_LETTERS[Math.round(direction / (Math.PI / 4)) % 8]!;

/** What a rule needs and was not given. */
export type RuleError = {
  readonly code: 'RULE_INCOMPLETE';
  readonly needs: 'along' | 'pattern' | 'rake' | 'designZ' | 'road';
};
export type PlanError = (
  OutlineError | LineEndsError | PointsError | MovedOutlineError | PathError | BoltsError | RuleError
) & { readonly item: string };

type Hubs = Result<
  readonly HubPlan[],
  OutlineError | LineEndsError | PointsError | MovedOutlineError | PathError | BoltsError | RuleError
>;

/** By how much the line to mark lies outside of the one that was given. */
export const outwardOf = ({ moved }: Pick<Item, 'moved'>): Metres =>
  (moved ?? []).reduce((sum, each) => sum + each.outward, 0);

/** The outline that hubs are set to: the one that was given, moved by thickness, footing and batter. */
const markedOutline = (item: Item): ReturnType<typeof movedOutline> => movedOutline(item.corners, outwardOf(item));

/** What offsets are round to: half metres, feet. */
export const roundStep = (unit: LengthUnit): Metres => (unit === 'metre' ? 0.5 : METRES_PER_UNIT[unit]);

/** Steps by which a hub beyond the end of a side goes on until it is clear of the work. */
const STEP: Readonly<Record<LengthUnit, Metres>> = {
  metre: 1,
  foot: 3 * METRES_PER_UNIT.foot,
  usSurveyFoot: 3 * METRES_PER_UNIT.usSurveyFoot,
};

const chainageLabel = (unit: LengthUnit) => (chainage: Metres) =>
  String(Number(lengthFromMetres(chainage, unit).toFixed(2)));

/** Where an item's design heights come from; what was kept before there was a choice is as it was. */
export const heightsOfItem = ({ heights, surface, rule }: Pick<Item, 'heights' | 'surface' | 'rule'>) =>
  heights ?? usualHeights(rule, surface !== undefined);

export const usualHeights = (rule: Item['rule'], hasSurface: boolean): NonNullable<Item['heights']> =>
  hasSurface ? 'surface' : rule === 'along' || rule === 'road' ? 'rule' : 'design';

/** The design height of a point, from its own and that of the surface; null where there is none. */
function designHeight(item: Item, own: Metres | null, surface: Metres | null): Metres | null {
  switch (heightsOfItem(item)) {
    case 'design':
      return item.designZ;
    case 'surface':
      return surface;
    case 'own':
      return own;
    case 'rule':
      return own ?? surface ?? item.designZ;
  }
}

const RULES: Readonly<Record<Item['rule'], (item: Item, offset: Metres, unit: LengthUnit) => Hubs>> = {
  outline: (item, offset) => {
    if (outwardOf(item) === 0) return offsetHubs(item.corners, offset);
    const outline = markedOutline(item);
    return outline.ok ? offsetHubs(outline.value, offset) : outline;
  },
  linePairs: (item, offset, unit) => {
    const outline = outwardOf(item) === 0 ? ok(item.corners) : markedOutline(item);
    return outline.ok ? linePairs(outline.value, offset, STEP[unit]) : outline;
  },
  lineEnds: ({ corners }, offset) => lineEndHubs(corners, offset),
  points: ({ corners }) => pointMarks(corners),
  recoveries: ({ corners }, offset) => pointsWithRecoveries(corners, offset),
  along: ({ corners, along }, offset, unit) => {
    if (!along) return fail({ code: 'RULE_INCOMPLETE', needs: 'along' });
    const { spacing, side, closed } = along;
    return marksAlongPath(corners, closed, {
      spacing,
      offset: side === 'on' ? 0 : side === 'right' ? offset : -offset,
      label: chainageLabel(unit),
    });
  },
  road: ({ corners, road }, offset) => {
    if (!road || road.stations.length !== corners.length) return fail({ code: 'RULE_INCOMPLETE', needs: 'road' });
    const error = pointsError(corners);
    if (error) return fail(error);
    const hand = { on: 0, right: 1, left: -1 }[road.side];
    return ok(
      corners.map((corner, i): HubPlan => {
        const at = road.stations[i]!;
        const off = hand === 0 ? 0 : (at.offset ?? offset);
        const direction = wrapTurn(at.azimuthDeg * RADIANS_PER_DEGREE + (hand * Math.PI) / 2);
        return {
          ...markOn(corner),
          place: off === 0 ? { e: corner.e, n: corner.n } : polar(corner, direction, toCornerOf(at, off)),
          offset: off,
          direction,
        };
      }),
    );
  },
  bolts: ({ corners, pattern }, offset) => {
    if (!pattern) return fail({ code: 'RULE_INCOMPLETE', needs: 'pattern' });
    const { azimuthDeg, ...rest } = pattern;
    return boltMarks(corners, { ...rest, azimuth: azimuthDeg * RADIANS_PER_DEGREE }, offset);
  },
  rakedPiles: (item, offset) => {
    const { corners, rake } = item;
    if (!rake) return fail({ code: 'RULE_INCOMPLETE', needs: 'rake' });
    const heads = corners.map((corner) => designHeight(item, corner.z ?? null, null));
    if (heads.includes(null)) return fail({ code: 'RULE_INCOMPLETE', needs: 'designZ' });
    const leaning = { azimuth: rake.azimuthDeg * RADIANS_PER_DEGREE, ratio: rake.ratio };
    return pointsWithRecoveries(
      corners.map((head, i) => ({ ...head, ...rakedAt(head, heads[i]!, leaning, rake.workingZ) })),
      offset,
    );
  },
};

/** Hubs for every item by its rule. `prefix` goes before each mark's name; chainages in names are in `unit`. */
export function hubPlans(
  items: Package['items'],
  offset: Metres,
  prefix: string,
  unit: LengthUnit = 'metre',
): Result<Package['plans'], PlanError> {
  const plans: Package['plans'] = [];
  const taken = new Set<string>();
  for (const item of items) {
    const hubs = RULES[item.rule](item, offset, unit);
    if (!hubs.ok) return fail({ ...hubs.error, item: item.name });
    const isInside = insideOf(item);
    const codes = new Map(item.corners.flatMap(({ name, code }) => (code ? [[name, code] as const] : [])));
    /** Every bolt of a group has the code of its group. */
    const codeOf = (corner: string): { code?: string } => {
      const code = codes.get(corner) ?? (item.rule === 'bolts' ? codes.get(corner.replace(/\.\d+$/, '')) : undefined);
      return code === undefined ? {} : { code };
    };
    const onSurface = item.surface && new Map(item.surface.heights.map(({ key, z }) => [key, z]));
    for (const [i, hub] of hubs.value.entries()) {
      if (isInside(hub)) continue;
      const isCentre = hub.offset === 0;
      plans.push({
        key: `${item.name}/${hub.key}`,
        // Along a line the chainage is the name; elsewhere the side of the corner has to be told.
        name: freeName(
          isCentre || item.rule === 'along' || item.rule === 'road'
            ? `${prefix}-${hub.corner}`
            : `${prefix}-${hub.corner} ${compassLetters(hub.direction)}`,
          taken,
        ),
        place: hub.place,
        design: hub.designPlace,
        corner: hub.corner,
        item: item.name,
        meaning: item.meaning,
        offset: hub.offset,
        offFace: hub.offFace && [...hub.offFace],
        alsoOffFace: hub.alsoOffFace && [...hub.alsoOffFace],
        onLine: hub.onLine && [...hub.onLine],
        designZ:
          item.rule === 'rakedPiles' ? item.rake!.workingZ : designHeight(item, hub.z, onSurface?.get(hub.key) ?? null),
        ...codeOf(hub.corner),
        ...(item.road ? { road: roadPart(item, item.road, i, hub.offset) } : {}),
        ...(item.rule === 'rakedPiles' && isCentre
          ? { rake: { azimuthDeg: item.rake!.azimuthDeg, ratio: item.rake!.ratio } }
          : {}),
      });
    }
  }
  return ok(plans);
}

/** So near to a face no hub stands. */
const ON_WALL: Metres = 0.1;

/** Whether a hub has no clear place: it would stand inside of what it leads to, and is left out. */
function insideOf(item: Item): (hub: HubPlan) => boolean {
  if (!isOutline(item)) return () => false;
  const marked = markedOutline(item);
  const outline = marked.ok ? marked.value : item.corners;
  return ({ clear, place }) => !clear && (insidePolygon(place, outline) || distanceToPolygon(place, outline) < ON_WALL);
}

/** Corners whose hubs have no clear place and are left out, each with its item: what to do about it is for a person. */
export const leftOutHubs = (
  items: Package['items'],
  offset: Metres,
  unit: LengthUnit = 'metre',
): { readonly item: string; readonly corner: string }[] =>
  items.flatMap((item) => {
    const hubs = RULES[item.rule](item, offset, unit);
    return hubs.ok ? hubs.value.filter(insideOf(item)).map(({ corner }) => ({ item: item.name, corner })) : [];
  });

/**
 * From the corner to a mark that is off by `offset`: inside of an angle it is off both lines, and so farther from where
 * they meet.
 */
const toCornerOf = ({ angle }: NonNullable<Item['road']>['stations'][number], offset: Metres): Metres =>
  angle?.part === 'inside' ? offset / Math.cos((angle.deflectionDeg * RADIANS_PER_DEGREE) / 2) : offset;

/** What the mark of a station says of the road. */
function roadPart(item: Item, road: NonNullable<Item['road']>, i: number, offset: Metres): NonNullable<Plan['road']> {
  const at = road.stations[i]!;
  const { station, azimuthDeg, why, reasons, transitions, displayed, alsoZ, gradeTo, alsoTo, angle } = at;
  return {
    name: item.source,
    station,
    azimuthDeg,
    why,
    ...(reasons ? { reasons } : {}),
    ...(transitions ? { transitions } : {}),
    ...(displayed === undefined ? {} : { displayed }),
    to: road.return ? item.name : road.string,
    gradeTo: gradeTo ?? road.gradeString,
    side: road.side,
    ...(angle && offset > 0 ? { angle: { part: angle.part, toCorner: toCornerOf(at, offset) } } : {}),
    also:
      alsoTo !== undefined
        ? { to: alsoTo, z: alsoZ }
        : road.alsoString === null
          ? null
          : { to: road.alsoString, z: alsoZ },
  };
}

/**
 * Where the surface of an item has to be asked for heights: the design's own places, by the key of each mark within the
 * item.
 */
export function surfacePlaces(
  item: Item,
  offset: Metres,
  unit: LengthUnit,
): readonly { readonly key: string; readonly at: PlanPoint }[] {
  const hubs = RULES[item.rule](item, offset, unit);
  return hubs.ok ? hubs.value.map((hub) => ({ key: hub.key, at: hub.designPlace })) : [];
}

/** What the names of a package's marks begin with; null while it has none. The letters may have a dash in them. */
export function prefixOf({ plans }: Pick<Package, 'plans'>): string | null {
  const [first] = plans;
  if (!first) return null;
  const end = first.name.lastIndexOf(`-${first.corner}`);
  return end > 0 ? first.name.slice(0, end) : first.name.split('-')[0]!;
}

/** Two items can have corners of one name; the later mark gets a number. */
function freeName(wanted: string, taken: Set<string>): string {
  let name = wanted;
  for (let i = 2; taken.has(name); i++) name = `${wanted} ${i}`;
  taken.add(name);
  return name;
}

const isOutlineRule = (rule: Item['rule']): boolean => rule === 'outline' || rule === 'linePairs';

/** Whether the corners of an item are one closed outline, in order round it. */
export const isOutline = ({ rule, corners }: Pick<Item, 'rule' | 'corners'>): boolean =>
  isOutlineRule(rule) && corners.length > 2;

/** The closed outlines of a package. */
export const outlinesOf = ({ body }: Fact<'package'>): Item['corners'][] =>
  body.items.filter(isOutline).map((item) => item.corners);

/** A line with its arcs as short straight ones. */
function drawnPath(corners: Item['corners'], closed: boolean): Item['corners'] {
  const path = pathOf(corners, closed);
  if (!path.ok) return corners;
  const drawn = path.value.sides.flatMap(({ from, to }) =>
    drawnSide({ from: { ...from, z: null }, to: { ...to, z: null }, bulge: from.bulge ?? 0 })
      .places.slice(0, -1)
      .map(({ e, n }) => ({ name: from.name, e, n })),
  );
  return [...drawn, ...(closed ? [] : corners.slice(-1).map(({ name, e, n }) => ({ name, e, n })))];
}

/** An item as it is drawn: one closed outline, or its lines; points are drawn by their marks. */
export function shapesOf(
  item: Pick<Item, 'rule' | 'corners' | 'along' | 'moved'>,
): readonly { readonly closed: boolean; readonly points: Item['corners'] }[] {
  const { rule, corners, along } = item;
  if (rule === 'points' || rule === 'recoveries' || rule === 'bolts' || rule === 'rakedPiles' || rule === 'road')
    return [];
  if (isOutlineRule(rule)) {
    const outward = outwardOf(item);
    const marked = outward === 0 ? null : movedOutline(corners, outward);
    return [{ closed: true, points: corners }, ...(marked?.ok ? [{ closed: true, points: marked.value }] : [])];
  }
  if (rule === 'along') return [{ closed: along?.closed ?? false, points: drawnPath(corners, along?.closed ?? false) }];
  return corners.flatMap((from, i) =>
    i % 2 === 0 && corners[i + 1] ? [{ closed: false, points: [from, corners[i + 1]!] }] : [],
  );
}

/** Other places for a mark at whose place something stands. */
export function alternativesFor(
  work: Fact<'package'>,
  plan: Plan,
  unit: LengthUnit,
  areas: readonly KeepClear[] = [],
  instrument: PlanPoint | null = null,
): OtherOffset[] {
  const others = work.body.plans.filter((each) => each.key !== plan.key).map((each) => each.place);
  return otherOffsets(plan, roundStep(unit), outlinesOf(work), others).filter(
    ({ place }) => hindrancesAt(place, { areas, outlines: [], instrument }).length === 0,
  );
}

/** The package with one mark moved to another offset: a new revision. */
export function withOffset(work: Fact<'package'>, key: string, to: OtherOffset): Package {
  return {
    ...work.body,
    plans: work.body.plans.map((plan) => (plan.key === key ? { ...plan, ...to } : plan)),
    supersedes: work.id,
  };
}

const SAME_PLACE: Metres = 0.0005;

/**
 * Plans made anew, but marks that had been moved to an offset of their own keep it while their corner and the package's
 * offset stay.
 */
export function keepMoved(before: Package, plans: Package['plans'], offset: Metres): Package['plans'] {
  if (before.offset !== offset) return plans;
  const moved = new Map(before.plans.filter((plan) => plan.offset !== before.offset).map((plan) => [plan.key, plan]));
  return plans.map((plan) => {
    const own = moved.get(plan.key);
    return own && planDistance(own.design, plan.design) < SAME_PLACE
      ? { ...plan, offset: own.offset, place: own.place }
      : plan;
  });
}

/** Whether a mark was set for the place and height that the plan asks for now. */
export const isForPlan = (
  mark: { readonly planned: PlanPoint; readonly designZ: Metres | null },
  plan: Plan,
): boolean =>
  planDistance(mark.planned, plan.place) < SAME_PLACE &&
  (mark.designZ === plan.designZ ||
    (mark.designZ !== null && plan.designZ !== null && Math.abs(mark.designZ - plan.designZ) < SAME_PLACE));
