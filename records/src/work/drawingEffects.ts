/** What a newer revision of a drawing does to the packages that were taken from it. */
import type { Metres, PlanPoint } from '@idle-marker/core';
import type { Fact, FactBody } from '@idle-marker/contract';
import { factOf } from '../facts/book.ts';
import { affectedPackage, type AffectedPackage } from '../control/affected.ts';
import { surfacePlaces } from './packagePlans.ts';
import type { SiteState } from '../site/state.ts';

type Package = FactBody<'package'>;

/** The drawing that a revision is one of; null when there is no such revision. */
export function drawingOfRevision(state: SiteState, revision: string): string | null {
  return factOf(state, 'drawing', revision)?.body.drawing ?? null;
}

/** Revisions of one drawing, all of them. */
export const revisionsOf = (state: SiteState, drawing: string): Fact<'drawing'>[] =>
  state.ofType.drawing.filter((fact) => fact.body.drawing === drawing);

type Item = Package['items'][number];

/** Its heights were taken from a surface of one of these revisions. */
const isOn = (surface: Item['surface'], revisions: ReadonlySet<string>): boolean =>
  surface?.drawing !== undefined && revisions.has(surface.drawing);

/** Its corners or its heights were taken from one of these revisions. */
const isFrom = ({ drawing, surface }: Item, revisions: ReadonlySet<string>): boolean =>
  (drawing !== undefined && revisions.has(drawing)) || isOn(surface, revisions);

/** Packages with an item from a drawing, whatever its revision. */
export function packagesFrom(state: SiteState, drawing: string): Fact<'package'>[] {
  const ids = new Set(revisionsOf(state, drawing).map(({ id }) => id));
  return state.packages.filter((work) => work.body.items.some((item) => isFrom(item, ids)));
}

/** Packages that were taken from a drawing that is not in use any more. */
export function fromRetired(state: SiteState, work: Fact<'package'>): Fact<'drawing'>[] {
  return [
    ...new Set(work.body.items.flatMap((item) => [item.drawing ?? [], item.surface?.drawing ?? []].flat())),
  ].flatMap((id) => {
    const used = factOf(state, 'drawing', id);
    return used && !state.drawings.some((fact) => fact.body.drawing === used.body.drawing) ? [used] : [];
  });
}

/** A height of a surface of the newer drawing: null where it has none, undefined while it was not asked. */
export type HeightOf = (surface: string, point: PlanPoint) => Metres | null | undefined;

/**
 * @param revision id of the new revision of the drawing, which the packages then name
 * @param placeOf where a corner of the older drawing is in the newer one; null when it is not found
 * @param missing surfaces that the newer drawing has no more: heights stay as they were taken, and are told as lost
 */
export function affectedPackages(
  state: SiteState,
  drawing: string,
  revision: string,
  placeOf: (point: PlanPoint) => PlanPoint | null,
  heightOf: HeightOf = () => undefined,
  missing: ReadonlySet<string> = new Set(),
): AffectedPackage[] {
  const ids = new Set(revisionsOf(state, drawing).map(({ id }) => id));
  const concerns = (item: Item) => item.drawing !== undefined && ids.has(item.drawing);
  return packagesFrom(state, drawing).map((work) => {
    const gone = new Set(
      work.body.items.flatMap(({ surface }) =>
        surface && isOn(surface, ids) && missing.has(surface.name) ? [surface.name] : [],
      ),
    );
    const affected = affectedPackage(state, work, {
      concerns,
      placeOf,
      revised: (item) => {
        const named = concerns(item) ? { ...item, drawing: revision } : item;
        const { surface } = named;
        if (!surface || !isOn(surface, ids)) return named;
        const known = new Map(surface.heights.map(({ key, z }) => [key, z]));
        const heights = surfacePlaces(named, work.body.offset, state.settings.lengthUnit).map(({ key, at }) => {
          const z = heightOf(surface.name, at);
          return { key, z: z === undefined ? (known.get(key) ?? null) : z };
        });
        return { ...named, surface: { name: surface.name, drawing: revision, heights } };
      },
    });
    return { ...affected, lost: [...affected.lost, ...[...gone].map((name) => `surface ${name}`)] };
  });
}

/** Places that the surfaces of a newer drawing are asked at, by surface. */
export function heightsToAsk(
  state: SiteState,
  drawing: string,
  affected: readonly AffectedPackage[],
): ReadonlyMap<string, readonly PlanPoint[]> {
  const asked = new Map<string, PlanPoint[]>();
  const ids = new Set(revisionsOf(state, drawing).map(({ id }) => id));
  for (const { work, next } of affected)
    for (const item of next.ok ? next.value.items : [])
      if (item.surface && isOn(item.surface, ids))
        asked.set(item.surface.name, [
          ...(asked.get(item.surface.name) ?? []),
          ...surfacePlaces(item, work.body.offset, state.settings.lengthUnit).map(({ at }) => at),
        ]);
  return asked;
}
