/**
 * Where to stand an instrument that is wanted for heights alone: it has to see a benchmark, better two, and as much as
 * can be of what is to be set. Control in plan need not be in sight, nor need the figure be a good one.
 */
import { planDistance, type PlanPoint } from '../plane/point.ts';
import { distanceToPolygon, insidePolygon, segmentMeetsPolygon } from '../plane/polygon.ts';
import type { Metres } from '../quantity/unit.ts';

export interface HeightStandsInput {
  readonly benchmarks: readonly PlanPoint[];
  /** What is to be set: marks, or places along a road. */
  readonly targets: readonly PlanPoint[];
  /** Outlines that nobody sees through. */
  readonly hiding: readonly (readonly PlanPoint[])[];
  /** Outlines that nobody stands in, with how far to keep out of them. */
  readonly keepOut: readonly { readonly outline: readonly PlanPoint[]; readonly margin: Metres }[];
  /** Beyond this a height is no longer good enough. */
  readonly reach: Metres;
}

export interface HeightStand extends PlanPoint {
  /** Indices of the benchmarks in sight and in reach. */
  readonly benchmarks: readonly number[];
  /** How many of the targets are. */
  readonly seen: number;
  /** The farthest of them, and the mean. */
  readonly farthest: Metres;
  readonly mean: Metres;
}

/** Candidates along either axis of the ground in question. */
const STEPS = 36;
/** How far beyond marks and benchmarks it is looked: in parts of the longer side, and at least. */
const AROUND = 0.25;
const AROUND_LEAST: Metres = 15;
/** Nearer than this the instrument is in the way, or finds no prism. */
const NEAREST: Metres = 3;
/** Proposals lie at least so far apart, in parts of the ground's longer side. */
const APART = 0.12;
const MOST = 5;

/**
 * The best stands, best first: two benchmarks before one, then what is seen, then the shorter sights. Empty when no
 * place sees a benchmark.
 */
export function heightStands({ benchmarks, targets, hiding, keepOut, reach }: HeightStandsInput): HeightStand[] {
  const all = [...benchmarks, ...targets];
  if (benchmarks.length === 0 || targets.length === 0) return [];
  const [eastings, northings] = [all.map(({ e }) => e), all.map(({ n }) => n)];
  const span = Math.max(Math.max(...eastings) - Math.min(...eastings), Math.max(...northings) - Math.min(...northings));
  const around = Math.max(AROUND_LEAST, AROUND * span);
  const [west, east] = [Math.min(...eastings) - around, Math.max(...eastings) + around];
  const [south, north] = [Math.min(...northings) - around, Math.max(...northings) + around];
  const sees = (from: PlanPoint, to: PlanPoint): boolean => {
    const distance = planDistance(from, to);
    return (
      distance <= reach && distance >= NEAREST && !hiding.some((outline) => segmentMeetsPolygon(from, to, outline))
    );
  };
  const stands: HeightStand[] = [];
  for (let i = 0; i <= STEPS; i++)
    for (let j = 0; j <= STEPS; j++) {
      const place = { e: west + ((east - west) * i) / STEPS, n: south + ((north - south) * j) / STEPS };
      if (
        keepOut.some(
          ({ outline, margin }) => insidePolygon(place, outline) || distanceToPolygon(place, outline) < margin,
        )
      )
        continue;
      const known = benchmarks.flatMap((mark, k) => (sees(place, mark) ? [k] : []));
      if (known.length === 0) continue;
      const distances = targets.filter((target) => sees(place, target)).map((target) => planDistance(place, target));
      if (distances.length === 0) continue;
      const mean = distances.reduce((sum, each) => sum + each, 0) / distances.length;
      stands.push({ ...place, benchmarks: known, seen: distances.length, farthest: Math.max(...distances), mean });
    }
  stands.sort(
    (a, b) => Math.min(b.benchmarks.length, 2) - Math.min(a.benchmarks.length, 2) || b.seen - a.seen || a.mean - b.mean,
  );
  const apart = APART * Math.max(east - west, north - south);
  const best: HeightStand[] = [];
  for (const stand of stands) {
    if (best.length === MOST) break;
    if (best.every((other) => planDistance(other, stand) >= apart)) best.push(stand);
  }
  return best;
}
