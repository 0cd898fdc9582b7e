/** What a newer revision of a drawing changed: which corners moved, by how much, and what came or went. */
import { planDistance, type Metres, type PlanPoint } from '@idle-marker/core';
import type { Drawing } from './drawing.ts';

export interface MovedCorner {
  readonly layer: string;
  readonly from: PlanPoint;
  readonly to: PlanPoint;
  readonly by: Metres;
}
export interface DrawingChange {
  readonly moved: readonly MovedCorner[];
  readonly gone: readonly { readonly layer: string; readonly elements: number }[];
  readonly come: readonly { readonly layer: string; readonly elements: number }[];
  /** Corners that stand where they stood. */
  readonly unchanged: number;
  /**
   * Where a place of the older drawing is now: the same place where it did not move, null where nothing of it is found.
   */
  placeOf(point: PlanPoint): PlanPoint | null;
}

/** Nearer than this is the same place. */
const SAME: Metres = 0.0005;
/** A corner that was typed or rounded is found again within this. */
const FOUND: Metres = 0.002;
/** An element farther away than this from every one before is a new one. */
const MOST: Metres = 20;
/** More elements of a layer than this that changed are not paired: nobody reads that list. */
const MOST_PAIRED = 1500;

/** Corners of an element, and what of it makes it comparable with another. */
interface Element {
  readonly layer: string;
  readonly kind: string;
  /** It begins at any of its corners. */
  readonly isRing: boolean;
  readonly corners: readonly PlanPoint[];
}

export function compareDrawings(before: Drawing, after: Drawing): DrawingChange {
  const [old, now] = [elementsOf(before), elementsOf(after)];
  const moved: MovedCorner[] = [];
  const gone = new Map<string, number>();
  const come = new Map<string, number>();
  const moves = new Map<string, { readonly from: PlanPoint; readonly to: PlanPoint }[]>();
  let unchanged = 0;
  const keep = (layer: string, from: PlanPoint, to: PlanPoint) => {
    const by = planDistance(from, to);
    if (by < SAME) unchanged++;
    else moved.push({ layer, from, to, by });
    const key = cell(from);
    const list = moves.get(key);
    if (list) list.push({ from, to });
    else moves.set(key, [{ from, to }]);
  };
  for (const kind of new Set([...old.keys(), ...now.keys()])) {
    const [left, right] = takeSame(old.get(kind) ?? [], now.get(kind) ?? [], keep);
    pairNearest(left, right, keep);
    for (const each of left) gone.set(each.layer, (gone.get(each.layer) ?? 0) + 1);
    for (const each of right) come.set(each.layer, (come.get(each.layer) ?? 0) + 1);
  }
  const counted = (counts: ReadonlyMap<string, number>) =>
    [...counts].map(([layer, elements]) => ({ layer, elements }));
  return {
    moved: moved.sort((a, b) => b.by - a.by),
    gone: counted(gone),
    come: counted(come),
    unchanged,
    placeOf: (point) => {
      const near = cellsAround(point)
        .flatMap((key) => moves.get(key) ?? [])
        .map(({ from, to }) => ({ to, away: planDistance(from, point), stays: planDistance(from, to) < SAME }))
        .filter(({ away }) => away < FOUND)
        // Where two elements meet and one of them stays, the one that moved is meant: nobody asks about what stays.
        .sort((a, b) => Number(a.stays) - Number(b.stays) || a.away - b.away);
      return near[0]?.to ?? null;
    },
  };
}

const CELL: Metres = 0.01;
const cell = ({ e, n }: PlanPoint): string => `${Math.round(e / CELL)} ${Math.round(n / CELL)}`;
const cellsAround = ({ e, n }: PlanPoint): string[] =>
  [-1, 0, 1].flatMap((de) => [-1, 0, 1].map((dn) => `${Math.round(e / CELL) + de} ${Math.round(n / CELL) + dn}`));

function elementsOf({ paths, points, circles }: Drawing): Map<string, Element[]> {
  const found = new Map<string, Element[]>();
  const add = (element: Element) => {
    const key = `${element.layer}\n${element.kind}`;
    const list = found.get(key);
    if (list) list.push(element);
    else found.set(key, [element]);
  };
  for (const path of paths)
    add({
      layer: path.layer,
      kind: `path ${path.closed} ${path.corners.length}`,
      isRing: path.closed,
      corners: path.corners.map(({ e, n }) => ({ e, n })),
    });
  for (const point of points)
    add({ layer: point.layer, kind: `point ${point.name ?? ''}`, isRing: false, corners: [point.at] });
  for (const circle of circles)
    add({ layer: circle.layer, kind: `circle ${circle.radius.toFixed(3)}`, isRing: false, corners: [circle.centre] });
  return found;
}

const written = ({ corners }: Element): string =>
  corners.map(({ e, n }) => `${e.toFixed(4)} ${n.toFixed(4)}`).join(' ');

/** Pairs what is the same to the tenth of a millimetre, and gives what is left of both. */
function takeSame(
  old: readonly Element[],
  now: readonly Element[],
  keep: (layer: string, from: PlanPoint, to: PlanPoint) => void,
): [Element[], Element[]] {
  const there = new Map<string, number>();
  for (const each of now) there.set(written(each), (there.get(written(each)) ?? 0) + 1);
  const left = old.filter((each) => {
    const key = written(each);
    const count = there.get(key) ?? 0;
    if (count === 0) return true;
    there.set(key, count - 1);
    for (const corner of each.corners) keep(each.layer, corner, corner);
    return false;
  });
  const right = now.filter((each) => {
    const key = written(each);
    const count = there.get(key) ?? 0;
    if (count === 0) return false;
    there.set(key, count - 1);
    return true;
  });
  return [left, right];
}

/** Pairs what is nearest to each other, closest pairs first; both lists keep what found no partner. */
function pairNearest(
  old: Element[],
  now: Element[],
  keep: (layer: string, from: PlanPoint, to: PlanPoint) => void,
): void {
  if (old.length === 0 || now.length === 0 || old.length > MOST_PAIRED || now.length > MOST_PAIRED) return;
  const pairs = old.flatMap((one) =>
    now.flatMap((other) => {
      const best = bestShift(one, other);
      return best.mean <= MOST ? [{ one, other, ...best }] : [];
    }),
  );
  const taken = new Set<Element>();
  for (const { one, other, shift, turned } of pairs.sort((a, b) => a.mean - b.mean)) {
    if (taken.has(one) || taken.has(other)) continue;
    taken.add(one).add(other);
    const corners = turned ? [...other.corners].reverse() : other.corners;
    one.corners.forEach((corner, i) => keep(one.layer, corner, corners[(i + shift) % corners.length]!));
  }
  for (const list of [old, now]) list.splice(0, list.length, ...list.filter((each) => !taken.has(each)));
}

/** A ring may begin at another corner or run the other way round; long ones are taken as they come. */
const MOST_SHIFTED = 60;

function bestShift(
  { corners: one, isRing }: Element,
  { corners: other }: Element,
): { readonly mean: Metres; readonly shift: number; readonly turned: boolean } {
  const shifts = isRing && one.length <= MOST_SHIFTED ? one.length : 1;
  let best = { mean: Infinity, shift: 0, turned: false };
  for (const turned of [false, true]) {
    const corners = turned ? [...other].reverse() : other;
    for (let shift = 0; shift < shifts; shift++) {
      const mean =
        one.reduce((sum, corner, i) => sum + planDistance(corner, corners[(i + shift) % corners.length]!), 0) /
        one.length;
      if (mean < best.mean) best = { mean, shift, turned };
    }
  }
  return best;
}
