/** Boundaries of a hatch, each a closed row of lines and arcs. Source: DXF reference, "Boundary path data". */
import type { Corner3 } from './dxfShapes.ts';
import { arcsAlong, isWhole, splineCorners } from './dxfCurves.ts';
import { numberOf, type DxfRecord, type Group } from './dxfElement.ts';

const IS_POLYLINE = 2;
const PER_TURN = 96;
const JOINS = 1e-6;
const MOST_EDGES = 100_000;

/** Reads the groups one after the other. */
class Cursor {
  readonly #groups: readonly Group[];
  #at: number;

  constructor(groups: readonly Group[], from: number) {
    this.#groups = groups;
    this.#at = from;
  }

  /** The value of the next group where it has this code; undefined otherwise, and nothing is read. */
  next(code: number): number | undefined {
    const group = this.#groups[this.#at];
    if (group?.code !== code) return undefined;
    this.#at++;
    return numberOf(group.value);
  }

  /** On to the next group with this code. */
  seek(code: number): number | undefined {
    while (this.#at < this.#groups.length && this.#groups[this.#at]!.code !== code) this.#at++;
    return this.next(code);
  }
}

/** Each boundary as it is drawn, with its height; null where one of them can not be read. */
export function hatchBoundaries(record: DxfRecord): Corner3[][] | null {
  const { groups } = record;
  const z = record.number(30) || 0;
  const from = groups.findIndex(({ code }) => code === 91);
  if (from < 0) return null;
  const cursor = new Cursor(groups, from);
  const count = cursor.next(91) ?? 0;
  const boundaries: Corner3[][] = [];
  for (let i = 0; i < count && i < MOST_EDGES; i++) {
    const flags = cursor.seek(92);
    if (flags === undefined) return null;
    const corners = (flags & IS_POLYLINE) !== 0 ? polyline(cursor, z) : edges(cursor, z);
    if (corners === null || corners.length < 2) return null;
    boundaries.push(corners);
  }
  return boundaries.length > 0 ? boundaries : null;
}

function polyline(cursor: Cursor, z: number): Corner3[] | null {
  const hasBulges = cursor.seek(72) === 1;
  cursor.next(73);
  const count = cursor.next(93) ?? 0;
  if (!(count >= 2 && count <= MOST_EDGES)) return null;
  const corners: Corner3[] = [];
  for (let i = 0; i < count; i++) {
    const [e, n] = [cursor.next(10), cursor.next(20)];
    const bulge = hasBulges ? (cursor.next(42) ?? 0) : 0;
    if (e === undefined || n === undefined || !Number.isFinite(e + n + bulge)) return null;
    corners.push({ e, n, z, bulge });
  }
  return corners;
}

/** Edges in a row are one path: each is turned about where that makes it go on from the one before. */
function edges(cursor: Cursor, z: number): Corner3[] | null {
  const count = cursor.seek(93) ?? 0;
  if (!(count >= 1 && count <= MOST_EDGES)) return null;
  const drawn: Corner3[][] = [];
  for (let i = 0; i < count; i++) {
    const edge = edgeOf(cursor, z);
    if (edge === null || edge.length < 2 || edge.some(({ e, n, bulge }) => !Number.isFinite(e + n + bulge)))
      return null;
    drawn.push(edge);
  }
  const isNear = (a: Corner3, b: Corner3) => {
    const size = Math.max(1, Math.abs(a.e), Math.abs(a.n));
    return Math.hypot(a.e - b.e, a.n - b.n) <= JOINS * size;
  };
  const row: Corner3[] = [];
  drawn.forEach((edge, i) => {
    const last = row.at(-1);
    const next = drawn[i + 1];
    const turn = last
      ? !isNear(last, edge[0]!) && isNear(last, edge.at(-1)!)
      : next !== undefined &&
        !isNear(edge.at(-1)!, next[0]!) &&
        !isNear(edge.at(-1)!, next.at(-1)!) &&
        (isNear(edge[0]!, next[0]!) || isNear(edge[0]!, next.at(-1)!));
    const way = turn ? turned(edge) : edge;
    if (last && isNear(last, way[0]!)) row.pop();
    row.push(...way);
  });
  if (row.length > 2 && isNear(row[0]!, row.at(-1)!)) row.pop();
  return row;
}

/** The other way round: bulges belong to the side that leaves a corner. */
const turned = (corners: readonly Corner3[]): Corner3[] =>
  corners.map((_, i) => {
    const at = corners.length - 1 - i;
    return { ...corners[at]!, bulge: at === 0 ? 0 : -corners[at - 1]!.bulge };
  });

function edgeOf(cursor: Cursor, z: number): Corner3[] | null {
  const kind = cursor.seek(72);
  const [e, n] = kind === 4 ? [0, 0] : [cursor.next(10), cursor.next(20)];
  if (e === undefined || n === undefined) return null;
  if (kind === 1) {
    const [toE, toN] = [cursor.next(11), cursor.next(21)];
    return toE === undefined || toN === undefined
      ? null
      : [
          { e, n, z, bulge: 0 },
          { e: toE, n: toN, z, bulge: 0 },
        ];
  }
  if (kind === 2) {
    const [radius, from, to, ccw] = [cursor.next(40), cursor.next(50), cursor.next(51), cursor.next(73)];
    if (radius === undefined || from === undefined || to === undefined) return null;
    return around(
      (angle) => ({ e: e + radius * Math.cos(angle), n: n + radius * Math.sin(angle), z }),
      from,
      to,
      ccw,
      2,
    );
  }
  if (kind === 3) {
    const [majorE, majorN, ratio] = [cursor.next(11), cursor.next(21), cursor.next(40)];
    const [from, to, ccw] = [cursor.next(50), cursor.next(51), cursor.next(73)];
    if (majorE === undefined || majorN === undefined || ratio === undefined || from === undefined || to === undefined)
      return null;
    return around(
      (angle) => ({
        e: e + majorE * Math.cos(angle) - majorN * ratio * Math.sin(angle),
        n: n + majorN * Math.cos(angle) + majorE * ratio * Math.sin(angle),
        z,
      }),
      from,
      to,
      ccw,
      PER_TURN,
    );
  }
  return kind === 4 ? splineEdge(cursor, z) : null;
}

/** Round a centre: clockwise edges have their angles counted clockwise. */
function around(
  at: (angle: number) => { e: number; n: number; z: number },
  fromDeg: number,
  toDeg: number,
  ccw: number | undefined,
  steps: number,
): Corner3[] {
  const hand = ccw === 0 ? -1 : 1;
  const span = (((toDeg - fromDeg) % 360) + 360) % 360 || 360;
  const start = (hand * fromDeg * Math.PI) / 180;
  return arcsAlong(at, start, start + (hand * span * Math.PI) / 180, steps === 2 && span < 359.999 ? 1 : steps);
}

function splineEdge(cursor: Cursor, z: number): Corner3[] | null {
  const degree = cursor.seek(94) ?? 0;
  const isRational = cursor.next(73) === 1;
  cursor.next(74);
  const [knotCount, pointCount] = [cursor.next(95) ?? 0, cursor.next(96) ?? 0];
  if (knotCount > MOST_EDGES || pointCount > MOST_EDGES) return null;
  const knots = Array.from({ length: knotCount }, () => cursor.next(40) ?? NaN);
  const weights: number[] = [];
  const points = Array.from({ length: pointCount }, () => {
    const place = { e: cursor.next(10) ?? NaN, n: cursor.next(20) ?? NaN, z };
    const weight = cursor.next(42);
    if (isRational) weights.push(weight ?? 1);
    return place;
  });
  const curve = { degree, knots, points, weights };
  return isWhole(curve) ? splineCorners(curve) : null;
}
