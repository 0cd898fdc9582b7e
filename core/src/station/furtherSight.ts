/** Which sight a station that is not checked should take next. */
import { planDistance, type PlanPoint } from '../plane/point.ts';
import type { Radians } from '../quantity/unit.ts';
import type { ControlPoint } from '../sight/observation.ts';
import { addedSight, bestDirection, worthOf, type Extensible } from './freeReliability.ts';
import type { Step } from './findings.ts';
import type { AskedOfStation } from './reliability.ts';

export const SIGHT_ANY: Step = { code: 'SIGHT_ANOTHER', name: null, azimuth: null, effect: null };

/** The mark, or the direction, that leaves the least hidden; a proof where no listed mark would do. */
export function furtherSight(
  extensible: Extensible,
  sighted: readonly string[],
  open: readonly ControlPoint[],
  asked: AskedOfStation,
): Step {
  const candidates = open.filter((point) => !sighted.includes(point.name));
  const added = candidates
    .flatMap((point) => addedSight(extensible, point, asked, false) ?? [])
    .sort((a, b) => worthOf(a) - worthOf(b));
  const [best] = added;
  if (best && best.checkability !== 'unchecked') {
    const mark = candidates.find((each) => each.name === best.name)! as ControlPoint & PlanPoint;
    return {
      code: 'SIGHT_ANOTHER',
      name: best.name,
      azimuth: azimuthTo(extensible, mark),
      effect: best.worst?.effect ?? null,
    };
  }
  if (best) return { code: 'PROVE_ON', name: best.name };
  const direction = bestDirection(extensible, asked);
  if (!direction || direction.checkability === 'unchecked') return { code: 'PROVE_ON', name: null };
  return { code: 'SIGHT_ANOTHER', name: null, azimuth: direction.azimuth, effect: direction.worst?.effect ?? null };
}

function azimuthTo({ station }: Extensible, mark: PlanPoint): Radians {
  return planDistance(station, mark) === 0
    ? 0
    : (Math.atan2(mark.e - station.e, mark.n - station.n) + 2 * Math.PI) % (2 * Math.PI);
}
