/** How near the outlines of a package come to buildings, boundaries and the outlines of other packages. */
import { outlineGap, planDistance, sharedPart, type Metres, type PlanPoint } from '@idle-marker/core';
import type { Fact, FactBody } from '@idle-marker/contract';
import type { SiteState } from '../site/state.ts';
import { isOutline, shapesOf } from './packagePlans.ts';

type Item = FactBody<'package'>['items'][number];

export interface Clearance {
  readonly item: string;
  /** Corner of the item that is nearest to where the gap is. */
  readonly corner: string;
  readonly other: string;
  readonly kind: 'building' | 'boundary' | 'outline';
  /** It runs into a building or another outline, or over the boundary. */
  readonly overlaps: boolean;
  readonly gap: Metres;
  /** Where on the item, and where on the other. */
  readonly at: PlanPoint;
  readonly to: PlanPoint;
}

interface Neighbour {
  readonly name: string;
  readonly kind: Clearance['kind'];
  readonly corners: readonly PlanPoint[];
}

/** Outlines that share more of their ground than this are one thing in two packages: its dig, its walls, its cladding. */
const SAME_SHARE = 0.5;

/** What an item is measured against: what stands, what is somebody else's, and what else is to be built. */
function neighboursOf(state: SiteState, own: string | null): Neighbour[] {
  const standing = state.areas.flatMap(({ body: { name, kind, corners } }): Neighbour[] =>
    kind === 'building' || kind === 'boundary' ? [{ name, kind, corners }] : [],
  );
  const others = state.packages
    .filter((work) => state.packageRoots.get(work.id) !== own)
    .flatMap(({ body }) =>
      body.items
        .filter(isOutline)
        .map((item): Neighbour => ({ name: item.name, kind: 'outline', corners: shapesOf(item).at(-1)!.points })),
    );
  return [...standing, ...others];
}

/** The line that is built: where it is moved outward, the outer one. */
const builtLine = (item: Item): readonly PlanPoint[] => shapesOf(item).at(-1)!.points;

function between(item: Item, { name, kind, corners }: Neighbour): Clearance | null {
  const line = builtLine(item);
  const { gap, at, to, crosses, within } = outlineGap(line, corners);
  // The same name, or mostly the same ground, is the same thing: a footing round its wall, a pier in its hall.
  if (kind === 'outline' && (item.name === name || within !== null || sharedPart(line, corners) > SAME_SHARE))
    return null;
  const overlaps = crosses || (kind === 'boundary' ? within !== 'first' : within !== null);
  const corner = item.corners.reduce((best, each) => (planDistance(each, at) < planDistance(best, at) ? each : best));
  return { item: item.name, corner: corner.name, other: name, kind, overlaps, gap: overlaps ? 0 : gap, at, to };
}

/**
 * Of each outline against each neighbour, overlaps first, then the smallest gaps.
 * @param own root of the package that the items belong to; null while it is new
 */
export function clearancesOf(state: SiteState, items: readonly Item[], own: string | null): Clearance[] {
  const neighbours = neighboursOf(state, own);
  return items
    .filter(isOutline)
    .flatMap((item) => neighbours.flatMap((other) => between(item, other) ?? []))
    .sort((a, b) => Number(b.overlaps) - Number(a.overlaps) || a.gap - b.gap);
}

/** Of these, what has to be told: overlaps, and gaps smaller than the work asks for. */
export const tooNear = (clearances: readonly Clearance[], least: Metres): readonly Clearance[] =>
  clearances.filter(({ overlaps, gap }) => overlaps || gap < least);

/** What is too near to a package as it stands; by its corners, too, for who stands at one. */
export const packageTooNear = (state: SiteState, work: Fact<'package'>): readonly Clearance[] =>
  tooNear(
    clearancesOf(state, work.body.items, state.packageRoots.get(work.id) ?? null),
    work.body.clearance?.least ?? 0,
  );
