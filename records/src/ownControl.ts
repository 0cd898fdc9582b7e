/** Control of one's own, measured from an accepted station. */
import { measurePoint, reduceReading, type MeasuredPoint } from '@idle-marker/core';
import type { Fact, FactBody } from '@idle-marker/contract';
import { groupSights, precisionOf, reductionFrom, setupOf, stationOfSolution } from './observations.ts';
import type { AcceptedSolution, SiteState } from './state.ts';

/** Where several careful readings of one new mark put it, with the station's own uncertainty; null without a distance. */
export function measuredMark(state: SiteState, solution: AcceptedSolution, sights: readonly Fact<'sight'>[]): MeasuredPoint | null {
  const group = groupSights(sights, () => ({ plan: true, height: true }))[0];
  if (!group) return null;
  const { body } = solution.occupation;
  return measurePoint(
    stationOfSolution(solution.fact.body.result),
    setupOf(body),
    reduceReading(group.observation, precisionOf(body), reductionFrom(state, solution)),
  );
}

const tenthMm = (metres: number): number => Math.round(metres * 1e4) / 10;

/** The new mark as it is listed: it carries its parent and the uncertainty that goes along. */
export function ownControlBody(
  solution: AcceptedSolution,
  measured: MeasuredPoint,
  about: Pick<FactBody<'control'>, 'mark' | 'name' | 'kind' | 'note'> & { readonly spot: string },
): FactBody<'control'> {
  const { plan, varZ } = measured;
  return {
    ...about,
    e: measured.e,
    n: measured.n,
    z: measured.z,
    sdHMm: tenthMm(Math.sqrt((plan.ee + plan.nn) / 2)),
    sdZMm: varZ === null ? null : tenthMm(Math.sqrt(varZ)),
    usePlan: true,
    useHeight: measured.z !== null,
    forProof: false,
    condition: 'usable',
    source: `measured, station ${solution.fact.body.name}`,
    parent: solution.fact.id,
    supersedes: null,
  };
}
