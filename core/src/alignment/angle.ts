import { wrapHalfTurn } from '../quantity/angle.ts';
import { RADIANS_PER_DEGREE, type Metres, type Radians } from '../quantity/unit.ts';
import type { Alignment } from './alignment.ts';
import { directionOn } from './element.ts';

/** A place where the line does not run on in the direction that it arrived in. */
export interface AngleAlong {
  readonly azimuthBack: Radians;
  readonly azimuthAhead: Radians;
  /** Positive to the right, in (-π, π]. */
  readonly deflection: Radians;
}

/** Files round their bearings: less than this is no bend that anybody built. */
export const LEAST_ANGLE: Radians = 0.1 * RADIANS_PER_DEGREE;
const SAME_PLACE: Metres = 0.005;

/** The angle of a line at a station without equations; null where it runs on. */
export function angleAlong({ elements }: Alignment, station: Metres): AngleAlong | null {
  const next = elements.findIndex((element, i) => i > 0 && Math.abs(element.startStation - station) < SAME_PLACE);
  if (next < 0) return null;
  const [before, after] = [elements[next - 1]!, elements[next]!];
  const azimuthBack = directionOn(before, before.length).azimuth;
  const azimuthAhead = directionOn(after, 0).azimuth;
  const deflection = wrapHalfTurn(azimuthAhead - azimuthBack);
  return Math.abs(deflection) < LEAST_ANGLE ? null : { azimuthBack, azimuthAhead, deflection };
}
