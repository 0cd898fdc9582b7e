/**
 * Offsets at which hubs outlive the work: clear of the dig, of heaps, fences, machines and services, and seen from the
 * instrument. Lengths stay as they were asked for wherever they can; where they can't, as few other lengths as possible
 * are used, since every further one is one more that a crew mixes up (a greedy cover: V. Chvátal, 1979).
 */
import { polar, planDistance, type PlanPoint } from '../plane/point.ts';
import { distanceToPolygon, insidePolygon, segmentMeetsPolygon } from '../plane/polygon.ts';
import type { Metres, Radians } from '../quantity/unit.ts';

/** An area that hubs keep out of. */
export interface KeepClear {
  readonly name: string;
  readonly corners: readonly PlanPoint[];
  /** How far beyond its edge a hub is still lost. */
  readonly margin: Metres;
  /** Nothing is seen through it. */
  readonly blocksSight: boolean;
}
export interface OffsetHub {
  readonly key: string;
  readonly design: PlanPoint;
  /** From the corner to the hub. */
  readonly direction: Radians;
  /** Distance along that direction for one metre of offset: more than 1 at a corner that is not square. */
  readonly stretch: number;
  readonly offset: Metres;
}
export interface OffsetAsked {
  /** What lengths are rounded to: whole or half metres, feet a crew can tape. */
  readonly step: Metres;
  readonly longest: Metres;
  readonly areas: readonly KeepClear[];
  /** Closed outlines that no hub may stand in. */
  readonly outlines: readonly (readonly PlanPoint[])[];
  /** Where the hubs are to be seen from; null when that is not known yet. */
  readonly instrument: PlanPoint | null;
}
export interface Hindrance {
  /** Name of the area; null for an outline. */
  readonly name: string | null;
  readonly how: 'inside' | 'unseen';
}
export interface OffsetProposal {
  readonly key: string;
  /** Null when no round offset up to the longest is clear. */
  readonly offset: Metres | null;
  readonly place: PlanPoint | null;
  /** What speaks against the offset that was asked for; empty when it is kept. */
  readonly hindrances: readonly Hindrance[];
}

/** Two hubs nearer than this are taken for one another. */
const APART: Metres = 0.5;
const SAME: Metres = 1e-6;

const placeOf = (hub: OffsetHub, offset: Metres): PlanPoint => polar(hub.design, hub.direction, offset * hub.stretch);

/** What speaks against a hub at a place; empty when nothing does. */
export function hindrancesAt(
  place: PlanPoint,
  { areas, outlines, instrument }: Pick<OffsetAsked, 'areas' | 'outlines' | 'instrument'>,
): Hindrance[] {
  const found: Hindrance[] = outlines.some((outline) => insidePolygon(place, outline))
    ? [{ name: null, how: 'inside' }]
    : [];
  for (const { name, corners, margin, blocksSight } of areas) {
    if (insidePolygon(place, corners) || distanceToPolygon(place, corners) < margin)
      found.push({ name, how: 'inside' });
    else if (blocksSight && instrument && segmentMeetsPolygon(instrument, place, corners))
      found.push({ name, how: 'unseen' });
  }
  return found;
}

/** Round lengths up to the longest, with the one that was asked for. A mark on the point itself has no other place. */
function lengthsFor(hub: OffsetHub, { step, longest }: OffsetAsked): Metres[] {
  if (hub.offset === 0) return [0];
  const count = Math.floor(longest / step + SAME);
  return [
    hub.offset,
    ...Array.from({ length: count }, (_, i) => (i + 1) * step).filter((length) => Math.abs(length - hub.offset) > SAME),
  ];
}

/** A proposal for each hub, in the order given. */
export function survivingOffsets(hubs: readonly OffsetHub[], asked: OffsetAsked): OffsetProposal[] {
  const proposals = new Map<string, OffsetProposal>();
  const taken: PlanPoint[] = [];
  const propose = (hub: OffsetHub, offset: Metres | null, hindrances: readonly Hindrance[]) => {
    const place = offset === null ? null : placeOf(hub, offset);
    if (place) taken.push(place);
    proposals.set(hub.key, { key: hub.key, offset, place, hindrances });
  };
  const left: {
    readonly hub: OffsetHub;
    readonly hindrances: readonly Hindrance[];
    readonly clear: readonly Metres[];
  }[] = [];
  for (const hub of hubs) {
    const hindrances = hindrancesAt(placeOf(hub, hub.offset), asked);
    if (hindrances.length === 0) propose(hub, hub.offset, []);
    else
      left.push({
        hub,
        hindrances,
        clear: lengthsFor(hub, asked).filter((length) => hindrancesAt(placeOf(hub, length), asked).length === 0),
      });
  }
  while (left.length > 0) {
    const isFree = (hub: OffsetHub, length: Metres) =>
      !taken.some((other) => planDistance(other, placeOf(hub, length)) < APART);
    const length = mostServing(
      left.map(({ hub, clear }) => ({ asked: hub.offset, clear: clear.filter((each) => isFree(hub, each)) })),
    );
    const served =
      length === null ? [...left] : left.filter(({ clear }) => clear.some((each) => Math.abs(each - length) < SAME));
    for (const each of served) {
      left.splice(left.indexOf(each), 1);
      // Two of the same length can still come too near to each other; the later one then waits for another length.
      if (length !== null && !isFree(each.hub, length)) {
        left.push({ ...each, clear: each.clear.filter((one) => Math.abs(one - length) >= SAME) });
        continue;
      }
      propose(each.hub, length, each.hindrances);
    }
  }
  return hubs.map((hub) => proposals.get(hub.key)!);
}

/** The length that serves most hubs; of equals the one nearest to what was asked. Null when none serves any. */
function mostServing(hubs: readonly { readonly asked: Metres; readonly clear: readonly Metres[] }[]): Metres | null {
  const served = new Map<string, { readonly length: Metres; count: number; off: Metres }>();
  for (const { asked, clear } of hubs) {
    for (const length of clear) {
      const key = length.toFixed(6);
      const entry = served.get(key) ?? { length, count: 0, off: 0 };
      entry.count += 1;
      entry.off += Math.abs(length - asked);
      served.set(key, entry);
    }
  }
  let best: { readonly length: Metres; readonly count: number; readonly off: Metres } | null = null;
  for (const each of served.values()) {
    if (!best || each.count > best.count || (each.count === best.count && each.off < best.off - SAME)) best = each;
  }
  return best?.length ?? null;
}
