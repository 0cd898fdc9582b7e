/** Points that are staked back one by one: a package of their own, which each further point is added to. */
import { ok, planDistance, type Corner, type LengthUnit, type Metres, type Result } from '@idle-marker/core';
import type { Fact, FactBody } from '@idle-marker/contract';
import { usualClass } from '../site/toleranceClass.ts';
import type { SiteState } from '../site/state.ts';
import { hubPlans, prefixOf, type PlanError } from './packagePlans.ts';

type Package = FactBody<'package'>;

/** What the package is called where there is none yet. */
export interface SinglePointNames {
  readonly package: string;
  readonly crew: string;
  readonly prefix: string;
}

/** Nearer than this a point lies where it lay: no new revision is made for it. */
const SAME: Metres = 0.0005;

export interface SinglePoint {
  /** The key of its mark. */
  readonly key: string;
  /** Null where the package has it as it is. */
  readonly body: Package | null;
  readonly before: Fact<'package'> | null;
}

const isSame = (a: Corner, b: Corner): boolean =>
  planDistance(a, b) < SAME && (a.z ?? null) === (b.z ?? null) && a.code === b.code;

/**
 * The package of single points with this one in it. A name that is there at another place or height takes the new one:
 * it was measured again.
 */
export function withSinglePoint(
  state: SiteState,
  point: Corner,
  names: SinglePointNames,
  unit: LengthUnit,
): Result<SinglePoint, PlanError> {
  const before = state.packages.find(({ body }) => body.name === names.package) ?? null;
  const item = before?.body.items.find(({ rule }) => rule === 'points');
  const key = `${item?.name ?? names.package}/${point.name}`;
  const there = item?.corners.find(({ name }) => name === point.name);
  if (there && isSame(there, point)) return ok({ key, body: null, before });
  const corners = there
    ? item!.corners.map((corner) => (corner.name === point.name ? { ...point } : corner))
    : [...(item?.corners ?? []), { ...point }];
  const next: Package['items'][number] = {
    ...(item ?? { name: names.package, meaning: 'centre', designZ: null, rule: 'points', source: '' }),
    heights: 'own',
    corners,
  };
  const items = item
    ? before!.body.items.map((each) => (each === item ? next : each))
    : [...(before?.body.items ?? []), next];
  const usual = usualClass(state, 'grid');
  const offset = before?.body.offset ?? usual.offset ?? 1;
  const prefix = (before && prefixOf(before.body)) ?? names.prefix;
  const plans = hubPlans(items, offset, prefix, unit);
  if (!plans.ok) return plans;
  return ok({
    key,
    before,
    body: {
      ...(before?.body ?? {
        name: names.package,
        crew: names.crew,
        class: usual.id,
        heightReference: 'surface',
        offset,
        also: null,
        ground: null,
      }),
      items,
      plans: plans.value,
      supersedes: before?.id ?? null,
    },
  });
}
