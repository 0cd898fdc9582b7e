/** Stored sights, as read, to the observations that core computes with. */
import {
  angleToRadians,
  lengthToMetres,
  RADIANS_PER_SECOND,
  TRACKING_ERROR_FACTOR,
  type ControlPoint,
  type InstrumentPrecision,
  type Observation,
  type Reading,
  type Reduction,
  type Setup,
  type Station,
} from '@idle-marker/core';
import { stationOf, type Fact, type FactBody, type SolutionResult } from '@idle-marker/contract';
import type { AcceptedSolution, ControlMark, SiteState } from '../site/state.ts';
import { metresOf, metresOrNull } from '../site/stored.ts';

/** Coefficient of refraction and earth radius in use; the usual figures for short sights by day. */
export const REFRACTION = 0.13;
export const EARTH_RADIUS_M = 6_371_000;

export const precisionOf = ({ instrument }: Pick<FactBody<'occupation'>, 'instrument'>): InstrumentPrecision => ({
  angleSd: instrument.angleSdSec * RADIANS_PER_SECOND,
  distanceSd: metresOf(instrument.distSdMm),
  distanceSdRatio: instrument.distSdPpm * 1e-6,
});

export const setupOf = (occupation: FactBody<'occupation'>): Setup => ({
  instrumentHeight: occupation.instrumentHeight,
  instrumentHeightSd: metresOf(occupation.instrumentHeightSdMm),
});

/**
 * Prism constant and weather are kept with each sight and applied to its slope here, so the reduction itself adds
 * nothing.
 */
export const reductionOf = (settings: FactBody<'site'>): Reduction => ({
  combinedScaleFactor: settings.combinedScaleFactor,
  refraction: REFRACTION,
  earthRadius: EARTH_RADIUS_M,
  prismConstant: 0,
  atmosphericRatio: 0,
});

/** The same for sights from an accepted station: a factor that was solved for with it goes on counting. */
export function reductionFrom(state: SiteState, { fact }: AcceptedSolution): Reduction {
  const reduction = reductionOf(state.settings);
  return { ...reduction, combinedScaleFactor: reduction.combinedScaleFactor * (fact.body.result.scale ?? 1) };
}

export function readingOf({ read, ...sight }: FactBody<'sight'>): Reading {
  const raw = read.slope === null ? null : lengthToMetres(read.slope, read.lengthUnit);
  return {
    face: sight.face,
    circle: angleToRadians(read.circle, read.angleUnit),
    zenith: angleToRadians(read.zenith, read.angleUnit),
    slope: raw === null ? null : (raw + metresOf(sight.prismConstantMm)) * (1 + sight.ppm * 1e-6),
    targetHeight: sight.targetHeight,
    targetHeightSd: metresOf(sight.targetHeightSdMm),
    targetCentringSd: metresOf(sight.targetCentringSdMm),
    ...(sight.tracking ? { errorFactor: TRACKING_ERROR_FACTOR } : {}),
  };
}

/** A listed mark as core wants it. Marks not usable in plan or height are listed without that part. */
export const controlPointOf = (body: FactBody<'control'>): ControlPoint => ({
  name: body.mark,
  e: body.e,
  n: body.n,
  z: body.z,
  sdPlan: metresOrNull(body.sdHMm),
  sdHeight: metresOrNull(body.sdZMm),
});

/** The station that an accepted solution gives to later sights. */
export function stationOfSolution(result: SolutionResult): Station {
  return stationOf({
    name: '',
    e: result.e,
    n: result.n,
    z: result.z,
    orientationDeg: result.orientationDeg,
    covariance: result.covariance.map((row) => [...row]),
    sdTrunnionZMm: result.sdTrunnionZMm,
  });
}

/** Sights of one mark with one target height on one face, and how far they spread. */
export interface SightGroup {
  readonly mark: string;
  readonly sights: readonly Fact<'sight'>[];
  readonly observation: Observation;
  /** Largest minus smallest, as lengths at the target; null for a single sight. */
  readonly spread: { readonly across: number; readonly along: number; readonly height: number } | null;
}

export interface UseFlags {
  readonly plan: boolean;
  readonly height: boolean;
  /** False: of a sight used in plan only the distance counts. */
  readonly direction?: boolean;
  /** False: only the direction counts, and so no height. */
  readonly distance?: boolean;
}

/**
 * Repeats of a sight are averaged before the adjustment and count once: they share the target's centring and the
 * mark's own error, so counting them apart would promise too much. Sights on the other face stay apart, so that
 * core pairs them and takes the instrument's errors out.
 */
export function groupSights(
  sights: readonly Fact<'sight'>[],
  flagsOf: (sight: Fact<'sight'>) => UseFlags,
): SightGroup[] {
  const groups = new Map<string, Fact<'sight'>[]>();
  for (const sight of sights) {
    if (sight.body.target.kind !== 'control') continue;
    const key = `${sight.body.target.mark} ${sight.body.face} ${sight.body.targetHeight} ${sight.body.read.slope === null} ${sight.body.tracking === true}`;
    const list = groups.get(key);
    if (list) list.push(sight);
    else groups.set(key, [sight]);
  }
  return [...groups.values()].map((list) => {
    const used = list.filter((sight) => flagsOf(sight).plan || flagsOf(sight).height);
    const members = used.length > 0 ? used : list;
    const first = members[0]!;
    const mark = (first.body.target as { mark: string }).mark;
    const readings = members.map((sight) => readingOf(sight.body));
    const mean = meanReading(readings);
    const withDistance = members.some((sight) => flagsOf(sight).distance ?? true);
    const observation: Observation = {
      ...mean,
      slope: withDistance ? mean.slope : null,
      point: mark,
      usePlan: members.some((sight) => flagsOf(sight).plan),
      useHeight: withDistance && members.some((sight) => flagsOf(sight).height),
      useDirection: members.some((sight) => flagsOf(sight).direction ?? true),
    };
    return { mark, sights: list, observation, spread: spreadOf(readings) };
  });
}

const wrap = (angle: number): number => Math.atan2(Math.sin(angle), Math.cos(angle));
const mean = (values: readonly number[]): number => values.reduce((sum, each) => sum + each, 0) / values.length;

function meanReading(readings: readonly Reading[]): Reading {
  const first = readings[0]!;
  const slopes = readings.map((reading) => reading.slope).filter((slope) => slope !== null);
  return {
    ...first,
    // Differences from the first reading, so that the mean holds across the 0/360 jump.
    circle: first.circle + mean(readings.map((reading) => wrap(reading.circle - first.circle))),
    zenith: mean(readings.map((reading) => reading.zenith)),
    slope: slopes.length === 0 ? null : mean(slopes),
  };
}

function spreadOf(readings: readonly Reading[]): SightGroup['spread'] {
  const first = readings[0]!;
  if (readings.length < 2) return null;
  const range = (values: readonly number[]) => Math.max(...values) - Math.min(...values);
  const distance = (first.slope ?? 0) * Math.sin(first.zenith);
  return {
    across: range(readings.map((reading) => wrap(reading.circle - first.circle))) * distance,
    along: range(readings.map((reading) => (reading.slope ?? 0) * Math.sin(reading.zenith))),
    height: range(readings.map((reading) => (reading.slope ?? 0) * Math.cos(reading.zenith))),
  };
}

export const pointsOf = (control: readonly ControlMark[], marks: ReadonlySet<string>): ControlPoint[] =>
  control.filter((mark) => marks.has(mark.id)).map((mark) => controlPointOf(mark.revision.body));
