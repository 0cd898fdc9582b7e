/** A station over a mark that was measured from the station before (leapfrog): the errors of that station go along. */
import { traverse, type HeightFrom, type Metres, type ResectionResult, type SolvedStation } from '@idle-marker/core';
import type { Fact } from '@idle-marker/contract';
import {
  controlPointOf,
  groupSights,
  precisionOf,
  reductionFrom,
  setupOf,
  stationOfSolution,
  type SightGroup,
} from '../station/observations.ts';
import { sightsOf } from '../site/indexes.ts';
import type { AcceptedSolution, SiteState } from '../site/state.ts';
import { centringOf } from '../site/stored.ts';

const SAME_PLACE: Metres = 0.002;

export interface Forward {
  readonly from: AcceptedSolution;
  /** The careful sights that put the mark there. */
  readonly foresight: SightGroup;
}

/** The station that measured the mark under the instrument; null when that was given, not measured. */
export function broughtFrom(state: SiteState, { body }: Fact<'occupation'>): Forward | null {
  const { over } = body;
  const revision =
    over && state.control.find((mark) => mark.id === over.mark)?.revisions.find((each) => each.id === over.revision);
  const from = revision && state.accepted.find((each) => each.fact.id === revision.body.parent && !each.withdrawn);
  if (!from) return null;
  const sights = sightsOf(state, from.occupation.id).filter(
    ({ body: { purpose, target } }) => purpose === 'control' && target.kind === 'control' && target.mark === over.mark,
  );
  const foresight = groupSights(sights, () => ({ plan: true, height: true }))[0];
  return foresight && foresight.observation.slope !== null ? { from, foresight } : null;
}

/** Whether a mark is the ground under the station that it was brought from: then its error is that station's own. */
export function isGroundOf(state: SiteState, solution: AcceptedSolution, mark: string): boolean {
  const body = state.control.find((each) => each.id === mark)?.revision.body;
  const { e, n } = solution.fact.body.result;
  return (
    body !== undefined &&
    body.e !== null &&
    body.n !== null &&
    body.parent === solution.fact.id &&
    Math.hypot(body.e - e, body.n - n) < SAME_PLACE
  );
}

/**
 * The same station with what the one before and the new mark have in common; as it was when nothing was brought
 * forward.
 */
export function withForward(
  state: SiteState,
  occupation: Fact<'occupation'>,
  solved: SolvedStation,
  groups: readonly SightGroup[],
  heightFrom: HeightFrom | null,
): SolvedStation {
  const forward = broughtFrom(state, occupation);
  const used = groups.filter((group) => group.observation.usePlan);
  const [backsight] = used;
  // With several backsights each of them checks the others; the one look back is what a leapfrog hangs on.
  if (!forward || !backsight || used.length !== 1) return solved;
  const { from, foresight } = forward;
  const own = isGroundOf(state, from, backsight.mark);
  const carried = traverse({
    instrument: precisionOf(occupation.body),
    station: { ...stationOfSolution(from.fact.body.result), name: own ? backsight.mark : from.fact.id },
    setup: setupOf(from.occupation.body),
    reduction: reductionFrom(state, from),
    points: own
      ? []
      : state.control.filter((mark) => mark.id === backsight.mark).map((mark) => controlPointOf(mark.revision.body)),
    foresight: { ...foresight.observation, point: foresight.mark },
    nextSetup: { ...setupOf(occupation.body), instrumentCentringSd: centringOf(occupation) },
    backsight: { ...backsight.observation, point: backsight.mark },
  });
  if (!carried.ok) return solved;
  const { nextStation, backsightCheck } = carried.value;
  const { height } = solved.result;
  const result: ResectionResult = {
    ...solved.result,
    ...nextStation,
    // Benchmarks know nothing of the station before.
    height:
      height && heightFrom === 'mark'
        ? { ...height, sdTrunnionZ: nextStation.sdTrunnionZ ?? height.sdTrunnionZ }
        : height,
  };
  return {
    ...solved,
    result,
    judgement: {
      ...solved.judgement,
      goodTo: result.ellipse95.a,
      because: [
        {
          code: 'CARRIED_FORWARD',
          from: from.fact.body.name,
          distanceOff: backsightCheck.distance,
          heightOff: backsightCheck.dZ,
        },
        ...solved.judgement.because.filter((reason) => reason.code !== 'OVER_ONE_BACKSIGHT'),
      ],
    },
  };
}
