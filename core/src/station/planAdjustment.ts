/**
 * Least-squares adjustment of a station in plan from directions and distances to listed points.
 *
 * Unknowns: E, N, orientation o and, when free, a scale m by which grid distances are multiplied.
 *   direction: hz + v = atan2(Ep - E, Np - N) - o      variance  sa² + (sc² + sH²)/d²
 *   distance:   D + v = sqrt((Ep-E)² + (Np-N)²)/m      variance  V_radial + sc² + sH²
 * Gauss–Newton from closed-form starts. Isotropic centring and control enter through the variances, the
 * first-order equivalent of carrying them as unknowns.
 * Sources: Ghilani, "Adjustment Computations"; Mikhail, Ackermann, "Observations and Least Squares".
 */
import { invertNormal, solveNormal } from '../adjust/normalMatrix.ts';
import { wrapHalfTurn } from '../quantity/angle.ts';
import type { Metres, Radians } from '../quantity/unit.ts';
import { fail, ok, type Result } from '../result.ts';

/** One reduced observation as the adjustment sees it; coordinates relative to a local origin. */
export interface PlanSight {
  readonly e: Metres;
  readonly n: Metres;
  /** NaN for a distance alone. */
  readonly hz: Radians;
  /** Grid distance, NaN for a direction alone. */
  readonly distance: Metres;
  /** Measured horizontal distance before the scale factor, NaN for a direction alone. */
  readonly horizontal: Metres;
  readonly varDirection: number;
  readonly varRadial: number;
  /** sc² + sH². */
  readonly varPlace: number;
}

export interface PlanSolution {
  readonly e: Metres;
  readonly n: Metres;
  readonly orientation: Radians;
  readonly scale: number;
  /** 3 (or 4 with free scale) unknowns; `inverse` is flat, `size` × `size`. */
  readonly size: number;
  readonly inverse: Float64Array;
  readonly sumOfSquares: number;
  readonly observationCount: number;
}

export type Undetermined = 'rank' | 'divergence' | 'imprecise';

const LEAST_RECIPROCAL_CONDITION = 1e-12;
const LARGEST_STATION_SD: Metres = 10;
const MOST_ITERATIONS = 60;
/** A change below this is the last: convergence is quadratic, so what is left after it is far below any digit. */
const CONVERGED_POSITION: Metres = 1e-7;
/** Points with distances that spread less than this cannot orient a rigid transformation. */
const LEAST_SPREAD: Metres = 0.005;
const CONVERGED_ANGLE: Radians = 1e-10;

/** Unknowns in the order e, n, orientation, scale. */
type Unknowns = Float64Array;

/** Fills the normal equations at `x`; returns v'Pv. */
function formNormals(
  sights: readonly PlanSight[],
  x: Unknowns,
  size: number,
  normal: Float64Array,
  right: Float64Array,
): number {
  normal.fill(0);
  right.fill(0);
  let sum = 0;
  const e = x[0]!;
  const n = x[1]!;
  const scale = x[3]!;
  for (const sight of sights) {
    const de = sight.e - e;
    const dn = sight.n - n;
    const squared = de * de + dn * dn;
    const length = Math.sqrt(squared);
    const measured = sight.horizontal;
    if (sight.hz === sight.hz) {
      const weight =
        1 / (sight.varDirection + sight.varPlace / (measured === measured ? measured * measured : squared));
      const residual = wrapHalfTurn(Math.atan2(de, dn) - x[2]! - sight.hz);
      const ae = -dn / squared;
      const an = de / squared;
      sum += weight * residual * residual;
      normal[0]! += weight * ae * ae;
      normal[1]! += weight * ae * an;
      normal[2]! -= weight * ae;
      normal[size + 1]! += weight * an * an;
      normal[size + 2]! -= weight * an;
      normal[2 * size + 2]! += weight;
      right[0]! -= weight * ae * residual;
      right[1]! -= weight * an * residual;
      right[2]! += weight * residual;
    }
    if (sight.distance !== sight.distance) continue;
    const distanceWeight = 1 / (sight.varRadial + sight.varPlace);
    const misfit = length / scale - sight.distance;
    const be = -de / (length * scale);
    const bn = -dn / (length * scale);
    sum += distanceWeight * misfit * misfit;
    normal[0]! += distanceWeight * be * be;
    normal[1]! += distanceWeight * be * bn;
    normal[size + 1]! += distanceWeight * bn * bn;
    right[0]! -= distanceWeight * be * misfit;
    right[1]! -= distanceWeight * bn * misfit;
    if (size === 4) {
      const bm = -length / (scale * scale);
      normal[3]! += distanceWeight * be * bm;
      normal[size + 3]! += distanceWeight * bn * bm;
      normal[3 * size + 3]! += distanceWeight * bm * bm;
      right[3]! -= distanceWeight * bm * misfit;
    }
  }
  for (let i = 1; i < size; i++) for (let j = 0; j < i; j++) normal[i * size + j] = normal[j * size + i]!;
  return sum;
}

/**
 * Room for the normal equations of up to four unknowns, kept so that an adjustment makes little garbage; nothing is
 * kept in it between calls.
 */
const ROOM = {
  normal: new Float64Array(16),
  right: new Float64Array(4),
  step: new Float64Array(4),
  lower: new Float64Array(16),
  scale: new Float64Array(4),
};

function iterate(sights: readonly PlanSight[], start: Unknowns, size: number): Result<PlanSolution, Undetermined> {
  let x = start;
  let next: Unknowns = Float64Array.from(start);
  const { normal, right, step, lower, scale } = ROOM;
  let sum = formNormals(sights, x, size, normal, right);
  for (let iteration = 0; iteration < MOST_ITERATIONS; iteration++) {
    if (!solveNormal(normal, right, size, step, lower, scale)) return fail('rank');
    add(x, step, 1, size, next);
    if (Math.abs(step[0]!) + Math.abs(step[1]!) < CONVERGED_POSITION && Math.abs(step[2]!) < CONVERGED_ANGLE) {
      // After this step nothing changes in any digit that is shown; covariance and fit of `x` are those of the answer.
      return finish(sights, next, size, normal, sum);
    }
    let nextSum = formNormals(sights, next, size, normal, right);
    // A full step from a poor start can overshoot; halve it until the fit does not worsen.
    for (let halving = 1; nextSum > sum * (1 + 1e-9) + 1e-9 && halving <= 12; halving++) {
      add(x, step, 0.5 ** halving, size, next);
      nextSum = formNormals(sights, next, size, normal, right);
    }
    if (!Number.isFinite(nextSum)) return fail('divergence');
    [x, next] = [next, x];
    sum = nextSum;
  }
  return fail('divergence');
}

const MOST_DAMPED_ITERATIONS = 300;
/**
 * With misfits of metres the steps shrink slowly; when the fit stops improving by more than this share, it is at its
 * best.
 */
const NO_BETTER = 1e-11;

/**
 * For sights that contradict each other so much that full steps overshoot for ever: Levenberg's damping, which only
 * ever goes downhill. Source: Marquardt, "An Algorithm for Least-Squares Estimation of Nonlinear Parameters" (1963).
 */
function iterateDamped(
  sights: readonly PlanSight[],
  start: Unknowns,
  size: number,
): Result<PlanSolution, Undetermined> {
  let x = start;
  let next: Unknowns = Float64Array.from(start);
  const { normal, right, step, lower, scale } = ROOM;
  const damped = new Float64Array(size * size);
  let damping = 1e-3;
  let sum = formNormals(sights, x, size, normal, right);
  for (let iteration = 0; iteration < MOST_DAMPED_ITERATIONS; iteration++) {
    damped.set(normal.subarray(0, size * size));
    for (let i = 0; i < size; i++) damped[i * size + i]! *= 1 + damping;
    if (!solveNormal(damped, right, size, step, lower, scale)) return fail('rank');
    add(x, step, 1, size, next);
    const nextSum = formNormals(sights, next, size, normal, right);
    if (!(nextSum <= sum)) {
      damping *= 4;
      formNormals(sights, x, size, normal, right);
      if (damping > 1e12) return finish(sights, x, size, normal, sum);
      continue;
    }
    const better = sum - nextSum;
    [x, next] = [next, x];
    sum = nextSum;
    if (better <= NO_BETTER * sum) return finish(sights, x, size, normal, sum);
    damping = Math.max(damping / 3, 1e-9);
  }
  return fail('divergence');
}

function add(x: Unknowns, step: Float64Array, factor: number, size: number, into: Unknowns): void {
  for (let i = 0; i < size; i++) into[i] = x[i]! + factor * step[i]!;
}

function finish(
  sights: readonly PlanSight[],
  x: Unknowns,
  size: number,
  normal: Float64Array,
  sumOfSquares: number,
): Result<PlanSolution, Undetermined> {
  const solved = invertNormal(normal, size);
  if (!solved || !(solved.reciprocalCondition >= LEAST_RECIPROCAL_CONDITION)) return fail('rank');
  const { inverse } = solved;
  if (!(Math.sqrt(inverse[0]!) <= LARGEST_STATION_SD && Math.sqrt(inverse[size + 1]!) <= LARGEST_STATION_SD))
    return fail('imprecise');
  return ok({
    e: x[0]!,
    n: x[1]!,
    orientation: x[2]!,
    scale: x[3]!,
    size,
    inverse,
    sumOfSquares,
    observationCount: countObservations(sights),
  });
}

export function countObservations(sights: readonly PlanSight[]): number {
  let count = 0;
  for (const sight of sights) count += (sight.distance === sight.distance ? 1 : 0) + (sight.hz === sight.hz ? 1 : 0);
  return count;
}

const unknowns = (e: number, n: number, orientation: number): Unknowns => Float64Array.of(e, n, orientation, 1);

const isFull = (sight: PlanSight): boolean => sight.distance === sight.distance && sight.hz === sight.hz;

/**
 * Rotation and shift, without scale or mirror, that brings the sights' local polar coordinates onto the control.
 * Source: Umeyama, "Least-Squares Estimation of Transformation Parameters Between Two Point Patterns" (1991), in the
 * plane.
 */
function rigidStart(sights: readonly PlanSight[]): Unknowns | null {
  let count = 0;
  let localE = 0;
  let localN = 0;
  let e = 0;
  let n = 0;
  for (const sight of sights) {
    if (!isFull(sight)) continue;
    count++;
    localE += sight.distance * Math.sin(sight.hz);
    localN += sight.distance * Math.cos(sight.hz);
    e += sight.e;
    n += sight.n;
  }
  if (count < 2) return null;
  localE /= count;
  localN /= count;
  e /= count;
  n /= count;
  let along = 0;
  let across = 0;
  let spread = 0;
  for (const sight of sights) {
    if (!isFull(sight)) continue;
    spread = Math.max(spread, Math.sqrt((sight.e - e) ** 2 + (sight.n - n) ** 2));
    const u = sight.distance * Math.sin(sight.hz) - localE;
    const v = sight.distance * Math.cos(sight.hz) - localN;
    along += u * (sight.e - e) + v * (sight.n - n);
    across += v * (sight.e - e) - u * (sight.n - n);
  }
  // Repeated distances to one place say nothing about the orientation.
  if (spread < LEAST_SPREAD || (along === 0 && across === 0)) return null;
  const orientation = Math.atan2(across, along);
  const sine = Math.sin(orientation);
  const cosine = Math.cos(orientation);
  return unknowns(e - (localE * cosine + localN * sine), n - (localN * cosine - localE * sine), orientation);
}

/** One distance and one other direction: the triangle station–A–B has two solutions at most. */
function distanceAndDirectionStarts(sights: readonly PlanSight[]): Unknowns[] {
  const a = sights.find(isFull);
  if (!a) return [];
  const starts: Unknowns[] = [];
  for (const b of sights) {
    const base = Math.hypot(b.e - a.e, b.n - a.n);
    if (base === 0 || Number.isNaN(b.hz)) continue;
    const angle = wrapHalfTurn(b.hz - a.hz);
    const sine = (a.distance * Math.sin(Math.abs(angle))) / base;
    if (sine > 1) continue;
    const azimuthAB = Math.atan2(b.e - a.e, b.n - a.n);
    for (const atB of [Math.asin(sine), Math.PI - Math.asin(sine)]) {
      const atA = Math.PI - Math.abs(angle) - atB;
      if (atA <= 0) continue;
      // Turning right from A to B at the station, B→A→station turns left at A.
      const toStation = azimuthAB + Math.sign(angle) * atA;
      const e = a.e + a.distance * Math.sin(toStation);
      const n = a.n + a.distance * Math.cos(toStation);
      starts.push(unknowns(e, n, Math.atan2(a.e - e, a.n - n) - a.hz));
    }
  }
  return starts;
}

/**
 * Two distances: the circles about the two places meet in two points at most; the orientation comes from any direction.
 */
function distanceStarts(sights: readonly PlanSight[]): Unknowns[] {
  const measured = sights.filter((sight) => !Number.isNaN(sight.distance));
  const directed = sights.find((sight) => !Number.isNaN(sight.hz));
  if (!directed) return [];
  const starts: Unknowns[] = [];
  for (const [i, a] of measured.entries()) {
    for (const b of measured.slice(i + 1)) {
      const base = Math.hypot(b.e - a.e, b.n - a.n);
      if (base < LEAST_SPREAD) continue;
      const along = (base * base + a.distance ** 2 - b.distance ** 2) / (2 * base);
      // Circles that just miss each other still start where they come nearest.
      const across = Math.sqrt(Math.max(0, a.distance ** 2 - along * along));
      const ue = (b.e - a.e) / base;
      const un = (b.n - a.n) / base;
      for (const side of [across, -across]) {
        const e = a.e + along * ue + side * un;
        const n = a.n + along * un - side * ue;
        starts.push(unknowns(e, n, Math.atan2(directed.e - e, directed.n - n) - directed.hz));
      }
      if (starts.length >= 6) return starts;
    }
  }
  return starts;
}

const cotangent = (angle: number): number => 1 / Math.tan(angle);

/**
 * Three directions: Tienstra's barycentric formula, for every triple of points until a dozen starts are found.
 * Source: Schofield, Breach, "Engineering Surveying", resection.
 */
function directionStarts(sights: readonly PlanSight[]): Unknowns[] {
  const starts: Unknowns[] = [];
  for (let i = 0; i < sights.length; i++) {
    for (let j = i + 1; j < sights.length; j++) {
      for (let k = j + 1; k < sights.length && starts.length < 12; k++) {
        const start = tienstra(sights[i]!, sights[j]!, sights[k]!);
        if (start) starts.push(start);
      }
    }
  }
  return starts;
}

function tienstra(a: PlanSight, b: PlanSight, c: PlanSight): Unknowns | null {
  const angleAt = (p: PlanSight, q: PlanSight, r: PlanSight) =>
    Math.atan2(r.e - p.e, r.n - p.n) - Math.atan2(q.e - p.e, q.n - p.n);
  const ka = 1 / (cotangent(angleAt(a, b, c)) - cotangent(c.hz - b.hz));
  const kb = 1 / (cotangent(angleAt(b, c, a)) - cotangent(a.hz - c.hz));
  const kc = 1 / (cotangent(angleAt(c, a, b)) - cotangent(b.hz - a.hz));
  const sum = ka + kb + kc;
  const e = (ka * a.e + kb * b.e + kc * c.e) / sum;
  const n = (ka * a.n + kb * b.n + kc * c.n) / sum;
  if (!Number.isFinite(e) || !Number.isFinite(n)) return null;
  return unknowns(e, n, Math.atan2(a.e - e, a.n - n) - a.hz);
}

function startsFor(sights: readonly PlanSight[]): Unknowns[] {
  const rigid = rigidStart(sights);
  if (rigid) return [rigid];
  const withDistance = [...distanceAndDirectionStarts(sights), ...distanceStarts(sights)];
  return withDistance.length > 0 ? withDistance : directionStarts(sights.filter((sight) => !Number.isNaN(sight.hz)));
}

/** Adjusts the station. The best of all starts that converge is taken. */
export function adjustPlan(sights: readonly PlanSight[], freeScale: boolean): Result<PlanSolution, Undetermined> {
  let best: PlanSolution | null = null;
  let reason: Undetermined = 'rank';
  for (const start of startsFor(sights)) {
    const size = freeScale ? 4 : 3;
    const full = iterate(sights, Float64Array.from(start), size);
    const result = full.ok || full.error !== 'divergence' ? full : iterateDamped(sights, start, size);
    if (!result.ok) reason = result.error;
    else if (!best || result.value.sumOfSquares < best.sumOfSquares) best = result.value;
  }
  return best ? ok(best) : fail(reason);
}
