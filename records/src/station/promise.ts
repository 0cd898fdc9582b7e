/** What an accepted station can promise at the marks of a package, pole included. */
import {
  NORMAL_95_FACTOR,
  planDistance,
  predictAt,
  TARGET_HEIGHT_SD,
  targetCentringSd,
  type Metres,
  type PlanPoint,
  type PoleSet,
  type Reliability,
} from '@idle-marker/core';
import type { Fact } from '@idle-marker/contract';
import { askedBy } from '../site/asked.ts';
import { goodToOf } from './checked.ts';
import { reliabilityOf } from './stationDraft.ts';
import { precisionOf, reductionFrom, setupOf, stationOfSolution } from './observations.ts';
import type { AcceptedSolution, SiteState } from '../site/state.ts';
import { classOf } from '../site/toleranceClass.ts';
import { figuresOf } from '../site/stored.ts';

export interface Promised {
  /**
   * Largest semi-major axis of the 95 % ellipses at its marks, with what is in doubt about the station; null where
   * nothing bounds it.
   */
  readonly worst: Metres | null;
  /** Marks at which plan and height meet the package's class, of how many. */
  readonly good: number;
  readonly marks: number;
  /** The mark with the largest ellipse. */
  readonly worstMark: string | null;
  /** By planned mark: what is predicted over what the class allows, the worse of plan and height. */
  readonly ratios: readonly { readonly key: string; readonly place: PlanPoint; readonly ratio: number }[];
  /** What would meet the class at all marks; null when it is met already. */
  readonly cure: Cure | null;
  /** How checkable the station is for what this package asks and has still to be set; null where nothing is tested. */
  readonly reliability: Reliability | null;
}

export type Cure =
  | { readonly code: 'LEGS' }
  | { readonly code: 'LOW_PRISM'; readonly targetHeight: Metres }
  /** From here only marks within this distance meet it: stand nearer, or use a better instrument or a template. */
  | { readonly code: 'SHORTER_SIGHTS'; readonly within: Metres }
  | { readonly code: 'NOTHING_FROM_HERE' };

/** As low as a prism still stands clear of the ground. */
const LOW_PRISM: Metres = 0.3;

const poleOf = (targetHeight: Metres): PoleSet => ({
  targetHeight,
  targetHeightSd: TARGET_HEIGHT_SD,
  targetCentringSd: targetCentringSd(targetHeight, true),
});

export function promiseFor(
  state: SiteState,
  solution: AcceptedSolution,
  work: Fact<'package'>,
  pole: PoleSet,
): Promised {
  const { body } = solution.occupation;
  const station = stationOfSolution(solution.fact.body.result);
  const asked = classOf(state, work.body.class);
  // Accepted while it could not be told what was wrong, it is promised with that doubt.
  const doubt = Math.max(0, (goodToOf(solution) ?? Infinity) - (figuresOf(solution.fact).radius95 ?? 0));
  const predict = (with_: PoleSet) =>
    work.body.plans.map((plan) => ({
      plan,
      ...predictAt(
        station,
        setupOf(body),
        precisionOf(body),
        reductionFrom(state, solution),
        { ...plan.place, z: plan.designZ },
        with_,
      ),
    }));
  const predictions = predict(pole);
  const ratioOf = ({ radius95, sdZ }: (typeof predictions)[number]) =>
    Math.max((radius95 + doubt) / asked.plan, ((sdZ ?? 0) * NORMAL_95_FACTOR) / asked.height);
  const meets = (prediction: (typeof predictions)[number]) => ratioOf(prediction) <= 1;
  const good = predictions.filter(meets);
  const worst = predictions.reduce<(typeof predictions)[number] | null>(
    (a, b) => (a === null || b.radius95 > a.radius95 ? b : a),
    null,
  );
  const allMeet = (with_: PoleSet) => predict(with_).every(meets);
  const cure = (): Cure | null => {
    if (good.length === predictions.length) return null;
    const onLegs = poleOf(pole.targetHeight);
    if (onLegs.targetCentringSd < pole.targetCentringSd && allMeet(onLegs)) return { code: 'LEGS' };
    if (pole.targetHeight > LOW_PRISM && allMeet(poleOf(LOW_PRISM)))
      return { code: 'LOW_PRISM', targetHeight: LOW_PRISM };
    const within = Math.max(
      0,
      ...predict(poleOf(LOW_PRISM))
        .filter(meets)
        .map(({ plan }) => planDistance(station, plan.place)),
    );
    return within > 0 ? { code: 'SHORTER_SIGHTS', within } : { code: 'NOTHING_FROM_HERE' };
  };
  return {
    worst: Number.isFinite(doubt) ? (worst?.radius95 ?? 0) + doubt : null,
    worstMark: worst?.plan.name ?? null,
    good: good.length,
    marks: predictions.length,
    ratios: predictions.map((each) => ({ key: each.plan.key, place: each.plan.place, ratio: ratioOf(each) })),
    cure: cure(),
    reliability: reliabilityOf(state, solution, askedBy(state, work)),
  };
}
