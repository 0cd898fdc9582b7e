/**
 * Whether what proofs find over a day stays where it is, goes off at one moment, or creeps.
 *
 * Two models are set against "nothing happened": a step between two proofs, and a line over time. A step is a bump or a
 * mark that was hit, a line is a tripod that settles. The better one is told when it leaves chance behind; because
 * every place for a step is tried, the limit is the usual one for so many tries (Bonferroni). Source: Hawkins, "Testing
 * a Sequence of Observations for a Shift in Location" (1977), with the variance known.
 */
import { chiSquareQuantile } from '../adjust/chiSquare.ts';

export interface Sample {
  /** Any unit of time, rising. */
  readonly at: number;
  readonly value: number;
  readonly sd: number;
}

export type Drift =
  | { readonly kind: 'none' }
  /** Between `from` and `to` the value changed by `size`. */
  | { readonly kind: 'step'; readonly from: number; readonly to: number; readonly size: number; readonly w: number }
  | { readonly kind: 'creep'; readonly perTime: number; readonly w: number };

/** Chance of accusing a faultless series. */
const FALSE_ALARM = 0.01;
/** A line needs more than the two ends to be told from a step. */
const LEAST_FOR_CREEP = 4;

interface Weighted {
  readonly weight: number;
  readonly mean: number;
}

function meanOf(samples: readonly Sample[]): Weighted {
  const weight = samples.reduce((sum, { sd }) => sum + 1 / sd ** 2, 0);
  return { weight, mean: samples.reduce((sum, { value, sd }) => sum + value / sd ** 2, 0) / weight };
}

/** Judges a series in order of time; standard deviations must be positive. Fewer than three samples tell nothing. */
export function driftOf(samples: readonly Sample[]): Drift {
  if (samples.length < 3) return { kind: 'none' };
  let step: Extract<Drift, { kind: 'step' }> | null = null;
  for (let k = 1; k < samples.length; k++) {
    const before = meanOf(samples.slice(0, k));
    const after = meanOf(samples.slice(k));
    const size = after.mean - before.mean;
    const w = size / Math.sqrt(1 / before.weight + 1 / after.weight);
    if (step === null || Math.abs(w) > Math.abs(step.w))
      step = { kind: 'step', from: samples[k - 1]!.at, to: samples[k]!.at, size, w };
  }
  const creep = creepOf(samples);
  const limit = Math.sqrt(chiSquareQuantile(1 - FALSE_ALARM / (samples.length - 1), 1));
  const best = creep && Math.abs(creep.w) > Math.abs(step!.w) ? creep : step!;
  return Math.abs(best.w) > limit ? best : { kind: 'none' };
}

function creepOf(samples: readonly Sample[]): Extract<Drift, { kind: 'creep' }> | null {
  if (samples.length < LEAST_FOR_CREEP) return null;
  const weight = samples.reduce((sum, { sd }) => sum + 1 / sd ** 2, 0);
  const middle = samples.reduce((sum, { at, sd }) => sum + at / sd ** 2, 0) / weight;
  const { mean } = meanOf(samples);
  const spread = samples.reduce((sum, { at, sd }) => sum + (at - middle) ** 2 / sd ** 2, 0);
  if (!(spread > 0)) return null;
  const perTime =
    samples.reduce((sum, { at, value, sd }) => sum + ((at - middle) * (value - mean)) / sd ** 2, 0) / spread;
  return { kind: 'creep', perTime, w: perTime * Math.sqrt(spread) };
}
