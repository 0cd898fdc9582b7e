/**
 * How checkable a station is: what could be wrong without being noticed, and what it would do where one works.
 *
 * Redundancy numbers say how much of a mistake shows in its own residual; they don't say what the part that stays
 * hidden does. So for each place, and for the faults that all sights share, the smallest size that a test would find is
 * computed (internal reliability: level 0.001, power 0.80), and the shift that it gives the station, which is kept as
 * it is, at the marks still to be set from it (external reliability). Everything is linear at the solution:
 *
 *   observations l + v = A x, weights P; a fault of size d puts F d on the observations
 *   its information  M = F'PF - F'PA (A'PA)⁻¹ A'PF,  noticed when d'Md ≥ λ;  its response  G = Q A'P F
 *   at a place (e, n) from the station  J = [1 0 n; 0 1 -e],  hidden effect  √(λ · largest eigenvalue of J G M⁻¹ G' J')
 *
 * The hidden effect is convex in the place, so over many marks it is largest at a corner of their hull. Sources:
 * Baarda, "A Testing Procedure for Use in Geodetic Networks" (1968); Caspary, "Concepts of Network and Deformation
 * Analysis"; Teunissen, "Testing Theory: an Introduction".
 */
import { DETECTABLE_NONCENTRALITY_PLAN, DETECTABLE_NONCENTRALITY_ONE } from '../adjust/criticalValues.ts';
import { invertNormal } from '../adjust/normalMatrix.ts';
import { hull } from '../plane/hull.ts';
import { planDistance, type PlanPoint } from '../plane/point.ts';
import type { Metres, Radians } from '../quantity/unit.ts';

/** Nothing checks it; a mistake that matters would show; and would still show without any one place. */
export type Checkability = 'unchecked' | 'checked' | 'traceable';

/** What a station is to be good for: the tolerance asked, and the marks still to be set from it. */
export interface AskedOfStation {
  readonly plan: Metres;
  readonly height: Metres;
  /** Empty: the place of the station itself counts. */
  readonly work: readonly PlanPoint[];
  /** What lies farther off is not set from here; not given: all of it is. */
  readonly reach?: Metres;
}

/** The marks that will be set from a station. */
export const workInReach = ({ work, reach = Infinity }: AskedOfStation, station: PlanPoint): readonly PlanPoint[] =>
  reach === Infinity ? work : work.filter((mark) => planDistance(station, mark) <= reach);

/** Where nobody has said what the work asks. */
export const USUAL_TOLERANCE = { plan: 0.01, height: 0.005 } as const;
export const USUALLY_ASKED: AskedOfStation = { ...USUAL_TOLERANCE, work: [] };

/**
 * One mistake that a station could hold. `PLACE`: all marks of one place moved together; `LINE`: a sight beside its
 * line.
 */
export interface Unnoticed {
  readonly fault: 'PLACE' | 'LINE' | 'PRISM_CONSTANT' | 'SCALE';
  /** Marks of the place, or the line; none for what all sights share. */
  readonly names: readonly string[];
  /**
   * Smallest size that would be noticed, in its least noticed direction: metres, a ratio for `SCALE`. Null: nothing
   * would show it.
   */
  readonly noticed: number | null;
  /** Largest shift that it would give unseen, at the station or at the marks to be set. Null: there is no bound. */
  readonly effect: Metres | null;
  /** Where the effect is counted: at the station itself, or at the marks that are to be set from it. */
  readonly at: 'station' | 'work';
  /**
   * Azimuth, in [0, π), in which the place is watched least; null where a direction has no meaning, or all are alike.
   */
  readonly blind: Radians | null;
}

export interface UnnoticedHeight {
  readonly names: readonly string[];
  readonly noticed: Metres | null;
  readonly effect: Metres | null;
}

export interface HeightReliability {
  readonly state: Checkability;
  readonly unnoticed: readonly UnnoticedHeight[];
}

export interface Reliability {
  readonly state: Checkability;
  /** Largest effect first, and before all what nothing would show; ties in the order of the sights. */
  readonly unnoticed: readonly Unnoticed[];
  /** Names by the places on which they stand, in the order of the sights. */
  readonly places: readonly (readonly string[])[];
  /** Null where there is no height. */
  readonly height: HeightReliability | null;
}

/** Fewer places than this determine a station at best; they do not check it. */
const LEAST_PLACES = 3;
const LEAST_HEIGHTS = 2;
/** An effect of up to so many times the tolerance is told and asked to be proved; beyond it nothing is checked. */
export const MOST_HIDDEN = 3;
/** Marks nearer than this to the first of a place stand on one post, one wall, one slab corner. */
const ONE_PLACE: Metres = 0.5;
/** What would only be noticed beyond these would show elsewhere first. */
const LARGEST_PRISM: Metres = 0.1;
const LARGEST_SCALE = 0.003;
/** A station known worse than this is none: the rest does not determine it. */
const LARGEST_SD: Metres = 10;

/** One observation in linear form. The observation's derivative by its place is minus that by the station. */
export interface ReliabilityRow {
  /** Index of the place it is about. */
  readonly place: number;
  /** Derivatives by E, N, orientation and, with a free scale, the scale. */
  readonly a: readonly [number, number, number, number];
  /** Weight in the tests, and in the solution that is kept. */
  readonly weight: number;
  readonly kept: number;
  /** Derivatives by a constant in every slope, and by a factor on every grid distance, less one. */
  readonly byPrism: number;
  readonly byScale: number;
}

/** A direction to a place so far east and north of the station. */
export const directionRow = (place: number, de: number, dn: number, weight: number, kept = weight): ReliabilityRow => {
  const squared = de * de + dn * dn;
  return { place, a: [-dn / squared, de / squared, -1, 0], weight, kept, byPrism: 0, byScale: 0 };
};

/** A grid distance to it, of which so much is a slope's share; a free scale multiplies what was measured. */
export const distanceRow = (
  place: number,
  de: number,
  dn: number,
  weight: number,
  {
    kept = weight,
    byPrism,
    byScale,
    scale = 1,
  }: { readonly kept?: number; readonly byPrism: number; readonly byScale: number; readonly scale?: number },
): ReliabilityRow => {
  const length = Math.sqrt(de * de + dn * dn);
  return {
    place,
    a: [-de / (length * scale), -dn / (length * scale), 0, -length / scale ** 2],
    weight,
    kept,
    byPrism,
    byScale,
  };
};

/** A station as far as its checkability is concerned. */
export interface ReliabilityModel {
  readonly size: 3 | 4;
  readonly station: PlanPoint;
  readonly places: readonly (readonly string[])[];
  readonly rows: readonly ReliabilityRow[];
  /** The occupied mark, which holds the station; null for a free one. Without it the station is free. */
  readonly anchor: number | null;
  /** Of sights to lines: each has its own bias in place of a shift. */
  readonly onLines: boolean;
  /** Whether a constant and a factor common to all distances are to be thought of. */
  readonly common: { readonly prism: boolean; readonly scale: boolean };
}

interface Named {
  readonly name: string;
  readonly e: Metres | null;
  readonly n: Metres | null;
}

/**
 * Names by the places on which they stand: those within half a metre of the first of a place are one. In the order
 * given.
 */
export function placesOf(marks: readonly Named[]): string[][] {
  const places: { readonly first: Named; readonly names: string[] }[] = [];
  for (const mark of marks) {
    if (places.some((place) => place.names.includes(mark.name))) continue;
    const own = places.find(({ first }) => isPlaced(first) && isPlaced(mark) && planDistance(first, mark) <= ONE_PLACE);
    if (own) own.names.push(mark.name);
    else places.push({ first: mark, names: [mark.name] });
  }
  return places.map((place) => place.names);
}
const isPlaced = (mark: Named): mark is Named & PlanPoint => mark.e !== null && mark.n !== null;

type Symmetric = readonly [xx: number, yy: number, xy: number];

/** Eigenvalues of a symmetric matrix, the larger first, and the azimuth of the smaller one's vector (x is east). */
function eigen([xx, yy, xy]: Symmetric): {
  readonly large: number;
  readonly small: number;
  readonly smallAzimuth: Radians;
} {
  const mean = (xx + yy) / 2;
  const half = Math.hypot((xx - yy) / 2, xy);
  // The larger one's vector lies at this azimuth; the smaller one's square to it.
  const large = 0.5 * Math.atan2(2 * xy, yy - xx);
  return {
    large: mean + half,
    small: mean - half,
    smallAzimuth: (((large + Math.PI / 2) % Math.PI) + Math.PI) % Math.PI,
  };
}

/** Normal matrix of the rows that are kept, with one weight or the other. */
function normalOf(model: ReliabilityModel, without: number, kept: boolean): Float64Array {
  const { size, rows } = model;
  const normal = new Float64Array(size * size);
  for (const row of rows) {
    if (row.place === without) continue;
    const weight = kept ? row.kept : row.weight;
    for (let i = 0; i < size; i++) for (let j = 0; j <= i; j++) normal[i * size + j]! += weight * row.a[i]! * row.a[j]!;
  }
  for (let i = 1; i < size; i++) for (let j = 0; j < i; j++) normal[j * size + i] = normal[i * size + j]!;
  return normal;
}

/** The inverse of a normal matrix, or null where it does not determine a station. */
function inverseOf(normal: Float64Array, size: number): Float64Array | null {
  const inverse = invertNormal(normal, size)?.inverse;
  return inverse && Math.sqrt(inverse[0]!) <= LARGEST_SD && Math.sqrt(inverse[size + 1]!) <= LARGEST_SD
    ? inverse
    : null;
}

/** Largest eigenvalue of J S J' over the places, S the 3×3 covariance of a response: its square root is a length. */
function largestShift(s: Float64Array, work: readonly PlanPoint[]): number {
  let largest = 0;
  for (const { e, n } of work) {
    const xx = s[0]! + 2 * n * s[2]! + n * n * s[8]!;
    const yy = s[4]! - 2 * e * s[5]! + e * e * s[8]!;
    const xy = s[1]! + n * s[5]! - e * s[2]! - e * n * s[8]!;
    largest = Math.max(largest, (xx + yy) / 2 + Math.hypot((xx - yy) / 2, xy));
  }
  return Math.sqrt(largest);
}

interface Size {
  readonly noticed: number | null;
  readonly effect: Metres | null;
  readonly blind: Radians | null;
}
const UNSEEN: Size = { noticed: null, effect: null, blind: null };

/** What a station holds of one fault with one or two parameters. */
class FaultSums {
  /** F'PF (xx, yy, xy), F'PA by parameter, and A'P F of the solution that is kept. */
  private readonly own: [number, number, number] = [0, 0, 0];
  private readonly mixed: Float64Array;
  private readonly response: Float64Array;
  private readonly size: number;

  constructor(size: number) {
    this.size = size;
    this.mixed = new Float64Array(2 * size);
    this.response = new Float64Array(2 * size);
  }

  add(row: ReliabilityRow, kept: number, fx: number, fy: number): void {
    this.own[0] += row.weight * fx * fx;
    this.own[1] += row.weight * fy * fy;
    this.own[2] += row.weight * fx * fy;
    for (let i = 0; i < this.size; i++) {
      this.mixed[i]! += row.weight * fx * row.a[i]!;
      this.mixed[this.size + i]! += row.weight * fy * row.a[i]!;
      this.response[i]! += kept * fx * row.a[i]!;
      this.response[this.size + i]! += kept * fy * row.a[i]!;
    }
  }

  private product(u: number, v: number, inverse: Float64Array): number {
    const { size, mixed } = this;
    let sum = 0;
    for (let i = 0; i < size; i++)
      for (let j = 0; j < size; j++) sum += mixed[u * size + i]! * inverse[i * size + j]! * mixed[v * size + j]!;
    return sum;
  }

  /** The first three rows of Q A'P F for one parameter. */
  private shiftOf(u: number, q: Float64Array): [number, number, number] {
    const { size, response } = this;
    const at = (i: number) => {
      let sum = 0;
      for (let j = 0; j < size; j++) sum += q[i * size + j]! * response[u * size + j]!;
      return sum;
    };
    return [at(0), at(1), at(2)];
  }

  /** A fault in two dimensions: a shift of a place. */
  inPlane(inverse: Float64Array, q: Float64Array, work: readonly PlanPoint[]): Size {
    const [xx, yy, xy] = this.own;
    const whole = eigen(this.own);
    const m: Symmetric = [
      xx - this.product(0, 0, inverse),
      yy - this.product(1, 1, inverse),
      xy - this.product(0, 1, inverse),
    ];
    const { large, small, smallAzimuth } = eigen(m);
    const gx = this.shiftOf(0, q);
    const gy = this.shiftOf(1, q);
    // A direction alone, or a distance alone: what lies along the other way neither shows nor does anything.
    if (whole.small <= 1e-9 * whole.large) {
      const along = whole.smallAzimuth + Math.PI / 2;
      const [s, c] = [Math.sin(along), Math.cos(along)];
      const information = s * s * m[0] + c * c * m[1] + 2 * s * c * m[2];
      return inLine(
        information,
        whole.large,
        [0, 1, 2].map((i) => s * gx[i]! + c * gy[i]!),
        work,
        ((along % Math.PI) + Math.PI) % Math.PI,
      );
    }
    if (!(small > 1 / LARGEST_SD ** 2)) return { ...UNSEEN, blind: large > 1e-6 * whole.large ? smallAzimuth : null };
    const determinant = m[0] * m[1] - m[2] * m[2];
    const [cxx, cyy, cxy] = [m[1] / determinant, m[0] / determinant, -m[2] / determinant];
    const s = new Float64Array(9);
    for (let i = 0; i < 3; i++)
      for (let j = 0; j < 3; j++)
        s[i * 3 + j] = gx[i]! * cxx * gx[j]! + gy[i]! * cyy * gy[j]! + cxy * (gx[i]! * gy[j]! + gy[i]! * gx[j]!);
    return {
      noticed: Math.sqrt(DETECTABLE_NONCENTRALITY_PLAN / small),
      effect: Math.sqrt(DETECTABLE_NONCENTRALITY_PLAN) * largestShift(s, work),
      blind: large - small > 1e-6 * large ? smallAzimuth : null,
    };
  }

  /** A fault with one size. */
  alone(inverse: Float64Array, q: Float64Array, work: readonly PlanPoint[]): Size {
    return inLine(this.own[0] - this.product(0, 0, inverse), this.own[0], this.shiftOf(0, q), work, null);
  }
}

function inLine(
  information: number,
  whole: number,
  g: readonly number[],
  work: readonly PlanPoint[],
  blind: Radians | null,
): Size {
  if (!(information > 1e-10 * whole)) return { ...UNSEEN, blind };
  const s = new Float64Array(9);
  for (let i = 0; i < 3; i++) for (let j = 0; j < 3; j++) s[i * 3 + j] = (g[i]! * g[j]!) / information;
  const root = Math.sqrt(DETECTABLE_NONCENTRALITY_ONE);
  return { noticed: root / Math.sqrt(information), effect: root * largestShift(s, work), blind };
}

/** Every fault that a station, without one of its places if so wished, could hold. */
function faultsOf(model: ReliabilityModel, work: readonly PlanPoint[], without = -1): Omit<Unnoticed, 'at'>[] {
  const { size, rows, places, anchor } = model;
  const held = anchor !== null && anchor !== without;
  const inverse = inverseOf(normalOf(model, without, false), size);
  const q = held ? inverseOf(normalOf(model, without, true), size) : inverse;
  const left = places.length - (without < 0 ? 0 : 1);
  const found: Omit<Unnoticed, 'at'>[] = [];
  places.forEach((names, place) => {
    if (place === without) return;
    const fault = model.onLines ? 'LINE' : 'PLACE';
    if (!inverse || !q) {
      found.push({ fault, names, ...UNSEEN });
      return;
    }
    const sums = new FaultSums(size);
    for (const row of rows) {
      if (row.place !== place) continue;
      if (model.onLines) sums.add(row, row.kept, 1, 0);
      else sums.add(row, held ? row.kept : row.weight, row.a[0], row.a[1]);
    }
    const told = model.onLines ? sums.alone(inverse, q, work) : sums.inPlane(inverse, q, work);
    // The others have to be two places at least: one alone leaves the station free to turn about it.
    found.push({ fault, names, ...(model.onLines || left >= LEAST_PLACES ? told : { ...UNSEEN, blind: told.blind }) });
  });
  if (!inverse || !q || left < LEAST_PLACES) return found;
  const common = (fault: 'PRISM_CONSTANT' | 'SCALE', by: 'byPrism' | 'byScale', limit: number) => {
    const sums = new FaultSums(size);
    for (const row of rows) if (row.place !== without) sums.add(row, held ? row.kept : row.weight, row[by], 0);
    const { noticed, effect } = sums.alone(inverse, q, work);
    if (noticed !== null && noticed <= limit) found.push({ fault, names: [], noticed, effect, blind: null });
  };
  if (model.common.prism) common('PRISM_CONSTANT', 'byPrism', LARGEST_PRISM);
  if (model.common.scale) common('SCALE', 'byScale', LARGEST_SCALE);
  return found;
}

/** The largest effect; infinite where something would never show. */
export const largestEffect = (unnoticed: readonly { readonly effect: Metres | null }[]): Metres =>
  unnoticed.reduce((largest, each) => Math.max(largest, each.effect ?? Infinity), 0);

const holds = (unnoticed: readonly { readonly effect: Metres | null }[], tolerance: Metres): boolean =>
  largestEffect(unnoticed) <= MOST_HIDDEN * tolerance;

/** Array.prototype.sort is stable: what is alike stays in the order of the sights. */
const worstFirst = <T extends { readonly effect: Metres | null }>(unnoticed: readonly T[]): T[] =>
  [...unnoticed].sort((a, b) => {
    const [x, y] = [a.effect ?? Infinity, b.effect ?? Infinity];
    return x === y ? 0 : y - x;
  });

/** Many sights are thought of for one and the same work: its corners are looked for once a station. */
const corners = new WeakMap<AskedOfStation, { readonly station: PlanPoint; readonly about: readonly PlanPoint[] }>();

/** Corners of what is to be set, relative to the station; the station itself where nothing is. */
function workAbout(station: PlanPoint, asked: AskedOfStation): readonly PlanPoint[] {
  const known = corners.get(asked);
  if (known && known.station.e === station.e && known.station.n === station.n) return known.about;
  const work = workInReach(asked, station).map(({ e, n }) => ({ e: e - station.e, n: n - station.n }));
  const about = work.length === 0 ? [{ e: 0, n: 0 }] : hull(work);
  corners.set(asked, { station, about });
  return about;
}

/**
 * How checkable a station is in plan. `withoutEach` false: it is not asked whether it would still be checked without
 * any one place, and what is is called `checked`; that is most of the time.
 */
export function planReliability(
  model: ReliabilityModel,
  asked: AskedOfStation,
  withoutEach = true,
): Omit<Reliability, 'height'> {
  const work = workAbout(model.station, asked);
  const at = workInReach(asked, model.station).length === 0 ? 'station' : 'work';
  const unnoticed = worstFirst(faultsOf(model, work)).map((each): Unnoticed => ({ ...each, at }));
  const { places } = model;
  const isChecked = places.length >= LEAST_PLACES && holds(unnoticed, asked.plan);
  const traceable =
    withoutEach &&
    isChecked &&
    places.length > LEAST_PLACES &&
    places.every((_, without) => holds(faultsOf(model, work, without), asked.plan));
  return { state: traceable ? 'traceable' : isChecked ? 'checked' : 'unchecked', unnoticed, places };
}

/** What a height of the station hangs on: the weights of what each place says of it. */
export interface HeightWeight {
  readonly names: readonly string[];
  readonly weight: number;
  /** Weight in the height that is kept; 0 for what only tests it. */
  readonly kept: number;
}

function heightFaults(weights: readonly HeightWeight[]): UnnoticedHeight[] {
  const whole = weights.reduce((sum, each) => sum + each.weight, 0);
  const kept = weights.reduce((sum, each) => sum + each.kept, 0);
  return weights.map(({ names, weight, kept: own }) => {
    const information = (weight * (whole - weight)) / whole;
    if (!(information > 1e-10 * weight)) return { names, noticed: null, effect: null };
    const noticed = Math.sqrt(DETECTABLE_NONCENTRALITY_ONE / information);
    return { names, noticed, effect: (noticed * own) / kept };
  });
}

/** How checkable a height is; null where nothing gives one. */
export function heightReliability(weights: readonly HeightWeight[], tolerance: Metres): HeightReliability | null {
  if (weights.length === 0) return null;
  const unnoticed = worstFirst(heightFaults(weights));
  const isChecked = (left: readonly HeightWeight[]) =>
    left.length >= LEAST_HEIGHTS && left.some((each) => each.kept > 0) && holds(heightFaults(left), tolerance);
  const checked = isChecked(weights);
  const traceable = checked && weights.every((_, without) => isChecked(weights.filter((__, i) => i !== without)));
  return { state: traceable ? 'traceable' : checked ? 'checked' : 'unchecked', unnoticed };
}
