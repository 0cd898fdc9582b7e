/**
 * A line whose curvature changes evenly along it: the clothoid, with straight and circle as its limits. Close to a
 * place of it the coordinates are a power series whose terms follow from the one before, since the direction w = cos θ
 * + i sin θ obeys w′ = i (κ + κ′u) w. Source: E. Levien, From Spiral to Spline (2009), chapter 5 (Euler's spiral); any
 * text on power series solutions of linear differential equations.
 */
import type { Metres, Radians } from '../quantity/unit.ts';
import type { PlanPoint } from './point.ts';

/** Terms of a series. A stretch turning by no more than `SERIES_TURN` is then exact to the last digits of a double. */
export const TERMS = 13;
/** The most that a stretch may turn to be written as one series about its middle. */
export const SERIES_TURN: Radians = 0.5;

/**
 * Coordinates about a place: `origin` plus the sum of `east[i]` and `north[i]` times the distance from it to the power
 * i + 1.
 */
export interface ClothoidSeries {
  readonly origin: PlanPoint;
  readonly east: Float64Array;
  readonly north: Float64Array;
}

/**
 * @param direction azimuth at the origin
 * @param curvature there, per metre, positive turning right
 * @param rate change of curvature along the line, per metre squared
 */
export function clothoidSeries(origin: PlanPoint, direction: Radians, curvature: number, rate: number): ClothoidSeries {
  const [east, north] = [new Float64Array(TERMS), new Float64Array(TERMS)];
  // Coefficients of the direction; of the coordinates they are these, integrated.
  let [e, n] = [Math.sin(direction), Math.cos(direction)];
  let [eBefore, nBefore] = [0, 0];
  for (let i = 0; i < TERMS; i++) {
    east[i] = e / (i + 1);
    north[i] = n / (i + 1);
    const [eNext, nNext] = [(curvature * n + rate * nBefore) / (i + 1), -(curvature * e + rate * eBefore) / (i + 1)];
    [eBefore, nBefore, e, n] = [e, n, eNext, nNext];
  }
  return { origin, east, north };
}

export function placeOnSeries({ origin, east, north }: ClothoidSeries, distance: Metres): PlanPoint {
  let [e, n] = [0, 0];
  for (let i = TERMS - 1; i >= 0; i--) {
    e = (e + east[i]!) * distance;
    n = (n + north[i]!) * distance;
  }
  return { e: origin.e + e, n: origin.n + n };
}

/** Where a clothoid ends that leaves `start` in `direction`; for any length, stretch by stretch. */
export function clothoidEnd(
  start: PlanPoint,
  direction: Radians,
  curvature: number,
  rate: number,
  length: Metres,
): PlanPoint {
  const most = Math.max(Math.abs(curvature), Math.abs(curvature + rate * length)) * length;
  const stretches = Math.max(1, Math.ceil(most / SERIES_TURN));
  const step = length / stretches;
  let place = start;
  for (let i = 0; i < stretches; i++) {
    const from = i * step;
    const middle = from + step / 2;
    const turned = (s: Metres) => direction + curvature * s + (rate * s * s) / 2;
    // About the middle the series is shortest; it is moved so that its beginning meets the end of the stretch before.
    const series = clothoidSeries({ e: 0, n: 0 }, turned(middle), curvature + rate * middle, rate);
    const [a, b] = [placeOnSeries(series, -step / 2), placeOnSeries(series, step / 2)];
    place = { e: place.e + b.e - a.e, n: place.n + b.n - a.n };
  }
  return place;
}
