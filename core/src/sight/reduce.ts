import { wrapTurn, wrapHalfTurn } from '../quantity/angle.ts';
import type { Metres, Radians } from '../quantity/unit.ts';
import type { InstrumentPrecision, Observation, Reading, Reduction } from './observation.ts';

/** A reading brought to face 1 and to horizontal and vertical components. */
export interface ReducedReading {
  readonly hz: Radians;
  readonly zenith: Radians;
  /** Corrected slope. */
  readonly slope: Metres | null;
  /** Horizontal distance s·sin z, before the scale factor. */
  readonly horizontal: Metres | null;
  readonly gridDistance: Metres | null;
  /** Tilting axis to target centre, curvature and refraction applied. */
  readonly heightDifference: Metres | null;
  /** Variance of hz (instrument part only), of the horizontal distance, and of the height difference. */
  readonly varDirection: number;
  readonly varRadial: number;
  readonly varHeightDifference: number;
  readonly targetHeight: Metres;
  readonly targetHeightSd: Metres;
  readonly targetCentringSd: Metres;
}

/** A reduced observation of a listed point: one reading, or a pair in two faces. */
export interface ReducedObservation extends ReducedReading {
  readonly point: string;
  readonly faceCount: 1 | 2;
  readonly usePlan: boolean;
  readonly useHeight: boolean;
  readonly useDirection: boolean;
  /** Half the difference of the circle readings of a pair, and its zenith index error. */
  readonly collimation: Radians | null;
  readonly indexError: Radians | null;
}

/** Rise of the line of sight above the chord: (1 - k) d² / 2R. */
export const curvatureAndRefraction = (horizontal: Metres, reduction: Reduction): Metres =>
  ((1 - reduction.refraction) * horizontal * horizontal) / (2 * reduction.earthRadius);

export const correctedSlope = (raw: Metres, reduction: Reduction): Metres =>
  (raw + reduction.prismConstant) * (1 + reduction.atmosphericRatio);

/** What a reading is for, and what became of its faces. */
interface Purpose {
  readonly point: string;
  readonly faceCount: 1 | 2;
  readonly usePlan: boolean;
  readonly useHeight: boolean;
  readonly useDirection: boolean;
  readonly collimation: Radians | null;
  readonly indexError: Radians | null;
}

/**
 * Builds the reduced observation field by field: this runs for every sight at every keystroke, and spreading
 * parts together costs more than the whole adjustment.
 */
function components(
  hz: Radians,
  zenith: Radians,
  slope: Metres | null,
  target: Pick<Reading, 'targetHeight' | 'targetHeightSd' | 'targetCentringSd' | 'errorFactor'>,
  precision: InstrumentPrecision,
  reduction: Reduction,
  purpose: Purpose,
): ReducedObservation {
  const factor = target.errorFactor ?? 1;
  const faces = purpose.faceCount / (factor * factor);
  const varAngle = (precision.angleSd * precision.angleSd) / faces;
  const sine = Math.sin(zenith);
  const cosine = Math.cos(zenith);
  const length = slope ?? NaN;
  const proportional = precision.distanceSdRatio * length;
  const varSlope = (precision.distanceSd * precision.distanceSd + proportional * proportional) / faces;
  const horizontal = length * sine;
  const vertical = length * cosine;
  const hasSlope = slope !== null;
  return {
    hz,
    zenith,
    slope,
    horizontal: hasSlope ? horizontal : null,
    gridDistance: hasSlope ? horizontal * reduction.combinedScaleFactor : null,
    heightDifference: hasSlope ? vertical + curvatureAndRefraction(horizontal, reduction) : null,
    varDirection: varAngle,
    varRadial: varSlope * sine * sine + vertical * vertical * varAngle,
    varHeightDifference: varSlope * cosine * cosine + horizontal * horizontal * varAngle,
    targetHeight: target.targetHeight,
    targetHeightSd: target.targetHeightSd,
    targetCentringSd: target.targetCentringSd,
    point: purpose.point,
    faceCount: purpose.faceCount,
    usePlan: purpose.usePlan,
    useHeight: purpose.useHeight,
    useDirection: purpose.useDirection,
    collimation: purpose.collimation,
    indexError: purpose.indexError,
  };
}

function reduceFace(
  reading: Reading,
  precision: InstrumentPrecision,
  reduction: Reduction,
  purpose: Purpose,
): ReducedObservation {
  const hz = reading.face === 1 ? wrapTurn(reading.circle) : wrapTurn(reading.circle - Math.PI);
  const zenith = reading.face === 1 ? reading.zenith : 2 * Math.PI - reading.zenith;
  const slope = reading.slope === null ? null : correctedSlope(reading.slope, reduction);
  return components(hz, zenith, slope, reading, precision, reduction, purpose);
}

const NO_PURPOSE: Purpose = {
  point: '',
  faceCount: 1,
  usePlan: false,
  useHeight: false,
  useDirection: true,
  collimation: null,
  indexError: null,
};

/** Reduces a single reading. A reading on face 2 is turned to face 1 and keeps its full variance. */
export const reduceReading = (reading: Reading, precision: InstrumentPrecision, reduction: Reduction): ReducedReading =>
  reduceFace(reading, precision, reduction, NO_PURPOSE);

const reduceSingle = (
  observation: Observation,
  precision: InstrumentPrecision,
  reduction: Reduction,
): ReducedObservation =>
  reduceFace(observation, precision, reduction, {
    point: observation.point,
    faceCount: 1,
    usePlan: observation.usePlan,
    useHeight: observation.useHeight,
    useDirection: observation.useDirection ?? true,
    collimation: null,
    indexError: null,
  });

function reducePair(
  first: Observation,
  second: Observation,
  precision: InstrumentPrecision,
  reduction: Reduction,
): ReducedObservation {
  const [direct, reverse] = first.face === 1 ? [first, second] : [second, first];
  const collimation = wrapHalfTurn(direct.circle - reverse.circle - Math.PI) / 2;
  const indexError = (direct.zenith + reverse.zenith - 2 * Math.PI) / 2;
  const slopes = [direct.slope, reverse.slope]
    .filter((slope) => slope !== null)
    .map((slope) => correctedSlope(slope, reduction));
  const slope = slopes.length === 0 ? null : slopes.reduce((sum, each) => sum + each, 0) / slopes.length;
  return components(
    wrapTurn(direct.circle - collimation),
    direct.zenith - indexError,
    slope,
    first,
    precision,
    reduction,
    {
      point: first.point,
      faceCount: 2,
      usePlan: first.usePlan,
      useHeight: first.useHeight,
      useDirection: first.useDirection ?? true,
      collimation,
      indexError,
    },
  );
}

/**
 * Reduces a list of observations. Readings of one point on face 1 and face 2 form pairs in order of appearance,
 * each pair standing at the place of its first member: the instrument's variances are halved, centring, target
 * height and control are common to both faces and are not. Readings of one point on the same face stay apart.
 * Source: Schofield, Breach, "Engineering Surveying", two-face reduction and trigonometric heighting.
 */
export function reduceObservations(
  observations: readonly Observation[],
  precision: InstrumentPrecision,
  reduction: Reduction,
): ReducedObservation[] {
  const partner = new Map<number, number>();
  // The usual case: one face only, nothing to pair.
  if (observations.every((observation) => observation.face === observations[0]!.face)) {
    return observations.map((observation) => reduceSingle(observation, precision, reduction));
  }
  const open = new Map<string, number[]>();
  observations.forEach((observation, index) => {
    const other = open.get(`${3 - observation.face} ${observation.point}`);
    const match = other?.shift();
    if (match !== undefined) {
      partner.set(match, index);
      partner.set(index, -1);
      return;
    }
    const key = `${observation.face} ${observation.point}`;
    const waiting = open.get(key);
    if (waiting) waiting.push(index);
    else open.set(key, [index]);
  });
  const reduced: ReducedObservation[] = [];
  observations.forEach((observation, index) => {
    const other = partner.get(index);
    if (other === -1) return;
    if (other !== undefined) {
      reduced.push(reducePair(observation, observations[other]!, precision, reduction));
      return;
    }
    reduced.push(reduceSingle(observation, precision, reduction));
  });
  return reduced;
}
