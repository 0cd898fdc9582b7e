/**
 * Where a slope that starts at a hinge meets the ground. Source: C. D. Ghilani, P. R. Wolf, Elementary Surveying,
 * chapter 26 (slope staking): trial distances until the height that the slope has there is that of the ground.
 */
import type { Metres } from '../quantity/unit.ts';

export interface SlopeAsked {
  readonly hingeZ: Metres;
  /** Metres out for a metre of height, where the ground is above the hinge and where it is below. */
  readonly cutRun: number;
  readonly fillRun: number;
  /** No catch is looked for farther out. */
  readonly farthest: Metres;
}
export interface CatchPoint {
  readonly kind: 'cut' | 'fill';
  /** From the hinge outward, level. */
  readonly distance: Metres;
  readonly z: Metres;
}
export type CatchOutcome =
  | ({ readonly status: 'found' } & CatchPoint)
  /** The ground has no height `distance` out, before the slope met it. */
  | { readonly status: 'noGround'; readonly distance: Metres }
  /** As far as was looked the slope does not meet the ground. */
  | { readonly status: 'notMet'; readonly kind: 'cut' | 'fill' };

/** Steps in which the ground is looked at for the first meeting; then it is halved. */
const STEP: Metres = 0.25;
const CLOSE: Metres = 1e-5;

/** @param ground its height so far out from the hinge; null where it has none */
export function catchPoint(
  ground: (distance: Metres) => Metres | null,
  { hingeZ, cutRun, fillRun, farthest }: SlopeAsked,
): CatchOutcome {
  const atHinge = ground(0);
  if (atHinge === null) return { status: 'noGround', distance: 0 };
  const kind = atHinge >= hingeZ ? 'cut' : 'fill';
  const slope = (distance: Metres) => hingeZ + (kind === 'cut' ? distance / cutRun : -distance / fillRun);
  /** How far the ground still lies beyond the slope; 0 where they meet. */
  const beyond = (distance: Metres, z: Metres) => (kind === 'cut' ? z - slope(distance) : slope(distance) - z);
  if (beyond(0, atHinge) < CLOSE) return { status: 'found', kind, distance: 0, z: hingeZ };
  let low = 0;
  while (low < farthest) {
    const out = Math.min(low + STEP, farthest);
    const z = ground(out);
    if (z === null) return { status: 'noGround', distance: out };
    if (beyond(out, z) <= 0) return closedIn(ground, beyond, slope, kind, low, out);
    low = out;
  }
  return { status: 'notMet', kind };
}

function closedIn(
  ground: (distance: Metres) => Metres | null,
  beyond: (distance: Metres, z: Metres) => Metres,
  slope: (distance: Metres) => Metres,
  kind: 'cut' | 'fill',
  from: Metres,
  to: Metres,
): CatchOutcome {
  let [low, high] = [from, to];
  while (high - low > CLOSE) {
    const middle = (low + high) / 2;
    const z = ground(middle);
    if (z === null) return { status: 'noGround', distance: middle };
    if (beyond(middle, z) > 0) low = middle;
    else high = middle;
  }
  const distance = (low + high) / 2;
  return { status: 'found', kind, distance, z: slope(distance) };
}

/**
 * What to do at the pole: how far out a slope of this kind would be where the measured ground lies, and what is left to
 * walk.
 */
export interface CatchGuidance {
  readonly kind: 'cut' | 'fill';
  /** Where the slope has the height that was measured. */
  readonly wanted: Metres;
  /** Out (positive) or in from the pole: a first guess, since the ground changes on the way. */
  readonly move: Metres;
  /** Ground over the slope at the pole, positive above. */
  readonly overSlope: Metres;
}

/** @param distance of the pole from the hinge, outward; `z` of the ground there */
export function catchGuidance({ hingeZ, cutRun, fillRun }: SlopeAsked, distance: Metres, z: Metres): CatchGuidance {
  const kind = z >= hingeZ ? 'cut' : 'fill';
  const wanted = kind === 'cut' ? (z - hingeZ) * cutRun : (hingeZ - z) * fillRun;
  const slope = kind === 'cut' ? hingeZ + distance / cutRun : hingeZ - distance / fillRun;
  return { kind, wanted, move: wanted - distance, overSlope: z - slope };
}
