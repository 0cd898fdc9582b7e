/** The marks that a work package asks for, generated from its items by rule. Keys are stable, so that regenerating keeps what is set. */
import {
  fail,
  hindrancesAt,
  lineEndHubs,
  METRES_PER_UNIT,
  offsetHubs,
  ok,
  otherOffsets,
  pointMarks,
  pointsWithRecoveries,
  planDistance,
  type KeepClear,
  type LengthUnit,
  type LineEndsError,
  type Metres,
  type OtherOffset,
  type OutlineError,
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

export type PlanError = (OutlineError | LineEndsError | PointsError) & { readonly item: string };

const RULES = { outline: offsetHubs, lineEnds: lineEndHubs, points: pointMarks, recoveries: pointsWithRecoveries } as const;

/** Hubs for every item by its rule. `prefix` goes before each mark's name. */
export function hubPlans(items: Package['items'], offset: Metres, prefix: string): Result<Package['plans'], PlanError> {
  const plans: Package['plans'] = [];
  const taken = new Set<string>();
  for (const item of items) {
    const hubs = RULES[item.rule](item.corners, offset);
    if (!hubs.ok) return fail({ ...hubs.error, item: item.name });
    for (const hub of hubs.value) {
      plans.push({
        key: `${item.name}/${hub.key}`,
        name: freeName(hub.offset === 0 ? `${prefix}-${hub.corner}` : `${prefix}-${hub.corner} ${compassLetters(hub.direction)}`, taken),
        place: hub.place,
        design: hub.designPlace,
        corner: hub.corner,
        item: item.name,
        meaning: item.meaning,
        offset: hub.offset,
        offFace: hub.offFace && [...hub.offFace],
        alsoOffFace: hub.alsoOffFace && [...hub.alsoOffFace],
        onLine: hub.onLine && [...hub.onLine],
        designZ: item.designZ,
      });
    }
  }
  return ok(plans);
}

/** Two items can have corners of one name; the later mark gets a number. */
function freeName(wanted: string, taken: Set<string>): string {
  let name = wanted;
  for (let i = 2; taken.has(name); i++) name = `${wanted} ${i}`;
  taken.add(name);
  return name;
}

/** The closed outlines of a package. */
export const outlinesOf = ({ body }: Fact<'package'>): Item['corners'][] =>
  body.items.filter((item) => item.rule === 'outline' && item.corners.length > 2).map((item) => item.corners);

/** An item as it is drawn: one closed outline, or its lines; points are drawn by their marks. */
export function shapesOf({ rule, corners }: Pick<Item, 'rule' | 'corners'>): readonly { readonly closed: boolean; readonly points: Item['corners'] }[] {
  if (rule === 'points' || rule === 'recoveries') return [];
  if (rule === 'outline') return [{ closed: true, points: corners }];
  return corners.flatMap((from, i) => (i % 2 === 0 && corners[i + 1] ? [{ closed: false, points: [from, corners[i + 1]!] }] : []));
}

const STEP: Readonly<Record<LengthUnit, Metres>> = { metre: 1, foot: 3 * METRES_PER_UNIT.foot, usSurveyFoot: 3 * METRES_PER_UNIT.usSurveyFoot };

/** Other places for a mark at whose place something stands. */
export function alternativesFor(
  work: Fact<'package'>,
  plan: Plan,
  unit: LengthUnit,
  areas: readonly KeepClear[] = [],
  instrument: PlanPoint | null = null,
): OtherOffset[] {
  const others = work.body.plans.filter((each) => each.key !== plan.key).map((each) => each.place);
  return otherOffsets(plan, STEP[unit], outlinesOf(work), others).filter(({ place }) => hindrancesAt(place, { areas, outlines: [], instrument }).length === 0);
}

/** The package with one mark moved to another offset: a new revision. */
export function withOffset(work: Fact<'package'>, key: string, to: OtherOffset): Package {
  return { ...work.body, plans: work.body.plans.map((plan) => (plan.key === key ? { ...plan, ...to } : plan)), supersedes: work.id };
}

const SAME_PLACE: Metres = 0.0005;

/** Plans made anew, but marks that had been moved to an offset of their own keep it while their corner and the package's offset stay. */
export function keepMoved(before: Package, plans: Package['plans'], offset: Metres): Package['plans'] {
  if (before.offset !== offset) return plans;
  const moved = new Map(before.plans.filter((plan) => plan.offset !== before.offset).map((plan) => [plan.key, plan]));
  return plans.map((plan) => {
    const own = moved.get(plan.key);
    return own && planDistance(own.design, plan.design) < SAME_PLACE ? { ...plan, offset: own.offset, place: own.place } : plan;
  });
}

/** Whether a mark was set for the place and height that the plan asks for now. */
export const isForPlan = (mark: { readonly planned: PlanPoint; readonly designZ: Metres | null }, plan: Plan): boolean =>
  planDistance(mark.planned, plan.place) < SAME_PLACE &&
  (mark.designZ === plan.designZ || (mark.designZ !== null && plan.designZ !== null && Math.abs(mark.designZ - plan.designZ) < SAME_PLACE));
