/** What a newer revision of a drawing does to the packages that were taken from it, and to marks that stand already. */
import { planDistance, type Metres, type PlanPoint, type Result } from '@idle-marker/core';
import type { Fact, FactBody } from '@idle-marker/contract';
import { hubPlans, keepMoved, surfacePlaces, type PlanError } from './packagePlans.ts';
import { markKey, type SiteState } from './state.ts';

type Package = FactBody<'package'>;

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
  /** Corners of the drawing that moved, and those that are not found in it any more. */
  readonly moved: number;
  readonly largest: Metres;
  readonly lost: readonly string[];
  /** Marks whose place or height changes. */
  readonly marks: readonly AffectedMark[];
  /** The package with its corners where they are now; an error when its rule does not go with them. */
  readonly next: Result<Package, PlanError>;
}

const SAME: Metres = 0.0005;

/** The drawing that a revision is one of; null when there is no such revision. */
export function drawingOfRevision(state: SiteState, revision: string): string | null {
  const fact = state.timeline.find((each) => each.id === revision);
  return fact?.type === 'drawing' ? fact.body.drawing : null;
}

/** Revisions of one drawing, all of them. */
export const revisionsOf = (state: SiteState, drawing: string): Fact<'drawing'>[] =>
  state.timeline.filter((fact): fact is Fact<'drawing'> => fact.type === 'drawing' && fact.body.drawing === drawing);

type Item = Package['items'][number];

/** Its corners or its heights were taken from one of these revisions. */
const isFrom = ({ drawing, surface }: Item, revisions: ReadonlySet<string>): boolean =>
  (drawing !== undefined && revisions.has(drawing)) || (surface !== undefined && revisions.has(surface.drawing));

/** Packages with an item from a drawing, whatever its revision. */
export function packagesFrom(state: SiteState, drawing: string): Fact<'package'>[] {
  const ids = new Set(revisionsOf(state, drawing).map(({ id }) => id));
  return state.packages.filter((work) => work.body.items.some((item) => isFrom(item, ids)));
}

/** Packages that were taken from a drawing that is not in use any more. */
export function fromRetired(state: SiteState, work: Fact<'package'>): Fact<'drawing'>[] {
  const drawings = state.timeline.filter((fact): fact is Fact<'drawing'> => fact.type === 'drawing');
  return [...new Set(work.body.items.flatMap((item) => [item.drawing ?? [], item.surface?.drawing ?? []].flat()))].flatMap((id) => {
    const used = drawings.find((fact) => fact.id === id);
    return used && !state.drawings.some((fact) => fact.body.drawing === used.body.drawing) ? [used] : [];
  });
}

/** A height of a surface of the newer drawing: null where it has none, undefined while it was not asked. */
export type HeightOf = (surface: string, point: PlanPoint) => Metres | null | undefined;

/**
 * @param revision id of the new revision of the drawing, which the packages then name
 * @param placeOf where a corner of the older drawing is in the newer one; null when it is not found
 */
export function affectedPackages(
  state: SiteState,
  drawing: string,
  revision: string,
  placeOf: (point: PlanPoint) => PlanPoint | null,
  heightOf: HeightOf = () => undefined,
): AffectedPackage[] {
  const ids = new Set(revisionsOf(state, drawing).map(({ id }) => id));
  const roots = state.packageRoots;
  const { lengthUnit } = state.settings;
  return packagesFrom(state, drawing).map((work): AffectedPackage => {
    let [moved, largest] = [0, 0];
    const lost: string[] = [];
    const withCorners = (item: Item): Item => {
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
    };
    const items = work.body.items.map(withCorners).map((item): Item => {
      const { surface } = item;
      if (!surface || !ids.has(surface.drawing)) return item;
      const known = new Map(surface.heights.map(({ key, z }) => [key, z]));
      const heights = surfacePlaces(item, work.body.offset, lengthUnit).map(({ key, at }) => {
        const z = heightOf(surface.name, at);
        return { key, z: z === undefined ? (known.get(key) ?? null) : z };
      });
      return { ...item, surface: { ...surface, drawing: revision, heights } };
    });
    const prefix = work.body.plans[0]?.name.split('-')[0] ?? 'M';
    const plans = hubPlans(items, work.body.offset, prefix, lengthUnit);
    const next: AffectedPackage['next'] = plans.ok
      ? { ok: true, value: { ...work.body, items, plans: keepOffsets(work.body, plans.value), supersedes: work.id } }
      : plans;
    const after = new Map(next.ok ? next.value.plans.map((plan) => [plan.key, plan]) : []);
    const marks = work.body.plans.flatMap((plan): AffectedMark[] => {
      const to = after.get(plan.key);
      if (!to) return [];
      const by = planDistance(plan.place, to.place);
      const rises = plan.designZ === to.designZ ? 0 : plan.designZ === null || to.designZ === null ? null : to.designZ - plan.designZ;
      if (by < SAME && rises !== null && Math.abs(rises) < SAME) return [];
      return [{ key: plan.key, name: plan.name, by, rises, mark: state.marks.get(markKey(roots.get(work.id)!, plan.key)) ?? null }];
    });
    return { work, moved, largest, lost, marks: marks.sort((a, b) => b.by - a.by), next };
  });
}

/** Places that the surfaces of a newer drawing are asked at, by surface. */
export function heightsToAsk(state: SiteState, drawing: string, affected: readonly AffectedPackage[]): ReadonlyMap<string, readonly PlanPoint[]> {
  const asked = new Map<string, PlanPoint[]>();
  const ids = new Set(revisionsOf(state, drawing).map(({ id }) => id));
  for (const { work, next } of affected)
    for (const item of next.ok ? next.value.items : [])
      if (item.surface && ids.has(item.surface.drawing))
        asked.set(item.surface.name, [
          ...(asked.get(item.surface.name) ?? []),
          ...surfacePlaces(item, work.body.offset, state.settings.lengthUnit).map(({ at }) => at),
        ]);
  return asked;
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
