/** Edge forms to core types: millimetres, arc-seconds and degrees become metres and radians. */
import {
  RADIANS_PER_DEGREE,
  RADIANS_PER_SECOND,
  type ControlPoint,
  type InstrumentPrecision,
  type Observation,
  type Reading,
  type Reduction,
  type Setup,
  type SitePoint,
  type Station,
  type StationCovariance,
  type TrustInput,
  type TrustRecord,
} from '@idle-marker/core';
import type {
  DesignPointJson,
  InstrumentJson,
  ObservationJson,
  PointJson,
  ReadingJson,
  ReductionJson,
  SetupJson,
  StationJson,
  TrustJson,
  TrustRecordJson,
} from './schemas.ts';

const MM = 1e-3;
export const mm = (value: number): number => value * MM;
export const nullableMm = (value: number | null | undefined): number | null =>
  value === null || value === undefined ? null : value * MM;

export const instrumentOf = (json: InstrumentJson): InstrumentPrecision => ({
  angleSd: json.angleSdSec * RADIANS_PER_SECOND,
  distanceSd: mm(json.distSdMm),
  distanceSdRatio: json.distSdPpm * 1e-6,
});

export const setupOf = (json: SetupJson): Setup => ({
  instrumentHeight: json.instrumentHeight,
  instrumentHeightSd: mm(json.instrumentHeightSdMm),
});

export const reductionOf = (json: ReductionJson): Reduction => ({
  combinedScaleFactor: json.combinedScaleFactor,
  refraction: json.refraction,
  earthRadius: json.earthRadius,
  prismConstant: mm(json.prismConstantMm),
  atmosphericRatio: json.ppm * 1e-6,
});

export const pointOf = (json: PointJson): ControlPoint => ({
  name: json.name,
  e: json.e ?? null,
  n: json.n ?? null,
  z: json.z ?? null,
  sdPlan: nullableMm(json.sdHMm),
  sdHeight: nullableMm(json.sdZMm),
});

export const readingOf = (json: ReadingJson): Reading => ({
  face: json.face,
  circle: json.circleDeg * RADIANS_PER_DEGREE,
  zenith: json.zenithDeg * RADIANS_PER_DEGREE,
  slope: json.slope ?? null,
  targetHeight: json.targetHeight,
  targetHeightSd: mm(json.targetHeightSdMm),
  targetCentringSd: mm(json.targetCentringSdMm),
});

export const observationOf = (json: ObservationJson): Observation => ({
  ...readingOf(json),
  point: json.point,
  usePlan: json.useH,
  useHeight: json.useV,
  useDirection: json.useDirection ?? true,
});

export const stationOf = (json: StationJson): Station => ({
  e: json.e,
  n: json.n,
  z: json.z,
  orientation: json.orientationDeg * RADIANS_PER_DEGREE,
  covariance: json.covariance as unknown as StationCovariance,
  sdTrunnionZ: nullableMm(json.sdTrunnionZMm),
});

export const designPointOf = (json: DesignPointJson): SitePoint => ({ e: json.e, n: json.n, z: json.z ?? null });

const trustRecordOf = (json: TrustRecordJson): TrustRecord =>
  json.type === 'finding'
    ? {
        ...json,
        effects: json.effects.map(({ mark, planMm, heightMm }) => ({
          mark,
          plan: nullableMm(planMm),
          height: nullableMm(heightMm),
        })),
      }
    : json;

export const trustInputOf = (json: TrustJson): TrustInput => ({
  now: json.now,
  intervalMinutes: json.intervalMinutes,
  classes: Object.fromEntries(
    Object.entries(json.classes).map(([id, { planMm, heightMm }]) => [id, { plan: mm(planMm), height: mm(heightMm) }]),
  ),
  records: json.records.map(trustRecordOf),
});
