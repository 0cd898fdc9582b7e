/** The kinds that `compute` knows: schema, computation, result form. A new kind is one entry here. */
import {
  checkPoint,
  heightStation,
  judgeStation,
  judgeTrust,
  knownStation,
  ok,
  predictAt,
  resection,
  stake,
  traverse,
  type ResectionInput,
  type Result,
  type StationError,
} from '@idle-marker/core';
import { stationErrorSentence } from '@idle-marker/words';
import {
  checkJson,
  heightStationJson,
  judgementJson,
  knownStationJson,
  predictionJson,
  resectionJson,
  stakeJson,
  traverseJson,
} from './fromCore.ts';
import {
  CheckSchema,
  HeightSchema,
  JudgeSchema,
  KnownStationSchema,
  PropagateSchema,
  ResectionSchema,
  StakeSchema,
  TraverseSchema,
  TrustSchema,
} from './schemas.ts';
import {
  designPointOf,
  instrumentOf,
  mm,
  nullableMm,
  observationOf,
  pointOf,
  readingOf,
  reductionOf,
  setupOf,
  stationOf,
  trustInputOf,
} from './toCore.ts';
import type { Static } from '../schema.ts';
import { ALIGNMENT_KINDS } from './alignments.ts';
import { GEOMETRY_KINDS } from './geometry.ts';
import { kindsWith, type Kind } from './kind.ts';

const kind = kindsWith<StationError>(stationErrorSentence);

function map<T>(result: Result<T, StationError>, convert: (value: T) => object): Result<object, StationError> {
  return result.ok ? ok(convert(result.value)) : result;
}

interface Shared {
  readonly instrument: Parameters<typeof instrumentOf>[0];
  readonly setup: Parameters<typeof setupOf>[0];
  readonly reduction: Parameters<typeof reductionOf>[0];
}

const shared = (input: Shared) => ({
  instrument: instrumentOf(input.instrument),
  setup: setupOf(input.setup),
  reduction: reductionOf(input.reduction),
});

/** The edge form of a resection as core takes it. */
export const resectionInputOf = (input: Static<typeof ResectionSchema>): ResectionInput => ({
  ...shared(input),
  freeScale: input.options?.freeScale ?? false,
  points: input.points.map(pointOf),
  observations: input.observations.map(observationOf),
});

export const KINDS: Readonly<Record<string, Kind>> = {
  resection: kind(ResectionSchema, (input) => map(resection(resectionInputOf(input)), resectionJson)),
  height: kind(HeightSchema, (input) =>
    map(
      heightStation({
        ...shared(input),
        points: input.points.map(pointOf),
        observations: input.observations.map(observationOf),
      }),
      heightStationJson,
    ),
  ),
  knownStation: kind(KnownStationSchema, (input) =>
    map(
      knownStation({
        ...shared(input),
        setup: { ...setupOf(input.setup), instrumentCentringSd: mm(input.setup.instrumentCentringSdMm) },
        station: {
          name: input.station.name,
          e: input.station.e,
          n: input.station.n,
          z: input.station.z ?? null,
          sdPlan: mm(input.station.sdHMm),
          sdZ: nullableMm(input.station.sdZMm),
        },
        points: input.points.map(pointOf),
        observations: input.observations.map(observationOf),
        heightFrom: input.options?.heightFrom ?? 'station',
      }),
      knownStationJson,
    ),
  ),
  check: kind(CheckSchema, (input) =>
    map(
      checkPoint({
        ...shared(input),
        station: stationOf(input.station),
        point: pointOf(input.point),
        reading: readingOf(input.observation),
        limits: { plan: nullableMm(input.toleranceLimits.hMm), height: nullableMm(input.toleranceLimits.vMm) },
      }),
      checkJson,
    ),
  ),
  stake: kind(StakeSchema, (input) =>
    map(
      stake({
        ...shared(input),
        station: stationOf(input.station),
        target: designPointOf(input.target),
        reading: readingOf(input.observation),
      }),
      stakeJson,
    ),
  ),
  propagate: kind(PropagateSchema, (input) => {
    const { instrument, setup, reduction } = shared(input);
    const station = stationOf(input.station);
    const pole = {
      targetHeight: input.pole.targetHeight,
      targetCentringSd: mm(input.pole.targetCentringSdMm),
      targetHeightSd: mm(input.pole.targetHeightSdMm),
    };
    return ok({
      points: input.designPoints.map((point) => ({
        name: point.name,
        ...predictionJson(predictAt(station, setup, instrument, reduction, designPointOf(point), pole)),
      })),
    });
  }),
  traverse: kind(TraverseSchema, (input) =>
    map(
      traverse({
        ...shared(input),
        station: { ...stationOf(input.station), name: input.station.name },
        points: input.points.map(pointOf),
        foresight: { ...readingOf(input.foresight), point: input.foresight.point },
        nextSetup: { ...setupOf(input.nextSetup), instrumentCentringSd: mm(input.nextSetup.instrumentCentringSdMm) },
        backsight: { ...readingOf(input.nextSetup.backsight), point: input.nextSetup.backsight.point },
      }),
      (result) => traverseJson(result, input.foresight.point),
    ),
  ),
  judge: kind(JudgeSchema, (input) => {
    const asked = input.class && { plan: mm(input.class.planMm), height: mm(input.class.heightMm), work: [] };
    return map(judgeStation(resectionInputOf(input), asked ? { asked } : {}), judgementJson);
  }),
  trust: kind(TrustSchema, (input) => ok(judgeTrust(trustInputOf(input)))),
  ...GEOMETRY_KINDS,
  ...ALIGNMENT_KINDS,
};
