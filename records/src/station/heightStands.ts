/**
 * Where to stand for heights alone, on this site: benchmarks of the list, what is to be set, and what stands in the
 * way.
 */
import {
  heightStands,
  placeAlong,
  type HeightStand,
  type Metres,
  type PlanPoint,
  type TrustResult,
} from '@idle-marker/core';
import type { Fact } from '@idle-marker/contract';
import { isOpen, roundOf } from '../work/round.ts';
import type { Road } from '../work/roads.ts';
import type { ControlMark, SiteState } from '../site/state.ts';
import { keptFree } from '../work/keepClear.ts';

/** Benchmarks whose place is known too: without it no line of sight to them can be looked at. */
export const sitedBenchmarks = (state: SiteState): readonly (ControlMark & { readonly at: PlanPoint })[] =>
  state.control.flatMap((mark) => {
    const { e, n, z, useHeight, condition } = mark.revision.body;
    return e !== null && n !== null && z !== null && useHeight && condition !== 'lost'
      ? [{ ...mark, at: { e, n } }]
      : [];
  });

/** Places of the marks of a package that still wait, or of all of them when none does. */
export function waitingPlaces(state: SiteState, trust: TrustResult, work: Fact<'package'>): PlanPoint[] {
  const stops = roundOf(state, trust, work, null);
  const open = stops.filter(isOpen);
  return (open.length > 0 ? open : stops).map(({ plan }) => plan.place);
}

const EVERY: Metres = 10;

/** Places along the middle of a road, close enough to tell what is seen of it. */
export function placesAlong({ alignment }: Road, from: Metres, to: Metres): PlanPoint[] {
  const count = Math.max(1, Math.ceil((to - from) / EVERY));
  return Array.from({ length: count + 1 }, (_, i) => placeAlong(alignment, from + ((to - from) * i) / count)).flatMap(
    (place) => place ?? [],
  );
}

/** So many places tell what is seen of the rest. */
const ASKED = 60;

/** Every so many of a long list, its ends among them. */
export const fewOf = (places: readonly PlanPoint[]): PlanPoint[] =>
  places.length <= ASKED
    ? [...places]
    : Array.from({ length: ASKED }, (_, i) => places[Math.round((i * (places.length - 1)) / (ASKED - 1))]!);

/** Best stands for a corridor or a list of places. */
export function standsForHeights(state: SiteState, targets: readonly PlanPoint[], reach: Metres): HeightStand[] {
  return heightStands({
    benchmarks: sitedBenchmarks(state).map(({ at }) => at),
    targets,
    hiding: state.areas.filter(({ body }) => body.blocksSight).map(({ body }) => body.corners),
    keepOut: keptFree(state).map(({ body }) => ({ outline: body.corners, margin: body.margin })),
    reach,
  });
}
