/**
 * How far apart a station is under the explanations that the evidence does not tell apart. The precision of the fit
 * that happens to be shown says nothing about that; the range does.
 */
import type { PlanPoint } from '../plane/point.ts';
import { wrapHalfTurn } from '../quantity/angle.ts';
import type { Metres } from '../quantity/unit.ts';
import type { Explanation, StandsAt } from './explain/explanation.ts';
import type { ResectionResult } from './resection.ts';

export interface Spread {
  /**
   * 95 %: the largest distance between what still stands, at the station and at the work, and its precision. Null where
   * nothing bounds it: with two places, of which one is wrong, the other could be turned about it by any amount.
   */
  readonly goodTo: Metres | null;
  /** How far the station, or a mark set from it, would be off under each of them, the largest first. */
  readonly under: readonly { readonly explanation: Explanation; readonly off: Metres }[];
}

/** Distance of two answers at the station and at the work. */
function apart(a: StandsAt, b: StandsAt, station: PlanPoint, work: readonly PlanPoint[]): Metres {
  const dE = b.e - a.e;
  const dN = b.n - a.n;
  const turn = wrapHalfTurn(b.orientation - a.orientation);
  return work.reduce(
    (most, { e, n }) => Math.max(most, Math.hypot(dE + (n - station.n) * turn, dN - (e - station.e) * turn)),
    Math.hypot(dE, dN),
  );
}

/**
 * Null where only the station that is shown stands.
 *
 * @param bounded whether each place is checked by the others at all
 */
export function spreadOf(
  result: ResectionResult,
  standing: readonly Explanation[],
  work: readonly PlanPoint[],
  bounded: boolean,
): Spread | null {
  const shown: StandsAt = { e: result.e, n: result.n, orientation: result.orientation, radius95: result.ellipse95.a };
  const others = standing.flatMap((explanation) =>
    explanation.stands ? [{ explanation, stands: explanation.stands }] : [],
  );
  if (bounded && others.length < 2 && standing[0]?.code === 'NONE') return null;
  const answers = [shown, ...others.map(({ stands }) => stands)];
  let most = 0;
  for (const [i, a] of answers.entries())
    for (const b of answers.slice(i + 1)) most = Math.max(most, apart(a, b, result, work));
  const radius = answers.reduce((largest, each) => Math.max(largest, each.radius95), 0);
  const under = others.map(({ explanation, stands }) => ({ explanation, off: apart(shown, stands, result, work) }));
  return { goodTo: bounded ? most + radius : null, under: under.sort((a, b) => b.off - a.off) };
}
