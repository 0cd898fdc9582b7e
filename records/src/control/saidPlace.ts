/**
 * Whether a place that was said in words is where it was meant: outside of what is built, or mirrored about its line.
 */
import { distanceToPolygon, insidePolygon, type Metres, type PlanPoint } from '@idle-marker/core';
import type { Fact } from '@idle-marker/contract';
import { outlinesOf } from '../work/packagePlans.ts';

export type PlaceDoubt =
  | { readonly code: 'OUTSIDE'; readonly distance: Metres }
  /** The place on the other side of the line would be inside. */
  | { readonly code: 'MIRRORED'; readonly distance: Metres };

/** Nearer than this to an outline is on it. */
const ON_OUTLINE: Metres = 0.01;

/**
 * @param mirrored the same figures said to the other side; null when nothing could be exchanged
 * @returns null when it lies inside or on an outline, or when there is no outline to be outside of
 */
export function placeDoubt(
  place: PlanPoint,
  mirrored: PlanPoint | null,
  packages: readonly Fact<'package'>[],
): PlaceDoubt | null {
  const outlines = packages.flatMap(outlinesOf);
  if (outlines.length === 0) return null;
  const isInside = (point: PlanPoint) =>
    outlines.some((outline) => insidePolygon(point, outline) || distanceToPolygon(point, outline) <= ON_OUTLINE);
  if (isInside(place)) return null;
  const distance = Math.min(...outlines.map((outline) => distanceToPolygon(place, outline)));
  return mirrored && isInside(mirrored) ? { code: 'MIRRORED', distance } : { code: 'OUTSIDE', distance };
}
