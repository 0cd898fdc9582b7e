/**
 * The scale of the noise is part of the model: heat, a pole by hand or a worn bubble make all sights worse than stated, and that
 * accuses nobody. Every standard deviation carries one unknown factor s, and what a sum of squares V with f degrees of freedom
 * says is averaged over it,
 *
 *   -2 ln ∫ s^(-f) exp(-V / 2s²) p(s) ds,   ln s normal about 0
 *
 * taken as a sum over evenly spaced ln s. Source: MacKay, "Bayesian Interpolation" (1992), unknown noise level.
 */

/** Standard deviation of ln s: what is stated of instrument, targets and marks is believed to about a quarter. */
const LOG_SD = 0.23;
/** Sights that fit better than stated are luck, not a better instrument: that makes no small misfit weightier. */
const FROM = -0.1;
const TO = 2.3;
const STEP = 0.1;

interface Node {
  readonly log: number;
  /** 1 / 2s². */
  readonly half: number;
  /** ln of the prior's share. */
  readonly prior: number;
}

const NODES: readonly Node[] = (() => {
  const logs = Array.from({ length: Math.round((TO - FROM) / STEP) + 1 }, (_, i) => FROM + i * STEP);
  const whole = logs.reduce((sum, log) => sum + Math.exp(-0.5 * (log / LOG_SD) ** 2), 0);
  return logs.map((log) => ({ log, half: 0.5 * Math.exp(-2 * log), prior: -0.5 * (log / LOG_SD) ** 2 - Math.log(whole) }));
})();

/** How badly a sum of squares fits, on the scale of v'Pv: smaller is better. Infinite for an infinite sum. */
export function fitUnder(sum: number, dof: number): number {
  if (sum === Infinity) return Infinity;
  const freedom = Math.max(0, dof);
  let best = -Infinity;
  for (const { log, half, prior } of NODES) best = Math.max(best, prior - freedom * log - sum * half);
  let total = 0;
  for (const { log, half, prior } of NODES) total += Math.exp(prior - freedom * log - sum * half - best);
  return -2 * (best + Math.log(total));
}

/** The factor that is believed most, given a sum of squares: how much noisier than stated the sights are. */
export function noiseOf(sum: number, dof: number): number {
  const freedom = Math.max(0, dof);
  let best = -Infinity;
  for (const { log, half, prior } of NODES) best = Math.max(best, prior - freedom * log - sum * half);
  let total = 0;
  let mean = 0;
  for (const { log, half, prior } of NODES) {
    const weight = Math.exp(prior - freedom * log - sum * half - best);
    total += weight;
    mean += weight * log;
  }
  return Math.exp(mean / total);
}
