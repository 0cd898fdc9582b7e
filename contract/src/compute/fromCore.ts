/** Core results to edge forms. */
import {
  RADIANS_PER_DEGREE,
  RADIANS_PER_SECOND,
  type CheckResult,
  type Ellipse,
  type Fit,
  type Explanation,
  type HeightLeaveOneOut,
  type HeightResidual,
  type HeightSolution,
  type HeightStationResult,
  type JudgedStation,
  type KnownStationResult,
  type PlanPrecision,
  type Prediction,
  type ReducedObservation,
  type ResectionResult,
  type StakeResult,
  type TraverseResult,
  type Unnoticed,
} from '@idle-marker/core';
import { CRITICAL_T, CRITICAL_W, shareOf } from '@idle-marker/core';

const mm = (metres: number): number => metres * 1e3;
const deg = (radians: number): number => radians / RADIANS_PER_DEGREE;
const sec = (radians: number): number => radians / RADIANS_PER_SECOND;
const orNull = (value: number | null | undefined, convert: (value: number) => number): number | null =>
  value === null || value === undefined ? null : convert(value);

const ellipseJson = (ellipse: Ellipse) => ({
  aMm: mm(ellipse.a),
  bMm: mm(ellipse.b),
  azimuthDeg: deg(ellipse.azimuth),
});
const precisionJson = (plan: PlanPrecision) => ({
  sdEMm: mm(plan.sdE),
  sdNMm: mm(plan.sdN),
  ellipse: ellipseJson(plan.ellipse),
  ellipse95: ellipseJson(plan.ellipse95),
});
const fitJson = (fit: Fit) => ({ dof: fit.dof, s0: fit.s0, globalTest: fit.globalTest });

const reducedJson = (reduced: ReducedObservation) => ({
  point: reduced.point,
  faceCount: reduced.faceCount,
  hzDeg: deg(reduced.hz),
  zenithDeg: deg(reduced.zenith),
  slope: reduced.slope,
  horizontalDistance: reduced.horizontal,
  gridDistance: reduced.gridDistance,
  heightDifference: reduced.heightDifference,
  collimationSec: orNull(reduced.collimation, sec),
  indexErrorSec: orNull(reduced.indexError, sec),
});

const heightResidualJson = (height: HeightResidual | null) =>
  height && {
    stationZ: height.stationZ,
    sdMm: mm(height.sd),
    residualMm: mm(height.residual),
    redundancy: height.redundancy,
    standardisedResidual: height.standardisedResidual,
    mdbMm: orNull(height.detectableBias, mm),
  };

const heightJson = (height: HeightSolution | null) =>
  height && { observationCount: height.observationCount, ...fitJson(height.fit) };

const leaveOneOutHeightJson = (out: HeightLeaveOneOut | null) =>
  out && { dZMm: mm(out.dZ), sdMm: mm(out.sd), w: out.w, critical: out.critical, exceeds: out.exceeds };

export const resectionJson = (result: ResectionResult) => ({
  e: result.e,
  n: result.n,
  z: result.height?.z ?? null,
  orientationDeg: deg(result.orientation),
  scale: result.scale,
  sdScalePpm: orNull(result.sdScale, (ratio) => ratio * 1e6),
  covariance: result.covariance,
  ...precisionJson(result),
  sdOrientationSec: sec(result.sdOrientation),
  sdZMm: orNull(result.height?.sdZ, mm),
  sdTrunnionZMm: orNull(result.height?.sdTrunnionZ, mm),
  observationCount: result.observationCount,
  unknownCount: result.unknownCount,
  ...fitJson(result.fit),
  height: heightJson(result.height),
  observations: result.observations.map((observation) => ({
    ...reducedJson(observation.reduced),
    direction: observation.direction && {
      sdSec: sec(observation.direction.sd),
      residualSec: sec(observation.direction.residual),
      residualMm: mm(observation.direction.residualAtTarget),
      redundancy: observation.direction.redundancy,
      standardisedResidual: observation.direction.standardisedResidual,
      mdbSec: orNull(observation.direction.detectableBias, sec),
      mdbMm: orNull(observation.direction.detectableBiasAtTarget, mm),
    },
    distance: observation.distance && {
      sdMm: mm(observation.distance.sd),
      residualMm: mm(observation.distance.residual),
      redundancy: observation.distance.redundancy,
      standardisedResidual: observation.distance.standardisedResidual,
      mdbMm: orNull(observation.distance.detectableBias, mm),
    },
    height: heightResidualJson(observation.height),
  })),
  points: result.points.map((point) => ({
    name: point.name,
    dEMm: orNull(point.dE, mm),
    dNMm: orNull(point.dN, mm),
    dZMm: orNull(point.dZ, mm),
    leaveOneOut: point.leaveOneOut && {
      dEMm: mm(point.leaveOneOut.dE),
      dNMm: mm(point.leaveOneOut.dN),
      covarianceMm2: [
        [point.leaveOneOut.covariance.ee * 1e6, point.leaveOneOut.covariance.en * 1e6],
        [point.leaveOneOut.covariance.en * 1e6, point.leaveOneOut.covariance.nn * 1e6],
      ],
      t: point.leaveOneOut.t,
      critical: point.leaveOneOut.critical,
      exceeds: point.leaveOneOut.exceeds,
    },
    leaveOneOutHeight: leaveOneOutHeightJson(point.leaveOneOutHeight),
  })),
});

export const heightStationJson = (result: HeightStationResult) => ({
  z: result.height.z,
  sdZMm: mm(result.height.sdZ),
  sdTrunnionZMm: mm(result.height.sdTrunnionZ),
  height: heightJson(result.height),
  observations: result.observations.map(({ reduced, height }) => ({
    point: reduced.point,
    faceCount: reduced.faceCount,
    zenithDeg: deg(reduced.zenith),
    slope: reduced.slope,
    horizontalDistance: reduced.horizontal,
    heightDifference: reduced.heightDifference,
    indexErrorSec: orNull(reduced.indexError, sec),
    height: heightResidualJson(height),
  })),
  points: result.points.map((point) => ({
    name: point.name,
    dZMm: orNull(point.dZ, mm),
    leaveOneOutHeight: leaveOneOutHeightJson(point.leaveOneOutHeight),
  })),
});

export const knownStationJson = (result: KnownStationResult) => ({
  e: result.e,
  n: result.n,
  z: result.z,
  orientationDeg: deg(result.orientation),
  sdOrientationSec: sec(result.sdOrientation),
  covariance: result.covariance,
  sdEMm: mm(result.sdE),
  sdNMm: mm(result.sdN),
  sdZMm: orNull(result.sdZ, mm),
  sdTrunnionZMm: orNull(result.sdTrunnionZ, mm),
  ...fitJson(result.fit),
  ...(result.height
    ? { height: heightJson(result.height), stationHeightDifferenceMm: orNull(result.stationHeightDifference, mm) }
    : {}),
  observations: result.observations.map((observation) => ({
    ...reducedJson(observation.reduced),
    direction: observation.direction && {
      orientationDeg: deg(observation.direction.orientation),
      sdSec: sec(observation.direction.sd),
      weight: observation.direction.weight,
      residualSec: sec(observation.direction.residual),
      residualMm: mm(observation.direction.residualAtTarget),
    },
    distanceCheckMm: orNull(observation.distanceCheck, mm),
    sdDistanceCheckMm: orNull(observation.sdDistanceCheck, mm),
    dEMm: orNull(observation.dE, mm),
    dNMm: orNull(observation.dN, mm),
    dZMm: orNull(observation.dZ, mm),
    sdDZMm: orNull(observation.sdDZ, mm),
  })),
});

export const checkJson = (result: CheckResult) => ({
  measured: { e: result.measured.e, n: result.measured.n, z: result.measured.z },
  dEMm: orNull(result.plan?.dE, mm),
  dNMm: orNull(result.plan?.dN, mm),
  dZMm: orNull(result.height?.dZ, mm),
  dAlongMm: orNull(result.plan?.dAlong, mm),
  dAcrossMm: orNull(result.plan?.dAcross, mm),
  horizontalMm: orNull(result.plan?.horizontal, mm),
  sdDEMm: orNull(result.plan?.sdDE, mm),
  sdDNMm: orNull(result.plan?.sdDN, mm),
  sdDZMm: orNull(result.height?.sd, mm),
  sdDAlongMm: orNull(result.plan?.sdDAlong, mm),
  sdDAcrossMm: orNull(result.plan?.sdDAcross, mm),
  t: result.plan?.t ?? null,
  tCritical: CRITICAL_T,
  significantH: result.plan?.significant ?? null,
  w: result.height?.w ?? null,
  wCritical: CRITICAL_W,
  significantV: result.height?.significant ?? null,
  withinH: result.withinPlan,
  withinV: result.withinHeight,
  verdict: result.verdict,
});

export const predictionJson = (prediction: Prediction) => ({
  ...precisionJson(prediction),
  sdZMm: orNull(prediction.sdZ, mm),
  radius95Mm: mm(prediction.radius95),
});

export const stakeJson = (result: StakeResult) => ({
  measured: { e: result.measured.e, n: result.measured.n, z: result.measured.z },
  azimuthToTargetDeg: deg(result.azimuthToTarget),
  circleToTargetDeg: deg(result.circleToTarget),
  gridDistanceToTarget: result.gridDistanceToTarget,
  horizontalDistanceToTarget: result.horizontalDistanceToTarget,
  turnAngleDeg: deg(result.turnAngle),
  deltaE: result.deltaE,
  deltaN: result.deltaN,
  moveOut: result.moveOut,
  moveRightFromInstrument: result.moveRightFromInstrument,
  moveRightFromPole: result.moveRightFromPole,
  cutFill: result.cutFill,
  predicted: predictionJson(result.predicted),
});

export const traverseJson = (result: TraverseResult, name: string) => {
  const { newPoint, nextStation, backsightCheck } = result;
  const place = { name, e: newPoint.measured.e, n: newPoint.measured.n, z: newPoint.measured.z };
  const { ee, nn, en } = newPoint.measured.plan;
  return {
    newPoint: {
      ...place,
      covariance: [
        [ee, en],
        [en, nn],
      ],
      ...precisionJson(newPoint),
      sdZMm: orNull(newPoint.sdZ, mm),
    },
    nextStation: {
      ...place,
      orientationDeg: deg(nextStation.orientation),
      covariance: nextStation.covariance,
      ...precisionJson(nextStation),
      sdZMm: orNull(newPoint.sdZ, mm),
      sdTrunnionZMm: orNull(nextStation.sdTrunnionZ, mm),
      sdOrientationSec: sec(nextStation.sdOrientation),
    },
    backsightCheck: { distanceCheckMm: orNull(backsightCheck.distance, mm), dZMm: orNull(backsightCheck.dZ, mm) },
  };
};

function figuresJson({ figures }: Explanation): object {
  switch (figures.code) {
    case 'MARK_MOVED_PLAN':
      return { dEMm: mm(figures.dE), dNMm: mm(figures.dN) };
    case 'MARK_MOVED_HEIGHT':
      return { dZMm: mm(figures.dZ) };
    case 'PRISM_CONSTANT':
      return { constantMm: mm(figures.constant) };
    case 'TARGET_HEIGHT':
      return { targetHeightError: figures.error };
    case 'LENGTH_UNIT':
      return { factor: figures.factor };
    case 'SCALE':
      return { ppm: figures.ratio * 1e6 };
    case 'DIRECTION_READING':
      return { circleErrorDeg: deg(figures.circleError) };
    default:
      return {};
  }
}

/** The figures of a reason or a step in the units of the edge, for those that have them. */
const FIGURES_IN_MM: ReadonlySet<string> = new Set(['radius95', 'effect', 'allowed', 'noticed']);

function figuresAtEdge(
  figures: Readonly<Record<string, unknown>>,
  explanationJson: (each: Explanation) => object,
): object {
  const converted = Object.entries(figures).map(([name, value]): [string, unknown] => {
    if (FIGURES_IN_MM.has(name)) return [`${name}Mm`, value === null ? null : mm(value as number)];
    if (name === 'azimuth') return ['azimuthDeg', value === null ? null : deg(value as number)];
    if (name === 'of') return [name, value === null ? null : unnoticedJson(value as Unnoticed)];
    return [
      name,
      typeof value === 'object' && value !== null && 'score' in value ? explanationJson(value as Explanation) : value,
    ];
  });
  return Object.fromEntries(converted);
}

/** One entry a place, under the first of its names; of a factor millimetres in a metre. */
const unnoticedJson = ({ fault, names, noticed, effect }: Unnoticed) => ({
  name: names[0] ?? fault,
  noticedMm: orNull(noticed, mm),
  effectMm: orNull(effect, mm),
});

/** So many are told. */
const UNNOTICED_TOLD = 3;

/** So many explanations are told; those after them remove next to nothing. */
const TOLD = 10;

export const judgementJson = ({ judgement }: JudgedStation): object => {
  const { none, best, also, explanations } = judgement.explained!;
  const explanationJson = (each: Explanation) => ({
    code: each.code,
    points: each.points,
    figures: figuresJson(each),
    share: shareOf(each, none),
  });
  return {
    verdict: judgement.verdict,
    checkability: judgement.checkability,
    unnoticed: (judgement.reliability?.unnoticed ?? []).slice(0, UNNOTICED_TOLD).map(unnoticedJson),
    goodToMm: orNull(judgement.goodTo, mm),
    best: best && explanationJson(best),
    also: also && explanationJson(also),
    explanations: explanations.slice(0, TOLD).map(explanationJson),
    because: judgement.because.map(({ code, ...figures }) => ({
      code,
      figures: figuresAtEdge(figures, explanationJson),
    })),
    doThis: judgement.doThis.map(({ code, ...figures }) => ({
      code,
      figures: figuresAtEdge(figures, explanationJson),
    })),
  };
};
