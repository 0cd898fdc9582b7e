/** What a change of the design does to a package that was taken from it, and to marks that stand already. */
import { planDistance, type Metres, type PlanPoint, type Result } from '@idle-marker/core';
import type { Fact, FactBody } from '@idle-marker/contract';
import { hubPlans, keepMoved, prefixOf, type PlanError } from '../work/packagePlans.ts';
import { markKey, type SiteState } from '../site/state.ts';

type Package = FactBody<'package'>;
type Item = Package['items'][number];
type ItemCorner = Item['corners'][number];

export interface AffectedMark {
  readonly key: string;
  readonly name: string;
  /** The mark that stands; null while there is none. */
  readonly mark: Fact<'mark'> | null;
  /** By how much its planned place moves. */
  readonly by: Metres;
  /** By how much its design height rises; null where it gets one or loses it. */
  readonly rises: Metres | null;
}
export interface AffectedPackage {
  readonly work: Fact<'package'>;
  /** Corners that moved, and those that are not found any more. */
  readonly moved: number;
  readonly largest: Metres;
  readonly lost: readonly string[];
  /** Marks whose place or height changes. */
  readonly marks: readonly AffectedMark[];
  /** The package with its corners where they are now; an error when its rule does not go with them. */
  readonly next: Result<Package, PlanError>;
}

const SAME: Metres = 0.0005;

/** How a change of the design reaches an item. */
export interface DesignChange {
  /** Whether its corners were taken from what changed. */
  concerns(item: Item): boolean;
  /** Where such a corner is now; null when it is not found. */
  placeOf(corner: ItemCorner): PlanPoint | null;
  /** The item with its corners where they are now, naming the revision that it is from. */
  revised(item: Item): Item;
}

export function affectedPackage(
  state: SiteState,
  work: Fact<'package'>,
  { concerns, placeOf, revised }: DesignChange,
): AffectedPackage {
  const { lengthUnit } = state.settings;
  let [moved, largest] = [0, 0];
  const lost: string[] = [];
  const items = work.body.items.map((item): Item => {
    if (!concerns(item)) return revised(item);
    const corners = item.corners.map((corner) => {
      const to = placeOf(corner);
      if (!to) {
        lost.push(corner.name);
        return corner;
      }
      const by = planDistance(corner, to);
      if (by < SAME) return corner;
      moved++;
      largest = Math.max(largest, by);
      return { ...corner, e: to.e, n: to.n };
    });
    return revised({ ...item, corners });
  });
  const prefix = prefixOf(work.body) ?? 'M';
  const plans = hubPlans(items, work.body.offset, prefix, lengthUnit);
  const next: AffectedPackage['next'] = plans.ok
    ? { ok: true, value: { ...work.body, items, plans: keepOffsets(work.body, plans.value), supersedes: work.id } }
    : plans;
  const after = new Map(next.ok ? next.value.plans.map((plan) => [plan.key, plan]) : []);
  const root = state.packageRoots.get(work.id)!;
  const marks = work.body.plans.flatMap((plan): AffectedMark[] => {
    const to = after.get(plan.key);
    if (!to) return [];
    const by = planDistance(plan.place, to.place);
    const rises =
      plan.designZ === to.designZ ? 0 : plan.designZ === null || to.designZ === null ? null : to.designZ - plan.designZ;
    if (by < SAME && rises !== null && Math.abs(rises) < SAME) return [];
    return [{ key: plan.key, name: plan.name, by, rises, mark: state.marks.get(markKey(root, plan.key)) ?? null }];
  });
  return { work, moved, largest, lost, marks: marks.sort((a, b) => b.by - a.by), next };
}

/**
 * Marks that had been moved to an offset of their own keep its length and direction, from where their corner is now.
 */
function keepOffsets(before: Package, plans: Package['plans']): Package['plans'] {
  const kept = keepMoved(before, plans, before.offset);
  const own = new Map(
    before.plans.filter((plan) => plan.offset !== before.offset && plan.offset !== 0).map((plan) => [plan.key, plan]),
  );
  return kept.map((plan) => {
    const earlier = own.get(plan.key);
    if (!earlier || plan.offset === earlier.offset) return plan;
    return {
      ...plan,
      offset: earlier.offset,
      place: {
        e: earlier.place.e + plan.design.e - earlier.design.e,
        n: earlier.place.n + plan.design.n - earlier.design.n,
      },
    };
  });
}
