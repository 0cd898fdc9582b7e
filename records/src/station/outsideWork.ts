/**
 * Marks to set outside what the control of a station spans: its figures say little there, so a proof out there is asked
 * for.
 */
import {
  azimuth,
  planDistance,
  RADIANS_PER_DEGREE,
  workOutside,
  wrapHalfTurn,
  type PlanPoint,
} from '@idle-marker/core';
import type { AcceptedSolution, ControlMark, SiteState } from '../site/state.ts';
import { proofCandidates } from '../proof/proving.ts';

export interface OutsideWork {
  readonly names: readonly string[];
  /** The mark to prove on: not used by the station and nearest to that work; null when none stands on that side. */
  readonly best: ControlMark | null;
  /** Whether a good proof was taken on that side already. */
  readonly proven: boolean;
}

const SIDE = 60 * RADIANS_PER_DEGREE;

const placeOf = ({ revision: { body } }: ControlMark): PlanPoint | null =>
  body.e === null || body.n === null ? null : { e: body.e, n: body.n };

/** Null when all work lies inside. */
export function outsideWork(state: SiteState, solution: AcceptedSolution): OutsideWork | null {
  const station = solution.fact.body.result;
  const used = new Set(solution.fact.body.uses.filter((use) => use.plan).map((use) => use.control));
  const control = state.control.filter((mark) => used.has(mark.id)).flatMap((mark) => placeOf(mark) ?? []);
  const work = state.packages.flatMap((each) => each.body.plans.map((plan) => ({ name: plan.name, ...plan.place })));
  const outside = workOutside(station, control, work);
  if (outside.length === 0) return null;
  const middle = {
    e: outside.reduce((sum, each) => sum + each.e, 0) / outside.length,
    n: outside.reduce((sum, each) => sum + each.n, 0) / outside.length,
  };
  const reach = planDistance(station, middle);
  const way = azimuth(station, middle);
  // What the station sighted and left out is no witness for it.
  const sighted = new Set(solution.fact.body.uses.map((use) => use.control));
  /** On that side: about in that direction, and not much nearer than the work is. */
  const isThere = (mark: ControlMark) => {
    const place = placeOf(mark);
    if (place === null || sighted.has(mark.id)) return false;
    return Math.abs(wrapHalfTurn(azimuth(station, place) - way)) < SIDE && planDistance(station, place) > reach / 2;
  };
  const there = proofCandidates(state, solution)
    .filter(({ mark }) => mark.revision.body.usePlan && isThere(mark))
    .sort((a, b) => planDistance(placeOf(a.mark)!, middle) - planDistance(placeOf(b.mark)!, middle));
  return {
    names: outside.map((each) => each.name),
    best: there[0]?.mark ?? null,
    proven: there.some(
      ({ last }) => last !== null && (last.body.plan === 'good' || last.body.plan === 'moreThanChance'),
    ),
  };
}
