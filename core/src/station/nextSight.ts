/** What one more sight would add to a station, before anybody walks there. */
import type { ControlPoint } from '../sight/observation.ts';
import type { Metres } from '../quantity/unit.ts';
import { checkability, type Checkability } from './acceptance.ts';
import { expectedReading, type PoleSet } from './measuredPoint.ts';
import { resection, stationOfResection, type ResectionInput, type ResectionResult } from './resection.ts';

export interface AddedSight {
  readonly name: string;
  /** Semi-major axis of the station's 95 % ellipse with the sight. */
  readonly radius95: Metres;
  readonly checkability: Checkability;
}

/**
 * The station as it would be with a sight to `point` that fits perfectly: its precision follows from where the marks
 * lie, not from what is read. Null for a point without a place, or when the adjustment does not come out.
 */
export function addedSight(input: ResectionInput, result: ResectionResult, point: ControlPoint, pole: PoleSet): AddedSight | null {
  if (point.e === null || point.n === null) return null;
  const station = stationOfResection(result);
  const expected = expectedReading(station, input.setup, input.reduction, { e: point.e, n: point.n, z: point.z }, pole.targetHeight);
  const observation = {
    ...pole,
    point: point.name,
    face: 1 as const,
    circle: expected.azimuth - station.orientation,
    zenith: expected.zenith,
    slope: expected.slope,
    usePlan: true,
    useHeight: false,
  };
  const known = input.points.some((each) => each.name === point.name);
  const more: ResectionInput = {
    ...input,
    points: known ? input.points : [...input.points, point],
    observations: [...input.observations, observation],
  };
  const solved = resection(more, { leaveOneOut: false });
  return solved.ok ? { name: point.name, radius95: solved.value.ellipse95.a, checkability: checkability(solved.value) } : null;
}
