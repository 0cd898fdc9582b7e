/**
 * Walking order through places, from where one stands; the end is open, nobody has to come back. Sources: M. Held, R.
 * M. Karp, A dynamic programming approach to sequencing problems (1962) for few places; G. A. Croes, A method for
 * solving traveling-salesman problems (1958), I. Or's moves of short runs (1976) and O. Martin, S. W. Otto, E. W.
 * Felten, Large-step Markov chains for the traveling salesman problem (1991) for more.
 */
import { planDistance, type PlanPoint } from '../plane/point.ts';
import type { Metres } from '../quantity/unit.ts';

/** Up to here every order is weighed against every other. */
const MOST_EXACT = 10;
/** Beyond this the time to improve an order is felt. */
const MOST_IMPROVED = 400;
/** Longest run of places that is moved as one. */
const LONGEST_RUN = 3;
/** Less than this is no gain: rounding would let two orders exchange for ever. */
const GAIN: Metres = 1e-9;

/**
 * Indices into `places`, in walking order: the shortest for few places, a short one for many. Equal ones keep the given
 * order.
 */
export function walkingOrder(start: PlanPoint, places: readonly PlanPoint[]): number[] {
  const steps = walkingSteps(start, places);
  for (;;) {
    const step = steps.next();
    if (step.done) return step.value;
  }
}

/** The same in steps, between which something else may be done: of some hundreds of places it takes a while. */
export function* walkingSteps(start: PlanPoint, places: readonly PlanPoint[]): Generator<void, number[]> {
  if (places.length <= MOST_EXACT) return shortestOrder(start, places);
  const order = nearestFirst(start, places);
  return places.length <= MOST_IMPROVED ? yield* improved(start, places, order) : order;
}

/** Length of a walk from `start`, metres. */
export function walkLength(start: PlanPoint, places: readonly PlanPoint[], order: readonly number[]): Metres {
  let length = 0;
  let here = start;
  for (const i of order) {
    length += planDistance(here, places[i]!);
    here = places[i]!;
  }
  return length;
}

/** Always to the nearest place that is left. */
export function nearestFirst(start: PlanPoint, places: readonly PlanPoint[]): number[] {
  const left = new Set(places.keys());
  const order: number[] = [];
  let here = start;
  while (left.size > 0) {
    let best = -1;
    let shortest = Infinity;
    for (const i of left) {
      const distance = planDistance(here, places[i]!);
      if (distance < shortest) {
        shortest = distance;
        best = i;
      }
    }
    left.delete(best);
    order.push(best);
    here = places[best]!;
  }
  return order;
}

/** The shortest of all orders: the best way to have been at a set of places and to stand at one of them, set by set. */
function shortestOrder(start: PlanPoint, places: readonly PlanPoint[]): number[] {
  const n = places.length;
  if (n === 0) return [];
  const between = places.map((a) => places.map((b) => planDistance(a, b)));
  const best = new Float64Array((1 << n) * n).fill(Infinity);
  const cameFrom = new Int8Array((1 << n) * n).fill(-1);
  for (let i = 0; i < n; i++) best[(1 << i) * n + i] = planDistance(start, places[i]!);
  for (let been = 1; been < 1 << n; been++) {
    for (let at = 0; at < n; at++) {
      const length = best[been * n + at]!;
      if (length === Infinity) continue;
      for (let next = 0; next < n; next++) {
        if (been & (1 << next)) continue;
        const cell = (been | (1 << next)) * n + next;
        const longer = length + between[at]![next]!;
        if (longer < best[cell]! - GAIN) {
          best[cell] = longer;
          cameFrom[cell] = at;
        }
      }
    }
  }
  let been = (1 << n) - 1;
  let at = 0;
  for (let i = 1; i < n; i++) if (best[been * n + i]! < best[been * n + at]! - GAIN) at = i;
  const order: number[] = [];
  while (at >= 0) {
    order.push(at);
    const before = cameFrom[been * n + at]!;
    been &= ~(1 << at);
    at = before;
  }
  return order.reverse();
}

/** A walk in work: places by index, 0 being the start, and the distances between all of them. */
interface Walk {
  /** Row by row; the last column is nothing, for the place behind the end. */
  readonly distances: readonly Float64Array[];
  /** In walking order; the first is the start and stays. */
  readonly order: number[];
}

const between = ({ distances }: Walk, a: number, b: number): Metres => distances[a]![b]!;
/** The place at a position of the walk, or what stands behind its end. */
const placeAt = ({ distances, order }: Walk, i: number): number => (i < order.length ? order[i]! : distances.length);

const lengthOf = (walk: Walk): Metres =>
  walk.order.reduce((sum, here, i) => sum + between(walk, here, placeAt(walk, i + 1)), 0);

/**
 * The best of what stretches turned round give by either rule, the first gain found or the largest, with short runs
 * moved elsewhere; then shaken and put right again a fixed number of times. Without chance, so that the same marks give
 * the same walk.
 */
function* improved(
  start: PlanPoint,
  places: readonly PlanPoint[],
  order: readonly number[],
): Generator<void, number[]> {
  const all = [start, ...places];
  const distances = all.map((a) => Float64Array.from([...all.map((b) => planDistance(a, b)), 0]));
  const walkOf = (indices: readonly number[]): Walk => ({ distances, order: [...indices] });
  const first = walkOf([0, ...order.map((i) => i + 1)]);
  let best: Walk | null = null;
  for (const find of [firstTurn, largestTurn]) {
    yield;
    const tried = settled(untangled(walkOf(first.order), find));
    if (!best || lengthOf(tried) < lengthOf(best) - GAIN) best = tried;
  }
  for (let shake = 1; shake <= Math.max(LEAST_SHAKES, Math.round(SHAKEN_PLACES / all.length)); shake++) {
    yield;
    const tried = settled(walkOf(shaken(best!.order, shake)));
    if (lengthOf(tried) < lengthOf(best!) - GAIN) best = tried;
  }
  return best!.order.slice(1).map((i) => i - 1);
}

/** How often a walk is shaken: the fewer places the oftener. */
const LEAST_SHAKES = 10;
const SHAKEN_PLACES = 3000;

interface Turn {
  readonly from: number;
  readonly to: number;
  readonly gain: Metres;
}

function reverse(order: number[], from: number, to: number): void {
  for (let i = from, j = to; i < j; i++, j--) [order[i], order[j]] = [order[j]!, order[i]!];
}

const gainOfTurn = (walk: Walk, from: number, to: number): Metres => {
  const { distances, order } = walk;
  const [before, after] = [distances[order[from - 1]!]!, placeAt(walk, to + 1)];
  const [first, last] = [order[from]!, order[to]!];
  return before[first]! + distances[last]![after]! - before[last]! - distances[first]![after]!;
};

function firstTurn(walk: Walk): Turn | null {
  for (let from = 1; from < walk.order.length - 1; from++) {
    for (let to = from + 1; to < walk.order.length; to++) {
      const gain = gainOfTurn(walk, from, to);
      if (gain > GAIN) return { from, to, gain };
    }
  }
  return null;
}

function largestTurn(walk: Walk): Turn | null {
  let best: Turn | null = null;
  for (let from = 1; from < walk.order.length - 1; from++) {
    for (let to = from + 1; to < walk.order.length; to++) {
      const gain = gainOfTurn(walk, from, to);
      if (gain > (best?.gain ?? GAIN)) best = { from, to, gain };
    }
  }
  return best;
}

function untangled(walk: Walk, find: (walk: Walk) => Turn | null): Walk {
  for (let turn = find(walk); turn; turn = find(walk)) reverse(walk.order, turn.from, turn.to);
  return walk;
}

/** Turns and moves, pass by pass, until neither makes the walk shorter. */
function settled(walk: Walk): Walk {
  let better = true;
  while (better) {
    better = false;
    for (let from = 1; from < walk.order.length - 1; from++) {
      for (let to = from + 1; to < walk.order.length; to++) {
        if (gainOfTurn(walk, from, to) <= GAIN) continue;
        reverse(walk.order, from, to);
        better = true;
      }
    }
    for (let size = 1; size <= LONGEST_RUN; size++) better = moveRuns(walk, size) || better;
  }
  return walk;
}

/** One pass over all runs of a size; whether any was moved. */
function moveRuns(walk: Walk, size: number): boolean {
  const { order } = walk;
  let moved = false;
  for (let from = 1; from + size <= order.length; from++) {
    const last = from + size - 1;
    const after = placeAt(walk, last + 1);
    const freed =
      between(walk, order[from - 1]!, order[from]!) +
      between(walk, order[last]!, after) -
      between(walk, order[from - 1]!, after);
    for (let behind = 0; behind < order.length; behind++) {
      if (behind >= from - 1 && behind <= last) continue;
      const next = placeAt(walk, behind + 1);
      const gain =
        freed +
        between(walk, order[behind]!, next) -
        between(walk, order[behind]!, order[from]!) -
        between(walk, order[last]!, next);
      if (gain <= GAIN) continue;
      order.splice(behind < from ? behind + 1 : behind + 1 - size, 0, ...order.splice(from, size));
      moved = true;
      break;
    }
  }
  return moved;
}

/**
 * Two neighbouring stretches exchanged: what turning and moving can't undo. Their ends are spread evenly by three
 * irrational steps.
 */
function shaken(order: readonly number[], shake: number): number[] {
  const room = order.length - 1;
  const spread = (step: number) => 1 + Math.floor(((shake * step) % 1) * room);
  const [a, b, c] = [spread(0.6180339887), spread(0.7548776662), spread(0.8191725134)].sort((x, y) => x - y) as [
    number,
    number,
    number,
  ];
  return [...order.slice(0, a), ...order.slice(b, c), ...order.slice(a, b), ...order.slice(c)];
}
