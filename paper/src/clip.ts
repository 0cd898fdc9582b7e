/** What of a line lies within a box (Liang and Barsky, A new concept and method for line clipping). */
import type { Box } from './labels.ts';

type Place = readonly [number, number];

/** From where to where along a segment it is inside, from 0 to 1; null where it never is. */
function inside([x1, y1]: Place, [x2, y2]: Place, { x, y, w, h }: Box): readonly [number, number] | null {
  let [from, to] = [0, 1];
  for (const [p, q] of [
    [x1 - x2, x1 - x],
    [x2 - x1, x + w - x1],
    [y1 - y2, y1 - y],
    [y2 - y1, y + h - y1],
  ] as const) {
    if (p === 0) {
      if (q < 0) return null;
    } else if (p < 0) from = Math.max(from, q / p);
    else to = Math.min(to, q / p);
  }
  return from < to ? [from, to] : null;
}

/** The pieces of a line within a box, each going on as long as it does not leave it. */
export function clipped(points: readonly Place[], closed: boolean, box: Box): Place[][] {
  const ring = closed && points.length > 0 ? [...points, points[0]!] : points;
  const pieces: Place[][] = [];
  let goesOn = false;
  for (const [i, b] of ring.slice(1).entries()) {
    const a = ring[i]!;
    const part = inside(a, b, box);
    if (!part) {
      goesOn = false;
      continue;
    }
    const at = (share: number): Place => [a[0] + (b[0] - a[0]) * share, a[1] + (b[1] - a[1]) * share];
    if (goesOn && part[0] === 0) pieces.at(-1)!.push(at(part[1]));
    else pieces.push([at(part[0]), at(part[1])]);
    goesOn = part[1] === 1;
  }
  return pieces;
}
