/**
 * What a newer revision of a grid does to the packages whose corners were taken from it: they are found by their names.
 */
import type { PlanPoint } from '@idle-marker/core';
import type { Fact, FactBody } from '@idle-marker/contract';
import { affectedPackage, type AffectedPackage } from '../control/affected.ts';
import { crossingsOf, gridOf, lineEndsOf, midpointsOf } from './siteGrids.ts';
import type { SiteState } from '../site/state.ts';

/** Revisions of one grid, all of them. */
const revisionsOf = (state: SiteState, grid: string): ReadonlySet<string> =>
  new Set(state.ofType.grid.flatMap((fact) => (fact.body.grid === grid ? [fact.id] : [])));

/** @param revision id of the new revision, which the packages then name */
export function affectedByGrid(
  state: SiteState,
  next: Pick<FactBody<'grid'>, 'grid' | 'origin' | 'letters' | 'numbers' | 'spacingMeasured'>,
  revision: string,
): AffectedPackage[] {
  const built = gridOf(next);
  if (!built.ok) return [];
  const places = new Map<string, PlanPoint>(
    [...lineEndsOf(built.value), ...midpointsOf(built.value), ...crossingsOf(built.value)].map(({ name, e, n }) => [
      name,
      { e, n },
    ]),
  );
  const ids = revisionsOf(state, next.grid);
  const concerns = ({ grid }: FactBody<'package'>['items'][number]) => grid !== undefined && ids.has(grid);
  return state.packages
    .filter((work) => work.body.items.some(concerns))
    .map((work) =>
      affectedPackage(state, work, {
        concerns,
        placeOf: ({ name }) => places.get(name) ?? null,
        revised: (item) => (concerns(item) ? { ...item, grid: revision } : item),
      }),
    );
}

/** Grids that a package was taken from and that have been revised since. */
export const olderGrids = (state: SiteState, work: Fact<'package'>): Fact<'grid'>[] =>
  state.grids.filter(
    (fact) =>
      work.body.items.some(({ grid }) => grid !== undefined && grid !== fact.id) &&
      affectedByGrid(state, fact.body, fact.id).some(
        (each) => each.work.id === work.id && (each.moved > 0 || each.lost.length > 0),
      ),
  );
