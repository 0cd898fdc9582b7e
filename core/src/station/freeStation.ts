/**
 * A free station: its input checked, its sights reduced and its plan solved, once. The table of residuals, the
 * judgement and what would go unseen all start from here, and share the solutions without a mark.
 */
import type { Metres } from '../quantity/unit.ts';
import { fail, ok, type Result } from '../result.ts';
import type { ControlPoint, InstrumentPrecision, Observation, Reduction, Setup } from '../sight/observation.ts';
import { reduceObservations, type ReducedObservation } from '../sight/reduce.ts';
import type { StationError } from './model.ts';
import { adjustPlan, type PlanSight, type PlanSolution, type Undetermined } from './planAdjustment.ts';
import { sightOf, type PlanProblem } from './planProblem.ts';
import {
  coincidentPoints,
  duplicateName,
  invalidNumberIn,
  invalidObservation,
  missingCoordinates,
} from './validate.ts';

export interface ResectionInput {
  readonly instrument: InstrumentPrecision;
  readonly setup: Setup;
  readonly reduction: Reduction;
  readonly freeScale: boolean;
  readonly points: readonly ControlPoint[];
  readonly observations: readonly Observation[];
}

export interface FreeStation extends PlanProblem {
  readonly input: ResectionInput;
  readonly reduced: readonly ReducedObservation[];
  /**
   * Those of them that are used in plan, the same as the adjustment sees them, and their names, in order of appearance.
   */
  readonly used: readonly ReducedObservation[];
  readonly sights: readonly PlanSight[];
  readonly names: readonly string[];
  readonly solved: Result<PlanSolution, Undetermined>;
  /** Solutions without a mark, once they were asked for; null where there is none. */
  readonly without: Map<string, PlanSolution | null>;
}

/** A distance alone without a distance tells nothing. */
export const isUsedInPlan = (observation: ReducedObservation): boolean =>
  observation.usePlan && (observation.useDirection || observation.slope !== null);

/** Whether the used observations could give a station at all; `null` when they could. */
function countError(
  byName: ReadonlyMap<string, ControlPoint>,
  freeScale: boolean,
  used: readonly ReducedObservation[],
): StationError | null {
  const places: { name: string; e: Metres; n: Metres }[] = [];
  let given = 0;
  for (const observation of used) {
    given += (observation.slope === null ? 0 : 1) + (observation.useDirection ? 1 : 0);
    // A station has a handful of marks: looking through the list costs less than a set.
    if (!places.some((place) => place.name === observation.point))
      places.push(byName.get(observation.point)! as (typeof places)[number]);
  }
  const coincident = coincidentPoints(places);
  if (coincident) return coincident;
  if (places.length < 2)
    return { code: 'TOO_FEW_OBSERVATIONS', path: ['observations'], given: places.length, needed: 2 };
  const unknownCount = freeScale ? 4 : 3;
  return given < unknownCount
    ? { code: 'TOO_FEW_OBSERVATIONS', path: ['observations'], given, needed: unknownCount }
    : null;
}

function validate(input: ResectionInput, byName: ReadonlyMap<string, ControlPoint>): StationError | null {
  return (
    invalidNumberIn(input) ??
    duplicateName(input.points) ??
    invalidObservation(input.observations) ??
    missingCoordinates(input.observations, byName)
  );
}

/**
 * Reads and solves a free station. Errors carry the path of the element in `input`. Sights that are enough in number
 * but do not come to one place are no error here: what they say is in `solved`.
 */
export function freeStation(input: ResectionInput): Result<FreeStation, StationError> {
  const byName = new Map(input.points.map((point) => [point.name, point]));
  const invalid = validate(input, byName);
  if (invalid) return fail(invalid);
  const reduced = reduceObservations(input.observations, input.instrument, input.reduction);
  const used = reduced.filter(isUsedInPlan);
  const tooFew = countError(byName, input.freeScale, used);
  if (tooFew) return fail(tooFew);
  const origin = byName.get(used[0]!.point)!;
  const problem: PlanProblem = { byName, originE: origin.e ?? 0, originN: origin.n ?? 0 };
  const sights: PlanSight[] = [];
  const names: string[] = [];
  for (const observation of used) {
    const sight = sightOf(problem, observation);
    if (sight.varDirection + sight.varPlace === 0)
      return fail({ code: 'UNDETERMINED', path: ['observations'], reason: 'unweighted' });
    sights.push(sight);
    if (!names.includes(observation.point)) names.push(observation.point);
  }
  const solved = adjustPlan(sights, input.freeScale);
  return ok({
    byName,
    originE: problem.originE,
    originN: problem.originN,
    input,
    reduced,
    used,
    sights,
    names,
    solved,
    without: new Map(),
  });
}

/** The plan without the sights to some marks; null where the rest gives no station. */
export function solutionWithout(station: FreeStation, names: readonly string[]): PlanSolution | null {
  const key = names.join('\n');
  const known = station.without.get(key);
  if (known !== undefined) return known;
  const rest = station.used.filter((observation) => !names.includes(observation.point));
  let found: PlanSolution | null = null;
  if (!countError(station.byName, station.input.freeScale, rest)) {
    const adjusted = adjustPlan(
      rest.map((observation) => sightOf(station, observation)),
      station.input.freeScale,
    );
    if (adjusted.ok) found = adjusted.value;
  }
  station.without.set(key, found);
  return found;
}
