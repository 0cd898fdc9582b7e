/**
 * Sight to a known mark from an accepted station: differences, their significance, and whether they are within limits.
 */
import { CRITICAL_T, CRITICAL_W } from '../adjust/criticalValues.ts';
import type { Metres } from '../quantity/unit.ts';
import { fail, ok, type Result } from '../result.ts';
import type { ControlPoint, InstrumentPrecision, Reading, Reduction, Setup } from '../sight/observation.ts';
import { reduceReading } from '../sight/reduce.ts';
import { measurePoint, type MeasuredPoint } from '../station/measuredPoint.ts';
import type { Station, StationError } from '../station/model.ts';
import { firstInvalidNumber, invalidSight } from '../station/validate.ts';

export interface CheckInput {
  readonly instrument: InstrumentPrecision;
  readonly station: Station;
  readonly setup: Setup;
  readonly reduction: Reduction;
  readonly point: ControlPoint;
  readonly reading: Reading;
  /** Largest difference allowed; null is not tested. */
  readonly limits: { readonly plan: Metres | null; readonly height: Metres | null };
}

/**
 * Differences measured - listed. Along: positive when farther away. Across: positive to the right seen from the
 * instrument.
 */
export interface CheckResult {
  readonly measured: MeasuredPoint;
  readonly plan: {
    readonly dE: Metres;
    readonly dN: Metres;
    readonly dAlong: Metres;
    readonly dAcross: Metres;
    readonly horizontal: Metres;
    readonly sdDE: Metres;
    readonly sdDN: Metres;
    readonly sdDAlong: Metres;
    readonly sdDAcross: Metres;
    readonly t: number;
    readonly significant: boolean;
  } | null;
  readonly height: {
    readonly dZ: Metres;
    readonly sd: Metres;
    readonly w: number;
    readonly significant: boolean;
  } | null;
  readonly withinPlan: boolean | null;
  readonly withinHeight: boolean | null;
  readonly verdict: 'within' | 'outside';
}

export function checkPoint(input: CheckInput): Result<CheckResult, StationError> {
  const invalid =
    invalidSight(input) ?? firstInvalidNumber(input.point, ['point'], ['e', 'n', 'z', 'sdPlan', 'sdHeight']);
  if (invalid) return fail(invalid);
  const measured = measurePoint(
    input.station,
    input.setup,
    reduceReading(input.reading, input.instrument, input.reduction),
  )!;
  return ok(comparePlace(measured, input.point, input.limits));
}

/**
 * A place that was measured, by whatever means, against where something is listed. Along and across follow the place's
 * azimuth.
 */
export function comparePlace(measured: MeasuredPoint, point: ControlPoint, limits: CheckInput['limits']): CheckResult {
  const plan = planDifference(measured, point);
  const height = heightDifference(measured, point);
  const withinPlan = plan && limits.plan !== null ? plan.horizontal <= limits.plan : null;
  const withinHeight = height && limits.height !== null ? Math.abs(height.dZ) <= limits.height : null;
  const verdict = withinPlan === false || withinHeight === false ? 'outside' : 'within';
  return { measured, plan, height, withinPlan, withinHeight, verdict };
}

function planDifference(measured: MeasuredPoint, point: ControlPoint): CheckResult['plan'] {
  if (point.e === null || point.n === null) return null;
  const dE = measured.e - point.e;
  const dN = measured.n - point.n;
  const sine = Math.sin(measured.azimuth);
  const cosine = Math.cos(measured.azimuth);
  const varPoint = (point.sdPlan ?? 0) ** 2;
  const ee = measured.plan.ee + varPoint;
  const nn = measured.plan.nn + varPoint;
  const en = measured.plan.en;
  const t = (dE * dE * nn - 2 * dE * dN * en + dN * dN * ee) / (ee * nn - en * en);
  return {
    dE,
    dN,
    dAlong: dE * sine + dN * cosine,
    dAcross: dE * cosine - dN * sine,
    horizontal: Math.hypot(dE, dN),
    sdDE: Math.sqrt(ee),
    sdDN: Math.sqrt(nn),
    sdDAlong: Math.sqrt(sine * sine * ee + 2 * sine * cosine * en + cosine * cosine * nn),
    sdDAcross: Math.sqrt(cosine * cosine * ee - 2 * sine * cosine * en + sine * sine * nn),
    t,
    significant: t > CRITICAL_T,
  };
}

function heightDifference(measured: MeasuredPoint, point: ControlPoint): CheckResult['height'] {
  if (point.z === null || measured.z === null || measured.varZ === null) return null;
  const dZ = measured.z - point.z;
  const sd = Math.sqrt(measured.varZ + (point.sdHeight ?? 0) ** 2);
  const w = dZ / sd;
  return { dZ, sd, w, significant: Math.abs(w) > CRITICAL_W };
}
