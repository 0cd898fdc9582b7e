/**
 * Free station from points known to lie on lines (grid lines chalked on a floor, edges of a slab): each sight gives one
 * coordinate, the distance off its line.
 *
 *   condition: u · (S + D·(sin t, cos t) - A) = 0,  t = orientation + hz,  u the line's unit normal, A a point of it
 *   variance:  of the measured point across the line, and of the line itself
 *
 * Unknowns E, N, orientation: three sights on lines that are not all parallel, and no more than two of them through one
 * crossing, give a station; every further one checks it. Gauss–Newton from starts all round the circle, because the
 * condition is far from linear in the orientation; where two places fit alike (lines that all cross in one point look
 * the same turned by half a turn) the answer is refused unless a rough place tells which. Source: Mikhail, Ackermann,
 * "Observations and Least Squares" (conditions with parameters).
 */
import { fitOf, fitsByChance, type Fit } from '../adjust/globalTest.ts';
import { CRITICAL_W } from '../adjust/criticalValues.ts';
import { invertNormal, solveNormal } from '../adjust/normalMatrix.ts';
import { wrapTurn } from '../quantity/angle.ts';
import type { PlanPoint } from '../plane/point.ts';
import type { Metres, Radians } from '../quantity/unit.ts';
import { fail, ok, type Result } from '../result.ts';
import type {
  ControlPoint,
  InstrumentPrecision,
  Observation,
  Reading,
  Reduction,
  Setup,
} from '../sight/observation.ts';
import { reduceObservations, reduceReading, type ReducedReading } from '../sight/reduce.ts';
import { SIGHT_ANY } from './furtherSight.ts';
import { heightDifference, heightFindings, heldHeight, type HeldHeightInput } from './heldHeight.ts';
import { hiddenReason, type SolvedStation } from './judgement.ts';
import { planPrecisionOf } from './measuredPoint.ts';
import type { PlanPrecision, StationCovariance, StationError } from './model.ts';
import {
  planReliability,
  USUALLY_ASKED,
  type AskedOfStation,
  type Reliability,
  type ReliabilityModel,
} from './reliability.ts';
import {
  duplicateName,
  firstInvalidNumber,
  invalidObservation,
  invalidReading,
  missingCoordinates,
} from './validate.ts';

export interface SiteLine {
  readonly name: string;
  readonly from: PlanPoint;
  readonly to: PlanPoint;
  /** How well it is marked on the ground, across. */
  readonly sd: Metres;
}

export type LineObservation = Reading & { readonly line: string };

export interface LineStationInput {
  readonly instrument: InstrumentPrecision;
  readonly reduction: Reduction;
  readonly lines: readonly SiteLine[];
  readonly observations: readonly LineObservation[];
  /** Roughly where the instrument stands, if that is known. */
  readonly near: PlanPoint | null;
}

export interface LineResidual {
  readonly line: string;
  /** Measured point off its line, positive on its right seen from `from`. */
  readonly off: Metres;
  readonly sd: Metres;
  readonly redundancy: number;
  /** Off over its own standard deviation; null when nothing checks it. */
  readonly w: number | null;
  readonly exceeds: boolean;
}

export interface LineStationResult extends PlanPrecision {
  readonly e: Metres;
  readonly n: Metres;
  readonly orientation: Radians;
  readonly sdOrientation: Radians;
  readonly covariance: StationCovariance;
  readonly fit: Fit;
  readonly sumOfSquares: number;
  readonly residuals: readonly LineResidual[];
}

interface Condition {
  readonly line: SiteLine;
  readonly reduced: ReducedReading;
  readonly distance: Metres;
  readonly uE: number;
  readonly uN: number;
  readonly offset: Metres;
}

const STARTS = 36;
const MOST_ITERATIONS = 40;
const CONVERGED: Metres = 1e-7;
const LEAST_RECIPROCAL_CONDITION = 1e-10;
const LEAST_REDUNDANCY = 1e-6;
/** Two answers within this are one. */
const SAME_PLACE: Metres = 0.01;
/** Sums of squares that differ by less do not tell two answers apart. */
const TELLS_APART = 12;

interface Answer {
  readonly e: Metres;
  readonly n: Metres;
  readonly orientation: Radians;
  readonly inverse: Float64Array;
  readonly sum: number;
}

function validate({ observations, lines }: LineStationInput): StationError | null {
  const byName = new Map(lines.map((line) => [line.name, line]));
  const readings = observations.map((reading, i) => ({ reading, path: ['observations', i] as const }));
  const invalid = invalidReading(readings);
  if (invalid) return invalid;
  for (const [i, observation] of observations.entries()) {
    const wrong = firstInvalidNumber(observation, ['observations', i], ['slope', 'errorFactor']);
    if (wrong) return wrong;
    const line = byName.get(observation.line);
    if (!line || Math.hypot(line.to.e - line.from.e, line.to.n - line.from.n) < SAME_PLACE)
      return {
        code: 'MISSING_COORDINATES',
        path: ['observations', i, 'line'],
        name: observation.line,
        listed: line !== undefined,
      };
    if (observation.slope === null) return { code: 'INVALID_NUMBER', path: ['observations', i, 'slope'] };
  }
  return observations.length < 3
    ? { code: 'TOO_FEW_OBSERVATIONS', path: ['observations'], given: observations.length, needed: 3 }
    : null;
}

function conditionsOf(
  { observations, lines, instrument, reduction }: LineStationInput,
  origin: PlanPoint,
): Condition[] {
  return observations.map((observation) => {
    const line = lines.find((each) => each.name === observation.line)!;
    const length = Math.hypot(line.to.e - line.from.e, line.to.n - line.from.n);
    const uE = (line.to.n - line.from.n) / length;
    const uN = -(line.to.e - line.from.e) / length;
    const reduced = reduceReading(observation, instrument, reduction);
    return {
      line,
      reduced,
      distance: reduced.gridDistance!,
      uE,
      uN,
      offset: uE * (line.from.e - origin.e) + uN * (line.from.n - origin.n),
    };
  });
}

/** Distance off the line, its derivative by the orientation, and its variance. */
function at({ reduced, distance, uE, uN, offset, line }: Condition, e: Metres, n: Metres, orientation: Radians) {
  const t = orientation + reduced.hz;
  const along = uE * Math.sin(t) + uN * Math.cos(t);
  const across = uE * Math.cos(t) - uN * Math.sin(t);
  const centring = reduced.targetCentringSd ** 2;
  return {
    off: uE * e + uN * n + distance * along - offset,
    slope: distance * across,
    variance:
      along * along * (reduced.varRadial + centring) +
      across * across * (distance * distance * reduced.varDirection + centring) +
      line.sd ** 2,
  };
}

function adjust(conditions: readonly Condition[], start: Radians): Answer | null {
  const x = Float64Array.of(0, 0, start);
  const normal = new Float64Array(9);
  const right = new Float64Array(3);
  const step = new Float64Array(3);
  const lower = new Float64Array(9);
  const scale = new Float64Array(3);
  for (let iteration = 0; iteration < MOST_ITERATIONS; iteration++) {
    normal.fill(0);
    right.fill(0);
    let sum = 0;
    for (const condition of conditions) {
      const { off, slope, variance } = at(condition, x[0]!, x[1]!, x[2]!);
      const row = [condition.uE, condition.uN, slope];
      sum += (off * off) / variance;
      for (let i = 0; i < 3; i++) {
        right[i]! -= (row[i]! * off) / variance;
        for (let j = 0; j < 3; j++) normal[i * 3 + j]! += (row[i]! * row[j]!) / variance;
      }
    }
    if (!solveNormal(normal, right, 3, step, lower, scale)) return null;
    // A turn by more than this leaves the part of the circle where the condition is nearly linear.
    const limit = Math.min(1, 0.4 / Math.max(Math.abs(step[2]!), 1e-12));
    for (let i = 0; i < 3; i++) x[i]! += step[i]! * limit;
    if (Math.abs(step[0]!) + Math.abs(step[1]!) < CONVERGED && Math.abs(step[2]!) < 1e-9) {
      const solved = invertNormal(normal, 3);
      if (!solved || !(solved.reciprocalCondition >= LEAST_RECIPROCAL_CONDITION)) return null;
      return { e: x[0]!, n: x[1]!, orientation: wrapTurn(x[2]!), inverse: solved.inverse, sum };
    }
  }
  return null;
}

/**
 * Solves a free station on lines. Errors: too few, not determined by these lines, or two places that fit alike
 * (`twofold`).
 */
export function lineStation(input: LineStationInput): Result<LineStationResult, StationError> {
  const invalid = validate(input);
  if (invalid) return fail(invalid);
  const origin = input.lines.find((line) => line.name === input.observations[0]!.line)!.from;
  const conditions = conditionsOf(input, origin);
  if (conditions.some((condition) => at(condition, 0, 0, 0).variance === 0))
    return fail({ code: 'UNDETERMINED', path: ['observations'], reason: 'unweighted' });
  const answers: Answer[] = [];
  for (let i = 0; i < STARTS; i++) {
    const answer = adjust(conditions, (2 * Math.PI * i) / STARTS);
    if (answer && !answers.some((other) => Math.hypot(other.e - answer.e, other.n - answer.n) < SAME_PLACE))
      answers.push(answer);
  }
  if (answers.length === 0) return fail({ code: 'UNDETERMINED', path: ['observations'], reason: 'rank' });
  const { near } = input;
  const least = Math.min(...answers.map((answer) => answer.sum));
  const alike = answers.filter((answer) => answer.sum - least < TELLS_APART);
  if (alike.length > 1 && !near) return fail({ code: 'UNDETERMINED', path: ['observations'], reason: 'twofold' });
  const away = (answer: Answer) => Math.hypot(answer.e + origin.e - near!.e, answer.n + origin.n - near!.n);
  const best = alike.length === 1 ? alike[0]! : alike.reduce((a, b) => (away(b) < away(a) ? b : a));
  const { inverse: c } = best;
  const precision = planPrecisionOf({ ee: c[0]!, nn: c[4]!, en: c[1]! });
  return ok({
    ...precision,
    e: best.e + origin.e,
    n: best.n + origin.n,
    orientation: best.orientation,
    sdOrientation: Math.sqrt(c[8]!),
    covariance: [
      [c[0]!, c[1]!, c[2]!],
      [c[3]!, c[4]!, c[5]!],
      [c[6]!, c[7]!, c[8]!],
    ],
    fit: fitOf(best.sum, conditions.length - 3),
    sumOfSquares: best.sum,
    residuals: conditions.map((condition) => residualOf(condition, best)),
  });
}

/** Sights to marks with heights, from a station on lines. */
export interface LineHeights {
  readonly setup: Setup;
  readonly points: readonly ControlPoint[];
  readonly observations: readonly Observation[];
}

/**
 * The same in the form of a free station, with what to think of it. Lines give no height: it comes from benchmarks,
 * where any are sighted.
 */
export function stationOnLines(
  input: LineStationInput,
  asked: AskedOfStation | null = null,
  benchmarks: LineHeights | null = null,
): Result<SolvedStation & { readonly residuals: readonly LineResidual[] }, StationError> {
  const solved = lineStation(input);
  if (!solved.ok) return solved;
  const { residuals, fit, sumOfSquares, ...plan } = solved.value;
  const seen = benchmarks?.observations.map((each) => ({ ...each, usePlan: false })) ?? [];
  const byName = new Map(benchmarks?.points.map((point) => [point.name, point]));
  const invalid =
    duplicateName(benchmarks?.points ?? []) ?? invalidObservation(seen) ?? missingCoordinates(seen, byName);
  if (invalid) return fail(invalid);
  const wanted = asked ?? USUALLY_ASKED;
  const heights: HeldHeightInput = {
    from: 'benchmarks',
    mark: null,
    setup: benchmarks?.setup ?? { instrumentHeight: 0, instrumentHeightSd: 0 },
    reduced: reduceObservations(seen, input.instrument, input.reduction),
    points: byName,
  };
  const held = heldHeight(heights, wanted.height);
  const found = heightFindings(heights, held, true);
  const reliability: Reliability = { ...planReliability(modelOnLines(input, plan), wanted), height: held.reliability };
  const off = residuals.filter((each) => each.exceeds);
  const largest = residuals.reduce((most, each) => Math.max(most, Math.abs(each.off)), 0);
  const poor = off.length > 0 || !fitsByChance(fit) || found.speaksAgainst;
  const goodTo = plan.ellipse95.a;
  const isCoarse = asked !== null && goodTo > asked.plan;
  const isUnchecked = reliability.state === 'unchecked' || isCoarse;
  const [hidden] = reliability.unnoticed;
  return ok({
    residuals,
    result: {
      ...plan,
      scale: null,
      sdScale: null,
      observationCount: residuals.length,
      unknownCount: 3,
      fit,
      sumOfSquares,
      height: held.solution,
      observations: heights.reduced.map((each, i) => ({
        reduced: each,
        direction: null,
        distance: null,
        height: held.solution?.residuals[i] ?? null,
      })),
      points: [...byName.keys()].map((name) => ({
        name,
        dE: null,
        dN: null,
        dZ: heightDifference(heights, held, name),
        leaveOneOut: null,
        leaveOneOutHeight: held.leaveOneOut.get(name) ?? null,
      })),
    },
    extensible: null,
    judgement: {
      verdict: poor ? 'refused' : isUnchecked ? 'unchecked' : 'checked',
      checkability: reliability.state,
      reliability,
      explained: null,
      spread: null,
      goodTo,
      because: [
        { code: 'ON_LINES', surplus: fit.dof, largest },
        ...(fit.dof > 0 && hidden ? hiddenReason(reliability, hidden, (asked ?? USUALLY_ASKED).plan) : []),
        ...(isCoarse ? [{ code: 'TOO_COARSE' as const, radius95: goodTo }] : []),
        ...off.map((each) => ({ code: 'LINE_OFF' as const, name: each.line, off: each.off })),
        ...found.because,
      ],
      doThis: [
        ...found.doThis,
        ...(poor || isUnchecked ? [SIGHT_ANY] : found.doThis.length > 0 ? [] : [{ code: 'ACCEPT' as const }]),
      ],
      heightTrend: null,
    },
  });
}

/** Each sight to a line is a condition of its own, and is left out by itself. */
function modelOnLines(
  input: LineStationInput,
  { e, n, orientation }: Pick<LineStationResult, 'e' | 'n' | 'orientation'>,
): ReliabilityModel {
  const conditions = conditionsOf(input, { e: 0, n: 0 });
  return {
    size: 3,
    station: { e, n },
    places: conditions.map((condition) => [condition.line.name]),
    rows: conditions.map((condition, place) => {
      const { slope, variance } = at(condition, e, n, orientation);
      const weight = 1 / variance;
      return {
        place,
        a: [condition.uE, condition.uN, slope, 0] as const,
        weight,
        kept: weight,
        byPrism: 0,
        byScale: 0,
      };
    }),
    anchor: null,
    onLines: true,
    common: { prism: false, scale: false },
  };
}

function residualOf(condition: Condition, { e, n, orientation, inverse }: Answer): LineResidual {
  const { off, slope, variance } = at(condition, e, n, orientation);
  const row = [condition.uE, condition.uN, slope];
  let quadratic = 0;
  for (let i = 0; i < 3; i++) for (let j = 0; j < 3; j++) quadratic += row[i]! * inverse[i * 3 + j]! * row[j]!;
  const redundancy = 1 - quadratic / variance;
  const w = redundancy > LEAST_REDUNDANCY ? off / Math.sqrt(variance * redundancy) : null;
  return {
    line: condition.line.name,
    off,
    sd: Math.sqrt(variance),
    redundancy,
    w,
    exceeds: w !== null && Math.abs(w) > CRITICAL_W,
  };
}
