/**
 * What becomes of a station when each of its marks is left out in turn, and what it would be worth if its marks were
 * perfect: what people find out by toggling, in one table.
 */
import type { Metres } from '../quantity/unit.ts';
import { marksUsedInPlan } from './acceptance.ts';
import { freeReliability } from './freeReliability.ts';
import { freeStation, type ResectionInput } from './freeStation.ts';
import { USUALLY_ASKED, type AskedOfStation, type Checkability, type Unnoticed } from './reliability.ts';
import { resection, resectionOf, type ResectionResult } from './resection.ts';

export interface WithoutMark {
  readonly name: string;
  /** The station without it, minus the one with it. */
  readonly dE: Metres;
  readonly dN: Metres;
  readonly dZ: Metres | null;
  /** Semi-major axis of the 95 % ellipse that remains. */
  readonly radius95: Metres;
  readonly checkability: Checkability;
  /** What could then still go unseen and would do most. */
  readonly worst: Unnoticed | null;
  /** The mark against all others: T over its critical value; null when that can't be compared. */
  readonly ratio: number | null;
  /** Largest difference, measured - listed, among the marks that stay. */
  readonly othersWithin: Metres | null;
}

export interface WithoutEach {
  readonly marks: readonly WithoutMark[];
  /**
   * Semi-major axis of the 95 % ellipse, were the listed marks without error: what instrument and poles do by
   * themselves.
   */
  readonly perfectMarks: Metres | null;
}

/** `result` is the resection of `input`. Marks without which there is no station are not listed. */
export function withoutEach(
  input: ResectionInput,
  result: ResectionResult,
  asked: AskedOfStation = USUALLY_ASKED,
): WithoutEach {
  const marks = marksUsedInPlan(result).flatMap((name): WithoutMark[] => {
    const rest = input.observations.map((observation) =>
      observation.point === name ? { ...observation, usePlan: false, useHeight: false } : observation,
    );
    const station = freeStation({ ...input, observations: rest });
    const without = station.ok ? resectionOf(station.value, { leaveOneOut: false }) : station;
    if (!station.ok || !without.ok || !station.value.solved.ok) return [];
    const { state, unnoticed } = freeReliability(station.value, station.value.solved.value, asked);
    const point = result.points.find((each) => each.name === name);
    const { value } = without;
    return [
      {
        name,
        dE: value.e - result.e,
        dN: value.n - result.n,
        dZ: value.height && result.height ? value.height.z - result.height.z : null,
        radius95: value.ellipse95.a,
        checkability: state,
        worst: unnoticed[0] ?? null,
        ratio: point?.leaveOneOut ? Math.sqrt(point.leaveOneOut.t / point.leaveOneOut.critical) : null,
        othersWithin: point?.leaveOneOut?.othersWithin ?? null,
      },
    ];
  });
  const perfect = resection(
    { ...input, points: input.points.map((point) => ({ ...point, sdPlan: 0, sdHeight: 0 })) },
    { leaveOneOut: false },
  );
  return { marks, perfectMarks: perfect.ok ? perfect.value.ellipse95.a : null };
}
