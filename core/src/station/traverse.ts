/**
 * Carrying control forward (leapfrog): a point measured from one station becomes the next stand.
 * Source: Ghilani, "Adjustment Computations" (propagation with correlated stations).
 */
import { wrapTurn } from '../quantity/angle.ts';
import type { Metres, Radians } from '../quantity/unit.ts';
import { fail, ok, type Result } from '../result.ts';
import type { ControlPoint, InstrumentPrecision, Reading, Reduction, Setup } from '../sight/observation.ts';
import { reduceReading } from '../sight/reduce.ts';
import { measurePoint, planPrecisionOf, type MeasuredPoint, type PlanCovariance } from './measuredPoint.ts';
import type { PlanPrecision, Station, StationCovariance, StationError } from './model.ts';
import {
  COINCIDENT_POINT_TOLERANCE_M,
  duplicateName,
  firstInvalidNumber,
  invalidNumberIn,
  invalidReading,
} from './validate.ts';

export interface TraverseInput {
  readonly instrument: InstrumentPrecision;
  readonly station: Station & { readonly name: string };
  readonly setup: Setup;
  readonly reduction: Reduction;
  readonly points: readonly ControlPoint[];
  readonly foresight: Reading & { readonly point: string };
  readonly nextSetup: Setup & { readonly instrumentCentringSd: Metres };
  readonly backsight: Reading & { readonly point: string };
}

export interface TraverseResult {
  readonly newPoint: PlanPrecision & { readonly measured: MeasuredPoint; readonly sdZ: Metres | null };
  readonly nextStation: PlanPrecision & {
    readonly orientation: Radians;
    readonly covariance: StationCovariance;
    readonly sdOrientation: Radians;
    readonly sdTrunnionZ: Metres | null;
  };
  /** Measured minus listed; the backsight's distance and height only check. */
  readonly backsightCheck: { readonly distance: Metres | null; readonly dZ: Metres | null };
}

interface Backsighted {
  readonly e: Metres;
  readonly n: Metres;
  readonly z: Metres | null;
  readonly varPlan: number;
  readonly isOldStation: boolean;
}

function validate(input: TraverseInput): StationError | null {
  const { station, nextSetup } = input;
  const readings = [
    { reading: input.foresight, path: ['foresight'] },
    { reading: input.backsight, path: ['nextSetup', 'backsight'] },
  ];
  return (
    firstInvalidNumber(station, ['station'], ['z', 'sdTrunnionZ']) ??
    invalidNumberIn(input) ??
    firstInvalidNumber(input.foresight, ['foresight'], ['slope']) ??
    firstInvalidNumber(nextSetup, ['nextSetup']) ??
    firstInvalidNumber(input.backsight, ['nextSetup', 'backsight'], ['slope']) ??
    duplicateName(input.points) ??
    invalidReading(readings) ??
    (input.foresight.slope === null ? { code: 'INVALID_NUMBER', path: ['foresight', 'slope'] } : null)
  );
}

function backsightedPlace(input: TraverseInput): Result<Backsighted, StationError> {
  const { station, backsight } = input;
  if (backsight.point === station.name)
    return ok({ e: station.e, n: station.n, z: station.z, varPlan: 0, isOldStation: true });
  const point = input.points.find((each) => each.name === backsight.point);
  if (!point || point.e === null || point.n === null) {
    return fail({
      code: 'MISSING_COORDINATES',
      path: ['nextSetup', 'backsight', 'point'],
      name: backsight.point,
      listed: point !== undefined,
    });
  }
  return ok({ e: point.e, n: point.n, z: point.z, varPlan: (point.sdPlan ?? 0) ** 2, isOldStation: false });
}

export function traverse(input: TraverseInput): Result<TraverseResult, StationError> {
  const invalid = validate(input);
  if (invalid) return fail(invalid);
  const backsighted = backsightedPlace(input);
  if (!backsighted.ok) return backsighted;
  const place = backsighted.value;
  const foresight = reduceReading(input.foresight, input.instrument, input.reduction);
  const measured = measurePoint(input.station, input.setup, foresight)!;
  const dE = place.e - measured.e;
  const dN = place.n - measured.n;
  const squared = dE * dE + dN * dN;
  if (squared <= COINCIDENT_POINT_TOLERANCE_M ** 2) {
    return fail({
      code: 'COINCIDENT_POINTS',
      path: ['nextSetup', 'backsight', 'point'],
      names: [input.foresight.point, input.backsight.point],
    });
  }
  const back = reduceReading(input.backsight, input.instrument, input.reduction);
  const covariance = nextCovariance(input, measured, place, { gE: -dN / squared, gN: dE / squared }, back);
  const plan: PlanCovariance = { ee: covariance[0]![0], nn: covariance[1]![1], en: covariance[0]![1] };
  const sdZ = measured.varZ === null ? null : Math.sqrt(measured.varZ);
  return ok({
    newPoint: { ...planPrecisionOf(measured.plan), measured, sdZ },
    nextStation: {
      ...planPrecisionOf(plan),
      orientation: wrapTurn(Math.atan2(dE, dN) - back.hz),
      covariance,
      sdOrientation: Math.sqrt(covariance[2]![2]),
      sdTrunnionZ: sdZ === null ? null : Math.hypot(sdZ, input.nextSetup.instrumentHeightSd),
    },
    backsightCheck: {
      distance: back.gridDistance === null ? null : back.gridDistance - Math.sqrt(squared),
      dZ:
        back.heightDifference === null || measured.z === null || place.z === null
          ? null
          : measured.z +
            input.nextSetup.instrumentHeight +
            back.heightDifference -
            input.backsight.targetHeight -
            place.z,
    },
  });
}

/**
 * Covariance of the next station. The new axis is P plus a centring error; the orientation moves by
 * g·dx - g·dB - g·(target centring) + direction error, g = (-dN, dE)/L² from P to B.
 * A backsight to the old station carries the station error that is already in P.
 */
function nextCovariance(
  input: TraverseInput,
  measured: MeasuredPoint,
  place: Backsighted,
  { gE, gN }: { gE: number; gN: number },
  back: { varDirection: number; targetCentringSd: Metres },
): StationCovariance {
  const centring = input.nextSetup.instrumentCentringSd ** 2;
  const ee = measured.plan.ee + centring;
  const nn = measured.plan.nn + centring;
  const en = measured.plan.en;
  const t = measured.azimuth;
  const [[cee, cen, ceo], [, cnn, cno]] = input.station.covariance as readonly [
    readonly [number, number, number],
    readonly [number, number, number],
    readonly [number, number, number],
  ];
  // Covariance of P with the old station: J times the station's columns for E and N.
  const je = measured.gridDistance * Math.cos(t);
  const jn = -measured.gridDistance * Math.sin(t);
  const old = place.isOldStation
    ? { ee: cee + je * ceo, en: cen + je * cno, ne: cen + jn * ceo, nn: cnn + jn * cno, bee: cee, bnn: cnn, ben: cen }
    : { ee: 0, en: 0, ne: 0, nn: 0, bee: place.varPlan, bnn: place.varPlan, ben: 0 };
  const covE = gE * ee + gN * en - (old.ee * gE + old.en * gN);
  const covN = gE * en + gN * nn - (old.ne * gE + old.nn * gN);
  const varBack = gE * gE * old.bee + 2 * gE * gN * old.ben + gN * gN * old.bnn;
  const varP = gE * gE * ee + 2 * gE * gN * en + gN * gN * nn;
  const cross = gE * (old.ee * gE + old.en * gN) + gN * (old.ne * gE + old.nn * gN);
  const varOrientation =
    varP - 2 * cross + varBack + (gE * gE + gN * gN) * back.targetCentringSd ** 2 + back.varDirection;
  return [
    [ee, en, covE],
    [en, nn, covN],
    [covE, covN, varOrientation],
  ];
}
