/** From the pole's present place to a design point: what to turn, where to walk, how much to cut or fill. */
import { wrapHalfTurn, wrapTurn } from '../quantity/angle.ts';
import type { SitePoint } from '../plane/point.ts';
import type { Metres, Radians } from '../quantity/unit.ts';
import { fail, ok, type Result } from '../result.ts';
import type { InstrumentPrecision, Reading, Reduction, Setup } from '../sight/observation.ts';
import { reduceReading } from '../sight/reduce.ts';
import {
  expectedReading,
  measurePoint,
  predictAt,
  type MeasuredPoint,
  type Prediction,
} from '../station/measuredPoint.ts';
import type { Station, StationError } from '../station/model.ts';
import { firstInvalidNumber, invalidSight } from '../station/validate.ts';

export interface StakeInput {
  readonly instrument: InstrumentPrecision;
  readonly station: Station;
  readonly setup: Setup;
  readonly reduction: Reduction;
  readonly target: SitePoint;
  readonly reading: Reading;
}

export interface StakeResult {
  /** The ground under the pole. */
  readonly measured: MeasuredPoint;
  readonly azimuthToTarget: Radians;
  readonly circleToTarget: Radians;
  readonly gridDistanceToTarget: Metres;
  /** What the instrument must show: grid distance without the scale factor. */
  readonly horizontalDistanceToTarget: Metres;
  /** In (-π, π], positive clockwise. */
  readonly turnAngle: Radians;
  /** Target minus measured. */
  readonly deltaE: Metres;
  readonly deltaN: Metres;
  /** Positive away from the instrument. */
  readonly moveOut: Metres;
  /** Positive right, seen from the instrument facing the prism. */
  readonly moveRightFromInstrument: Metres;
  /** Positive right, seen by the person at the pole facing the instrument: the negative of the above. */
  readonly moveRightFromPole: Metres;
  /** Ground minus design: positive cut, negative fill. Null without a design height or a station height. */
  readonly cutFill: Metres | null;
  readonly predicted: Prediction;
}

export function stake(input: StakeInput): Result<StakeResult, StationError> {
  const invalid = invalidSight(input) ?? firstInvalidNumber(input.target, ['target'], ['z']);
  if (invalid) return fail(invalid);
  const reduced = reduceReading(input.reading, input.instrument, input.reduction);
  const measured = measurePoint(input.station, input.setup, reduced)!;
  const { target, station } = input;
  const expected = expectedReading(station, input.setup, input.reduction, target, input.reading.targetHeight);
  const circleToTarget = wrapTurn(expected.azimuth - station.orientation);
  const deltaE = target.e - measured.e;
  const deltaN = target.n - measured.n;
  const sine = Math.sin(measured.azimuth);
  const cosine = Math.cos(measured.azimuth);
  const right = deltaE * cosine - deltaN * sine;
  return ok({
    measured,
    azimuthToTarget: wrapTurn(expected.azimuth),
    circleToTarget,
    gridDistanceToTarget: expected.gridDistance,
    horizontalDistanceToTarget: expected.horizontal,
    turnAngle: wrapHalfTurn(circleToTarget - reduced.hz),
    deltaE,
    deltaN,
    moveOut: deltaE * sine + deltaN * cosine,
    moveRightFromInstrument: right,
    moveRightFromPole: -right,
    cutFill: target.z === null || measured.z === null ? null : measured.z - target.z,
    predicted: predictAt(station, input.setup, input.instrument, input.reduction, target, input.reading),
  });
}
