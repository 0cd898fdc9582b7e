/** Whether a reading was to the mark that was named. */
import { planDistance, type PlanPoint } from '../plane/point.ts';
import type { Metres } from '../quantity/unit.ts';

export interface LikelyPoint {
  readonly name: string;
  /** From where it was measured to where the likelier mark, and the named one, are listed. */
  readonly distance: Metres;
  readonly namedDistance: Metres;
}

/** Nearer than this to the named mark the name is not doubted: a knocked mark is still that mark. */
const SURELY_NAMED: Metres = 0.3;
/** Another mark is likelier when it lies within this, and this many times nearer. */
const SURELY_OTHER: Metres = 0.3;
const TIMES_NEARER = 5;

/** The mark that a measured place fits far better than the one it was named for; null when there is none. */
export function likelierPoint(
  measured: PlanPoint,
  named: string,
  listed: readonly (PlanPoint & { readonly name: string })[],
): LikelyPoint | null {
  const own = listed.find((each) => each.name === named);
  if (!own) return null;
  const namedDistance = planDistance(measured, own);
  if (namedDistance < SURELY_NAMED) return null;
  const others = listed
    .filter((each) => each.name !== named)
    .map((each) => ({ name: each.name, distance: planDistance(measured, each), namedDistance }));
  const nearest = others.sort((a, b) => a.distance - b.distance)[0];
  return nearest && nearest.distance < SURELY_OTHER && nearest.distance * TIMES_NEARER < namedDistance ? nearest : null;
}
