/** Where sights that are noisier than stated are noisy. */
import type { ResectionResult } from './resection.ts';

/**
 * What makes sights noisy, as far as the misfits tell: the pole near by, the air far off, the distance meter, or none
 * of them above the others.
 */
export type NoiseSource = 'POLE' | 'AIR' | 'DISTANCE' | 'ANY';

/** One kind of misfit stands out where its mean square is so many times that of the others. */
const STANDS_OUT = 2.5;

/**
 * Where the misfits are: at near marks it is the pole, at far ones or in height the air, in distances alone the meter.
 */
export function noiseSource(result: ResectionResult): NoiseSource {
  const sums = { near: [0, 0], far: [0, 0], direction: [0, 0], distance: [0, 0] };
  const lengths = result.observations.flatMap((each) => each.reduced.horizontal ?? []).sort((a, b) => a - b);
  const middle = lengths[Math.floor(lengths.length / 2)] ?? 0;
  const add = (sum: number[], w: number | null | undefined) => {
    if (w === null || w === undefined) return;
    sum[0]! += w * w;
    sum[1]! += 1;
  };
  for (const { reduced, direction, distance, height } of result.observations) {
    const where = (reduced.horizontal ?? 0) < middle ? sums.near : sums.far;
    add(where, direction?.standardisedResidual);
    add(where, distance?.standardisedResidual);
    add(where, height?.standardisedResidual);
    add(sums.direction, direction?.standardisedResidual);
    add(sums.distance, distance?.standardisedResidual);
  }
  const mean = ([sum, count]: readonly number[]) => (count! > 0 ? sum! / count! : 0);
  if (mean(sums.distance) > STANDS_OUT * mean(sums.direction)) return 'DISTANCE';
  if (mean(sums.near) > STANDS_OUT * mean(sums.far)) return 'POLE';
  return mean(sums.far) > STANDS_OUT * mean(sums.near) ? 'AIR' : 'ANY';
}
