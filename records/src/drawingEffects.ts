/** What a newer revision of a drawing does to the packages that were taken from it, and to marks that stand already. */
import { planDistance, type Metres, type PlanPoint, type Result } from '@idle-marker/core';
import type { Fact, FactBody } from '@idle-marker/contract';
import { hubPlans, keepMoved, type PlanError } from './packagePlans.ts';
import { markKey, type SiteState } from './state.ts';

type Package = FactBody<'package'>;

export interface AffectedMark {
  readonly key: string;
  readonly name: string;
  /** The mark that stands; null while there is none. */
  readonly mark: Fact<'mark'> | null;
  /** By how much its planned place moves. */
  readonly by: Metres;
}
export interface AffectedPackage {
  readonly work: Fact<'package'>;
  /** Corners of the drawing that moved, and those that are not found in it any more. */
  readonly moved: number;
  readonly largest: Metres;
  readonly lost: readonly string[];
  /** Marks whose place moves. */
  readonly marks: readonly AffectedMark[];
  /** The package with its corners where they are now; an error when its rule does not go with them. */
  readonly next: Result<Package, PlanError>;
}

const SAME: Metres = 0.0005;

/** Revisions of one drawing, all of them. */
export const revisionsOf = (state: SiteState, drawing: string): Fact<'drawing'>[] =>
  state.timeline.filter((fact): fact is Fact<'drawing'> => fact.type === 'drawing' && fact.body.drawing === drawing);

/** Packages with an item from a drawing, whatever its revision. */
export function packagesFrom(state: SiteState, drawing: string): Fact<'package'>[] {
  const ids = new Set(revisionsOf(state, drawing).map(({ id }) => id));
  return state.packages.filter((work) => work.body.items.some((item) => item.drawing !== undefined && ids.has(item.drawing)));
}

/** Packages that were taken from a drawing that is not in use any more. */
export function fromRetired(state: SiteState, work: Fact<'package'>): Fact<'drawing'>[] {
  const drawings = state.timeline.filter((fact): fact is Fact<'drawing'> => fact.type === 'drawing');
  return [...new Set(work.body.items.flatMap((item) => item.drawing ?? []))].flatMap((id) => {
    const used = drawings.find((fact) => fact.id === id);
    return used && !state.drawings.some((fact) => fact.body.drawing === used.body.drawing) ? [used] : [];
  });
}

/**
 * @param revision id of the new revision of the drawing, which the packages then name
 * @param placeOf where a corner of the older drawing is in the newer one; null when it is not found
 */
export function affectedPackages(state: SiteState, drawing: string, revision: string, placeOf: (point: PlanPoint) => PlanPoint | null): AffectedPackage[] {
  const ids = new Set(revisionsOf(state, drawing).map(({ id }) => id));
  const roots = state.packageRoots;
  return packagesFrom(state, drawing).map((work): AffectedPackage => {
    let [moved, largest] = [0, 0];
    const lost: string[] = [];
    const items = work.body.items.map((item) => {
      if (item.drawing === undefined || !ids.has(item.drawing)) return item;
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
      return { ...item, corners, drawing: revision };
    });
    const prefix = work.body.plans[0]?.name.split('-')[0] ?? 'M';
    const plans = hubPlans(items, work.body.offset, prefix, state.settings.lengthUnit);
    const next: AffectedPackage['next'] = plans.ok
      ? { ok: true, value: { ...work.body, items, plans: keepOffsets(work.body, plans.value), supersedes: work.id } }
      : plans;
    const places = new Map(next.ok ? next.value.plans.map((plan) => [plan.key, plan.place]) : []);
    const marks = work.body.plans.flatMap((plan): AffectedMark[] => {
      const to = places.get(plan.key);
      const by = to ? planDistance(plan.place, to) : 0;
      return by < SAME ? [] : [{ key: plan.key, name: plan.name, by, mark: state.marks.get(markKey(roots.get(work.id)!, plan.key)) ?? null }];
    });
    return { work, moved, largest, lost, marks: marks.sort((a, b) => b.by - a.by), next };
  });
}

/** Marks that had been moved to an offset of their own keep its length and direction, from where their corner is now. */
function keepOffsets(before: Package, plans: Package['plans']): Package['plans'] {
  const kept = keepMoved(before, plans, before.offset);
  const own = new Map(before.plans.filter((plan) => plan.offset !== before.offset && plan.offset !== 0).map((plan) => [plan.key, plan]));
  return kept.map((plan) => {
    const earlier = own.get(plan.key);
    if (!earlier || plan.offset === earlier.offset) return plan;
    return {
      ...plan,
      offset: earlier.offset,
      place: { e: earlier.place.e + plan.design.e - earlier.design.e, n: earlier.place.n + plan.design.n - earlier.design.n },
    };
  });
}
