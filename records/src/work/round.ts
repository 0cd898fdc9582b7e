/** The round of a work package: its marks in walking order, with what became of each. */
import { walkingSteps, planDistance, type PlanPoint, type Standing, type TrustResult } from '@idle-marker/core';
import type { Fact, FactBody } from '@idle-marker/contract';
import { isForPlan } from './packagePlans.ts';
import { markKey, type SiteState } from '../site/state.ts';

type Plan = FactBody<'package'>['plans'][number];

export interface RoundStop {
  readonly plan: Plan;
  /** The mark that stands for this plan; null while there is none. */
  readonly mark: Fact<'mark'> | null;
  readonly standing: Standing | null;
  /** The mark stands for another place or height than the plan asks for by now. */
  readonly outdated: boolean;
  readonly obstruction: Fact<'obstruction'> | null;
  /** Somebody said that the mark is gone or was hit. */
  readonly report: Fact<'report'> | null;
}

/**
 * Hundreds of marks take a while to put in order, and the order changes only with the plans and with where one starts.
 */
const orders = new WeakMap<readonly Plan[], { readonly start: PlanPoint; readonly order: readonly number[] }>();

const keptOrder = (plans: readonly Plan[], start: PlanPoint): readonly number[] | null => {
  const kept = orders.get(plans);
  return kept && kept.start.e === start.e && kept.start.n === start.n ? kept.order : null;
};

function orderOf(plans: readonly Plan[], start: PlanPoint): readonly number[] {
  const steps = orderSteps(plans, start);
  for (;;) {
    const step = steps.next();
    if (step.done) return step.value;
  }
}

function* orderSteps(plans: readonly Plan[], start: PlanPoint): Generator<void, readonly number[]> {
  const kept = keptOrder(plans, start);
  if (kept) return kept;
  const order = yield* walkingSteps(
    start,
    plans.map((plan) => plan.place),
  );
  orders.set(plans, { start, order });
  return order;
}

/** So many marks are put in order before anybody notices. */
const AT_ONCE = 60;

const startOf = ({ body: { plans } }: Fact<'package'>, at: PlanPoint | null): PlanPoint | null =>
  at ?? plans[0]?.place ?? null;

/** Whether the walking order of a package from a place is known, or found in no time. */
export function isOrdered(work: Fact<'package'>, at: PlanPoint | null): boolean {
  const { plans } = work.body;
  const start = startOf(work, at);
  return start === null || plans.length <= AT_ONCE || keptOrder(plans, start) !== null;
}

/** Finds it in steps, between which something else may be done. */
export function* walkSteps(work: Fact<'package'>, at: PlanPoint | null): Generator<void, void> {
  const start = startOf(work, at);
  if (start !== null) yield* orderSteps(work.body.plans, start);
}

/** Stops in walking order from `start`; in the package's own order when that is null. */
export function roundOf(
  state: SiteState,
  trust: TrustResult,
  work: Fact<'package'>,
  start: PlanPoint | null,
): RoundStop[] {
  const { plans } = work.body;
  const order = startOf(work, start);
  if (order === null) return [];
  const root = state.packageRoots.get(work.id)!;
  const standings = new Map(trust.marks.map((mark) => [mark.id, mark.standing]));
  const walked = orderOf(plans, order);
  return walked.map((i) => {
    const plan = plans[i]!;
    const key = markKey(root, plan.key);
    const mark = state.marks.get(key) ?? null;
    return {
      plan,
      mark,
      standing: mark && (standings.get(mark.id) ?? null),
      outdated: mark !== null && !isForPlan(mark.body, plan),
      obstruction: state.obstructions.get(key) ?? null,
      report: (mark && state.reports.get(mark.id)) ?? null,
    };
  });
}

/** Whether a stop waits to be set: no mark, or one that nobody should build from; and nothing in the way. */
export const isOpen = ({ mark, standing, outdated, obstruction, report }: RoundStop): boolean =>
  obstruction === null &&
  (mark === null || mark.body.state === 'rough' || outdated || standing === 'inDoubt' || report !== null);

/** The next open stop after `key`, going round; null when none is left. */
export function nextOpen(round: readonly RoundStop[], key: string | null): RoundStop | null {
  const from = round.findIndex((stop) => stop.plan.key === key);
  return [...round.slice(from + 1), ...round.slice(0, Math.max(from, 0))].find(isOpen) ?? null;
}

/** What is still open first, in walking order; then what is blocked or done. `walk` is metres from the pole. */
export function roundRows(
  round: readonly RoundStop[],
  pole: PlanPoint,
): readonly (RoundStop & { readonly walk: number })[] {
  return round
    .map((stop) => ({ ...stop, walk: planDistance(pole, stop.plan.place) }))
    .sort((a, b) => Number(!isOpen(a)) - Number(!isOpen(b)));
}
