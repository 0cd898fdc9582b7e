/** Control of one's own, measured from an accepted station. */
import {
  azimuth,
  distanceToPolygon,
  insidePolygon,
  measurePoint,
  planDistance,
  polar,
  reduceReading,
  wrapHalfTurn,
  type MeasuredPoint,
  type Metres,
  type PlanPoint,
  type Radians,
} from '@idle-marker/core';
import type { Fact, FactBody } from '@idle-marker/contract';
import { msg } from '@idle-marker/words';
import { groupSights, precisionOf, reductionFrom, setupOf, stationOfSolution } from '../station/observations.ts';
import type { AcceptedSolution, SiteState } from '../site/state.ts';

/**
 * Where several careful readings of one new mark put it, with the station's own uncertainty; null without a distance.
 */
export function measuredMark(
  state: SiteState,
  solution: AcceptedSolution,
  sights: readonly Fact<'sight'>[],
): MeasuredPoint | null {
  const group = groupSights(sights, () => ({ plan: true, height: true }))[0];
  if (!group) return null;
  const { body } = solution.occupation;
  return measurePoint(
    stationOfSolution(solution.fact.body.result),
    setupOf(body),
    reduceReading(group.observation, precisionOf(body), reductionFrom(state, solution)),
  );
}

/** Distances from the work at which a mark is still seen well, and out of its way. */
const AWAY: readonly Metres[] = [45, 60, 80];
const WAYS = 24;
/** Nearer to an outline than this it is in the way of the work. */
const CLEAR: Metres = 8;

/**
 * Where a further mark would help most: outside of the works, in the middle of the widest gap that the control leaves.
 */
export function placeForControl(state: SiteState, solution: AcceptedSolution): PlanPoint {
  const station = solution.fact.body.result;
  const corners = state.packages.flatMap((work) => work.body.items.flatMap((item) => item.corners));
  const middle =
    corners.length === 0
      ? station
      : {
          e: corners.reduce((sum, corner) => sum + corner.e, 0) / corners.length,
          n: corners.reduce((sum, corner) => sum + corner.n, 0) / corners.length,
        };
  const reach = Math.max(0, ...corners.map((corner) => planDistance(corner, middle)));
  const seen = state.control.flatMap(({ revision: { body } }) =>
    body.e === null || body.n === null || body.condition === 'lost' ? [] : [azimuth(middle, { e: body.e, n: body.n })],
  );
  const gap = (way: Radians) => Math.min(Math.PI, ...seen.map((other) => Math.abs(wrapHalfTurn(way - other))));
  const isClear = (place: PlanPoint) =>
    state.packages.every((work) =>
      work.body.items.every(
        (item) =>
          item.corners.length < 3 ||
          (!insidePolygon(place, item.corners) &&
            distanceToPolygon(place, item.corners) > CLEAR + (work.body.ground?.reach ?? 0)),
      ),
    );
  const ways = Array.from({ length: WAYS }, (_, i) => (i * 2 * Math.PI) / WAYS);
  const places = ways
    .flatMap((way) => AWAY.map((away) => ({ way, place: polar(middle, way, Math.min(reach, 40) + away) })))
    .filter(({ place }) => isClear(place) && planDistance(place, station) > CLEAR)
    .sort((a, b) => gap(b.way) - gap(a.way));
  return places[0]?.place ?? polar(middle, 0, reach + AWAY[0]!);
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
    source: msg('records.measuredStation', { name: solution.fact.body.name }),
    parent: solution.fact.id,
    supersedes: null,
  };
}
