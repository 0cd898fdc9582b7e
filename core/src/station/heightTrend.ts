/**
 * Whether the misfit of heights is the same at all marks or grows with distance. A heaved mark shifts the station's
 * height by its share and tilts nothing; what grows comes from an index error, a compensator that is off, or
 * refraction.
 */
import type { Metres } from '../quantity/unit.ts';
import type { ResectionResult } from './resection.ts';

export interface HeightTrend {
  /** Growth of the station height that each mark gives, per metre of distance to it. */
  readonly perMetre: number;
  readonly sd: number;
  readonly w: number;
  readonly nearest: Metres;
  readonly farthest: Metres;
}

/**
 * Straight line through the marks' station heights over their distances; null with fewer than three, or all at one
 * distance.
 */
export function heightTrend(result: ResectionResult): HeightTrend | null {
  const list = result.observations.flatMap(({ reduced, height }) =>
    height && reduced.horizontal !== null
      ? [{ distance: reduced.horizontal, z: height.stationZ, weight: 1 / height.sd ** 2 }]
      : [],
  );
  if (list.length < 3) return null;
  const weights = list.reduce((sum, each) => sum + each.weight, 0);
  const distance = list.reduce((sum, each) => sum + each.weight * each.distance, 0) / weights;
  const origin = list[0]!.z;
  const z = list.reduce((sum, each) => sum + each.weight * (each.z - origin), 0) / weights;
  const square = list.reduce((sum, each) => sum + each.weight * (each.distance - distance) ** 2, 0);
  const distances = list.map((each) => each.distance);
  const [nearest, farthest] = [Math.min(...distances), Math.max(...distances)];
  if (farthest - nearest < 1) return null;
  const perMetre =
    list.reduce((sum, each) => sum + each.weight * (each.distance - distance) * (each.z - origin - z), 0) / square;
  const sd = Math.sqrt(1 / square);
  return { perMetre, sd, w: perMetre / sd, nearest, farthest };
}
