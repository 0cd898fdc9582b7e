/** A sight to a mark compared with the first one to it from the same placing, and with the drawn line it stands by. */
import { alongOff, measurePoint, reduceReading, type Metres, type PlanPoint } from '@idle-marker/core';
import type { Fact } from '@idle-marker/contract';
import { precisionOf, readingOf, reductionFrom, setupOf, stationOfSolution } from '../station/observations.ts';
import { siteLines } from '../work/siteLines.ts';
import type { AcceptedSolution, SiteState } from '../site/state.ts';

const measured = (state: SiteState, solution: AcceptedSolution, sight: Fact<'sight'>) => {
  const { body } = solution.occupation;
  return measurePoint(
    stationOfSolution(solution.fact.body.result),
    setupOf(body),
    reduceReading(readingOf(sight.body), precisionOf(body), reductionFrom(state, solution)),
  );
};

export interface FirstLook {
  /** Instant of the first sight. */
  readonly at: string;
  /** This sight minus the first, from the same station: the mark's own error drops out. */
  readonly dE: Metres;
  readonly dN: Metres;
  readonly dZ: Metres | null;
}

/** Null when this is the first sight to the mark, or one of the two has no distance. */
export function againstFirst(state: SiteState, solution: AcceptedSolution, sight: Fact<'sight'>): FirstLook | null {
  const { target } = sight.body;
  if (target.kind !== 'control') return null;
  const first = [...state.sights.values()].find(
    ({ id, body }) =>
      body.occupation === solution.occupation.id &&
      body.target.kind === 'control' &&
      body.target.mark === target.mark &&
      body.read.slope !== null &&
      !state.withdrawn.has(id),
  );
  if (!first || first.id === sight.id) return null;
  const then = measured(state, solution, first);
  const now = measured(state, solution, sight);
  if (!then || !now) return null;
  return {
    at: first.at,
    dE: now.e - then.e,
    dN: now.n - then.n,
    dZ: now.z === null || then.z === null ? null : now.z - then.z,
  };
}

/** A mark this far from a drawn line has nothing to do with it. */
const BESIDE: Metres = 5;

/**
 * The drawn line next to a place, and how far the place lies to its right, seen from its first end; null when none is
 * near.
 */
export function besideLine(state: SiteState, place: PlanPoint): { readonly name: string; readonly off: Metres } | null {
  let best: { readonly name: string; readonly off: Metres } | null = null;
  for (const line of siteLines(state)) {
    const beside = alongOff(place, line.from, line.to);
    if (!beside) continue;
    const { along, off } = beside;
    const length = Math.hypot(line.to.e - line.from.e, line.to.n - line.from.n);
    if (along < -BESIDE || along > length + BESIDE || Math.abs(off) > BESIDE) continue;
    if (best === null || Math.abs(off) < Math.abs(best.off)) best = { name: line.name, off };
  }
  return best;
}
