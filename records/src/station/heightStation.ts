/** A placing that is wanted for heights alone: from one or several benchmarks, wherever it stands. */
import {
  heightFromAxis,
  heightStation,
  reduceReading,
  type HeightStationResult,
  type Metres,
  type Result,
  type StationError,
  type TiltingAxis,
} from '@idle-marker/core';
import type { Fact } from '@idle-marker/contract';
import {
  groupSights,
  pointsOf,
  precisionOf,
  readingOf,
  reductionOf,
  setupOf,
  type SightGroup,
} from './observations.ts';
import { stationSights } from './stationDraft.ts';
import type { SiteState } from '../site/state.ts';

export interface HeightSpot {
  readonly sight: Fact<'sight'>;
  readonly name: string;
  readonly z: Metres;
  readonly sd: Metres;
}

export interface HeightDraft {
  readonly groups: readonly SightGroup[];
  /** Null before the first benchmark. */
  readonly outcome: Result<HeightStationResult, StationError> | null;
  /** Height of the tilting axis; null while there is none. */
  readonly axis: TiltingAxis | null;
  readonly spots: readonly HeightSpot[];
  /** Benchmarks used; and whether the one there is was read with two target heights, which checks the pole at least. */
  readonly benchmarks: number;
  readonly otherPole: boolean;
}

/** `leftOut`: benchmarks that are not used. */
export function heightDraft(
  state: SiteState,
  occupation: Fact<'occupation'>,
  leftOut: ReadonlySet<string>,
): HeightDraft {
  const sights = stationSights(state, occupation.id);
  const use = (sight: Fact<'sight'>) => {
    const { target, read } = sight.body;
    const mark =
      target.kind === 'control' ? state.control.find((each) => each.id === target.mark)?.revision.body : undefined;
    return {
      plan: false,
      height: Boolean(
        mark &&
        mark.z !== null &&
        mark.useHeight &&
        mark.condition !== 'lost' &&
        read.slope !== null &&
        !leftOut.has(mark.mark),
      ),
    };
  };
  const groups = groupSights(sights, use);
  const used = groups.filter((group) => group.observation.useHeight);
  const benchmarks = new Set(used.map((group) => group.mark)).size;
  const shared = {
    instrument: precisionOf(occupation.body),
    setup: setupOf(occupation.body),
    reduction: reductionOf(state.settings),
  };
  const outcome =
    used.length === 0
      ? null
      : heightStation({
          ...shared,
          points: pointsOf(state.control, new Set(groups.map((group) => group.mark))),
          observations: groups.map((group) => group.observation),
        });
  const otherPole = new Set(used.map((group) => group.observation.targetHeight)).size > 1;
  const height = outcome?.ok ? outcome.value.height : null;
  const axis = height && { z: height.z + shared.setup.instrumentHeight, sd: height.sdTrunnionZ };
  const spots = [...state.sights.values()].flatMap((sight): HeightSpot[] => {
    const { target, purpose } = sight.body;
    if (
      !axis ||
      purpose !== 'spot' ||
      sight.body.occupation !== occupation.id ||
      target.kind !== 'spot' ||
      state.withdrawn.has(sight.id)
    )
      return [];
    const read = heightFromAxis(axis, reduceReading(readingOf(sight.body), shared.instrument, shared.reduction));
    return read ? [{ sight, name: target.name, z: read.z, sd: Math.sqrt(read.variance) }] : [];
  });
  return { groups, outcome, axis, spots, benchmarks, otherPole };
}
