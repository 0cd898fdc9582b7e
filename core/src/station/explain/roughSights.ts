/** Heavy tails: one sight far rougher than stated, without any fault. */
import { contributions, leaveOutHeight } from '../heightAdjustment.ts';
import { predictionCovariance } from '../planProblem.ts';
import { meanShift, type Station0, type WithoutMark } from './explanation.ts';

/** Nothing is wrong, but the sight to one mark is far rougher than stated: what it costs, in plan or in height. */
export interface RoughSight {
  readonly part: 'plan' | 'height';
  readonly sum: number;
  readonly cost: number;
}

/** A rough sight has so many times the stated errors. */
const ROUGH = 4;
/** How seldom one is, in plan and in height: heights suffer from what the pole stands on, too. */
const SELDOM = { plan: 0.0023, height: 0.0077 } as const;

/**
 * Heavy tails: a sight may be rough without any fault. Its difference from the rest is then judged with its own part of
 * the covariance C widened, which is paid for by the determinant.
 */
export function roughSights(station: Station0, withoutAny: ReadonlyMap<string, WithoutMark>): RoughSight[] {
  const widen = ROUGH ** 2 - 1;
  const inPlan = [...withoutAny.values()].map((without): RoughSight => {
    const { names, own, solution, rest } = without;
    const { dE, dN } = meanShift(station, names, own, solution);
    const all = predictionCovariance(solution, own, station.byName.get(names[0]!)!.sdPlan ?? 0);
    const ownPart = predictionCovariance(
      { ...solution, inverse: NO_ERROR },
      own,
      station.byName.get(names[0]!)!.sdPlan ?? 0,
    );
    const [ee, nn, en] = [all.ee + widen * ownPart.ee, all.nn + widen * ownPart.nn, all.en + widen * ownPart.en];
    const determinant = ee * nn - en * en;
    const t = (dE * dE * nn - 2 * dE * dN * en + dN * dN * ee) / determinant;
    return {
      part: 'plan',
      sum: rest + t,
      cost: Math.log(determinant / (all.ee * all.nn - all.en * all.en)) - 2 * Math.log(SELDOM.plan),
    };
  });
  const { reduced, byName, input } = station;
  const list = contributions(reduced, byName, input.setup);
  const inHeight = list.flatMap(({ name, variance }): RoughSight[] => {
    const out = leaveOutHeight(name, reduced, byName, input.setup);
    if (!out) return [];
    const wide = out.sd ** 2 + widen * variance;
    const sum = Math.max(0, station.none.height - out.w ** 2) + (out.dZ * out.dZ) / wide;
    return [{ part: 'height', sum, cost: Math.log(wide / out.sd ** 2) - 2 * Math.log(SELDOM.height) }];
  });
  return [...inPlan, ...inHeight];
}
const NO_ERROR = new Float64Array(16);
