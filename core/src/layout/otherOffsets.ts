/**
 * Where else a hub can go when something stands at its place: further out or nearer in on the same line of sight to its
 * corner.
 */
import { planDistance, polar, azimuth, type PlanPoint } from '../plane/point.ts';
import { insidePolygon } from '../plane/polygon.ts';
import type { Metres } from '../quantity/unit.ts';

export interface OtherOffset {
  /** Square off the face, or along the line, as the hub's own offset. */
  readonly offset: Metres;
  readonly place: PlanPoint;
}

/** Whole steps in and out that are offered, as multiples of the step. */
const STEPS = [1, 2, 3, 4, -1] as const;
/** Nearer to a corner than this a hub is dug out with it. */
const LEAST: Metres = 0.5;
/** Two hubs nearer than this are taken for one another. */
const APART: Metres = 0.5;

/**
 * Other offsets for a hub, the nearest to the asked one first. The hub stays on the straight line through its corner,
 * so what the stake says changes in one figure only.
 *
 * @param step what offsets are rounded to and changed by, metres: 1 on metric sites, a round number of feet on others
 * @param outlines closed outlines that no hub may stand in
 * @param others places of other hubs
 */
export function otherOffsets(
  hub: { readonly place: PlanPoint; readonly design: PlanPoint; readonly offset: Metres },
  step: Metres,
  outlines: readonly (readonly PlanPoint[])[],
  others: readonly PlanPoint[],
): OtherOffset[] {
  const reach = planDistance(hub.design, hub.place);
  if (reach === 0 || hub.offset === 0) return [];
  const direction = azimuth(hub.design, hub.place);
  // At a corner that is not square the distance along the line is longer than the offset off the face.
  const stretch = reach / hub.offset;
  return STEPS.map((each) => hub.offset + each * step)
    .filter((offset) => offset >= LEAST)
    .map((offset) => ({ offset, place: polar(hub.design, direction, offset * stretch) }))
    .filter(
      ({ place }) =>
        !outlines.some((outline) => insidePolygon(place, outline)) &&
        !others.some((other) => planDistance(other, place) < APART),
    );
}
