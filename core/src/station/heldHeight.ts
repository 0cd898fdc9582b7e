/**
 * The height of a station whose place is held otherwise: over a mark, carried forward, with a typed direction, on
 * lines.
 *
 * It is that of the mark under the instrument, that of benchmarks, or the weighted mean of both, in which the mark is
 * one more benchmark with the height of the instrument for its rod. Whichever is taken, all of them are compared:
 * heights that disagree by more than chance tell which one is wrong when, without it alone, the rest agrees. Source:
 * Schofield, Breach, "Engineering Surveying" (heights of the instrument); Baarda (1968) for the tests.
 */
import { fitOf, fitsByChance } from '../adjust/globalTest.ts';
import type { Metres } from '../quantity/unit.ts';
import type { ControlPoint, Setup } from '../sight/observation.ts';
import type { ReducedObservation } from '../sight/reduce.ts';
import {
  againstRest,
  contributions,
  meanHeight,
  weightedMean,
  type Contribution,
  type HeightLeaveOneOut,
  type HeightSolution,
} from './heightAdjustment.ts';
import type { Reason, Step } from './findings.ts';
import { heightReliability, placesOf, type HeightReliability, type HeightWeight } from './reliability.ts';

export type HeightFrom = 'mark' | 'benchmarks' | 'both';

export interface HeldHeightInput {
  /** Null: work in plan alone. */
  readonly from: HeightFrom | null;
  /** The mark under the instrument; null where there is none, or it has no height. */
  readonly mark: { readonly name: string; readonly z: Metres; readonly sdZ: Metres | null } | null;
  readonly setup: Setup;
  readonly reduced: readonly ReducedObservation[];
  readonly points: ReadonlyMap<string, ControlPoint>;
}

/** Names of what disagrees: one, or several of which it can't be told. */
export interface HeightDisagreement {
  readonly names: readonly string[];
  /** The largest difference of one from the mean of all. */
  readonly largest: Metres;
}

export interface HeldHeight {
  readonly from: HeightFrom | null;
  readonly solution: HeightSolution | null;
  /** Benchmarks that are used, or compared. */
  readonly benchmarks: readonly string[];
  /** What the benchmarks say less what is listed for the mark under the instrument; null without either. */
  readonly markOff: HeightLeaveOneOut | null;
  readonly disagreement: HeightDisagreement | null;
  /** How each benchmark fits what holds the height without it. */
  readonly leaveOneOut: ReadonlyMap<string, HeightLeaveOneOut>;
  readonly reliability: HeightReliability | null;
}

/** A height is never known better than this. */
const LEAST_SD: Metres = 0.0001;

/** What the mark under the instrument says of the height. */
function ofMark({ mark, setup, reduced }: HeldHeightInput): Contribution[] {
  if (!mark) return [];
  const varGround = Math.max(mark.sdZ ?? 0, LEAST_SD) ** 2;
  const variance = varGround + setup.instrumentHeightSd ** 2;
  return [{ index: reduced.length, name: mark.name, stationZ: mark.z, variance, varControl: varGround, varGround }];
}

/** Height of a station that is held otherwise in plan. `tolerance`: what the work asks in height. */
export function heldHeight(input: HeldHeightInput, tolerance: Metres): HeldHeight {
  const { from, setup, reduced, points } = input;
  const own = ofMark(input);
  const sighted = contributions(reduced, points, setup).filter((each) => each.name !== input.mark?.name);
  const kept = from === null ? [] : [...(from === 'benchmarks' ? [] : own), ...(from === 'mark' ? [] : sighted)];
  const benchmarks = [...new Set(sighted.map((each) => each.name))];
  return {
    from,
    benchmarks,
    solution:
      kept.length === 0 ? null : from === 'mark' ? asListed(input, kept[0]!) : meanHeight(kept, reduced.length, setup),
    // Positive where the ground stands higher than listed.
    markOff: againstRest(own, sighted),
    disagreement: disagreementOf([...own, ...sighted]),
    leaveOneOut: new Map(
      benchmarks.flatMap((name) => {
        const left = againstRest(
          sighted.filter((each) => each.name === name),
          kept.filter((each) => each.name !== name),
        );
        return left ? [[name, left]] : [];
      }),
    ),
    reliability: kept.length === 0 ? null : heightReliability(weightsOf(input, own, sighted), tolerance),
  };
}

/** The listed height as it stands: no sight has a part in it. */
function asListed({ mark, setup }: HeldHeightInput, { stationZ }: Contribution): HeightSolution {
  const sdZ = mark!.sdZ ?? 0;
  return {
    z: stationZ,
    sdZ,
    sdTrunnionZ: Math.hypot(sdZ, setup.instrumentHeightSd),
    observationCount: 0,
    fit: fitOf(0, 0),
    sumOfSquares: 0,
    residuals: [],
  };
}

function misfitOf(list: readonly Contribution[]): number {
  const { mean } = weightedMean(list);
  return list.reduce((sum, each) => sum + (each.stationZ - mean) ** 2 / each.variance, 0);
}

const agree = (list: readonly Contribution[]): boolean =>
  list.length < 2 || fitsByChance(fitOf(misfitOf(list), list.length - 1));

/** Which heights disagree with the others; null when all agree. */
function disagreementOf(list: readonly Contribution[]): HeightDisagreement | null {
  if (agree(list)) return null;
  const names = [...new Set(list.map((each) => each.name))];
  if (names.length < 2) return null;
  const without = (name: string) => list.filter((each) => each.name !== name);
  // What leaves a single one behind leaves nothing that could agree.
  const candidates = names.filter(
    (name) => new Set(without(name).map((each) => each.name)).size > 1 && agree(without(name)),
  );
  const { mean } = weightedMean(list);
  const largest = list.reduce((most, each) => Math.max(most, Math.abs(each.stationZ - mean)), 0);
  return { names: candidates.length > 0 ? candidates : names, largest };
}

/** All that is known of the height, by places; what the height is not taken from tests it. */
function weightsOf(
  { from, mark, points }: HeldHeightInput,
  own: readonly Contribution[],
  sighted: readonly Contribution[],
): HeightWeight[] {
  const sum = (list: readonly Contribution[]) => list.reduce((total, each) => total + 1 / each.variance, 0);
  const places = placesOf([...new Set(sighted.map((each) => each.name))].map((name) => points.get(name)!));
  const ofBenchmarks = places.map((names): HeightWeight => {
    const weight = sum(sighted.filter((each) => names.includes(each.name)));
    return { names, weight, kept: from === 'mark' ? 0 : weight };
  });
  const ofOwn = own.map((each): HeightWeight => ({
    names: [mark!.name],
    weight: 1 / each.variance,
    kept: from === 'benchmarks' ? 0 : 1 / each.variance,
  }));
  return [...ofOwn, ...ofBenchmarks];
}

/** What there is to say of the height, what to do about it, and whether something of it speaks against the station. */
export interface HeightFindings {
  readonly because: readonly Reason[];
  readonly doThis: readonly Step[];
  readonly speaksAgainst: boolean;
}

/** @param method whether this way of stationing gives no height of its own */
export function heightFindings(
  { mark, setup, reduced, points }: HeldHeightInput,
  held: HeldHeight,
  method: boolean,
): HeightFindings {
  const { from, solution, benchmarks, disagreement, markOff } = held;
  const nothing = { because: [], doThis: [], speaksAgainst: false };
  if (!solution) {
    const isLeft = mark !== null || reduced.some((each) => each.slope !== null && points.get(each.point)!.z !== null);
    return { ...nothing, because: [{ code: 'NO_HEIGHT', why: isLeft ? 'NOT_USED' : method ? 'METHOD' : 'NONE' }] };
  }
  if (from !== 'benchmarks' && setup.instrumentHeight === 0)
    return { ...nothing, because: [{ code: 'NO_INSTRUMENT_HEIGHT' }] };
  if (disagreement === null) {
    // Each by itself: what is more than chance for one may be lost among many.
    const off = [...held.leaveOneOut].filter(([, left]) => left.exceeds);
    if (off.length > 0) return benchmarksOff(off);
    const [only] = held.reliability!.unnoticed;
    if (held.reliability!.unnoticed.length === 1)
      return { ...nothing, because: [{ code: 'HEIGHT_UNCHECKED', name: only!.names[0]! }] };
    return markOff
      ? {
          ...nothing,
          because: [{ code: 'HEIGHTS_AGREE', from: from!, benchmarks, station: mark!.name, dZ: markOff.dZ }],
        }
      : nothing;
  }
  const { names, largest } = disagreement;
  const [name] = names as readonly [string];
  if (names.length > 1) {
    const again = names.filter((each) => each !== mark?.name);
    return {
      because: [{ code: 'HEIGHTS_DISAGREE', names, largest }],
      doThis: [
        ...(mark ? [{ code: 'CHECK_INSTRUMENT_HEIGHT' as const }] : []),
        ...again.map((each): Step => ({ code: 'CHECK_TARGET', name: each })),
      ],
      speaksAgainst: true,
    };
  }
  if (name !== mark?.name) return benchmarksOff([[name, held.leaveOneOut.get(name)!]]);
  const isUsed = from !== 'benchmarks';
  return {
    because: [{ code: 'OCCUPIED_HEIGHT_OFF', station: name, dZ: markOff!.dZ, benchmarks, isUsed }],
    doThis: [{ code: 'CHECK_INSTRUMENT_HEIGHT' }, ...(isUsed ? [{ code: 'HEIGHT_FROM_BENCHMARKS' as const }] : [])],
    speaksAgainst: isUsed,
  };
}

const benchmarksOff = (off: readonly (readonly [string, HeightLeaveOneOut])[]): HeightFindings => ({
  because: off.map(([name, { dZ }]) => ({ code: 'BACKSIGHT_HEIGHT_OFF', name, dZ })),
  doThis: off.flatMap(([name]): Step[] => [
    { code: 'CHECK_TARGET', name },
    { code: 'SIGHT_AGAIN', name },
    { code: 'LEAVE_OUT_HEIGHT', name, repeated: false },
  ]),
  speaksAgainst: true,
});

/** Mean difference, measured minus listed, of a mark from the height of the station; null where either has none. */
export function heightDifference(
  { reduced, points, setup }: HeldHeightInput,
  { solution }: HeldHeight,
  name: string,
): Metres | null {
  const z = points.get(name)?.z ?? null;
  const own = reduced.filter((each) => each.point === name && each.heightDifference !== null);
  if (!solution || z === null || own.length === 0) return null;
  return (
    own.reduce(
      (sum, each) => sum + solution.z + setup.instrumentHeight + each.heightDifference! - each.targetHeight - z,
      0,
    ) / own.length
  );
}
