/** How elements of a drawing are moved on their way out of blocks, and what becomes of their corners. */
import { bulgedArc } from '@idle-marker/core';
import type { DrawnCorner } from './drawing.ts';
import { arcsAlong } from './dxfCurves.ts';

/** Where something of a block comes to lie: plan by a matrix, heights by a scale and a shift. */
export interface Motion {
  readonly ee: number;
  readonly en: number;
  readonly ne: number;
  readonly nn: number;
  readonly e: number;
  readonly n: number;
  readonly zScale: number;
  readonly z: number;
}

export const AT_REST: Motion = { ee: 1, en: 0, ne: 0, nn: 1, e: 0, n: 0, zScale: 1, z: 0 };
/** Drawn from below: X runs the other way, and heights are depths. */
export const FROM_BELOW: Motion = { ...AT_REST, ee: -1, zScale: -1 };

/** First the inner one, then the outer. */
export const after = (outer: Motion, inner: Motion): Motion => ({
  ee: outer.ee * inner.ee + outer.en * inner.ne,
  en: outer.ee * inner.en + outer.en * inner.nn,
  ne: outer.ne * inner.ee + outer.nn * inner.ne,
  nn: outer.ne * inner.en + outer.nn * inner.nn,
  e: outer.ee * inner.e + outer.en * inner.n + outer.e,
  n: outer.ne * inner.e + outer.nn * inner.n + outer.n,
  zScale: outer.zScale * inner.zScale,
  z: outer.zScale * inner.z + outer.z,
});

export interface Place3 {
  readonly e: number;
  readonly n: number;
  readonly z: number;
}

export const moved = ({ ee, en, ne, nn, e, n, zScale, z }: Motion, at: Place3): Place3 => ({
  e: ee * at.e + en * at.n + e,
  n: ne * at.e + nn * at.n + n,
  z: zScale * at.z + z,
});

const determinant = ({ ee, en, ne, nn }: Motion): number => ee * nn - en * ne;

/** By how much lengths grow; null where they grow differently in different directions. */
export function scaleOf(motion: Motion): number | null {
  const [along, across] = [Math.hypot(motion.ee, motion.ne), Math.hypot(motion.en, motion.nn)];
  const skew = motion.ee * motion.en + motion.ne * motion.nn;
  const largest = Math.max(along, across, 1e-300);
  return Math.abs(along - across) <= 1e-9 * largest && Math.abs(skew) <= 1e-9 * largest * largest ? along : null;
}

export type Corner3 = Place3 & { readonly bulge: number };

const PER_ARC = 24;

/** Corners as they come to lie. An arc that is stretched unevenly is one no more: it becomes a row of arcs. */
export function movedCorners(motion: Motion, corners: readonly Corner3[], closed: boolean): Corner3[] {
  const isEven = scaleOf(motion) !== null;
  const hand = determinant(motion) < 0 ? -1 : 1;
  const out: Corner3[] = [];
  corners.forEach((corner, i) => {
    const next = corners[i + 1] ?? (closed ? corners[0]! : null);
    if (isEven || corner.bulge === 0 || next === null) {
      out.push({ ...moved(motion, corner), bulge: corner.bulge === 0 ? 0 : hand * corner.bulge });
      return;
    }
    const { centre, radius, start, angle } = bulgedArc(corner, next, corner.bulge);
    const part = arcsAlong(
      (parameter) =>
        moved(motion, {
          e: centre.e + radius * Math.cos(parameter),
          n: centre.n + radius * Math.sin(parameter),
          z: corner.z + ((next.z - corner.z) * (parameter - start)) / angle,
        }),
      start,
      start + angle,
      PER_ARC,
    );
    out.push(...part.slice(0, -1));
  });
  return out;
}

/**
 * A line without what says nothing: a corner at the place and height of the one before goes, with the bulge of the side
 * that has no length; one whose last corner is its first is closed. Heights of 0 throughout are none.
 */
export function tidied(
  corners: readonly Corner3[],
  isClosed: boolean,
): { readonly corners: DrawnCorner[]; readonly closed: boolean } {
  const isSame = (a: Place3, b: Place3) => a.e === b.e && a.n === b.n && a.z === b.z;
  const apart: Corner3[] = [];
  for (const corner of corners) {
    const last = apart.at(-1);
    if (last && isSame(last, corner)) apart[apart.length - 1] = corner;
    else apart.push(corner);
  }
  let closed = isClosed;
  if (apart.length > 2 && isSame(apart[0]!, apart.at(-1)!)) {
    apart.pop();
    closed = true;
  }
  const isFlat = apart.every(({ z }) => z === 0);
  return {
    closed,
    corners: apart.map(({ e, n, z, bulge }, i) => ({
      e,
      n,
      z: isFlat ? null : z,
      // The last corner of an open line leads nowhere.
      bulge: !closed && i === apart.length - 1 ? 0 : bulge,
    })),
  };
}
