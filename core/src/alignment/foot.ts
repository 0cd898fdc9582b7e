/**
 * From a place to stations and offsets: the feet of the perpendiculars on an alignment. A foot is where the distance
 * has a local minimum: 1 − curvature × offset is positive there. On spirals the foot is found by Newton's method within
 * bounds. Source: W. H. Press and others, Numerical Recipes, chapter 9 (safe Newton); the pieces it is looked for on:
 * `pieces.ts`.
 */
import type { PlanPoint } from '../plane/point.ts';
import type { Metres } from '../quantity/unit.ts';
import { bendBefore, BEND, type Alignment } from './alignment.ts';
import { displayedStation, type DisplayedStation } from './equations.ts';
import {
  ARC,
  AZIMUTH,
  CENTRE_E,
  CENTRE_N,
  CURVATURE,
  EAST,
  END_E,
  END_EAST,
  END_N,
  END_NORTH,
  FIGURES,
  HAND,
  LENGTH,
  LINE,
  NORTH,
  RADIUS,
  RATE,
  SERIES,
  START_E,
  START_N,
  STATION,
} from './pieces.ts';
import { TERMS } from '../plane/clothoid.ts';

export interface Foot extends DisplayedStation {
  readonly station: Metres;
  /** Positive to the right of increasing station. */
  readonly offset: Metres;
}
export type AgainstAlignment =
  | (Foot & {
      /**
       * `atAngle`: nearest is the outer side of a bend, where no perpendicular falls; `offset` is then the distance to
       * it.
       */
      readonly status: 'onAlignment' | 'atAngle';
      readonly distance: Metres;
    })
  | {
      /** Nearest is an end: `extension` along its tangent carried on, positive, `offset` from that tangent. */
      readonly status: 'beyondStart' | 'beyondEnd';
      readonly extension: Metres;
      readonly offset: Metres;
      readonly distance: Metres;
    };

/** A foot this near beyond an end still counts. */
const AT_END: Metres = 1e-6;
/** Two feet nearer than this on both sides of where elements meet are one, parted by rounding. */
const ONE_FOOT: Metres = 1e-3;
const STEPS = 60;
/** Where a spiral's centres of curvature come near, the foot is looked for between places this many to a piece. */
const SOUGHT_BETWEEN = 16;

/** What the search of one piece leaves; kept outside of it so that a search makes nothing to be thrown away. */
const found = { distance2: 0, along: 0, /** -1 the start of the piece, 1 its end, 0 between. */ end: 0 };
const at = { e: 0, n: 0 };
const stack = new Int32Array(128);
const reach = new Float64Array(128);

/** Squared distance from a place to a box; 0 within. */
function toBox(boxes: Float64Array, node: number, e: number, n: number): number {
  const i = 4 * node;
  const de = e < boxes[i]! ? boxes[i]! - e : e > boxes[i + 2]! ? e - boxes[i + 2]! : 0;
  const dn = n < boxes[i + 1]! ? boxes[i + 1]! - n : n > boxes[i + 3]! ? n - boxes[i + 3]! : 0;
  return de * de + dn * dn;
}

function placeOnSpiral(pieces: Alignment['pieces'], piece: number, along: number): void {
  const { series, figures } = pieces;
  const from = piece * SERIES;
  const u = along - figures[piece * FIGURES + LENGTH]! / 2;
  let e = 0;
  let n = 0;
  for (let k = TERMS - 1; k >= 0; k--) {
    e = (e + series[from + k]!) * u;
    n = (n + series[from + TERMS + k]!) * u;
  }
  at.e = series[from + 2 * TERMS]! + e;
  at.n = series[from + 2 * TERMS + 1]! + n;
}

/** How far ahead of the square at `along` a place lies: falls through 0 at a foot. Leaves in `slope` how it changes. */
let slope = 0;
function aheadOnSpiral(pieces: Alignment['pieces'], piece: number, along: number, e: number, n: number): number {
  const f = piece * FIGURES;
  placeOnSpiral(pieces, piece, along);
  const curvature = pieces.figures[f + CURVATURE]!;
  const rate = pieces.figures[f + RATE]!;
  const direction = pieces.figures[f + AZIMUTH]! + curvature * along + (rate * along * along) / 2;
  const east = Math.sin(direction);
  const north = Math.cos(direction);
  const de = e - at.e;
  const dn = n - at.n;
  slope = (curvature + rate * along) * (de * north - dn * east) - 1;
  return de * east + dn * north;
}

/** A foot on a spiral's piece between two places, ahead of the first and behind the second. */
function footBetween(
  pieces: Alignment['pieces'],
  piece: number,
  e: number,
  n: number,
  low: number,
  high: number,
  guess: number,
): number {
  let along = guess;
  for (let i = 0; i < STEPS; i++) {
    const ahead = aheadOnSpiral(pieces, piece, along, e, n);
    if (ahead > 0) low = along;
    else high = along;
    let next = along - ahead / slope;
    if (!(next > low && next < high)) next = (low + high) / 2;
    if (Math.abs(next - along) < 1e-9) return next;
    along = next;
  }
  return along;
}

/** The foot on a piece, as a distance from its start; NaN where there is none. Ends within a millionth count. */
function footOn(pieces: Alignment['pieces'], piece: number, e: number, n: number): number {
  const { figures } = pieces;
  const f = piece * FIGURES;
  const length = figures[f + LENGTH]!;
  switch (pieces.kind[piece]) {
    case LINE: {
      const along =
        (e - figures[f + START_E]!) * figures[f + EAST]! + (n - figures[f + START_N]!) * figures[f + NORTH]!;
      return along >= -AT_END && along <= length + AT_END ? Math.min(Math.max(along, 0), length) : NaN;
    }
    case ARC: {
      const hand = figures[f + HAND]!;
      const radius = figures[f + RADIUS]!;
      const de = e - figures[f + CENTRE_E]!;
      const dn = n - figures[f + CENTRE_N]!;
      const oe = figures[f + START_E]! - figures[f + CENTRE_E]!;
      const on = figures[f + START_N]! - figures[f + CENTRE_N]!;
      // At the centre every place of the arc is as near: none is a foot.
      if (de === 0 && dn === 0) return NaN;
      let turned = hand * Math.atan2(on * de - oe * dn, oe * de + on * dn);
      if (turned < 0) turned += 2 * Math.PI;
      const along = radius * turned;
      if (along <= length + AT_END) return Math.min(along, length);
      return 2 * Math.PI * radius - along <= AT_END ? 0 : NaN;
    }
    default: {
      const de = e - figures[f + START_E]!;
      const dn = n - figures[f + START_N]!;
      const start = de * figures[f + EAST]! + dn * figures[f + NORTH]!;
      const startSlope = figures[f + CURVATURE]! * (de * figures[f + NORTH]! - dn * figures[f + EAST]!) - 1;
      const ee = e - figures[f + END_E]!;
      const en = n - figures[f + END_N]!;
      const end = ee * figures[f + END_EAST]! + en * figures[f + END_NORTH]!;
      const endSlope =
        (figures[f + CURVATURE]! + figures[f + RATE]! * length) *
          (ee * figures[f + END_NORTH]! - en * figures[f + END_EAST]!) -
        1;
      if (start > 0 && end < 0) return footBetween(pieces, piece, e, n, 0, length, (length * start) / (start - end));
      if (Math.abs(start) <= AT_END && startSlope < 0) return 0;
      if (Math.abs(end) <= AT_END && endSlope < 0) return length;
      // Beyond the centres of curvature the way ahead may fall through 0 and rise again: only there is it worth a
      // closer look.
      if (startSlope < 0 && endSlope < 0) return NaN;
      let before = start;
      for (let i = 1; i <= SOUGHT_BETWEEN; i++) {
        const along = (length * i) / SOUGHT_BETWEEN;
        const here = aheadOnSpiral(pieces, piece, along, e, n);
        if (before > 0 && here < 0)
          return footBetween(
            pieces,
            piece,
            e,
            n,
            (length * (i - 1)) / SOUGHT_BETWEEN,
            along,
            along - length / SOUGHT_BETWEEN / 2,
          );
        before = here;
      }
      return NaN;
    }
  }
}

/** The nearest place of a piece, into `found`. */
function nearestOn(pieces: Alignment['pieces'], piece: number, e: number, n: number): void {
  const { figures } = pieces;
  const f = piece * FIGURES;
  const along = footOn(pieces, piece, e, n);
  const start2 = (e - figures[f + START_E]!) ** 2 + (n - figures[f + START_N]!) ** 2;
  const end2 = (e - figures[f + END_E]!) ** 2 + (n - figures[f + END_N]!) ** 2;
  found.end = start2 <= end2 ? -1 : 1;
  found.distance2 = Math.min(start2, end2);
  found.along = found.end < 0 ? 0 : figures[f + LENGTH]!;
  if (Number.isNaN(along)) return;
  const foot2 = distance2At(pieces, piece, along, e, n);
  // Near an end rounding may favour it: a foot is worth more than an end that is no nearer.
  if (foot2 <= found.distance2 + 1e-12) {
    found.end = 0;
    found.distance2 = foot2;
    found.along = along;
  }
}

function distance2At(pieces: Alignment['pieces'], piece: number, along: number, e: number, n: number): number {
  const { figures } = pieces;
  const f = piece * FIGURES;
  switch (pieces.kind[piece]) {
    case LINE: {
      const ahead =
        (e - figures[f + START_E]!) * figures[f + EAST]! + (n - figures[f + START_N]!) * figures[f + NORTH]! - along;
      const right = offsetAt(pieces, piece, along, e, n);
      return ahead * ahead + right * right;
    }
    case ARC: {
      const right = offsetAt(pieces, piece, along, e, n);
      return right * right;
    }
    default:
      placeOnSpiral(pieces, piece, along);
      return (e - at.e) ** 2 + (n - at.n) ** 2;
  }
}

/** To the right of a foot on a piece. */
function offsetAt(pieces: Alignment['pieces'], piece: number, along: number, e: number, n: number): number {
  const { figures } = pieces;
  const f = piece * FIGURES;
  switch (pieces.kind[piece]) {
    case LINE:
      return (e - figures[f + START_E]!) * figures[f + NORTH]! - (n - figures[f + START_N]!) * figures[f + EAST]!;
    case ARC:
      return (
        figures[f + HAND]! * (figures[f + RADIUS]! - Math.hypot(e - figures[f + CENTRE_E]!, n - figures[f + CENTRE_N]!))
      );
    default: {
      placeOnSpiral(pieces, piece, along);
      const direction =
        figures[f + AZIMUTH]! + figures[f + CURVATURE]! * along + (figures[f + RATE]! * along * along) / 2;
      return (e - at.e) * Math.cos(direction) - (n - at.n) * Math.sin(direction);
    }
  }
}

/** Where a place lies against an alignment: at the foot, end or bend that is nearest to it. */
export function againstAlignment(alignment: Alignment, { e, n }: PlanPoint): AgainstAlignment {
  const { pieces } = alignment;
  const { boxes, first, past, right } = pieces;
  let best = Infinity;
  let bestPiece = 0;
  let bestAlong = 0;
  let bestEnd = 0;
  let depth = 1;
  stack[0] = 0;
  reach[0] = 0;
  while (depth > 0) {
    const node = stack[--depth]!;
    if (reach[depth]! >= best) continue;
    if (past[node]! - first[node]! === 1) {
      nearestOn(pieces, first[node]!, e, n);
      // Of an end that two pieces share, a foot on either counts before it.
      if (found.distance2 < best - 1e-12 || (found.distance2 <= best + 1e-12 && found.end === 0 && bestEnd !== 0)) {
        best = found.distance2;
        bestPiece = first[node]!;
        bestAlong = found.along;
        bestEnd = found.end;
      }
      continue;
    }
    const left = node + 1;
    const other = right[node]!;
    const toLeft = toBox(boxes, left, e, n);
    const toOther = toBox(boxes, other, e, n);
    // The nearer one is looked at first: it lies on top.
    const leftFirst = toLeft <= toOther;
    stack[depth] = leftFirst ? other : left;
    reach[depth++] = leftFirst ? toOther : toLeft;
    stack[depth] = leftFirst ? left : other;
    reach[depth++] = leftFirst ? toLeft : toOther;
  }
  const distance = Math.sqrt(best);
  const station = pieces.figures[bestPiece * FIGURES + STATION]! + bestAlong;
  if (bestEnd === 0) {
    const offset = offsetAt(pieces, bestPiece, bestAlong, e, n);
    return { status: 'onAlignment', station, ...displayedStation(alignment, station), offset, distance };
  }
  return atAnEnd(alignment, { e, n }, bestEnd > 0 ? bestPiece : bestPiece - 1, distance);
}

/** @param before the piece that ends at the nearest place; -1 where that is the start of all */
function atAnEnd(alignment: Alignment, { e, n }: PlanPoint, before: number, distance: Metres): AgainstAlignment {
  const { pieces } = alignment;
  const isStart = before < 0;
  const isEnd = before === pieces.count - 1;
  const f = (isEnd ? before : before + 1) * FIGURES;
  const at = (end: number, start: number): number => pieces.figures[f + (isEnd ? end : start)]!;
  const [de, dn] = [e - at(END_E, START_E), n - at(END_N, START_N)];
  const [east, north] = [at(END_EAST, EAST), at(END_NORTH, NORTH)];
  const [ahead, off] = [de * east + dn * north, de * north - dn * east];
  if (isStart || isEnd)
    return { status: isStart ? 'beyondStart' : 'beyondEnd', extension: Math.abs(ahead), offset: off, distance };
  const bend =
    pieces.element[before] === pieces.element[before + 1] ? 0 : bendBefore(alignment, pieces.element[before + 1]!);
  const isBend = Math.abs(bend) > BEND;
  const station = pieces.figures[f + STATION]!;
  const side = isBend ? -Math.sign(bend) : Math.sign(off);
  return {
    status: isBend ? 'atAngle' : 'onAlignment',
    station,
    ...displayedStation(alignment, station),
    offset: side * distance,
    distance,
  };
}

/** Every foot no farther off than `corridor`, by station. */
export function feetWithin(alignment: Alignment, { e, n }: PlanPoint, corridor: Metres): Foot[] {
  const { pieces } = alignment;
  const { boxes, first, past, right } = pieces;
  const limit = (corridor + AT_END) ** 2;
  const feet: { station: number; offset: number }[] = [];
  let depth = 0;
  stack[depth++] = 0;
  while (depth > 0) {
    const node = stack[--depth]!;
    if (toBox(boxes, node, e, n) > limit) continue;
    if (past[node]! - first[node]! > 1) {
      stack[depth++] = right[node]!;
      stack[depth++] = node + 1;
      continue;
    }
    const piece = first[node]!;
    const along = footOn(pieces, piece, e, n);
    const station = pieces.figures[piece * FIGURES + STATION]!;
    if (!Number.isNaN(along)) feet.push({ station: station + along, offset: offsetAt(pieces, piece, along, e, n) });
    else {
      const between = footBetweenElements(alignment, piece, e, n);
      if (between !== null)
        feet.push({ station: station + pieces.figures[piece * FIGURES + LENGTH]!, offset: between });
    }
  }
  const kept: { station: number; offset: number }[] = [];
  for (const foot of feet.sort((a, b) => a.station - b.station)) {
    if (Math.abs(foot.offset) > corridor + 1e-9) continue;
    const last = kept.at(-1);
    if (last && isOneFoot(alignment, last.station, foot.station)) {
      if (Math.abs(foot.offset) < Math.abs(last.offset)) kept[kept.length - 1] = foot;
    } else kept.push(foot);
  }
  return kept.map(({ station, offset }) => ({ station, offset, ...displayedStation(alignment, station) }));
}

/** Where two elements meet almost straight on, a place may fall between both squares: the offset there, else null. */
function footBetweenElements(alignment: Alignment, piece: number, e: number, n: number): number | null {
  const { pieces, elements } = alignment;
  const [own, next] = [pieces.element[piece]!, pieces.element[piece + 1]];
  if (next === undefined || next === own || Math.abs(bendBefore(alignment, next)) > BEND) return null;
  const [before, after] = [elements[own]!, elements[next]!];
  const aheadOf = (direction: number, from: PlanPoint) =>
    (e - from.e) * Math.sin(direction) + (n - from.n) * Math.cos(direction);
  if (aheadOf(before.azimuthEnd, before.end) <= 0 || aheadOf(after.azimuthStart, after.start) >= 0) return null;
  const off = (e - after.start.e) * Math.cos(after.azimuthStart) - (n - after.start.n) * Math.sin(after.azimuthStart);
  return before.curvatureEnd * off < 1 && after.curvatureStart * off < 1 ? off : null;
}

/** Rounding of coordinates may give two feet, one on each side of where pieces meet. */
function isOneFoot({ elements }: Alignment, a: Metres, b: Metres): boolean {
  if (b - a < AT_END) return true;
  return (
    b - a < ONE_FOOT &&
    elements.some(
      ({ startStation }, i) =>
        i > 0 && startStation >= a && startStation <= b && Math.abs(bendBefore({ elements }, i)) <= BEND,
    )
  );
}
