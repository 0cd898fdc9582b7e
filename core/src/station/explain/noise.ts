/**
 * The scale of the noise is part of the model: heat, a pole by hand or a worn bubble make all sights worse than stated,
 * and that accuses nobody. Every standard deviation carries one unknown factor s, and what a sum of squares V with f
 * degrees of freedom says is averaged over it,
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
  return logs.map((log) => ({
    log,
    half: 0.5 * Math.exp(-2 * log),
    prior: -0.5 * (log / LOG_SD) ** 2 - Math.log(whole),
  }));
})();

interface Weighed {
  /** ln of the averaged likelihood, and the mean of ln s that it believes in. */
  readonly log: number;
  readonly meanLog: number;
}

function weighed(sum: number, dof: number): Weighed {
  const freedom = Math.max(0, dof);
  const each = ({ log, half, prior }: Node) => prior - freedom * log - sum * half;
  let best = -Infinity;
  for (const node of NODES) best = Math.max(best, each(node));
  let total = 0;
  let mean = 0;
  for (const node of NODES) {
    const weight = Math.exp(each(node) - best);
    total += weight;
    mean += weight * node.log;
  }
  return { log: best + Math.log(total), meanLog: mean / total };
}

/** How badly a sum of squares fits, on the scale of v'Pv: smaller is better. Infinite for an infinite sum. */
export const fitUnder = (sum: number, dof: number): number =>
  sum === Infinity ? Infinity : -2 * weighed(sum, dof).log;

/** The factor that is believed, given a sum of squares: how much noisier than stated the sights are. */
export const noiseOf = (sum: number, dof: number): number => Math.exp(weighed(sum, dof).meanLog);
