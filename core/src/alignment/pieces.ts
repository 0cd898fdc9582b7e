/**
 * An alignment cut into stretches that each have at most one nearest place to any point: lines, arcs, and stretches of
 * spirals that turn one way by no more than half a radian. (The normals of such a stretch touch its evolute, a convex
 * arc that turns by the same angle; through a point pass at most two of its tangents, one to the nearest and one to the
 * farthest place: D. J. Struik, Lectures on Classical Differential Geometry, chapter 1.) Boxes round runs of stretches,
 * halved again and again, leave most of them unasked: J. L. Bentley, J. H. Friedman, Data Structures for Range
 * Searching; where a run is parted: J. Goldsmith, J. Salmon, Automatic Creation of Object Hierarchies for Ray Tracing
 * (the surface of boxes as the cost of asking them).
 */
import { clothoidSeries, placeOnSeries, SERIES_TURN, TERMS } from '../plane/clothoid.ts';
import type { PlanPoint } from '../plane/point.ts';
import { directionOn, placeOn, type ElementShape } from './element.ts';

export const LINE = 0;
export const ARC = 1;
export const SPIRAL = 2;

/** Numbers a piece: where they stand in `figures` is told by the names below. */
export const FIGURES = 14;
export const START_E = 0;
export const START_N = 1;
/** Sine and cosine of the azimuth at the start. */
export const EAST = 2;
export const NORTH = 3;
export const LENGTH = 4;
/** Station of the start. */
export const STATION = 5;
/** Of an arc: the centre, the radius, the hand (1 right, -1 left). */
export const CENTRE_E = 6;
export const CENTRE_N = 7;
export const RADIUS = 8;
export const HAND = 9;
/**
 * Of a spiral: azimuth and curvature at the start, change of curvature; the series about the middle stands in `series`.
 */
export const AZIMUTH = 6;
export const CURVATURE = 7;
export const RATE = 8;
/** End of the piece, and sine and cosine of the azimuth there. */
export const END_E = 10;
export const END_N = 11;
export const END_EAST = 12;
export const END_NORTH = 13;

export interface Pieces {
  readonly count: number;
  readonly kind: Uint8Array;
  /** Element that a piece belongs to. */
  readonly element: Uint32Array;
  readonly figures: Float64Array;
  /** 2 × TERMS + 2 a piece: terms of east, of north, and the place of the middle; of spirals only. */
  readonly series: Float64Array;
  /** Low and high corner a node. */
  readonly boxes: Float64Array;
  /** First piece and one past the last of a node; the node's left child follows it, its right child is `right`. */
  readonly first: Uint32Array;
  readonly past: Uint32Array;
  readonly right: Uint32Array;
}

export const SERIES = 2 * TERMS + 2;

/** The most that an arc's piece turns, and the longest piece of a line. */
const ARC_TURN = 0.8;
const LINE_LENGTH = 200;
/** Of one element: beyond it the boxes are only wider. */
const MOST_PIECES = 4096;

type Box = readonly [number, number, number, number];
const boxRound = (a: Box, b: Box): Box => [
  Math.min(a[0], b[0]),
  Math.min(a[1], b[1]),
  Math.max(a[2], b[2]),
  Math.max(a[3], b[3]),
];
const halfRound = (box: Box): number => box[2] - box[0] + box[3] - box[1];

interface Piece {
  readonly kind: number;
  readonly element: number;
  readonly figures: readonly number[];
  readonly series: readonly number[] | null;
  readonly box: Box;
}

export interface StationedShape extends ElementShape {
  readonly startStation: number;
}

export function piecesOf(elements: readonly StationedShape[]): Pieces {
  const pieces = elements.flatMap((element, i) =>
    element.kind === 'spiral' ? spiralPieces(element, i) : plainPieces(element, i),
  );
  const count = pieces.length;
  const nodes = 2 * count - 1;
  const boxes = new Float64Array(4 * nodes);
  const [first, past, right] = [new Uint32Array(nodes), new Uint32Array(nodes), new Uint32Array(nodes)];
  let next = 0;
  /**
   * Where to part a run: each half weighs by how many it holds and how far round they lie; neither less than a quarter.
   */
  const parted = (from: number, to: number): number => {
    const least = Math.max(1, Math.floor((to - from) / 4));
    const ahead: number[] = [];
    let box = pieces[to - 1]!.box;
    for (let i = to - 1; i > from; i--) {
      box = boxRound(box, pieces[i]!.box);
      ahead[i] = halfRound(box) * (to - i);
    }
    box = pieces[from]!.box;
    let [cheapest, at] = [Infinity, from + least];
    for (let i = from + 1; i <= to - least; i++) {
      const cost = halfRound(box) * (i - from) + ahead[i]!;
      if (i >= from + least && cost < cheapest) [cheapest, at] = [cost, i];
      box = boxRound(box, pieces[i]!.box);
    }
    return at;
  };
  const grow = (from: number, to: number): number => {
    const node = next++;
    first[node] = from;
    past[node] = to;
    if (to - from === 1) boxes.set(pieces[from]!.box, 4 * node);
    else {
      const middle = parted(from, to);
      const [a, b] = [grow(from, middle) * 4, grow(middle, to)];
      right[node] = b;
      for (let k = 0; k < 2; k++) {
        boxes[4 * node + k] = Math.min(boxes[a + k]!, boxes[4 * b + k]!);
        boxes[4 * node + 2 + k] = Math.max(boxes[a + 2 + k]!, boxes[4 * b + 2 + k]!);
      }
    }
    return node;
  };
  grow(0, count);
  const series = new Float64Array(SERIES * count);
  pieces.forEach((piece, i) => piece.series && series.set(piece.series, SERIES * i));
  return {
    count,
    kind: Uint8Array.from(pieces, ({ kind }) => kind),
    element: Uint32Array.from(pieces, ({ element }) => element),
    figures: Float64Array.from(pieces.flatMap(({ figures }) => figures)),
    series,
    boxes,
    first,
    past,
    right,
  };
}

/** Lines and arcs, cut where their boxes would take in much that lies far from them. */
function plainPieces(shape: StationedShape, element: number): Piece[] {
  const wanted = Math.ceil(
    shape.centre ? (Math.abs(shape.curvatureStart) * shape.length) / ARC_TURN : shape.length / LINE_LENGTH,
  );
  const count = Math.min(MOST_PIECES, Math.max(1, wanted));
  const step = shape.length / count;
  return Array.from({ length: count }, (_, i) => {
    const [from, to] = [i * step, (i + 1) * step];
    const ends = {
      start: i === 0 ? shape.start : placeOn(shape, from),
      end: i === count - 1 ? shape.end : placeOn(shape, to),
    };
    const ways = { azimuthStart: directionOn(shape, from).azimuth, azimuthEnd: directionOn(shape, to).azimuth };
    return plainPiece({ ...shape, ...ends, ...ways, length: step, startStation: shape.startStation + from }, element);
  });
}

function plainPiece(shape: StationedShape, element: number): Piece {
  const { start, end, azimuthStart, azimuthEnd, length, startStation, centre, curvatureStart } = shape;
  const last = [end.e, end.n, Math.sin(azimuthEnd), Math.cos(azimuthEnd)];
  const common = [start.e, start.n, Math.sin(azimuthStart), Math.cos(azimuthStart), length, startStation];
  if (!centre)
    return {
      kind: LINE,
      element,
      figures: [...common, 0, 0, 0, 0, ...last],
      series: null,
      box: boxOf([start, end], 0),
    };
  const radius = 1 / Math.abs(curvatureStart);
  const hand = Math.sign(curvatureStart);
  const fromCentre = azimuthStart - (hand * Math.PI) / 2;
  // Where the arc passes due north, east, south or west of its centre it reaches farthest.
  const reached = [start, end];
  for (
    let quarter = Math.ceil(Math.min(fromCentre, fromCentre + curvatureStart * length) / (Math.PI / 2));
    ;
    quarter++
  ) {
    const direction = (quarter * Math.PI) / 2;
    if (direction > Math.max(fromCentre, fromCentre + curvatureStart * length)) break;
    reached.push({ e: centre.e + radius * Math.sin(direction), n: centre.n + radius * Math.cos(direction) });
  }
  return {
    kind: ARC,
    element,
    figures: [...common, centre.e, centre.n, radius, hand, ...last],
    series: null,
    box: boxOf(reached, 0),
  };
}

function spiralPieces(shape: StationedShape, element: number): Piece[] {
  const { start, azimuthStart, curvatureStart, curvatureEnd, length, startStation } = shape;
  const rate = (curvatureEnd - curvatureStart) / length;
  const count = Math.max(
    1,
    Math.ceil((Math.max(Math.abs(curvatureStart), Math.abs(curvatureEnd)) * length) / SERIES_TURN),
  );
  const step = length / count;
  const pieces: Piece[] = [];
  let from: PlanPoint = start;
  for (let i = 0; i < count; i++) {
    const along = i * step;
    const curvatureAt = (s: number) => curvatureStart + rate * s;
    const azimuthAt = (s: number) => azimuthStart + curvatureStart * s + (rate * s * s) / 2;
    const middle = along + step / 2;
    const series = clothoidSeries({ e: 0, n: 0 }, azimuthAt(middle), curvatureAt(middle), rate);
    const [a, b] = [placeOnSeries(series, -step / 2), placeOnSeries(series, step / 2)];
    const centre = { e: from.e - a.e, n: from.n - a.n };
    const to = { e: centre.e + b.e, n: centre.n + b.n };
    const turn = Math.max(Math.abs(curvatureAt(along)), Math.abs(curvatureAt(along + step))) * step;
    pieces.push({
      kind: SPIRAL,
      element,
      figures: [
        from.e,
        from.n,
        Math.sin(azimuthAt(along)),
        Math.cos(azimuthAt(along)),
        step,
        startStation + along,
        azimuthAt(along),
        curvatureAt(along),
        rate,
        0,
        to.e,
        to.n,
        Math.sin(azimuthAt(along + step)),
        Math.cos(azimuthAt(along + step)),
      ],
      series: [...series.east, ...series.north, centre.e, centre.n],
      box: boxOf([from, to], (step * turn) / 4),
    });
    from = to;
  }
  return pieces;
}

function boxOf(places: readonly PlanPoint[], margin: number): Box {
  const [es, ns] = [places.map(({ e }) => e), places.map(({ n }) => n)];
  return [Math.min(...es) - margin, Math.min(...ns) - margin, Math.max(...es) + margin, Math.max(...ns) + margin];
}
