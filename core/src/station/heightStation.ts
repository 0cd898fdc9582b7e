import type { Metres } from '../quantity/unit.ts';
import { fail, ok, type Result } from '../result.ts';
import type { ControlPoint } from '../sight/observation.ts';
import { reduceObservations, type ReducedObservation } from '../sight/reduce.ts';
import { heightWeights } from './freeReliability.ts';
import {
  adjustHeight,
  contributions,
  leaveOutHeight,
  type HeightLeaveOneOut,
  type HeightResidual,
  type HeightSolution,
} from './heightAdjustment.ts';
import type { StationError } from './model.ts';
import { heightReliability, USUAL_TOLERANCE, type HeightReliability } from './reliability.ts';
import type { ResectionInput } from './resection.ts';
import { duplicateName, invalidNumberIn, invalidObservation, missingCoordinates } from './validate.ts';

export interface HeightStationResult {
  /** What could be wrong with its heights unseen, by the places of the benchmarks. */
  readonly reliability: HeightReliability;
  readonly height: HeightSolution;
  readonly observations: readonly { readonly reduced: ReducedObservation; readonly height: HeightResidual | null }[];
  readonly points: readonly {
    readonly name: string;
    readonly dZ: number | null;
    readonly leaveOneOutHeight: HeightLeaveOneOut | null;
  }[];
}

/** Height only, from one or several benchmarks: the instrument may stand anywhere. */
export function heightStation(
  input: Omit<ResectionInput, 'freeScale'>,
  tolerance: Metres = USUAL_TOLERANCE.height,
): Result<HeightStationResult, StationError> {
  // No plan is asked for here, so a benchmark without coordinates is not missing anything.
  const observations = input.observations.map((observation) => ({ ...observation, usePlan: false }));
  const byName = new Map<string, ControlPoint>(input.points.map((point) => [point.name, point]));
  const invalid =
    invalidNumberIn(input) ??
    duplicateName(input.points) ??
    invalidObservation(observations) ??
    missingCoordinates(observations, byName);
  if (invalid) return fail(invalid);
  const reduced = reduceObservations(observations, input.instrument, input.reduction);
  const height = adjustHeight(reduced, byName, input.setup);
  if (!height) return fail({ code: 'TOO_FEW_OBSERVATIONS', path: ['observations'], given: 0, needed: 1 });
  if (!Number.isFinite(height.z)) return fail({ code: 'UNDETERMINED', path: ['observations'], reason: 'unweighted' });
  return ok({
    height,
    reliability: heightReliability(heightWeights(byName, contributions(reduced, byName, input.setup)), tolerance)!,
    observations: reduced.map((observation, i) => ({ reduced: observation, height: height.residuals[i] ?? null })),
    points: input.points.map((point) => ({
      name: point.name,
      dZ: meanDifference(reduced, point, height, input.setup.instrumentHeight),
      leaveOneOutHeight: leaveOutHeight(point.name, reduced, byName, input.setup),
    })),
  });
}

function meanDifference(
  reduced: readonly ReducedObservation[],
  point: ControlPoint,
  height: HeightSolution,
  instrumentHeight: number,
): number | null {
  const own = reduced.filter(
    (observation) => observation.point === point.name && observation.heightDifference !== null,
  );
  if (own.length === 0 || point.z === null) return null;
  const sum = own.reduce(
    (total, o) => total + height.z + instrumentHeight + o.heightDifference! - o.targetHeight - point.z!,
    0,
  );
  return sum / own.length;
}
