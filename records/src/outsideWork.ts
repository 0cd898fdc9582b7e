/** Marks to set outside what the control of a station spans: its figures say little there, so a proof out there is asked for. */
import { planDistance, workOutside, type PlanPoint } from '@idle-marker/core';
import type { AcceptedSolution, ControlMark, SiteState } from './state.ts';
import { proofCandidates } from './proving.ts';

export interface OutsideWork {
  readonly names: readonly string[];
  /** The mark to prove on: not used by the station and nearest to that work; null when none stands on that side. */
  readonly best: ControlMark | null;
  /** Whether a good proof was taken on that side already. */
  readonly proven: boolean;
}

const placeOf = ({ revision: { body } }: ControlMark): PlanPoint | null => (body.e === null || body.n === null ? null : { e: body.e, n: body.n });

/** Null when all work lies inside. */
export function outsideWork(state: SiteState, solution: AcceptedSolution): OutsideWork | null {
  const station = solution.fact.body.result;
  const used = new Set(solution.fact.body.uses.filter((use) => use.plan).map((use) => use.control));
  const control = state.control.filter((mark) => used.has(mark.id)).flatMap((mark) => placeOf(mark) ?? []);
  const work = state.packages.flatMap((each) => each.body.plans.map((plan) => ({ name: plan.name, ...plan.place })));
  const outside = workOutside(station, control, work);
  if (outside.length === 0) return null;
  const middle = { e: outside.reduce((sum, each) => sum + each.e, 0) / outside.length, n: outside.reduce((sum, each) => sum + each.n, 0) / outside.length };
  const reach = planDistance(station, middle);
  /** On that side: nearer to the work outside than the station is. */
  const isThere = (mark: ControlMark) => {
    const place = placeOf(mark);
    return place !== null && planDistance(place, middle) < Math.max(reach, 10);
  };
  const there = proofCandidates(state, solution)
    .filter(({ mark, used: use }) => !use.plan && mark.revision.body.usePlan && isThere(mark))
    .sort((a, b) => planDistance(placeOf(a.mark)!, middle) - planDistance(placeOf(b.mark)!, middle));
  return {
    names: outside.map((each) => each.name),
    best: there[0]?.mark ?? null,
    proven: there.some(({ last }) => last !== null && (last.body.plan === 'good' || last.body.plan === 'moreThanChance')),
  };
}
