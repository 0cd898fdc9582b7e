/**
 * A station over a known mark, in the form of a free station, so that it is shown, accepted and used alike; and what it proves.
 *
 * Its place is an assumption: neither a wrong mark under the tripod nor a poor centring shows in its own figures. With one
 * backsight the direction is forced to fit, and one distance is all that is tested.
 */
import { CRITICAL_T, CRITICAL_W, DETECTABLE_NONCENTRALITY } from '../adjust/criticalValues.ts';
import type { Metres } from '../quantity/unit.ts';
import { ok, type Result } from '../result.ts';
import { knownStation, type KnownStationInput, type KnownStationObservation, type KnownStationResult } from './knownStation.ts';
import type { HeightSolution } from './heightAdjustment.ts';
import type { Judgement, Reason, SolvedStation, Step } from './judgement.ts';
import { planPrecisionOf } from './measuredPoint.ts';
import type { StationError } from './model.ts';
import type { ResectionObservation, ResectionPoint, ResectionResult } from './resection.ts';

function observationView({ reduced, direction, distanceCheck, sdDistanceCheck }: KnownStationObservation): ResectionObservation {
  const redundancy = direction ? 1 - direction.weight : 0;
  const checked = direction !== null && redundancy > 1e-6;
  const root = Math.sqrt(Math.max(redundancy, 0));
  const bias = direction && checked ? (direction.sd * DETECTABLE_NONCENTRALITY) / root : null;
  return {
    reduced,
    direction: direction && {
      sd: direction.sd,
      residual: direction.residual,
      residualAtTarget: direction.residualAtTarget,
      redundancy,
      standardisedResidual: checked ? direction.residual / (direction.sd * root) : null,
      detectableBias: bias,
      detectableBiasAtTarget: bias !== null && reduced.horizontal !== null ? bias * reduced.horizontal : null,
    },
    distance:
      distanceCheck !== null && sdDistanceCheck !== null
        ? {
            sd: sdDistanceCheck,
            residual: -distanceCheck,
            redundancy: 1,
            standardisedResidual: -distanceCheck / sdDistanceCheck,
            detectableBias: sdDistanceCheck * DETECTABLE_NONCENTRALITY,
          }
        : null,
    height: null,
  };
}

const quotient = (value: number | null | undefined, sd: number | null | undefined): number | null =>
  typeof value === 'number' && typeof sd === 'number' ? value / sd : null;

function pointView(input: KnownStationInput, known: KnownStationResult, name: string): ResectionPoint {
  const own = known.observations.filter((each) => each.reduced.point === name);
  const seen = own.find((each) => each.dE !== null);
  const high = own.find((each) => each.dZ !== null);
  const w = quotient(seen?.distanceCheck, seen?.sdDistanceCheck);
  const sd = seen?.sdDistanceCheck ?? 0;
  const wHeight = quotient(high?.dZ, high?.sdDZ);
  return {
    name,
    dE: seen?.dE ?? null,
    dN: seen?.dN ?? null,
    dZ: high?.dZ ?? null,
    leaveOneOut:
      seen && w !== null
        ? {
            dE: seen.dE!,
            dN: seen.dN!,
            covariance: { ee: sd * sd, nn: sd * sd, en: 0 },
            t: w * w,
            critical: CRITICAL_T,
            exceeds: Math.abs(w) > CRITICAL_W,
            othersWithin: 0,
          }
        : null,
    leaveOneOutHeight: wHeight === null ? null : { dZ: high!.dZ!, sd: high!.sdDZ!, w: wHeight, critical: CRITICAL_W, exceeds: Math.abs(wHeight) > CRITICAL_W },
  };
}

/** Backsights and the station's own mark: so many listed marks hold it. */
export function stationOverMark(input: KnownStationInput): Result<SolvedStation, StationError> {
  const solved = knownStation(input);
  if (!solved.ok) return solved;
  const known = solved.value;
  const height: HeightSolution | null =
    known.z === null || known.sdZ === null || known.sdTrunnionZ === null
      ? null
      : {
          z: known.z,
          sdZ: known.sdZ,
          sdTrunnionZ: known.sdTrunnionZ,
          observationCount: 0,
          fit: { dof: 0, s0: null, globalTest: null },
          sumOfSquares: 0,
          residuals: [],
        };
  const [[ee, en], [, nn]] = known.covariance as readonly [readonly [number, number, number], readonly [number, number, number], unknown];
  const precision = planPrecisionOf({ ee, nn, en });
  const count = known.observations.filter((each) => each.direction).length;
  const result: ResectionResult = {
    ...precision,
    e: known.e,
    n: known.n,
    orientation: known.orientation,
    scale: null,
    sdScale: null,
    covariance: known.covariance,
    sdOrientation: known.sdOrientation,
    observationCount: count,
    unknownCount: 1,
    fit: known.fit,
    sumOfSquares: known.fit.s0 === null ? 0 : known.fit.s0 ** 2 * known.fit.dof,
    height,
    observations: known.observations.map(observationView),
    points: input.points.map((point) => pointView(input, known, point.name)),
  };
  return ok({ result, judgement: judgeOverMark(input, result) });
}

function judgeOverMark(input: KnownStationInput, result: ResectionResult): Judgement {
  const backsights = [...new Set(result.observations.filter((each) => each.direction).map((each) => each.reduced.point))];
  const off = result.points.filter((point) => point.leaveOneOut?.exceeds);
  const offInHeight = result.points.filter((point) => point.leaveOneOutHeight?.exceeds);
  const turned = result.fit.globalTest?.verdict === 'aboveUpper';
  const distanceOf = (name: string): Metres | null => {
    const residual = result.observations.find((each) => each.reduced.point === name)?.distance?.residual;
    return residual === undefined ? null : -residual;
  };
  const because: Reason[] = [
    backsights.length === 1
      ? { code: 'OVER_ONE_BACKSIGHT', station: input.station.name, name: backsights[0]!, distanceOff: distanceOf(backsights[0]!) }
      : { code: 'OVER_SEVERAL_BACKSIGHTS', station: input.station.name, marks: backsights.length },
    ...off.map((point): Reason => ({ code: 'BACKSIGHT_OFF', name: point.name, distanceOff: distanceOf(point.name) })),
    ...(turned ? [{ code: 'BACKSIGHTS_DISAGREE' as const, s0: result.fit.s0! }] : []),
    ...offInHeight.map((point): Reason => ({ code: 'BACKSIGHT_HEIGHT_OFF', name: point.name, dZ: point.dZ! })),
    ...(result.height ? [] : [{ code: 'NO_HEIGHT' as const }]),
    ...(result.height && input.setup.instrumentHeight === 0 ? [{ code: 'NO_INSTRUMENT_HEIGHT' as const }] : []),
  ];
  const bad = off.length > 0 || offInHeight.length > 0 || turned;
  const checkability = backsights.length === 1 ? 'unchecked' : backsights.length === 2 ? 'checked' : 'traceable';
  const doThis: Step[] = [
    ...off.flatMap((point): Step[] => [
      { code: 'CHECK_NAME', name: point.name, other: null },
      { code: 'LEVEL_POLE', name: point.name },
      { code: 'SIGHT_AGAIN', name: point.name },
    ]),
    ...(backsights.length === 1 || bad ? [{ code: 'SIGHT_ANOTHER' as const }] : []),
  ];
  return {
    verdict: bad ? 'refused' : checkability === 'unchecked' ? 'unchecked' : 'checked',
    checkability,
    explained: null,
    because,
    doThis: doThis.length === 0 ? [{ code: 'ACCEPT' }] : doThis,
    noticed: [],
    heightTrend: null,
  };
}
