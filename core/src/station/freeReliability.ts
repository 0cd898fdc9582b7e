/** A free station as the computation of its checkability takes it, as it is and with one more sight. */
import { ELLIPSE_95_FACTOR, ellipseOf } from '../adjust/ellipse.ts';
import { invertNormal } from '../adjust/normalMatrix.ts';
import { planDistance, type PlanPoint } from '../plane/point.ts';
import type { Metres, Radians } from '../quantity/unit.ts';
import { NEAREST_SIGHT, type ControlPoint, type InstrumentPrecision, type Reduction } from '../sight/observation.ts';
import type { FreeStation } from './freeStation.ts';
import { contributions, type Contribution } from './heightAdjustment.ts';
import { expectedReading, type PoleSet } from './measuredPoint.ts';
import type { Station } from './model.ts';
import type { PlanSolution } from './planAdjustment.ts';
import { stationOfResection, type ResectionResult } from './resection.ts';
import {
  directionRow,
  distanceRow,
  heightReliability,
  placesOf,
  planReliability,
  type AskedOfStation,
  type Checkability,
  type HeightWeight,
  type Reliability,
  type ReliabilityModel,
  type ReliabilityRow,
  type Unnoticed,
} from './reliability.ts';

/** The rows of a free station at its solution. */
export function freeModel(station: FreeStation, solution: PlanSolution): ReliabilityModel {
  const places = placesOf(station.names.map((name) => station.byName.get(name)!));
  const rows: ReliabilityRow[] = [];
  station.sights.forEach((sight, i) => {
    const { point, slope } = station.used[i]!;
    const place = places.findIndex((names) => names.includes(point));
    const de = sight.e - solution.e;
    const dn = sight.n - solution.n;
    const squared = de * de + dn * dn;
    if (sight.hz === sight.hz) {
      const measured = sight.horizontal === sight.horizontal ? sight.horizontal ** 2 : squared;
      const weight = 1 / (sight.varDirection + sight.varPlace / measured);
      rows.push(directionRow(place, de, dn, weight));
    }
    if (sight.distance !== sight.distance) return;
    const byPrism = (sight.distance / slope!) * (1 + station.input.reduction.atmosphericRatio);
    rows.push(
      distanceRow(place, de, dn, 1 / (sight.varRadial + sight.varPlace), {
        byPrism,
        byScale: sight.distance,
        scale: solution.scale,
      }),
    );
  });
  return {
    size: station.input.freeScale ? 4 : 3,
    station: { e: solution.e + station.originE, n: solution.n + station.originN },
    places,
    rows,
    anchor: null,
    onLines: false,
    common: { prism: true, scale: !station.input.freeScale },
  };
}

/** Weights of heights by the places on which their marks stand. */
export function heightWeights(
  byName: ReadonlyMap<string, ControlPoint>,
  list: readonly Contribution[],
): HeightWeight[] {
  const places = placesOf(list.map(({ name }) => byName.get(name)!));
  return places.map((names) => {
    const weight = list.reduce((sum, each) => (names.includes(each.name) ? sum + 1 / each.variance : sum), 0);
    return { names, weight, kept: weight };
  });
}

/** How checkable a free station is, in plan and in height. */
export function freeReliability(station: FreeStation, solution: PlanSolution, asked: AskedOfStation): Reliability {
  const heights = heightWeights(station.byName, contributions(station.reduced, station.byName, station.input.setup));
  return { ...planReliability(freeModel(station, solution), asked), height: heightReliability(heights, asked.height) };
}

export interface AddedSight {
  readonly name: string;
  /** Semi-major axis of the station's 95 % ellipse with the sight. */
  readonly radius95: Metres;
  readonly checkability: Checkability;
  /** What could then still go unseen and would do most. */
  readonly worst: Unnoticed | null;
}

/** What a sight is expected to be made with. */
export interface SightedWith {
  readonly instrument: InstrumentPrecision;
  readonly reduction: Reduction;
  readonly setup: { readonly instrumentHeight: Metres };
  readonly pole: PoleSet;
}

function expectedRows(
  station: Station,
  point: ControlPoint & PlanPoint,
  place: number,
  { instrument, reduction, setup, pole }: SightedWith,
): ReliabilityRow[] {
  const target = { e: point.e, n: point.n, z: point.z };
  const { gridDistance, horizontal, slope, zenith } = expectedReading(
    station,
    { ...setup, instrumentHeightSd: 0 },
    reduction,
    target,
    pole.targetHeight,
  );
  const de = point.e - station.e;
  const dn = point.n - station.n;
  if (de === 0 && dn === 0) return [];
  const varAngle = instrument.angleSd ** 2;
  const varPlace = pole.targetCentringSd ** 2 + (point.sdPlan ?? 0) ** 2;
  const varSlope = instrument.distanceSd ** 2 + (instrument.distanceSdRatio * slope) ** 2;
  const varRadial = varSlope * Math.sin(zenith) ** 2 + (slope * Math.cos(zenith)) ** 2 * varAngle;
  const [forDirection, forDistance] = [1 / (varAngle + varPlace / horizontal ** 2), 1 / (varRadial + varPlace)];
  const byPrism = (gridDistance / slope) * (1 + reduction.atmosphericRatio);
  return [
    directionRow(place, de, dn, forDirection),
    distanceRow(place, de, dn, forDistance, { byPrism, byScale: gridDistance }),
  ];
}

/**
 * A station to which sights can be added in thought: its model, where its listed marks are, and with what one sights.
 */
export interface Extensible {
  readonly model: ReliabilityModel;
  readonly station: Station;
  readonly byName: ReadonlyMap<string, ControlPoint>;
  readonly sightedWith: SightedWith;
  /** Over a mark: the variance of the axis over it, and the radius that no further backsight makes smaller. */
  readonly over: { readonly varAxis: number; readonly radius95: Metres } | null;
}

/** A free station as it may be added to. */
export const extensibleOf = (
  station: FreeStation,
  solution: PlanSolution,
  result: ResectionResult,
  pole: PoleSet,
): Extensible => ({
  model: freeModel(station, solution),
  station: stationOfResection(result),
  byName: station.byName,
  sightedWith: {
    instrument: station.input.instrument,
    reduction: station.input.reduction,
    setup: station.input.setup,
    pole,
  },
  over: null,
});

/** Over a mark a further backsight turns the station, and its distance only tests. */
function heldByMark(row: ReliabilityRow, varAxis: number): ReliabilityRow {
  if (row.byScale !== 0) return { ...row, kept: 0 };
  const perSquare = row.a[0] ** 2 + row.a[1] ** 2;
  return { ...row, kept: 1 / (1 / row.weight + varAxis * perSquare) };
}

function extended(
  { model, station, byName, sightedWith, over }: Extensible,
  point: ControlPoint & PlanPoint,
): ReliabilityModel {
  const firsts = model.places.map((names) => byName.get(names[0]!)!);
  const places = placesOf([...firsts, point]);
  const place = places.findIndex((names) => names.includes(point.name));
  return {
    ...model,
    places: place < model.places.length ? model.places : [...model.places, [point.name]],
    rows: [
      ...model.rows,
      ...expectedRows(station, point, place, sightedWith).map((row) => (over ? heldByMark(row, over.varAxis) : row)),
    ],
  };
}

function radiusOf({ rows, size }: ReliabilityModel): Metres | null {
  const normal = new Float64Array(size * size);
  for (const { a, kept } of rows)
    for (let i = 0; i < size; i++) for (let j = 0; j < size; j++) normal[i * size + j]! += kept * a[i]! * a[j]!;
  const inverse = invertNormal(normal, size)?.inverse;
  return inverse ? ELLIPSE_95_FACTOR * ellipseOf(inverse[0]!, inverse[size + 1]!, inverse[1]!).a : null;
}

/**
 * The station as it would be with a sight to `point` that fits perfectly: its precision and what could go unseen follow
 * from where the marks lie, not from what is read. Null for a point without a place, nearer than any instrument
 * measures, or where it gives no station. `withoutEach` as for `planReliability`: of many marks it is enough to know it
 * of the best.
 */
export function addedSight(
  from: Extensible,
  point: ControlPoint,
  asked: AskedOfStation,
  withoutEach = true,
): AddedSight | null {
  if (point.e === null || point.n === null || planDistance(from.station, { e: point.e, n: point.n }) < NEAREST_SIGHT)
    return null;
  const model = extended(from, point as ControlPoint & PlanPoint);
  const radius95 = from.over ? from.over.radius95 : radiusOf(model);
  if (radius95 === null) return null;
  const { state, unnoticed } = planReliability(model, asked, withoutEach);
  return { name: point.name, radius95, checkability: state, worst: unnoticed[0] ?? null };
}

/**
 * What a sight does to both: how tight the station is, and the largest mistake that could hide in it. Smaller is
 * better.
 */
export const worthOf = ({ radius95, worst }: AddedSight): number =>
  Math.hypot(radius95, worst ? (worst.effect ?? Infinity) : 0);

/** Directions that are tried for a mark that is not there yet. */
const DIRECTIONS = 24;

/** The direction in which a new mark, as far as the others are on average, would leave the least hidden. */
export function bestDirection(
  from: Extensible,
  asked: AskedOfStation,
): { readonly azimuth: Radians; readonly worst: Unnoticed | null; readonly checkability: Checkability } | null {
  const { station, model, byName } = from;
  const distances = model.places.flatMap((names) => {
    const mark = byName.get(names[0]!);
    return mark && mark.e !== null && mark.n !== null ? [Math.hypot(mark.e - station.e, mark.n - station.n)] : [];
  });
  if (distances.length === 0) return null;
  const distance = distances.reduce((sum, each) => sum + each, 0) / distances.length;
  let best: { azimuth: Radians; added: AddedSight } | null = null;
  for (let i = 0; i < DIRECTIONS; i++) {
    const azimuth = (i * 2 * Math.PI) / DIRECTIONS;
    const place = { e: station.e + distance * Math.sin(azimuth), n: station.n + distance * Math.cos(azimuth) };
    const added = addedSight(from, { name: ' ', ...place, z: null, sdPlan: 0.002, sdHeight: null }, asked, false);
    if (added && (!best || worthOf(added) < worthOf(best.added))) best = { azimuth, added };
  }
  return best && { azimuth: best.azimuth, worst: best.added.worst, checkability: best.added.checkability };
}
