/**
 * Control compared pair by pair: distance and height difference between two marks as measured from one set-up, against
 * the list. Neither orientation nor the station's place enters, so one bad mark shows in all of its pairs and in no
 * others.
 */
import { CRITICAL_W } from '../adjust/criticalValues.ts';
import type { Metres } from '../quantity/unit.ts';
import type { ControlPoint } from '../sight/observation.ts';
import type { ReducedObservation } from '../sight/reduce.ts';

export interface ControlPair {
  readonly from: string;
  readonly to: string;
  /** Grid distance measured, and measured minus listed. Null where either mark has no plan or no distance. */
  readonly distance: Metres | null;
  readonly dDistance: Metres | null;
  readonly sdDistance: Metres | null;
  /** Height difference from-to, measured minus listed. */
  readonly dHeight: Metres | null;
  readonly sdHeight: Metres | null;
  /** The larger of the two misfits over its standard deviation; null when neither could be compared. */
  readonly ratio: number | null;
  readonly exceeds: boolean;
}

interface Local {
  readonly observation: ReducedObservation;
  readonly point: ControlPoint;
  readonly e: Metres;
  readonly n: Metres;
}

/** Pairs of all marks sighted, the worst first. One observation a mark: repeats are averaged before. */
export function controlPairs(
  observations: readonly ReducedObservation[],
  points: ReadonlyMap<string, ControlPoint>,
): ControlPair[] {
  const seen = new Map<string, Local>();
  for (const observation of observations) {
    const point = points.get(observation.point);
    if (!point || observation.gridDistance === null || seen.has(observation.point)) continue;
    const { gridDistance, hz } = observation;
    seen.set(observation.point, { observation, point, e: gridDistance * Math.sin(hz), n: gridDistance * Math.cos(hz) });
  }
  const local = [...seen.values()];
  const pairs = local.flatMap((a, i) => local.slice(i + 1).map((b) => pairOf(a, b)));
  return pairs.sort((a, b) => (b.ratio ?? -1) - (a.ratio ?? -1));
}

/** Variance of a mark's local place along a direction: radial and lateral parts of the sight, target and list. */
function varianceAlong({ observation, point }: Local, azimuth: number): number {
  const turn = azimuth - observation.hz;
  const place = observation.targetCentringSd ** 2 + (point.sdPlan ?? 0) ** 2;
  const radial = observation.varRadial + place;
  const lateral = observation.horizontal! ** 2 * observation.varDirection + place;
  return Math.cos(turn) ** 2 * radial + Math.sin(turn) ** 2 * lateral;
}

function pairOf(a: Local, b: Local): ControlPair {
  const inPlan = a.point.e !== null && a.point.n !== null && b.point.e !== null && b.point.n !== null;
  const distance = Math.hypot(b.e - a.e, b.n - a.n);
  const azimuth = Math.atan2(b.e - a.e, b.n - a.n);
  const dDistance = inPlan ? distance - Math.hypot(b.point.e - a.point.e, b.point.n - a.point.n) : null;
  const sdDistance = inPlan ? Math.sqrt(varianceAlong(a, azimuth) + varianceAlong(b, azimuth)) : null;
  const inHeight =
    a.point.z !== null &&
    b.point.z !== null &&
    a.observation.heightDifference !== null &&
    b.observation.heightDifference !== null;
  const rise = (each: Local) => each.observation.heightDifference! - each.observation.targetHeight;
  const dHeight = inHeight ? rise(b) - rise(a) - (b.point.z - a.point.z) : null;
  const varHeight = (each: Local) =>
    each.observation.varHeightDifference + each.observation.targetHeightSd ** 2 + (each.point.sdHeight ?? 0) ** 2;
  const sdHeight = inHeight ? Math.sqrt(varHeight(a) + varHeight(b)) : null;
  const ratios = [
    dDistance !== null && sdDistance ? Math.abs(dDistance) / sdDistance : null,
    dHeight !== null && sdHeight ? Math.abs(dHeight) / sdHeight : null,
  ];
  const known = ratios.filter((each) => each !== null);
  const ratio = known.length === 0 ? null : Math.max(...known);
  return {
    from: a.point.name,
    to: b.point.name,
    distance: inPlan ? distance : null,
    dDistance,
    sdDistance,
    dHeight,
    sdHeight,
    ratio,
    exceeds: (ratio ?? 0) > CRITICAL_W,
  };
}
