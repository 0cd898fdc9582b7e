/** How near two closed outlines come to each other, and whether they run into one another. */
import type { Metres } from '../quantity/unit.ts';
import type { PlanPoint } from './point.ts';
import { insidePolygon, signedArea } from './polygon.ts';

export interface OutlineGap {
  /** Shortest distance between the edges; 0 where they cross or touch. */
  readonly gap: Metres;
  /** Where on the first outline, and where on the second. */
  readonly at: PlanPoint;
  readonly to: PlanPoint;
  /** Edges cross, deeper than they could by rounding. */
  readonly crosses: boolean;
  /** The first lies within the second, the second within the first, or neither holds the other. */
  readonly within: 'first' | 'second' | null;
}

/** Outlines that lie on one another to this are touching, not crossing. */
const TOUCHING: Metres = 0.0005;

interface Edge {
  readonly from: PlanPoint;
  readonly to: PlanPoint;
}

const edgesOf = (vertices: readonly PlanPoint[]): Edge[] =>
  vertices.map((from, i) => ({ from, to: vertices[(i + 1) % vertices.length]! }));

/** Distance to the left of the way along an edge. */
function beside({ from, to }: Edge, { e, n }: PlanPoint): Metres {
  const length = Math.hypot(to.e - from.e, to.n - from.n);
  return length === 0 ? 0 : ((to.e - from.e) * (n - from.n) - (to.n - from.n) * (e - from.e)) / length;
}

const parts = (a: Metres, b: Metres): boolean => (a > TOUCHING && b < -TOUCHING) || (a < -TOUCHING && b > TOUCHING);

/** Where two edges cross; null where they do not, or only touch. */
function crossing(one: Edge, other: Edge): PlanPoint | null {
  const [a, b] = [beside(one, other.from), beside(one, other.to)];
  if (!parts(a, b) || !parts(beside(other, one.from), beside(other, one.to))) return null;
  const share = a / (a - b);
  return {
    e: other.from.e + share * (other.to.e - other.from.e),
    n: other.from.n + share * (other.to.n - other.from.n),
  };
}

function nearestOn({ from, to }: Edge, { e, n }: PlanPoint): PlanPoint {
  const [de, dn] = [to.e - from.e, to.n - from.n];
  const squared = de * de + dn * dn;
  const share = squared === 0 ? 0 : Math.min(1, Math.max(0, ((e - from.e) * de + (n - from.n) * dn) / squared));
  return { e: from.e + share * de, n: from.n + share * dn };
}

/**
 * The gap between two closed outlines (last vertex joins the first), by the distances of every vertex to the edges of
 * the other: between edges that do not cross the shortest one always ends at a vertex.
 */
export function outlineGap(first: readonly PlanPoint[], second: readonly PlanPoint[]): OutlineGap {
  const [ours, theirs] = [edgesOf(first), edgesOf(second)];
  for (const one of ours)
    for (const other of theirs) {
      const at = crossing(one, other);
      if (at) return { gap: 0, at, to: at, crosses: true, within: null };
    }
  let best = { gap: Infinity, at: first[0]!, to: second[0]! };
  const nearer = (at: PlanPoint, to: PlanPoint) => {
    const gap = Math.hypot(at.e - to.e, at.n - to.n);
    if (gap < best.gap) best = { gap, at, to };
  };
  for (const vertex of first) for (const edge of theirs) nearer(vertex, nearestOn(edge, vertex));
  for (const vertex of second) for (const edge of ours) nearer(nearestOn(edge, vertex), vertex);
  // One that lies within does so with every vertex that is not on the edge of the other.
  const isWithin = (inner: readonly PlanPoint[], outer: readonly PlanPoint[], edges: readonly Edge[]) => {
    const off = inner.filter((vertex) =>
      edges.every((edge) => {
        const near = nearestOn(edge, vertex);
        return Math.hypot(near.e - vertex.e, near.n - vertex.n) > TOUCHING;
      }),
    );
    return off.length > 0 && off.every((vertex) => insidePolygon(vertex, outer));
  };
  const within = isWithin(first, second, theirs) ? 'first' : isWithin(second, first, ours) ? 'second' : null;
  return { ...best, gap: best.gap <= TOUCHING ? 0 : best.gap, crosses: false, within };
}

/** Points of the smaller outline's box that are looked at, each way. */
const LOOKED_AT = 24;

/**
 * How much of the smaller of two outlines lies in the other, 0 to 1, to a few hundredths: enough to tell one thing that
 * was drawn twice from two that run into one another.
 */
export function sharedPart(first: readonly PlanPoint[], second: readonly PlanPoint[]): number {
  const [small, large] =
    Math.abs(signedArea(first)) <= Math.abs(signedArea(second)) ? [first, second] : [second, first];
  const [west, east] = [Math.min(...small.map(({ e }) => e)), Math.max(...small.map(({ e }) => e))];
  const [south, north] = [Math.min(...small.map(({ n }) => n)), Math.max(...small.map(({ n }) => n))];
  let [inside, shared] = [0, 0];
  for (let i = 0; i < LOOKED_AT; i++)
    for (let j = 0; j < LOOKED_AT; j++) {
      const point = {
        e: west + ((i + 0.5) / LOOKED_AT) * (east - west),
        n: south + ((j + 0.5) / LOOKED_AT) * (north - south),
      };
      if (!insidePolygon(point, small)) continue;
      inside += 1;
      if (insidePolygon(point, large)) shared += 1;
    }
  return inside === 0 ? 0 : shared / inside;
}
