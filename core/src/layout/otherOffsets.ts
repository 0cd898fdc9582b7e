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

/** Round offsets out and in that are offered, in steps from the asked one. */
const STEPS = [1, 2, 3, 4, 6, 8, -1, -2] as const;
/** Nearer to a corner than this a hub is dug out with it. */
const LEAST: Metres = 0.5;
/** Two hubs nearer than this are taken for one another. */
const APART: Metres = 0.5;

/**
 * Other offsets for a hub, the nearest to the asked one first. The hub stays on the straight line through its corner,
 * so what the stake says changes in one figure only.
 *
 * @param step what offsets are round to, metres: a half on metric sites, a foot on others
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
  // From the round length at or below the asked one: what is offered is round, whatever was asked.
  const round = Math.floor(hub.offset / step + 1e-9) * step;
  return STEPS.map((each) => round + each * step)
    .filter((offset) => offset >= LEAST && Math.abs(offset - hub.offset) > step / 1000)
    .map((offset) => ({ offset, place: polar(hub.design, direction, offset * stretch) }))
    .filter(
      ({ place }) =>
        !outlines.some((outline) => insidePolygon(place, outline)) &&
        !others.some((other) => planDistance(other, place) < APART),
    );
}
